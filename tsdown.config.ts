import { type UserConfig, defineConfig } from "tsdown";

const shared: UserConfig = {
  entry: {
    index: "src/index.ts",
    exchange: "src/exchange/index.ts",
    reports: "src/reports/index.ts",
    node: "src/node/index.ts",
    cli: "src/cli/main.ts",
  },
  format: "esm",
  platform: "node",
  target: "node20",
  fixedExtension: false,
};

export default defineConfig([
  {
    ...shared,
    dts: false,
    // A small part of zod is used, and loading all of it would double the time that the command
    // takes to start. See NOTICE.md. Types refer to the package itself.
    deps: { alwaysBundle: [/^zod\//, /^rrule$/], onlyBundle: ["zod", "rrule", "tslib"] },
  },
  { ...shared, dts: { emitDtsOnly: true }, clean: false },
]);
