import { tellReason } from "../model/reason.ts";
import { describe, expect, test } from "vitest";
import { readPhrasebook } from "../book/read.ts";
import { definePhrasebook } from "./define.ts";

const devices = `
rooms: { hall: {}, loft: {} }
zones: { below: { rooms: [hall] } }
devices:
  saw: { kind: plug, room: hall }
  lamp: { kind: light, room: hall }
  desk: { kind: light, room: loft }
  door: { kind: lock, room: loft, voice: free }
groups: { tools: { members: [saw] } }
`;

const open = (...texts: string[]) =>
  readPhrasebook(texts.map((text, index) => ({ path: `${index}.yaml`, text })));
const barred = (...texts: string[]): string[] =>
  [...open(...texts).devices.values()].flatMap(({ id, voice, doubt }) =>
    voice === "barred" && doubt ? [id] : [],
  );
const all = ["saw", "lamp", "desk", "door"];
const free = ["saw", "lamp", "desk"];

describe("a file of another program is left alone only where it was read whole", () => {
  test.each<[string, string, string[]]>([
    ["a file with nothing of ours", "services: { db: { image: x } }", []],
    ["a second document in it", "services: {}\n---\nvoice: [{ kind: plug, voice: barred }]", all],
    ["what is no YAML in it", "services: {}\nvoice: [{ kind: plug, voice: barred", all],
    ["a guard in it", "servces: { saw: { voice: barred } }", all],
  ])("%s", (_, text, ids) => {
    expect(barred(devices, text)).toEqual(ids);
  });
});

describe("a mistake in a rule bars voice from what the rule could be about", () => {
  test.each<[string, string, string[]]>([
    ["a word that is no guard", "voice: [{ kind: plug, voice: bared }]", ["saw"]],
    ["a kind that there is not", "voice: [{ kind: plgu, voice: barred }]", free],
    [
      "a kind that there is not, in a room",
      "voice: [{ kind: plgu, room: loft, voice: barred }]",
      ["desk"],
    ],
    ["a room that there is not", "voice: [{ room: hal, voice: code }]", free],
    [
      "a zone that there is not",
      "voice: [{ zone: bellow, kind: light, voice: code }]",
      ["lamp", "desk"],
    ],
    ["a group that there is not", "voice: [{ group: tool, voice: barred }]", free],
    ["a key that there is not", "voice: [{ knd: plug, voice: free }]", free],
    ["no guard at all", "voice: [{ kind: light }]", ["lamp", "desk"]],
    ["a rule that is none", "voice: [barred]", free],
    ["a section that is none", "voice: barred", all],
    ["a section under another key", "voices: [{ kind: plug, voice: barred }]", all],
    ["a section given twice", "voice: [{ kind: plug, voice: barred }]\nvoice: []", all],
    ["a section that is no YAML", "voice: [{ kind: plug, voice: barred }", all],
    ["a file that is no YAML", "- [", all],
    ["a file that is no map", "- voice: barred", all],
    ["a second document", "colours: {}\n---\nvoice: [{ kind: plug, voice: barred }]", all],
    ["a map that holds itself", "voice: &a [*a]", all],
    ["folders to use that are none", "uses: house-style", all],
  ])("%s", (_, text, expected) => {
    expect(barred(devices, text)).toEqual(expected);
  });

  test("a group that may hold more than could be read of it", () => {
    const rule = "voice: [{ group: shop, voice: code }]";
    expect(barred(devices, "groups: { shop: { members: [saw, lmap] } }", rule)).toEqual([
      "lamp",
      "desk",
    ]);
    expect(barred(devices, "groups: { shop: { members: [saw, lamp] } }", rule)).toEqual([]);
  });

  test("a device in a room that there is not", () => {
    const lost = "devices: { pump: { kind: pump, room: hal } }";
    expect(barred(devices, lost, "voice: [{ room: hall, voice: code }]")).toEqual(["pump"]);
    expect(barred(devices, lost, "voice: [{ kind: plug, voice: code }]")).toEqual([]);
  });
});

