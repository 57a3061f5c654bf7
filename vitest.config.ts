import { defineConfig } from "vitest/config";

export default defineConfig({
  test: {
    // Its package names a module for bundlers alone.
    server: { deps: { inline: ["rrule"] } },
    include: ["src/**/*.test.ts", "test/**/*.test.ts", "packages/*/test/**/*.test.ts"],
    setupFiles: ["test/support/seed.ts"],
    // Files of a worker share what was loaded, read and warmed up: nothing that ships keeps a state of its own.
    isolate: false,
    // On two cores it would be one, while much of the time is spent waiting for commands and pages.
    maxWorkers: 2,
    testTimeout: 120_000,
    hookTimeout: 120_000,
  },
});
