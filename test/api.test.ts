import { execFile } from "node:child_process";
import { readFileSync } from "node:fs";
import { promisify } from "node:util";
import { describe, expect, test } from "vitest";
import * as core from "../src/index.ts";
import * as edits from "../src/edits/index.ts";
import * as exchange from "../src/exchange/index.ts";
import * as node from "../src/node/index.ts";
import * as reports from "../src/reports/index.ts";

const text = readFileSync("docs/api.md", "utf8");
const blocks = [...text.matchAll(/```js\n(.*?)```/gsu)].map(([, code = ""]) => code);

describe("every example of docs/api.md runs as it stands", () => {
  test.each(blocks.map((code, index) => [index + 1, code] as const))(
    "block %d",
    async (_, code) => {
      const expected = [...code.matchAll(/^\/\/> (.*)$/gmu)].map(([, line]) => line);
      const run = promisify(execFile)("node", ["--input-type=module", "--eval", code]);
      expect((await run).stdout.trimEnd().split("\n")).toEqual(expected);
    },
  );
});

test("and every function of the library is told of there", () => {
  const exported = [core, exchange, edits, node, reports].flatMap((of) =>
    Object.entries(of).flatMap(([name, value]) => (typeof value === "function" ? [name] : [])),
  );
  expect(exported.filter((name) => !text.includes(name))).toEqual([]);
});
