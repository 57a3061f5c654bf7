import { describe, expect, test } from "vitest";
import { readPhrasebook } from "../book/read.ts";
import { checkPhrasebook } from "./check.ts";

const devices = `languages: [en-GB]
rooms: { hall: {} }
devices:
  lamp: { kind: light, room: hall }
  vent: { kind: fan, room: hall }
`;
const rules = (text: string): string[] => {
  const book = readPhrasebook([{ path: "a.yaml", text: devices + text }]);
  return [...book.problems, ...checkPhrasebook(book)].map(({ rule }) => rule);
};
const onLamp = "do: { set: { lamp: { power: on } } }";

describe("what passes in silence until somebody speaks", () => {
  test.each([
    [
      "a pattern of courtesies",
      "pattern-courtesy",
      `intents: { a: { patterns: "please [turn it]", ${onLamp} } }`,
    ],
    [
      "free words alone",
      "pattern-greedy",
      `intents: { a: { patterns: "[well] $words", slots: { words: { type: text } }, ${onLamp} } }`,
    ],
    ["a when alone", "pattern-when", `intents: { a: { patterns: "in ten minutes", ${onLamp} } }`],
    [
      "a when alone, in a slot",
      "pattern-when",
      `intents: { a: { patterns: "in $length", slots: { length: { type: duration } }, ${onLamp} } }`,
    ],
    [
      "a default out of its range",
      "default-outside",
      `intents: { a: { patterns: "go [$level]", slots: { level: { type: percent, maximum: 50, default: 60 } }, ${onLamp} } }`,
    ],
    [
      "a default off its step",
      "default-outside",
      `intents: { a: { patterns: "go [$level]", slots: { level: { type: number, step: 0.5, default: 1.3 } }, ${onLamp} } }`,
    ],
    [
      "a default that is no value",
      "default-outside",
      `intents: { a: { patterns: "go [$mood]", slots: { mood: { type: choice, values: [calm], default: clam } }, ${onLamp} } }`,
    ],
    [
      "a default of a time out of its range",
      "default-outside",
      `intents: { a: { patterns: "go [$at]", slots: { at: { type: time, minimum: "09:00", default: "08:00" } }, ${onLamp} } }`,
    ],
    [
      "one word for two values",
      "value-clash",
      `intents: { a: { patterns: "go $mood", slots: { mood: { type: choice, values: { calm: [low, still], dull: [low] } } }, ${onLamp} } }`,
    ],
    [
      "a range that goes backwards",
      "range-backwards",
      "  box: { kind: heater, room: hall, properties: { target: { minimum: 60, maximum: 20 } } }",
    ],
    ["an intent that comes to nothing", "intent-idle", 'intents: { a: { patterns: "go" } }'],
    [
      "an alias that a name makes dead",
      "alias-dead",
      "  beam: { kind: light, room: hall, name: lantern }\n  glow: { kind: light, room: hall, aliases: [lantern] }",
    ],
    [
      "a question that is never asked",
      "ask-idle",
      `intents: { a: { patterns: "go $level", slots: { level: { type: percent, ask: How far? } }, ${onLamp} } }`,
    ],
    [
      "a routine whose name is a command",
      "name-is-phrase",
      `routines: { lamp-on: { triggers: [{ time: "18:00" }], do: { set: { vent: { power: on } } } } }`,
    ],
  ])("%s", (_, rule, text) => {
    expect(rules(text)).toEqual([rule]);
  });

  test.each([
    `intents: { a: { patterns: "please be calm", ${onLamp} } }`,
    `intents: { a: { patterns: "note $words", slots: { words: { type: text } }, reply: ok } }`,
    `intents: { a: { patterns: "glaze in $length", slots: { length: { type: duration } }, ${onLamp} } }`,
    `intents: { a: { patterns: "go [$level]", slots: { level: { type: percent, ask: How far? } }, ${onLamp} } }`,
    'intents: { a: { patterns: "go", reply: Gone. } }',
    "  beam: { kind: fan, room: hall, name: lantern }\n  glow: { kind: light, room: hall, aliases: [lantern] }",
    'routines: { evening: { triggers: [{ time: "18:00" }], do: { set: { vent: { power: on } } } } }',
  ])("and what is well has no finding: %s", (text) => {
    expect(rules(text)).toEqual([]);
  });
});

test("what is missing in a language is one finding with the list", () => {
  const book = readPhrasebook([
    {
      path: "a.yaml",
      text:
        devices.replace("[en-GB]", "[en-GB, de-DE]") +
        'intents: { a: { patterns: "go", reply: ok }, b: { patterns: "stop", reply: ok } }',
    },
  ]);
  expect(checkPhrasebook(book).map(({ message }) => message)).toEqual([
    "lamp, vent, hall have no name in de-DE, and go by their names in en-GB",
    "nobody can say a, b in de-DE",
  ]);
});

test("after a file that cannot be read, nothing is found that follows from it", () => {
  const at = { file: "rooms.yaml", line: 1, column: 1 };
  const found = [
    { rule: "unreadable-file", severity: "error", message: "it is no UTF-8", at },
  ] as const;
  const text =
    "devices: { lamp: { kind: light, room: hall } }\nvoice: [{ room: hall, voice: code }]";
  expect(readPhrasebook([{ path: "a.yaml", text }], found).problems).toEqual(found);
});

test("an exact reading of two commands on one device tells them in the order that they are done", () => {
  const book = readPhrasebook([{ path: "a.yaml", text: devices }]);
  expect(book.hear("lamp to 50 percent and lamp to 20 percent")).toMatchObject({
    commands: [
      { effects: [{ set: { brightness: 50 } }] },
      { effects: [{ set: { brightness: 20 } }] },
    ],
  });
});
