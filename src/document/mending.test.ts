import * as fc from "fast-check";
import { dump } from "js-yaml";
import { describe, expect, test } from "vitest";
import { applyEdits, checkPhrasebook, editFor, readPhrasebook } from "../index.ts";
import type { Finding } from "../index.ts";
import { readYaml } from "./yaml.ts";

/** A file with everything mended that can be, and the rules that are left. */
function mended(text: string) {
  let made = text;
  for (;;) {
    const book = readPhrasebook([{ path: "home.yaml", text: made }]);
    const findings = [...book.problems, ...checkPhrasebook(book)];
    const edits = findings.flatMap(
      (each) => editFor(each, { path: "home.yaml", text: made }) ?? [],
    );
    const next = applyEdits(made, edits);
    if (next === made) return { text: made, left: findings.map(({ rule }) => rule) };
    made = next;
  }
}

const rooms = "languages: [en]\nrooms: { hall: {} }\n";

describe("what is mended", () => {
  test.each([
    [
      "a misspelled key",
      "devices:\n  lamp: { kind: light, rom: hall }",
      "devices:\n  lamp: { kind: light, room: hall }",
    ],
    [
      "an alias that never counts, in a list on one line",
      "devices:\n  lamp: { kind: light, room: hall, aliases: [glow, dim] } # mine\n  glow: { kind: light, room: hall }",
      "devices:\n  lamp: { kind: light, room: hall, aliases: [dim] } # mine\n  glow: { kind: light, room: hall }",
    ],
    [
      "an alias that never counts, in a list of lines",
      "devices:\n  lamp:\n    kind: light\n    room: hall\n    aliases:\n      - dim\n      - glow # old\n  glow: { kind: light, room: hall }",
      "devices:\n  lamp:\n    kind: light\n    room: hall\n    aliases:\n      - dim\n  glow: { kind: light, room: hall }",
    ],
    [
      "the only alias, with its key",
      "devices:\n  lamp: { kind: light, aliases: { en: glow }, room: hall }\n  glow: { kind: light, room: hall }",
      "devices:\n  lamp: { kind: light, room: hall }\n  glow: { kind: light, room: hall }",
    ],
    [
      "a bracket at the end of a pattern",
      "intents:\n  hi: { patterns: 'good (day | morning', do: { say: Hello. } }",
      "intents:\n  hi: { patterns: 'good (day | morning)', do: { say: Hello. } }",
    ],
    [
      "a slot that no pattern says",
      "intents:\n  hi:\n    patterns: good day\n    slots: { how: { type: percent } }\n    do: { say: Hello. }",
      "intents:\n  hi:\n    patterns: good day\n    do: { say: Hello. }",
    ],
  ])("%s", (_, was, is) => {
    expect(mended(`${rooms}${was}\n`)).toEqual({ text: `${rooms}${is}\n`, left: [] });
  });

  test("nothing where more than one thing can be meant", () => {
    const text = `${rooms}intents:\n  hi: { patterns: "[please say hello to all", do: { say: Hello. } }\n`;
    expect(mended(text)).toEqual({ text, left: ["pattern-syntax"] });
    const twice = `${rooms}devices: { lamp: { kind: light, room: hall, rom: hall } }\n`;
    expect(mended(twice)).toEqual({ text: twice, left: ["unknown-key"] });
  });
});

test("taking out one thing takes out nothing else, however the file is laid out", () => {
  const word = fc.constantFrom(
    "lamp",
    "vent",
    "a b",
    "x: y",
    "it's",
    'say "so"',
    "on",
    "7",
    "# no",
    "[in]",
  );
  const leaf = fc.oneof(word, fc.integer({ min: 0, max: 9 }));
  const { map } = fc.letrec<{ map: Record<string, unknown>; part: unknown }>((tie) => ({
    map: fc.dictionary<string, unknown>(word, tie("part"), { minKeys: 1, maxKeys: 4 }),
    part: fc.oneof(
      { depthSize: "small" },
      leaf,
      fc.array(leaf, { minLength: 1, maxLength: 3 }),
      tie("map"),
    ),
  }));
  fc.assert(
    fc.property(map, fc.nat(), fc.integer({ min: -1, max: 3 }), (value, pick, flowLevel) => {
      const text = `# head\n${dump(value, { flowLevel, lineWidth: 60 })}# foot\n`;
      const keys = Object.keys(value);
      const key = keys[pick % keys.length] ?? "";
      const line = text.split("\n").findIndex((each, index) => index > 0 && each.includes(key)) + 1;
      const column = (text.split("\n")[line - 1]?.indexOf(key) ?? 0) + 1;
      const at = { file: "a.yaml", line, column };
      const finding: Finding = {
        rule: "r",
        severity: "note",
        message: "m",
        at,
        remedy: { remedy: "take out" },
      };
      const edit = editFor(finding, { path: "a.yaml", text });
      if (!edit) return;
      const after = applyEdits(text, [edit]);
      const left = readYaml(after).value ?? {};
      const size = (each: unknown): number => JSON.stringify(each).length;
      expect(size(left)).toBeLessThan(size(readYaml(text).value));
      expect(after).toContain("# head");
    }),
    { numRuns: 400 },
  );
});
