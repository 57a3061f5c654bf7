import { execFileSync } from "node:child_process";
import { expect, test } from "vitest";

test("the example with devices of its own hears, waits for them, and tells which is deaf", () => {
  const out = execFileSync("node", ["examples/own-devices/main.js"], { encoding: "utf8" });
  const lines = out
    .trim()
    .split("\n")
    .map((line) => line.slice(9));
  expect(lines).toContain("said “till lamp on.” (everywhere)");
  expect(lines.slice(-3)).toEqual([
    "kiln-vent did not answer: no answer",
    "said “Look at kiln vent, please.” (everywhere)",
    "closing ends, not all of it done",
  ]);
});
