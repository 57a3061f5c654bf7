import { describe, expect, test } from "vitest";
import { readPhrasebook } from "../book/read.ts";
import { definePhrasebook } from "../phrasebook/define.ts";
import { checkPhrasebook } from "./check.ts";

const base = `
rooms: { shed: {} }
people: { mara: {} }
place: { latitude: 52.57, longitude: 1.72, timezone: Europe/London }
devices:
  lamp: { kind: light, room: shed }
  fan: { kind: fan, room: shed }
  gate: { kind: gate, room: shed }
  bell: { kind: button, room: shed }
  meter: { kind: sensor, room: shed, properties: [humidity] }
groups: { both: { members: [lamp, fan] }, fans: { members: [fan] } }
`;

/** What a check says of a home with these sections, beside the home itself. */
const findings = (sections: string) => {
  const book = readPhrasebook([
    { path: "home.yaml", text: base },
    { path: "more.yaml", text: sections },
  ]);
  expect(book.problems).toEqual([]);
  return checkPhrasebook(book).filter(({ at }) => at.file === "more.yaml");
};
const said = (sections: string): string[] =>
  findings(sections).map(({ rule, message, at }) => `${at.line} ${rule}: ${message}`);

const lampOff = "do: [{ set: { lamp: { power: off } } }]";
const lampOn = "do: [{ set: { lamp: { power: on } } }]";

describe("routines that set each other off without end are shown as a circle", () => {
  test.each<[string, string, string]>([
    ["one that runs itself", "a: { do: [{ wait: 1m }, { run: a }] }", "a → a"],
    [
      "three that run each other",
      "c: { do: { run: a } }\n  a: { do: { run: b } }\n  b: { do: { try: { run: c }, failed: [] } }",
      "a → b → c → a",
    ],
    [
      "two by the state of a lamp",
      `a: { triggers: [{ state: { lamp: { power: on } } }], ${lampOff} }
  b: { triggers: [{ state: { lamp: { power: off } } }], ${lampOn} }`,
      "a → b → a",
    ],
    [
      "one by its own button",
      "a: { overlap: together, triggers: [{ press: bell }], do: [{ wait: 1s }, { call: { bell: press } }] }",
      "a → a",
    ],
    [
      "two by a phrase and a state",
      `a: { triggers: [{ state: { lamp: { power: on } } }], do: [{ hear: turn off the lamp }] }
  b: { triggers: [{ state: { lamp: { power: off } } }], do: [{ wait: 5s }, { hear: turn on the lamp }] }`,
      "a → b → a",
    ],
  ])("%s", (_, routines, circle) => {
    const circles = findings(`routines:\n  ${routines}`).filter(
      ({ rule }) => rule === "routine-circle",
    );
    expect(circles.map(({ message }) => message.split(": ")[1])).toEqual([circle]);
  });

  test.each<[string, string]>([
    ["that ends by a condition", "a: { do: { if: { lamp: { power: on } }, then: { run: a } } }"],
    [
      "that ends by an answer",
      'a: { do: [{ ask: Again?, answers: [{ hear: "yes", do: { run: a } }] }] }',
    ],
    [
      "that changes nothing the second time",
      `a: { triggers: [{ state: { fan: { power: on } } }], ${lampOn} }
  b: { triggers: [{ state: { lamp: { power: on } } }], do: [{ set: { fan: { power: on } } }] }`,
    ],
  ])("and not one %s", (_, routines) => {
    expect(said(`routines:\n  ${routines}`)).toEqual([]);
  });
});

describe("a routine that can never run is found, and a trigger that never fires", () => {
  test.each<[string, string, string[]]>([
    [
      "for lack of a trigger, where none can be named",
      `vocabulary: { without: [run-routine] }\nroutines:\n  a: { ${lampOn} }`,
      ["3 routine-never-runs: nothing ever sets off a"],
    ],
    [
      "by a condition that cannot hold",
      `routines:\n  a: { if: { lamp: { brightness: above 100 } }, ${lampOn} }`,
      ['2 routine-never-runs: a can never run: its "if" can never hold'],
    ],
    [
      "by a trigger against its condition",
      `vocabulary: { without: [run-routine] }
routines:
  a: { triggers: [{ state: { meter: { humidity: above 70 } } }], if: { meter: { humidity: below 50 } }, ${lampOn} }`,
      ['3 routine-never-runs: a can never run: none of its triggers fires while its "if" holds'],
    ],
    [
      "by a day that never comes",
      `routines:\n  a: { triggers: [{ time: "09:00", repeat: FREQ=YEARLY;BYMONTH=2;BYMONTHDAY=30 }], ${lampOn} }`,
      [
        "2 trigger-dead: this never sets off a: no day is one of FREQ=YEARLY;BYMONTH=2;BYMONTHDAY=30",
      ],
    ],
    [
      "by a state that cannot be",
      `routines:\n  a: { triggers: [{ state: { meter: { humidity: at least 101 } } }], ${lampOn} }`,
      ["2 trigger-dead: this never sets off a: what it waits for can never be"],
    ],
    [
      "not between two numbers that are far enough apart",
      `routines:\n  a: { triggers: [{ state: { meter: { humidity: above 70 } } }], if: { meter: { humidity: below 71 } }, ${lampOn} }`,
      [],
    ],
    ["not when it is switched off", `routines:\n  a: { enabled: false, ${lampOn} }`, []],
    [
      "not when another runs it",
      `vocabulary: { without: [run-routine] }
routines:
  a: { ${lampOn} }
  b: { triggers: [{ press: bell }], do: { run: a } }`,
      [],
    ],
  ])("%s", (_, sections, expected) => {
    expect(said(sections)).toEqual(expected);
  });

  test("where the home is nowhere and nobody lives in it", () => {
    const book = readPhrasebook([
      definePhrasebook({
        devices: { lamp: { kind: "light" } },
        routines: {
          a: { triggers: [{ sun: "sunset" }, { presence: "first home" }], do: [{ say: "Hello" }] },
        },
      }),
    ]);
    const rules = checkPhrasebook(book).map(({ rule }) => rule);
    expect(rules.filter((rule) => rule === "trigger-dead")).toHaveLength(2);
  });
});

