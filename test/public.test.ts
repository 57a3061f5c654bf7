import * as fc from "fast-check";
import { describe, expect, test } from "vitest";
import * as core from "../src/index.ts";
import * as edits from "../src/edits/index.ts";
import * as exchange from "../src/exchange/index.ts";
import * as mishearing from "../src/mishearing/index.ts";
import * as reports from "../src/reports/index.ts";
import { jsonSchemas, openPhrasebook } from "../src/node/index.ts";

/*
 * Whatever comes in by the public interface, nothing leaves it but an answer or an error that was
 * made for people. The types are put aside here, as code without types does.
 */

const { definePhrasebook, readPhrasebook, simulate } = core;

const itself: Record<string, unknown> = {};
itself["again"] = itself;
const list: unknown[] = [];
list.push(list);

const odd: unknown[] = [
  undefined,
  null,
  0,
  -1,
  NaN,
  Infinity,
  "",
  "x",
  "constructor",
  "__proto__",
  true,
  10n,
  Symbol("s"),
  () => 1,
  {},
  [],
  itself,
  list,
  new Date(NaN),
  new Map(),
  Object.create(null),
  { at: "attic" },
  { toString: null },
  { set: itself },
  { outcome: "act", effects: [] },
];
const anything = fc.oneof(fc.constantFrom(...odd), fc.anything({ withNullPrototype: true }));

/** Ids, properties, slots and values under names that every object has. */
const named = `languages: [en-GB]
rooms: { constructor: {}, hall: {} }
voicepoints: { constructor: { room: hall } }
people: { constructor: {} }
devices:
  constructor-lamp: { kind: light, room: constructor, properties: { constructor: { type: number }, toString: { enum: [a, b] }, __proto__: { type: number } } }
  value-of: { kind: player, room: hall, properties: { source: { enum: [constructor, __proto__, toString] } } }
groups: { valueof: { members: [constructor-lamp] } }
fragments: { constructor: "(a | b)", toString: "d" }
intents:
  constructor:
    patterns: ["do $constructor [$toString] $valueOf", "go on"]
    slots: { valueOf: { type: choice, values: { constructor: x, __proto__: y, toString: z } } }
    do: [{ set: { constructor-lamp: { constructor: 3, toString: a } } }, { call: { value-of: next } }]
    reply: "{$valueOf} {$constructor-lamp.constructor}"
routines:
  tostring: { triggers: [{ phrase: run on }, { presence: constructor away }], do: { notify: constructor, text: hi } }
`;
const suite = `suite: constructor
given: { constructor-lamp: { constructor: 1 } }
cases:
  - { hear: go on, expect: { told: { constructor: x }, slots: { __proto__: 1, constructor: 2 } } }
  - { hear: turn on constructor, expect: { set: { __proto__: { power: on } } } }
`;
const book = readPhrasebook([{ path: "home.yaml", text: named }]);
const workspace = edits.openWorkspace([{ path: "home.yaml", text: named }]);
const place = { file: "home.yaml", line: 8, column: 6 };
const suites = core.readSuites(book, [{ path: "a.suite.yaml", text: suite }]);

/** Fails for any error that was not made for people. */
async function told(act: () => unknown): Promise<void> {
  try {
    await act();
  } catch (error) {
    if (!(error instanceof core.WrongUse)) throw error;
    expect(error.message).not.toBe("");
  }
}

/** Calls a function of the library with what its types do not allow. */
const call = (of: object, name: string, ...given: readonly unknown[]): unknown => {
  const act: unknown = Reflect.get(of, name);
  return typeof act === "function" ? (Reflect.apply(act, of, given) as unknown) : undefined;
};

/** Whether a function works through all that can be said, and takes its time for it. */
function isHeavy(name: string): boolean {
  return /^(?:grammarOf|recogniserGrammar|findMishearings|createRisk|drawSlips|studyHeard)$/u.test(
    name,
  );
}

