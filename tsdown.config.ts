import { defineConfig } from "tsdown";

export default defineConfig({
  entry: {
    index: "src/index.ts",
    node: "src/node/index.ts",
    cli: "src/cli/main.ts",
  },
  format: "esm",
  platform: "node",
  target: "node20",
  dts: { sourcemap: false },
  fixedExtension: false,
});
