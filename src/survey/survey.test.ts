import { effectsOf } from "../commands/outcome.ts";
import fc from "fast-check";
import { readFileSync, readdirSync } from "node:fs";
import { describe, expect, test } from "vitest";
import { readPhrasebook } from "../book/read.ts";
import { parsePattern } from "../pattern/parse.ts";
import { phrases } from "../pattern/phrases.ts";
import { checkRules } from "./rules.ts";
import { checkPhrasebook } from "./check.ts";
import { listSayable } from "./sayable.ts";

const open = (text: string) => readPhrasebook([{ path: "home.yaml", text }]);
const rules = (text: string): string[] =>
  checkPhrasebook(open(text)).map(({ rule, at }) => `${at.line}:${at.column} ${rule}`);

describe("a check finds", () => {
  test.each<[string, string, string[]]>([
    ["a device in no room", "rooms: { a: {} }\ndevices: { b: { kind: plug } }", ["2:12 no-room"]],
    [
      "a pattern all of whose phrases another takes",
      [
        "devices: { v: { kind: fan } }",
        "intents:",
        "  a: { patterns: v $s, slots: { s: { type: choice, values: [fast, slow] } }, reply: a }",
        '  b: { patterns: "v (fast | slow)", reply: b }',
      ].join("\n"),
      ["3:18 pattern-loses"],
    ],
    ["a group with nothing in it", "groups: { a: { members: [] } }", ["1:11 empty-group"]],
    ["a code that nobody can say", "devices: { a: { kind: alarm } }", ["1:12 no-code"]],
    ["a code that somebody can say", 'code: "1"\ndevices: { a: { kind: alarm } }', []],
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

describe("patterns that get in each other's way", () => {
  const intents = (patterns: Record<string, string | string[]>, more = "") =>
    JSON.stringify({
      devices: { lamp: { kind: "light" }, pump: { kind: "pump" }, vent: { kind: "fan" } },
      vocabulary: { without: ["all"] },
      intents: Object.fromEntries(
        Object.entries(patterns).map(([id, list]) => [
          id,
          {
            patterns: list,
            slots: {
              lit: { type: "target", kind: "light" },
              any: { type: "target" },
              blown: { type: "target", kind: "fan" },
              much: { type: "percent" },
              many: { type: "number" },
              pace: { type: "choice", values: { 1: ["slow", "very slow"] } },
              rate: { type: "choice", values: { 2: ["fast", "very slow"] } },
              words: { type: "text" },
            },
            reply: id + more,
          },
        ]),
      ),
    });
  const overlaps = (patterns: Record<string, string | string[]>): string[] =>
    checkPhrasebook(open(intents(patterns)))
      .filter(({ rule }) => rule === "pattern-overlap")
      .map(({ message }) => /^"([^"]*)"/.exec(message)?.[1] ?? message);

  test.each<[string, string, string[]]>([
    ["go [now] (home | away)", "[please] go home", ["go home"]],
    ["a [b] [c] [d] e", "a c e | a b c d e", ["a c e"]],
    ["go home", "go away", []],
    ["set $lit to $much", "set $any to $many", ["set $lit to $much"]],
    ["set $lit to $much", "set $blown to $many", []],
    ["run $pace", "run $rate", ["run $pace"]],
    ["run slow", "run $pace", []],
    ["note $words", "[please] note $words", ["note $words"]],
    ["note $words", "note $words down", []],
    ["tick<1->", "tick tick tick", ["tick tick tick"]],
    ["$VOID go", "go", []],
  ])("%s and %s share %j", (a, b, expected) => {
    expect(overlaps({ a, b })).toEqual(expected);
  });

  test("only between intents, and only where neither was written for this home alone", () => {
    expect(overlaps({ a: ["go home", "[please] go home"] })).toEqual([]);
    const text =
      "devices: { lamp: { kind: light } }\nintents: { a: { patterns: lamp on, reply: x } }";
    expect(rules(text)).toEqual([]);
  });

  test("and the phrase that is shown is one that is heard as unsure", () => {
    const word = fc.constantFrom("on", "off", "[up]", "(red | two)", "tick<0-2>", "[[a] b]");
    const pattern = fc.array(word, { minLength: 1, maxLength: 4 }).map((words) => words.join(" "));
    fc.assert(
      fc.property(pattern, pattern, (a, b) => {
        const book = open(intents({ a, b }));
        const made = (text: string): Set<string> => {
          const parsed = parsePattern(text, { language: "en" });
          const all = parsed.ok ? [...phrases(parsed.pattern, () => undefined)] : [];
          return new Set(all.map((words) => words.join(" ")).filter((words) => words !== ""));
        };
        const shared = [...made(a)].filter((phrase) => made(b).has(phrase));
        const found = overlaps({ a, b });
        expect(found.length > 0).toBe(shared.length > 0);
        for (const phrase of found) {
          expect(book.hear(phrase).outcome).toBe("unsure");
          const shortest = Math.min(...shared.map((each) => each.split(" ").length));
          expect(phrase.split(" ")).toHaveLength(shortest);
        }
      }),
    );
  });

  test("a pattern that makes no phrase is told", () => {
    const found = checkPhrasebook(open(intents({ a: "go $VOID" })));
    expect(found).toMatchObject([{ rule: "pattern-empty" }]);
  });

  test("a search that is cut says so", () => {
    // Each word may or may not be the one that must be followed by fifteen more.
    const wild = "(a | b)<0-> a (a | b)<15>";
    const found = checkPhrasebook(open(intents({ a: `${wild} c`, b: `${wild} d` })));
    expect(found).toMatchObject([
      { severity: "note", message: expect.stringContaining("not exhaustive") as unknown },
    ]);
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
          const devices = effectsOf(heard).map(({ device }) => device);
          expect(devices).toEqual([id]);
        }
      }
    }
  });
});

describe("how a finding weighs", () => {
  const home = "rooms: { shop: {} }\ndevices: { door: { kind: lock, voice: free } }\n";
  const found = (checks: string) => {
    const text = `${home}${checks}`;
    const read = readPhrasebook([{ path: "home.yaml", text }]);
    return [...read.problems, ...checkPhrasebook(read)].map(
      ({ rule, severity }) => `${rule} ${severity}`,
    );
  };

  test("is the home's to say, rule by rule", () => {
    expect(found("")).toEqual(["no-room warning", "unguarded warning"]);
    expect(found("checks: { no-room: off, unguarded: error }")).toEqual(["unguarded error"]);
  });
  test("is told where there is no such rule, or no such weight", () => {
    expect(found("checks: { no-rooms: off }")).toContain("unknown-reference error");
    expect(found("checks: { no-room: never }")).toContain("wrong-value error");
  });
  test("and every rule that a check reports can be weighed", () => {
    const text = readdirSync("src/survey")
      .filter((name) => !name.endsWith(".test.ts") && name !== "rules.ts")
      .map((name) => readFileSync(`src/survey/${name}`, "utf8"))
      .join("");
    const reported = [...text.matchAll(/(?:rule: |warning\(\s*)"([a-z-]+)"/gu)].map(
      ([, rule]) => rule,
    );
    expect(new Set(reported)).toEqual(new Set<string | undefined>(checkRules));
  });
});