describe("every export takes anything", () => {
  const exported = [core, exchange, edits, mishearing, reports].flatMap((of) =>
    Object.entries(of).flatMap(([name, value]) =>
      typeof value === "function" && name !== "WrongUse" ? [[name, of] as const] : [],
    ),
  );
  test.each(exported)("%s", async (name, of) => {
    await fc.assert(
      fc.asyncProperty(anything, anything, anything, async (a, b, c) => {
        await told(() => call(of, name, a, b, c));
        await told(() => call(of, name, book, a, b));
        await told(() => call(of, name, [a], b));
        await told(() => call(of, name, book, suites, a));
        await told(() => call(of, name, workspace, a, b));
        await told(() => call(of, name, workspace, place, a));
      }),
      { numRuns: isHeavy(name) ? 2 : 60 },
    );
  });

  test("openPhrasebook", async () => {
    for (const each of odd) {
      await told(() => call({ openPhrasebook }, "openPhrasebook", each));
      await told(() => call({ openPhrasebook }, "openPhrasebook", "demo/oxbow-pottery", each));
    }
    const names =
      "alikes comparison day findings heard mishearings phrasebook record results sayable slips study suite taken timeline";
    expect(Object.keys(jsonSchemas()).sort()).toEqual(names.split(" "));
  });
});

test("hearing takes anything, and what it returns is all readable", async () => {
  await fc.assert(
    fc.asyncProperty(
      anything,
      anything,
      fc.constantFrom("language", "time", "chosen", "it", "said", "states", "at"),
      async (text, value, key) => {
        await told(() => {
          const heard = call(book, "hear", text, { [key]: value });
          expect(JSON.parse(JSON.stringify(heard))).toEqual(heard);
        });
        await told(() => call(book, "hear", "turn it on", value));
      },
    ),
  );
});

test("a home takes anything", async () => {
  const methods = Object.keys(simulate(book));
  await fc.assert(
    fc.asyncProperty(fc.constantFrom(...methods), anything, anything, async (method, a, b) => {
      const home = simulate(book);
      await told(() => call(home, method, a, b));
      await told(() => call(home, method, "constructor-lamp", a));
      await told(() => call(home, method, "constructor", a));
      await told(() => call(home.converse(), "say", a));
      expect(home.log().map(({ event }) => core.printEvent(event))).toBeInstanceOf(Array);
      expect(Object.keys(home.states())).toHaveLength(2);
    }),
    { numRuns: 300 },
  );
});

test("a definition takes anything under every key", () => {
  const sections = [
    "devices",
    "intents",
    "rooms",
    "routines",
    "languages",
    "voice",
    "groups",
    "code",
    "address",
    "kinds",
    "uses",
    "place",
    "fragments",
    "people",
  ];
  const parts = [
    "kind",
    "room",
    "name",
    "aliases",
    "properties",
    "voice",
    "safe",
    "bulk",
    "patterns",
    "slots",
    "do",
    "reply",
    "triggers",
    "if",
  ];
  fc.assert(
    fc.property(
      fc.constantFrom(...sections),
      fc.constantFrom(...parts),
      anything,
      (section, part, value) => {
        for (const written of [
          { [section]: value },
          { [section]: { a: value } },
          { [section]: { a: { kind: "light", patterns: "go", [part]: value } } },
        ]) {
          const read = readPhrasebook([definePhrasebook(written)]);
          expect(read.why(read.hear("go")).words).toHaveLength(1);
          expect(core.checkPhrasebook(read)).toBeInstanceOf(Array);
        }
      },
    ),
    { numRuns: 300 },
  );
});

test("a function that computes steps may return or throw anything", () => {
  fc.assert(
    fc.property(anything, fc.boolean(), (value, isThrown) => {
      const compute = () => {
        if (isThrown) throw value;
        return value;
      };
      const definition: unknown = {
        devices: { lamp: { kind: "light" } },
        intents: { go: { patterns: "go", do: compute } },
        routines: { rise: { do: compute } },
      };
      const read = readPhrasebook([definePhrasebook(definition as core.PhrasebookDefinition)]);
      const heard = read.hear("go");
      const home = simulate(read);
      expect(JSON.parse(JSON.stringify(heard))).toEqual(heard);
      home.perform(heard);
      home.run("rise");
    }),
  );
});

test("an error of such a function is for its developer, and is not spoken", () => {
  const read = readPhrasebook([
    definePhrasebook({
      intents: {
        go: {
          patterns: "go",
          do: () => {
            throw new Error("no table bolts");
          },
        },
      },
    }),
  ]);
  const heard = read.hear("go");
  expect(heard).toMatchObject({
    outcome: "refuse",
    reasons: [{ reason: "broken", what: expect.stringContaining("bolts") as unknown }],
  });
  expect(read.reply(heard)).toBe("I can't do that.");
});

