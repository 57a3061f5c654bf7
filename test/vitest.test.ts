import { execFileSync, spawnSync } from "node:child_process";
import { mkdtempSync, rmSync, writeFileSync } from "node:fs";
import { join } from "node:path";
import { afterAll, describe, expect, test } from "vitest";
import { readPhrasebook } from "../src/index.ts";
import { addMatchers } from "../src/vitest/index.ts";

addMatchers();

const book = readPhrasebook([
  {
    path: "home.yaml",
    text: `
rooms: { hall: {} }
voicepoints: { panel: { room: hall } }
devices:
  lamp: { kind: light, room: hall }
  gate: { kind: gate, room: hall }
`,
  },
]);

describe("toHear and toProve", () => {
  test("hold a home to what a phrase comes to", () => {
    expect(book).toHear("turn on the lamp", { set: { lamp: { power: "on" } } });
    expect(book).toHear("turn on the light in here", "act", { at: "panel" });
    expect(book).toHear("brew some tea", "unknown");
    expect(book).not.toHear("turn on the lamp", { set: { lamp: { power: "off" } } });
    expect(book).toProve({
      after: [{ hear: "turn on the lamp in ten minutes" }, { wait: "11m" }],
      expect: { home: { lamp: { power: "on" } } },
    });
  });

  const failing = (act: () => void): string => {
    try {
      act();
    } catch (error) {
      return error instanceof Error ? error.message : String(error);
    }
    throw new Error("it holds");
  };

  test("fail as a suite does, with what was expected, what happened and why", () => {
    const message = failing(() => {
      expect(book).toHear("turn on the lamp", { set: { lamp: { power: "off" } } });
    });
    expect(message.split("\n").slice(0, 5)).toEqual([
      "  ✗ “turn on the lamp” (en)",
      "    effect",
      "    expected  lamp { power: off }",
      "    but       lamp { power: on }",
      "    case      in code",
    ]);
    const said = failing(() => {
      expect(book).not.toHear("turn on the lamp", "act");
    });
    expect(said).toBe("“turn on the lamp” comes to what is expected");
  });

  test("what cannot be read as a case fails, and is no case that does not hold", () => {
    const read = () => {
      expect(book).toHear("turn on the lamp", { set: { lantern: { power: "on" } } });
    };
    expect(failing(read)).toContain('"lantern"');
    expect(() => {
      expect("a home").toHear("turn on the lamp", "act");
    }).toThrow("pass a phrasebook");
  });
});

describe("proveSuites", () => {
  const folder = mkdtempSync(join(import.meta.dirname, "prove-"));
  afterAll(() => {
    rmSync(folder, { recursive: true });
  });
  writeFileSync(
    join(folder, "home.yaml"),
    "phrasebook: Mill\nlanguages: [en]\nrooms: { hall: {} }\ndevices: { lamp: { kind: light, room: hall } }\n",
  );
  writeFileSync(
    join(folder, "hall.suite.yaml"),
    `suite: hall
cases:
  - { name: the lamp, hear: turn on the lamp, expect: act }
  - { hear: turn off the lamp, expect: unknown }
  - { hear: brew some tea, expect: act, skip: no kettle yet }
  - { hear: make tea, expect: act, fails: no kettle yet }
`,
  );
  writeFileSync(join(folder, "vitest.config.js"), "export default {};\n");
  const built = join(import.meta.dirname, "../dist/vitest.js");
  writeFileSync(
    join(folder, "prove.test.js"),
    `import { proveSuites } from ${JSON.stringify(built)};\nawait proveSuites(${JSON.stringify(folder)});\n`,
  );

  test("makes a test of every case, which counts as the case does", () => {
    const vitest = join(import.meta.dirname, "../node_modules/vitest/vitest.mjs");
    const { stdout } = spawnSync(
      process.execPath,
      [vitest, "run", "--reporter=json", "--root", folder],
      { encoding: "utf8" },
    );
    const { testResults } = JSON.parse(stdout) as {
      testResults: {
        assertionResults: { fullName: string; status: string; failureMessages: string[] }[];
      }[];
    };
    const tests = testResults.flatMap(({ assertionResults }) => assertionResults);
    expect(tests.map(({ fullName, status }) => [fullName, status])).toEqual([
      ["Mill the phrasebook has no errors", "passed"],
      ["Mill the suites can be read", "passed"],
      ["Mill hall the lamp", "passed"],
      ["Mill hall turn off the lamp", "failed"],
      ["Mill hall brew some tea (no kettle yet)", "skipped"],
      ["Mill hall make tea (fails: no kettle yet)", "passed"],
    ]);
    const [message = ""] = tests.flatMap(({ failureMessages }) => failureMessages);
    expect(message).toContain("    expected  unknown\n    but       lamp { power: off }");
    expect(message).toContain(`${join(folder, "hall.suite.yaml")}:4:`);
  });

  test("its types are those that Vitest knows", () => {
    const file = join(folder, "types.ts");
    writeFileSync(
      file,
      `import { expect } from "vitest";
import "calm-phrase/vitest";
import type { Book } from "calm-phrase";
declare const book: Book;
expect(book).toHear("lamp on", { set: { lamp: { power: "on" } } }, { at: "panel" });
// @ts-expect-error -- a phrase is a text
expect(book).toHear(1, "act");
`,
    );
    const tsc = join(import.meta.dirname, "../node_modules/typescript/bin/tsc");
    const settings = [
      "--ignoreConfig",
      "--noEmit",
      "--strict",
      "--skipLibCheck",
      "--module",
      "nodenext",
    ];
    expect(
      execFileSync(process.execPath, [tsc, ...settings, "--target", "es2022", file], {
        encoding: "utf8",
      }),
    ).toBe("");
  });
});
