import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { readPhrasebook } from "../book/read.ts";
import { readSuites } from "../suites/read.ts";
import { runSuites } from "../suites/run.ts";
import { measureCoverage, percentOf } from "./coverage.ts";

function measure(home: string, cases: string) {
  const book = readPhrasebook([{ path: "home.yaml", text: home }]);
  const text = `suite: a\ncases:\n${cases.replace(/^/gmu, "  ")}\n`;
  const suites = readSuites(book, [{ path: "a.suite.yaml", text }]);
  expect(suites.problems).toEqual([]);
  return { ...measureCoverage(book, suites), plain: runSuites(book, suites) };
}

function untouched(home: string, cases: string): string[] {
  const { coverage } = measure(home, cases);
  return coverage.parts
    .filter(({ hits }) => hits === 0)
    .map(({ sort, of, what, at }) => `${sort} ${of}: ${what} ${at.line}:${at.column}`);
}

const greeting = `
fragments: { who: "(you | (all | both) of you)" }
intents:
  greet:
    patterns: "(hello | hi) [there] $who <0-2>"
    do: { say: Good morning. }
`.replace("$who <0-2>", "(and) <0-2> $who");

describe("a pattern", () => {
  test("is covered alternative by alternative, said and left out, once and again", () => {
    expect(untouched(greeting, "- { hear: hello you, expect: act }")).toEqual([
      "alternative greet: alternative hi 5:25",
      "alternative who: alternative (all | both) of you 2:27",
      "alternative who: alternative all 2:28",
      "alternative who: alternative both 2:34",
      "optional greet: there said 5:29",
      "optional greet: and said 5:38",
      "repeat greet: and again 5:38",
    ]);
  });
  test("is covered whole by all that it can say", () => {
    const all = '- { hear: "(hello | hi) [there] (and) <0-2> $who", expect: act }';
    expect(untouched(greeting, all)).toEqual([]);
  });
  test("counts where it was understood, and not where another was", () => {
    const home = `${greeting}  part: { patterns: "hello [you]", do: { say: Yes. } }\n`;
    const parts = untouched(home, "- { hear: hello, expect: { intent: part } }");
    expect(parts).toContain("pattern greet: (hello | hi) [there] (and) <0-2> $who 5:16");
    expect(parts).toContain("optional part: you said 7:28");
    expect(parts).not.toContain("optional part: you left out 7:28");
  });
});

const guarded = `
rooms: { shop: {} }
voicepoints: { till: { room: shop } }
people: { mara: {} }
devices:
  door: { kind: lock, room: shop, aliases: [entrance] }
  lamp: { kind: light, room: shop }
  bell: { kind: button, room: shop }
  vault: { kind: plug, voice: barred }
intents:
  dim:
    patterns: "dim to $level"
    slots: { level: { type: percent, default: 20, minimum: 10, maximum: 50, values: { 33: low } } }
    do: { set: { lamp: { brightness: $level } } }
    reply: "At {$level}."
    failed: "Not {$failed}."
routines:
  rung:
    triggers: [{ press: bell }, { time: "18:30" }]
    if: { lamp: { power: on } }
    do:
      - if: { door: { locked: true } }
        then: [{ notify: mara, text: shut }]
        else: [{ try: { set: { lamp: { power: off } } }, failed: [{ say: It is still on. }] }]
`;