describe("two routines that one trigger sets off against each other are found", () => {
  const pair = (one: string, other: string): string[] =>
    said(`routines:
  a: { triggers: [${one}], ${lampOn} }
  b: { triggers: [${other}], do: [{ set: { shed: { power: off } } }] }`).filter((line) =>
      line.includes("oppose"),
    );

  test.each<[string, string, string]>([
    ["at one time", '{ time: "18:00" }', '{ time: "18:00", repeat: weekends }'],
    ["on one date", '{ time: "18:00", date: 2026-03-02 }', '{ time: "18:00", repeat: [monday] }'],
    ["at one sunset", "{ sun: sunset }", "{ sun: 0s after sunset }"],
    ["by one button", "{ press: bell }", "{ press: bell }"],
    ["by one state", "{ state: { fan: { power: on } } }", "{ state: { fan: { power: on } } }"],
    ["by one person", "{ presence: mara home }", "{ presence: mara home }"],
  ])("%s", (_, one, other) => {
    expect(pair(one, other)).toEqual([
      "3 routines-oppose: the same trigger sets off a and b: one leaves lamp with power on, the other with off",
    ]);
  });

  test.each<[string, string, string]>([
    ["other times", '{ time: "18:00" }', '{ time: "18:01" }'],
    ["other days", '{ time: "18:00", repeat: weekdays }', '{ time: "18:00", repeat: weekends }'],
    ["other events", "{ sun: sunset }", "{ sun: 5 minutes after sunset }"],
  ])("and not at %s", (_, one, other) => {
    expect(pair(one, other)).toEqual([]);
  });
});

test("each routine that is trusted is reported, with the guard that it passes", () => {
  const routines = `routines:
  a: { trusted: true, triggers: [{ phrase: welcome }], do: [{ set: { gate: { position: 100 } } }] }
  b: { trusted: true, triggers: [{ phrase: hello }], ${lampOn} }`;
  expect(said(routines)).toEqual([
    "2 trusted: a is trusted: a phrase sets it off at once, though voice needs a confirmation for gate",
    "3 trusted: b is trusted, and does nothing that is guarded",
  ]);
});

describe("steps that will disappoint are found", () => {
  test.each<[string, string, string[]]>([
    [
      "for which nothing is there",
      "{ set: { fans: { brightness: 40 } } }",
      ["step-unable: nothing in fans has brightness to set, so this does nothing"],
    ],
    [
      "that a member of a group cannot do",
      "{ set: { both: { brightness: 40 } } }",
      ["step-unable: of both, fan has no brightness to set"],
    ],
    ["not in a place, which means those that can", "{ set: { shed: { brightness: 40 } } }", []],
    [
      "that keep whoever answers waiting",
      'ask: "Ready?", answers: [{ hear: "yes", do: [{ wait: 10m }, { run: b }] }]',
      [
        "wait-in-ask: whoever answers hears nothing for 10m, and cannot tell whether it was understood",
      ],
    ],
    [
      "not after a word",
      'ask: "Ready?", answers: [{ hear: "yes", do: [{ say: Good. }, { wait: 10m }] }]',
      [],
    ],
  ])("%s", (_, step, expected) => {
    const list = step.startsWith("{") ? step : `{ ${step} }`;
    const lines = said(`routines:\n  b: { ${lampOn} }\n  a: { do: [${list}] }`);
    expect(lines.map((line) => line.slice(2))).toEqual(expected);
  });
});

test("a phrase that the vocabulary takes for something else is found, with both effects", () => {
  const [finding] = findings(`intents:
  party: { patterns: "turn on the lamp", do: { set: { lamp: { brightness: 20 } } } }
  same: { patterns: "[now] turn off the lamp", do: { set: { lamp: { power: off } } } }`);
  expect(finding?.rule).toBe("phrase-taken");
  expect(finding?.message).toBe(
    '"turn on the lamp" (en) is party here: lamp { brightness: 20 }; without it, it would be power-on: lamp { power: on }',
  );
  expect(findings("fragments: {}")).toEqual([]);
});
