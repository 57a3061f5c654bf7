import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { grammarOf } from "../grammar/home-grammar.ts";
import { readPhrasebook } from "../book/read.ts";
import { simulate } from "../home/simulated/simulate.ts";
import { phrases } from "../pattern/phrases.ts";
import { definePhrasebook } from "../phrasebook/define.ts";
import type { StepInput } from "../model/step.ts";
import { listSayable } from "../survey/sayable.ts";

describe("an order comes to the same wherever it is worked out", () => {
  const book = readPhrasebook([
    {
      path: "home.yaml",
      text: `
devices: { lamp: { kind: light } }
intents:
  now:
    patterns: lamp by $amount
    slots: { amount: { type: percent } }
    do: { nudge: { lamp: { brightness: $amount } } }
  later:
    patterns: later lamp by $amount
    slots: { amount: { type: percent } }
    do: [{ wait: 1s }, { nudge: { lamp: { brightness: $amount } } }]
`,
    },
  ]);
  const after = (phrase: string, from: number): unknown => {
    const home = simulate(book, { states: { lamp: { power: "on", brightness: from } } });
    home.converse().say(phrase);
    home.wait("2s");
    return home.states()["lamp"]?.["brightness"];
  };

  test("half of what it is now, at once and after a wait", async () => {
    expect(book.problems).toEqual([]);
    expect(await after("lamp by half", 80)).toBe(await after("later lamp by half", 80));
  });

  test("whatever is said, from whatever it was", async () => {
    const amount = fc.oneof(fc.integer({ min: 1, max: 100 }).map(String), fc.constant("half"));
    await fc.assert(
      fc.asyncProperty(amount, fc.integer({ min: 0, max: 100 }), async (said, from) => {
        expect(await after(`lamp by ${said}`, from)).toBe(
          await after(`later lamp by ${said}`, from),
        );
      }),
      { numRuns: 60 },
    );
  });
});

test("a function is given the ids of devices, whatever gathers them and sets it off", () => {
  const seen: StepInput["slots"][] = [];
  const compute = ({ slots }: StepInput): [] => {
    seen.push(slots);
    return [];
  };
  const target = { target: { type: "target" } } as const;
  const book = readPhrasebook([
    definePhrasebook({
      rooms: { shop: {} },
      devices: { lamp: { kind: "light", room: "shop" }, spots: { kind: "light", room: "shop" } },
      groups: { bench: { members: ["lamp", "spots"] } },
      intents: { even: { patterns: "even out $target", slots: target, do: compute } },
      routines: {
        check: { triggers: [{ phrase: "look after $target" }], slots: target, do: compute },
      },
    }),
  ]);
  expect(book.problems).toEqual([]);
  const home = simulate(book);
  for (const phrase of ["even out the bench", "look after the bench", "look after the shop"]) {
    home.converse().say(phrase);
  }
  home.run("check", { target: "bench" });
  home.run("check", { target: ["lamp", "spots"] });
  expect(seen.length).toBeGreaterThanOrEqual(5);
  for (const slots of seen) expect(slots).toEqual({ target: ["lamp", "spots"] });
});

test("what can be set is heard, listed and in the grammar, and what can only be read is refused", () => {
  const book = readPhrasebook([
    {
      path: "home.yaml",
      text: `
vocabulary: { without: [all] }
devices:
  meter: { kind: sensor, properties: { humidity: { readOnly: false } } }
  probe: { kind: sensor, properties: [humidity] }
intents:
  damp: { patterns: "moisten $t", slots: { t: { type: target } }, do: { set: { $t: { humidity: 40 } } } }
`,
    },
  ]);
  expect(book.hear("moisten the meter").outcome).toBe("act");
  expect(book.hear("moisten the probe").outcome).toBe("refuse");
  const listed = listSayable(book).map(({ id, phrases }) => [
    id,
    phrases.includes(`moisten ${id}`),
  ]);
  expect(listed).toEqual([
    ["meter", true],
    ["probe", false],
  ]);
  const { root, rules } = grammarOf(book, "en");
  const moistened: string[] = [];
  const start = { type: "reference", name: root, span: [0, 0] } as const;
  for (const words of phrases(start, (name) => rules.get(name)?.pattern)) {
    if (words.includes("moisten")) moistened.push(words.slice(words.indexOf("moisten")).join(" "));
    if (moistened.length >= 100) break;
  }
  expect(moistened).toContain("moisten meter");
});