test("names that every object has are names like others", () => {
  expect(book.problems).toEqual([]);
  for (const phrase of [
    "go on",
    "do a d x",
    "do b z",
    "set value of to constructor",
    "set value of to toString",
    "run the tostring",
  ]) {
    const heard = book.hear(phrase);
    expect(heard.outcome, phrase).not.toBe("unknown");
    simulate(book).perform(heard);
  }
  expect(core.runSuites(book, suites).suites[0]?.cases).toHaveLength(2);
});

test.each([
  "&a [*a]",
  "a: &x { b: *x }",
  "devices: &d { a: *d }",
  "? [a]\n: b",
  "%YAML 1.3\n---\na: 1",
  "\u0000",
  "\t",
  "[".repeat(3000),
  "{a: ".repeat(3000),
  "- ".repeat(3000),
  "<<: 1",
  "__proto__: { devices: {} }",
  'intents: { a: { patterns: "$a", slots: { __proto__: { type: text } } } }',
  "a: !!js/function x",
  "\u{D800}",
])("any text is read as any sort of file: %j", (text) => {
  const read = readPhrasebook([{ path: "a.yaml", text }]);
  const results = core.runSuites(read, core.readSuites(read, [{ path: "a.suite.yaml", text }]));
  expect(results.problems).not.toEqual([]);
  expect(results.failed).toBeGreaterThan(0);
  expect(core.readDays(read, [{ path: "a.day.yaml", text }])).toHaveProperty("days");
  expect(core.checkPhrasebook(read)).toBeInstanceOf(Array);
});

test("and so is any text at all", () => {
  const piece = fc.oneof(
    fc.string(),
    fc.constantFrom(
      "devices:",
      "\n",
      "  ",
      "- ",
      "{",
      "}",
      "[",
      "&a ",
      "*a",
      "voice: ",
      "hear: ",
      "cases:",
      ": ",
      "'",
      '"',
      "|",
      "---",
    ),
  );
  fc.assert(
    fc.property(
      fc.array(piece, { maxLength: 40 }).map((pieces) => pieces.join("")),
      (text) => {
        const read = readPhrasebook([{ path: "a.yaml", text }]);
        core.readDays(read, [{ path: "a.day.yaml", text }]);
        core.runSuites(read, core.readSuites(read, [{ path: "a.suite.yaml", text }]));
        expect(core.checkPhrasebook(read)).toBeInstanceOf(Array);
      },
    ),
    { numRuns: 300 },
  );
});

describe("what would go on without end does end", () => {
  const run = (text: string, act: string, wait = "1h") => {
    const read = readPhrasebook([
      {
        path: "a.yaml",
        text: `devices: { lamp: { kind: light }, bell: { kind: button } }\n${text}`,
      },
    ]);
    const home = simulate(read);
    home.converse().say(act);
    home.wait(wait);
    core.checkPhrasebook(read);
    return JSON.stringify(home.log());
  };
  const each = Array.from({ length: 13 }, (_, index) => `r${index}`);
  test.each([
    [
      "an intent that hears itself twice",
      "intents: { a: { patterns: go on, do: [{ hear: go on }, { hear: go on }] } }",
    ],
    [
      "routines that run each other in a fan",
      `routines:\n${each.map((id) => `  ${id}: { triggers: [{ phrase: go on ${id} }], do: [${each.map((other) => `{ run: ${other} }`).join(", ")}] }`).join("\n")}\nintents: { a: { patterns: go on, do: { run: r0 } } }`,
    ],
    [
      "a routine that doubles each second",
      "routines: { a: { triggers: [{ phrase: go on }], overlap: together, do: [{ wait: 1s }, { hear: go on }, { hear: go on }] } }",
    ],
    [
      "a button that presses itself",
      "routines: { a: { triggers: [{ phrase: go on }, { press: bell }], overlap: together, do: [{ call: { bell: press } }, { call: { bell: press } }] } }",
    ],
    [
      "states that set each other off",
      "routines: { a: { triggers: [{ phrase: go on }, { state: { lamp: { power: off } } }], do: { set: { lamp: { power: on } } } }, b: { triggers: [{ state: { lamp: { power: on } } }], do: { set: { lamp: { power: off } } } } }",
    ],
    [
      "a question that asks itself when nobody answers",
      "routines: { a: { triggers: [{ phrase: go on }], overlap: together, do: { ask: Well?, within: 1s, answers: [], silence: [{ run: a }, { run: a }] } } }",
    ],
  ])("%s", (_, text) => {
    expect(run(text, "go on")).toContain("heard");
  });
});