describe("a mistake in what a device or a kind says of its guard bars voice from it", () => {
  test.each<[string, string, string[]]>([
    ["a word that is no guard", "devices: { pump: { kind: pump, voice: bared } }", ["pump"]],
    ["a misspelled key", "devices: { pump: { kind: pump, vioce: barred } }", ["pump"]],
    ["another key for it", "devices: { pump: { kind: pump, speech: code } }", ["pump"]],
    [
      "a guard under a merge key",
      "devices: { pump: { kind: pump, <<: { voice: code } } }",
      ["pump"],
    ],
    [
      "the guard given twice",
      "devices: { pump: { kind: pump, voice: barred, voice: free } }",
      ["pump"],
    ],
    ["the device given twice", "devices: { saw: { kind: plug, voice: barred } }", ["saw"]],
    [
      "a safe property that there is not",
      "devices: { pump: { kind: pump, voice: code, safe: { flow: on } } }",
      ["pump"],
    ],
    [
      "a safe value that cannot be",
      "devices: { bolt: { kind: lock, safe: { locked: yes } } }",
      ["bolt"],
    ],
    [
      "a safe action that there is not",
      "devices: { pump: { kind: pump, safe-actions: [stop] } }",
      ["pump"],
    ],
    [
      "a kind that ships, without replacing it",
      "kinds: { plug: { properties: { power: { enum: [on, off] } } } }",
      ["saw"],
    ],
    [
      "a guard of a kind",
      "kinds: { plug: { voice: cod, replaces: true, properties: { power: { enum: [on, off] } } } }",
      ["saw"],
    ],
    ["a guard of a kind that is none", "kinds: { plug: secret }", ["saw"]],
    ["what says when it goes along", "devices: { pump: { kind: pump, bulk: nevr } }", ["pump"]],
  ])("%s", (_, text, expected) => {
    expect(barred(devices, text)).toEqual(expected);
  });

  test.each([
    ["another key", "devices: { pump: { kind: pump, note: bought in May } }"],
    ["a misspelled alias", "devices: { pump: { kind: pump, alias: sucker } }"],
    ["a property", "devices: { pump: { kind: pump, properties: { power: { type: sting } } } }"],
    ["an intent", "intents: { a: { patterns: 3 } }"],
    ["a section of routines that is no YAML", "routines: { a: { do: ["],
  ])("while a mistake elsewhere bars it from nothing: %s", (_, text) => {
    const { problems } = open(devices, text);
    expect(problems.some(({ severity }) => severity === "error")).toBe(true);
    expect(barred(devices, text)).toEqual([]);
  });

  test("a definition in code is held to the same", () => {
    const written: unknown = { devices: { pump: { kind: "pump", voice: "bared" } } };
    const definition = definePhrasebook(written as Parameters<typeof definePhrasebook>[0]);
    expect(readPhrasebook([definition]).devices.get("pump")?.voice).toBe("barred");
  });

  test("what could not be read at all may hold any guard", () => {
    const at = { file: "b.yaml", line: 1, column: 1 };
    const found = [
      { rule: "unreadable-file", severity: "error", message: "it is no UTF-8", at },
    ] as const;
    const book = readPhrasebook([{ path: "a.yaml", text: devices }], found);
    expect([...book.devices.values()].map(({ voice }) => voice)).toEqual(Array(4).fill("barred"));
  });
});

describe("until it is mended, speech does not know the device, and tools tell why", () => {
  test("in what is heard", () => {
    const book = open(devices, "voice: [{ kind: plug, voice: bared }]");
    const heard = book.hear("turn on the saw");
    expect(heard.outcome).toBe("unknown");
    expect(book.why(heard).barred.map(({ why }) => tellReason(why))).toEqual([
      "voice is barred from saw until 1.yaml:1:23 is mended",
    ]);
    expect(book.reply(heard)).not.toContain("saw");
  });
});

describe("findings about guards that do nothing", () => {
  test.each([
    ["a rule about no device", "voice: [{ kind: camera, voice: barred }]", "rule-idle"],
    [
      "safe values that are all there are",
      "devices: { bolt: { kind: lock, safe: { locked: [true, false] } } }",
      "unguarded",
    ],
  ])("%s", (_, text, rule) => {
    expect(open(devices, text).problems).toMatchObject([{ rule, severity: "warning" }]);
  });
});