describe("what runs", () => {
  test("is covered step by step, each way of it, with triggers, guards, replies and limits", () => {
    const parts = untouched(
      guarded,
      "- { hear: lamp on, expect: { set: { lamp: { power: on } } } }",
    );
    expect(parts.filter((part) => !part.startsWith("name"))).toEqual([
      "guard door: voice asks: confirm 6:3",
      "guard door: free where it makes the home safer 6:3",
      "guard vault: voice is barred from it 9:3",
      "trigger rung: bell pressed 19:16",
      "trigger rung: its time 19:33",
      "branch rung: its condition holds 18:3",
      "branch rung: its condition stands in the way 18:3",
      "branch rung: if: then 22:9",
      "branch rung: if: else 22:9",
      "branch rung: try: works 24:16",
      "branch rung: try: failed 24:16",
      "step rung: if 22:9",
      "step rung: notify 23:16",
      "step rung: try 24:16",
      "step rung: order 24:23",
      "step rung: say 24:67",
      "step dim: order 14:9",
      "pattern dim: dim to $level 12:16",
      "slot dim: $level: at least 10 13:14",
      "slot dim: $level: at most 50 13:14",
      "slot dim: $level: left out 13:14",
      "slot dim: $level: 33 13:91",
      "reply rung: shut 23:38",
      "reply rung: It is still on. 24:74",
      "reply dim: At {$level}. 15:13",
      "reply dim: Not {$failed}. 16:14",
    ]);
  });
  test("and is so by what each case sets off", () => {
    const home = guarded.replace('patterns: "dim to $level"', 'patterns: "dim [to $level]"');
    const cases = `- { hear: unlock the entrance, expect: confirm }
- { hear: lock the door, expect: act }
- { hear: turn on the vault, expect: unknown }
- { hear: dim, expect: { home: { lamp: { brightness: 20 } } } }
- { hear: "dim to (ten | fifty | low)", expect: act }
- { hear: dim to low, faults: { lamp: offline }, expect: { reply: "Not *" } }
- { after: { press: bell }, expect: { log: "rung does not start*" } }
- { after: { press: bell }, given: { lamp: { power: on }, door: { locked: true } }, expect: { told: { mara: shut } } }
- { after: { time: "18:31" }, time: 2026-03-02T18:00, given: { lamp: { power: on }, door: { locked: false } }, expect: { home: { lamp: { power: off } } } }
- { after: { press: bell }, faults: { lamp: offline }, given: { lamp: { power: on }, door: { locked: false } }, expect: { log: "said*" } }`;
    const { results, plain } = measure(home, cases);
    expect(results).toEqual(plain);
    expect(results.failed).toBe(0);
    expect(untouched(home, cases).filter((part) => !part.startsWith("name"))).toEqual([]);
  });
});

test("a name is covered by being said, also as a place, and only the one that was meant", () => {
  const home = `
rooms: { shop: {}, yard: {} }
voicepoints: { till: { room: shop } }
devices:
  one: { kind: light, room: shop, name: twin, aliases: [first] }
  two: { kind: light, room: yard, name: twin }
`;
  const parts = (cases: string) => untouched(home, cases);
  expect(parts("- { hear: twin on, at: till, expect: act }")).toEqual([
    'name one: alias "first" 5:57',
    'name two: name "twin" 6:41',
    'name shop: name "shop" 2:10',
    'name yard: name "yard" 2:20',
  ]);
  expect(parts("- { hear: turn the light on in the yard, expect: act }")).toContain(
    'name two: name "twin" 6:41',
  );
  expect(parts("- { hear: turn the light on in the yard, expect: act }")).not.toContain(
    'name yard: name "yard" 2:20',
  );
});

/** Patterns of one intent, of any shape; each word stands in one place of it. */
const pattern = fc
  .letrec<{ part: string }>((tie) => {
    const two = fc.tuple(tie("part"), tie("part"));
    return {
      part: fc.oneof(
        { depthSize: "small", maxDepth: 3, withCrossShrink: true },
        fc.constant("word"),
        two.map(([one, other]) => `(${one} | ${other})`),
        two.map(([one, other]) => `(${one} ${other})`),
        tie("part").map((one) => `[${one}]`),
        tie("part").map((one) => `(${one}) <1-2>`),
      ),
    };
  })
  .part.map((shape) => {
    let count = 0;
    return shape.replaceAll("word", () => `word${String.fromCharCode(97 + count++)}`);
  });

test("law: all that a pattern can say touches all of it, and nothing touches none of it", () => {
  fc.assert(
    fc.property(pattern, (made) => {
      const home = `intents: { own: { patterns: "go ${made}", do: { say: Yes. } } }\n`;
      const whole = measure(home, `- { hear: "go ${made}", expect: { intent: own } }`);
      expect(whole.results.failed).toBe(0);
      const patterns = whole.coverage.parts.filter(({ sort }) =>
        ["pattern", "alternative", "optional", "repeat"].includes(sort),
      );
      expect(patterns.filter(({ hits }) => hits === 0)).toEqual([]);
      const none = measure(home, "- { hear: stay, expect: unknown }").coverage;
      expect(none.parts.every(({ hits }) => hits === 0)).toBe(true);
      expect(percentOf(none)).toBe(0);
    }),
    { numRuns: 60 },
  );
});
