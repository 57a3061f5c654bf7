import { defineConfig } from "tsdown";

export default defineConfig({
  entry: { index: "src/index.ts", command: "src/command.ts" },
  format: "esm",
  platform: "node",
  target: "node20",
  fixedExtension: false,
  sourcemap: true,
  dts: true,
});
