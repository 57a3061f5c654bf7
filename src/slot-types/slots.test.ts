import { describeOutcome } from "../commands/describe.ts";
import { effectsOf } from "../commands/outcome.ts";
import { describe, expect, test } from "vitest";
import { readPhrasebook } from "../book/read.ts";

const home = (text: string, languages = "[en-GB, de-DE]") =>
  readPhrasebook([{ path: "home.yaml", text: `languages: ${languages}\n${text}` }]);

const book = home(`
rooms: { loft: {}, shop: { aliases: { de: Laden } } }
devices:
  kiln: { kind: heater, room: shop, properties: { target: { minimum: 20, maximum: 60, step: 0.5, unit: celsius } } }
  lamp: { kind: light, room: loft, properties: [colour] }
colours: { "#7b3f2a": { en: [oxbow red], de: [Oxbowrot] } }
intents:
  soak:
    patterns: { en: "soak for $length", de: "tränken für $length" }
    slots: { length: { type: duration, minimum: 1m, maximum: 8h } }
  wake:
    patterns: { en: "wake me at $when", de: "weck mich um $when" }
    slots: { when: { type: time, minimum: "05:00" } }
  fire:
    patterns: { en: "fire on $day", de: "Brand am $day" }
    slots: { day: { type: date } }
  shelf:
    patterns: { en: "take the $which shelf", de: "nimm das $which Regal" }
    slots: { which: { type: ordinal, maximum: 12 } }
  turns:
    patterns: { en: "wind $count", de: "kurbel $count" }
    slots: { count: { type: integer, unit: { en: [turns, turn], de: [Umdrehungen] } } }
  warm:
    patterns: { en: ["warm the kiln [to $degrees]", "kiln glow $degrees and $colour"], de: "Ofen vorwärmen [auf $degrees]" }
    slots:
      degrees: { type: temperature, ask: { en: "To how many degrees?", de: "Auf wie viel Grad?" } }
      colour: { type: colour, optional: true }
    do:
      - set: { kiln: { target: $degrees } }
      - set: { lamp: { colour: $colour } }
  stock:
    patterns: "stock of $where"
    slots: { where: { type: room } }
`);

const value = (text: string, language = "en", time?: string) => {
  const heard = book.hear(text, { language, ...(time === undefined ? {} : { time }) });
  const [command] = heard.commands;
  if (!command || heard.outcome === "refuse") return heard.outcome;
  const [filled] = Object.values(command.slots);
  return filled && "value" in filled ? filled.value : undefined;
};

test("the phrasebook reads without a finding", () => {
  expect(book.problems).toEqual([]);
});

describe("a duration is in seconds", () => {
  test.each<[string, string, number | string]>([
    ["en", "soak for ten minutes", 600],
    ["en", "soak for an hour and a half", 5400],
    ["en", "soak for 1 h 30", "unknown"],
    ["en", "soak for an hour and ten minutes", 4200],
    ["en", "soak for half an hour", 1800],
    ["en", "soak for three quarters of an hour", 2700],
    ["en", "soak for two and a half hours", 9000],
    ["en", "soak for 90s", 90],
    ["en", "soak for thirty seconds", "refuse"],
    ["en", "soak for ten", "unknown"],
    ["de", "tränken für eine Viertelstunde", 900],
    ["de", "tränken für anderthalb Stunden", 5400],
    ["de", "tränken für zwei Stunden und zehn Minuten", 7800],
  ])("%s: %s", (language, text, expected) => {
    expect(value(text, language)).toBe(expected);
  });
});

describe("a time of day is the next to come where it is left open", () => {
  const evening = "2026-03-02T18:05";
  test.each<[string, string, string, string | undefined]>([
    ["en", "wake me at a quarter to seven", "06:45", undefined],
    ["en", "wake me at a quarter to seven", "18:45", evening],
    ["en", "wake me at six", "06:00", evening],
    ["en", "wake me at half six", "18:30", evening],
    ["en", "wake me at ten past nine in the morning", "09:10", evening],
    ["en", "wake me at 7 p.m.", "19:00", undefined],
    ["en", "wake me at twelve o'clock at night", "refuse", evening],
    ["en", "wake me at 06:20", "06:20", evening],
    ["en", "wake me at six oh five", "18:05", "2026-03-02T17:00"],
    ["en", "wake me at noon", "12:00", evening],
    ["en", "wake me at 25:00", "unknown", evening],
    ["de", "weck mich um halb sieben", "18:30", evening],
    ["de", "weck mich um fünf vor halb acht", "19:25", evening],
    ["de", "weck mich um 18.30 Uhr", "18:30", undefined],
    ["de", "weck mich um drei Viertel sieben morgens", "06:45", evening],
  ])("%s: %s", (language, text, expected, time) => {
    expect(value(text, language, time)).toBe(expected);
  });
});

describe("a date is the next such day", () => {
  test.each<[string, string, string]>([
    ["en", "fire on tomorrow", "2026-03-03"],
    ["en", "fire on the third of March", "2026-03-03"],
    ["en", "fire on March 1st", "2027-03-01"],
    ["en", "fire on the 29th of February", "2028-02-29"],
    ["en", "fire on Monday", "2026-03-09"],
    ["en", "fire on 2026-05-04", "2026-05-04"],
    ["en", "fire on the 31st of April", "unknown"],
    ["de", "Brand am dritten März", "2026-03-03"],
    ["de", "Brand am 4.5.2026", "2026-05-04"],
    ["de", "Brand am kommenden Freitag", "2026-03-06"],
  ])("%s: %s", (language, text, expected) => {
    expect(value(text, language, "2026-03-02T18:05")).toBe(expected);
  });

  test("and is refused where it is not known what day it is", () => {
    expect(book.hear("fire on tomorrow")).toMatchObject({
      outcome: "refuse",
      reasons: [{ reason: "day" }],
    });
  });
});

