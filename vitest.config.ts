import { defineConfig } from "vitest/config";

export default defineConfig({
  test: {
    // Its package names a module for bundlers alone.
    server: { deps: { inline: ["rrule"] } },
    include: ["src/**/*.test.ts", "test/**/*.test.ts", "packages/*/test/**/*.test.ts"],
    setupFiles: ["test/support/seed.ts"],
    testTimeout: 120_000,
    hookTimeout: 120_000,
  },
});
