import { type UserConfig, defineConfig } from "tsdown";

const languages = ["dutch", "english", "french", "german", "italian", "spanish"];

const shared: UserConfig = {
  entry: {
    index: "src/index.ts",
    exchange: "src/exchange/index.ts",
    reports: "src/reports/index.ts",
    edits: "src/edits/index.ts",
    mishearing: "src/mishearing/index.ts",
    node: "src/node/index.ts",
    vitest: "src/vitest/index.ts",
    cli: "src/cli/main.ts",
    "test-worker": "src/cli/test-worker.ts",
    ...Object.fromEntries(
      languages.map((name) => [`languages/${name}`, `src/language/${name}.ts`]),
    ),
  },
  format: "esm",
  // What is shared runs in browsers as well: the helpers of the bundle are to need no module of Node.js.
  platform: "neutral",
  inputOptions: { resolve: { mainFields: ["module", "main"] } },
  target: "node20",
  fixedExtension: false,
  sourcemap: true,
};

export default defineConfig([
  {
    ...shared,
    dts: false,
    // A small part of zod is used, and loading all of it would double the time that the command
    // takes to start. See NOTICE.md. Types refer to the package itself.
    deps: {
      neverBundle: [/^node:/],
      alwaysBundle: [/^zod\//, /^rrule$/],
      onlyBundle: ["zod", "rrule", "tslib"],
    },
  },
  { ...shared, deps: { neverBundle: [/^node:/] }, dts: { emitDtsOnly: true }, clean: false },
]);