test("a duration that cannot be is refused with its range", () => {
  expect(describeOutcome(book.hear("soak for nine hours"))).toBe(
    "refuse: length goes from 1m to 8h, not 9h",
  );
});

test.each<[string, string, number | string]>([
  ["en", "take the third shelf", 3],
  ["en", "take the 11th shelf", 11],
  ["en", "take the twenty-first shelf", "refuse"],
  ["de", "nimm das zweite Regal", 2],
  ["en", "wind twelve turns", 12],
  ["en", "wind 3", 3],
  ["en", "wind two and a half turns", "refuse"],
  ["de", "kurbel fünf Umdrehungen", 5],
])("ordinals and units of one's own: %s: %s", (language, text, expected) => {
  expect(value(text, language)).toBe(expected);
});

describe("a slot that nothing is said for", () => {
  test("is asked for in the words of the phrasebook", () => {
    const heard = book.hear("warm the kiln");
    expect(heard).toMatchObject({
      outcome: "ask",
      commands: [{ intent: "warm" }],
      slot: "degrees",
    });
    expect(book.reply(heard)).toBe("To how many degrees?");
    expect(book.reply(book.hear("Ofen vorwärmen", { language: "de" }))).toBe("Auf wie viel Grad?");
  });

  test("takes what uses it with it when it is optional", () => {
    expect(book.hear("warm the kiln to forty")).toMatchObject({
      outcome: "act",
      commands: [{ effects: [{ device: "kiln", set: { target: 40 } }] }],
    });
    expect(effectsOf(book.hear("kiln glow 40 and oxbow red"))).toEqual([
      { device: "kiln", set: { target: 40 } },
      { device: "lamp", set: { colour: "#7b3f2a" } },
    ]);
  });
});

test("the phrasebook's own colours are heard by the vocabulary", () => {
  expect(effectsOf(book.hear("lamp oxbow red"))).toEqual([
    { device: "lamp", set: { colour: "#7b3f2a" } },
  ]);
  expect(book.hear("Lamp Oxbowrot", { language: "de" })).toMatchObject({ outcome: "act" });
});

test("a room slot takes rooms alone", () => {
  expect(book.hear("stock of shop").outcome).toBe("answer");
  expect(book.hear("stock of lamp").outcome).toBe("refuse");
});

test.each([
  ["{ type: duration, minimum: soon }", "wrong-value"],
  ["{ type: duration, minimum: 2h, maximum: 1h }", "wrong-value"],
  ['{ type: time, default: "25:00" }', "wrong-value"],
  ["{ type: date, minimum: 2026-02-30 }", "wrong-value"],
  ["{ type: number, ask: '{$nobody}?' }", "unknown-reference"],
])("a slot that cannot be is a finding: %s", (slot, expected) => {
  const { problems } = home(`intents: { a: { patterns: "a $b", slots: { b: ${slot} } } }`, "[en]");
  expect(problems.map(({ rule }) => rule)).toEqual([expected]);
});

describe("several commands in one utterance", () => {
  const rooms = home(
    `
devices:
  vent: { kind: fan }
  lamp: { kind: light }
  spots: { kind: light }
  gate: { kind: gate }
  radio: { kind: player }
`,
    "[en]",
  );

  test("are each told, in the order said, on the original text", () => {
    const text = "Turn off the vent, and in ten minutes the lamp!";
    const heard = rooms.hear(text);
    expect(heard.outcome).toBe("act");
    expect(heard.commands.map(({ effects }) => effects)).toEqual([
      [{ device: "vent", set: { power: "off" } }],
      [{ device: "lamp", set: { power: "off" }, when: { in: 600 } }],
    ]);
    expect(rooms.reply(heard)).toBe("vent off. In 10 minutes: lamp off.");
    const roles = rooms
      .why(heard)
      .words.map(({ start, end, role }) => [text.slice(start, end), role]);
    expect(roles).toEqual([
      ["Turn", "pattern"],
      ["off", "pattern"],
      ["the", "small"],
      ["vent", "slot"],
      ["and", "joiner"],
      ["in", "when"],
      ["ten", "when"],
      ["minutes", "when"],
      ["the", "small"],
      ["lamp", "slot"],
    ]);
  });

  test.each([
    ["turn on the vent and then open the gate", "confirm"],
    ["turn on the vent and dance", "unknown"],
    ["turn on the vent and set the lamp to 300 percent", "refuse"],
    ["turn on the vent and is the lamp on", "act"],
    ["turn on the vent in ten minutes in one hour", "refuse"],
    ["play stardust and dust on the radio", "act"],
    ["turn on the vent yesterday", "unknown"],
  ])("%s: %s", (text, outcome) => {
    expect(rooms.hear(text).outcome).toBe(outcome);
  });

  test("of free words a joiner stays a part", () => {
    expect(effectsOf(rooms.hear("play salt and clay on the radio"))).toEqual([
      { device: "radio", call: "play", with: "salt and clay" },
    ]);
  });
});

test("the why names fragments and slots with their places", () => {
  const small = home(
    `devices: { vent: { kind: fan } }
fragments: { go: "(let | make) it" }
intents:
  blow:
    patterns: "$go blow to $level"
    slots: { level: { type: percent } }
    do: { set: { vent: { speed: $level } } }
`,
    "[en]",
  );
  const { words, readings } = small.why(small.hear("make it blow to 40"));
  expect(words[0]).toMatchObject({ fragment: "go", at: { line: 3 } });
  expect(words[2]).toMatchObject({ role: "pattern", at: { line: 6 } });
  expect(readings[0]?.slots[0]).toMatchObject({ name: "level", declared: { line: 7 } });
});
