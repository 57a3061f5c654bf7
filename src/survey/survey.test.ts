import { describe, expect, test } from "vitest";
import { readPhrasebook } from "../home/book.ts";
import { checkPhrasebook } from "./check.ts";
import { listSayable } from "./sayable.ts";

const open = (text: string) => readPhrasebook([{ path: "home.yaml", text }]);
const rules = (text: string): string[] =>
  checkPhrasebook(open(text)).map(({ rule, at }) => `${at.line}:${at.column} ${rule}`);

describe("a check finds", () => {
  test.each<[string, string, string[]]>([
    ["a device in no room", "rooms: { a: {} }\ndevices: { b: { kind: plug } }", ["2:12 no-room"]],
    ["a group with nothing in it", "groups: { a: { members: [] } }", ["1:11 empty-group"]],
    ["an unguarded lock", "devices: { a: { kind: lock, voice: free } }", ["1:12 unguarded"]],
    [
      "an alarm that a rule sets free",
      "devices: { a: { kind: alarm } }\nvoice: [{ kind: alarm, voice: free }]",
      ["1:12 unguarded"],
    ],
    [
      "no name in a language",
      "languages: [en, de]\ndevices: { a: { kind: plug, aliases: { de: Dose } }, b: { kind: plug } }",
      ["2:54 missing-name"],
    ],
    [
      "two devices of one name in one room",
      "rooms: { r: {} }\ndevices: { a: { kind: plug, room: r, name: x }, b: { kind: pump, room: r, name: x } }",
      ["2:81 name-clash"],
    ],
    [
      "a group with the name of a room",
      "rooms: { x: {} }\ngroups: { y: { members: [a], name: x } }\ndevices: { a: { kind: plug, room: x } }",
      ["1:10 name-clash"],
    ],
    [
      "a name that is a phrase",
      "devices: { a: { kind: light, name: lamp }, b: { kind: plug, name: turn on lamp } }",
      ["1:67 name-is-phrase"],
    ],
  ])("%s", (_, text, expected) => {
    expect(rules(text)).toEqual(expected);
  });

  test.each<[string, string]>([
    [
      "one name in two rooms",
      "rooms: { r: {}, s: {} }\ndevices: { a: { kind: plug, room: r, name: x }, b: { kind: plug, room: s, name: x } }",
    ],
    [
      "one name for things that share no ability",
      "rooms: { r: {} }\ndevices: { a: { kind: plug, room: r, name: x }, b: { kind: lock, room: r, name: x } }",
    ],
    ["a tag that is carried about", "rooms: { r: {} }\ndevices: { a: { kind: locator } }"],
    ["a guarded lock", "devices: { a: { kind: lock } }"],
  ])("nothing wrong with %s", (_, text) => {
    expect(rules(text)).toEqual([]);
  });
});

describe("what is sayable", () => {
  const book = open(`languages: [en, de]
rooms: { loft: {}, galley: {} }
voicepoints: { sofa: { room: loft }, stove: { room: galley } }
devices:
  loft-lamp: { kind: light, room: loft, name: { en: lamp, de: Lampe } }
  galley-lamp: { kind: light, room: galley, name: { en: lamp, de: Lampe } }
  door: { kind: lock, room: galley, aliases: { en: hatch } }
  mains: { kind: plug, room: galley, voice: barred }
`);

  test("is told device by device, with what voice may do", () => {
    expect(listSayable(book)).toMatchObject([
      {
        id: "loft-lamp",
        voice: "free",
        phrases: expect.arrayContaining(["turn on lamp"]) as unknown,
      },
      { id: "galley-lamp" },
      { id: "door", aliases: ["hatch"], voice: "confirm", safe: ["locked true"] },
      { id: "mains", voice: "barred", phrases: [] },
    ]);
  });

  test("reaches its device and no other, in each language", () => {
    for (const language of book.languages) {
      for (const { id, room, phrases } of listSayable(book, language)) {
        const at = [...book.voicepoints.values()].find((each) => each.room === room)?.id ?? "";
        if (id !== "mains") expect(phrases.length).toBeGreaterThan(1);
        for (const phrase of phrases) {
          const heard = book.hear(phrase, { at, language });
          const devices = "effects" in heard ? heard.effects.map(({ device }) => device) : [];
          expect(devices).toEqual([id]);
        }
      }
    }
  });
});
