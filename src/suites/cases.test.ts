import { describe, expect, test } from "vitest";
import { readPhrasebook } from "../book/read.ts";
import { readSuites } from "./read.ts";
import { runSuites } from "./run.ts";

const home = `
languages: [en-GB, de-DE]
rooms: { studio: { name: { en: studio, de: Atelier } }, shop: { name: { en: shop, de: Laden } } }
voicepoints: { bench: { room: studio } }
devices:
  vent: { kind: fan, room: studio, name: { en: vent, de: Abzug } }
  lamp: { kind: light, room: studio, name: { en: lamp, de: Lampe } }
  spots: { kind: light, room: shop, name: { en: spots, de: Strahler } }
  gate: { kind: gate, room: shop, name: { en: gate, de: Tor } }
routines:
  hello: { triggers: [{ phrase: hello there }], do: { say: { en: Good morning. }, at: shop } }
`;
const book = readPhrasebook([{ path: "home.yaml", text: home }]);

function run(cases: string, beside: { path: string; text: string }[] = [], head = "") {
  const text = `suite: a\n${head}cases:\n${cases.replace(/^/gmu, "  ")}\n`;
  return runSuites(book, readSuites(book, [{ path: "in/a.suite.yaml", text }, ...beside]));
}

const resultsOf = (results: ReturnType<typeof run>) => results.suites.flatMap(({ cases }) => cases);

describe("a table", () => {
  const rows = `- name: "$said at $value"
  rows:
    - { said: vent, id: vent, what: speed, value: 60 }
    - { said: lamp, id: lamp, what: brightness, value: 40 }
  hear: $said to $value percent
  expect: { set: { $id: { $what: $value } } }`;

  test("is a case a row, each at its own place and under its own name", () => {
    const results = run(rows);
    expect(results).toMatchObject({ passed: 2, failed: 0, problems: [] });
    expect(
      resultsOf(results).map(({ name, phrase, position }) => [name, phrase, position.line]),
    ).toEqual([
      ["vent at 60", "vent to 60 percent", 5],
      ["lamp at 40", "lamp to 40 percent", 6],
    ]);
  });
  test("fails in the row that is wrong", () => {
    const results = run(
      rows.replace("value: 40", "value: 41").replace("$value percent", "40 percent"),
    );
    expect(resultsOf(results).map(({ passed, position }) => [passed, position.line])).toEqual([
      [false, 5],
      [false, 6],
    ]);
  });
  test("may stand in a file beside the suite, whose lines are the places of its cases", () => {
    const table =
      "- { rows: speeds.csv, hear: vent to $said, expect: { set: { vent: { speed: $value } } } }";
    const csv = { path: "in/speeds.csv", text: 'said,value\n"sixty percent",60\nhalf,51\n' };
    const results = run(table, [csv]);
    expect(resultsOf(results).map(({ passed, position }) => [passed, position])).toEqual([
      [true, { file: "in/speeds.csv", line: 2, column: 1 }],
      [false, { file: "in/speeds.csv", line: 3, column: 1 }],
    ]);
  });
  test("that is not there fails the run, and says what there is", () => {
    const csv = { path: "in/speeds.csv", text: "said\nhalf\n" };
    const results = run("- { rows: speed.csv, hear: vent to $said, expect: act }", [csv]);
    expect(results.failed).toBe(1);
    expect(results.problems).toMatchObject([
      { rule: "unknown-reference", fix: "write speeds.csv", at: { line: 3, column: 13 } },
    ]);
  });
  test("with a value that nothing can be is told in its row, and the others run", () => {
    const results = run(rows.replace("what: brightness", "what: shine"));
    expect(results).toMatchObject({ passed: 1, failed: 1 });
    expect(results.problems[0]).toMatchObject({ rule: "unknown-reference", also: [{ line: 6 }] });
  });
  test("has no column that says nothing", () => {
    const results = run("- { rows: [{ said: vent, note: x }], hear: $said on, expect: act }");
    expect(results.passed).toBe(1);
    expect(results.problems).toMatchObject([{ rule: "unused-column", severity: "warning" }]);
  });
});

describe("a setup", () => {
  const head = `setups:
  evening: { at: bench, time: 2026-03-02T18:05, given: { spots: { power: on } } }
  broken: { faults: { shop: offline } }
`;
  test("gives place, time, states and faults by its name, in turn and before the case's own", () => {
    const results = run(
      `- { setup: evening, hear: turn off the spots, expect: { set: { spots: { power: off } } } }
- { setup: [evening, broken], hear: turn off the spots, expect: { home: { spots: { power: on } } } }
- { setup: evening, given: { spots: { power: off } }, hear: are the spots on, expect: { reply: "*no*" } }
- { setup: evening, hear: light off at six tomorrow morning, expect: { when: { at: "2026-03-03T06:00" } } }`,
      [],
      head,
    );
    expect(resultsOf(results).map(({ passed }) => passed)).toEqual([true, true, true, true]);
  });
  test("may stand in another suite, under one name alone", () => {
    const other = {
      path: "in/b.suite.yaml",
      text: `suite: b\n${head}cases: [{ hear: lamp on, expect: act }]`,
    };
    const used = "- { setup: broken, hear: spots on, expect: { home: { spots: { power: off } } } }";
    expect(run(used, [other])).toMatchObject({ passed: 2, problems: [] });
    expect(run(used, [other], head).problems).toMatchObject([
      { rule: "defined-twice" },
      { rule: "defined-twice" },
    ]);
    expect(run(used).problems).toMatchObject([{ rule: "unknown-reference" }]);
  });
});

describe("a case that counts apart", () => {
  test("is left out for a reason, and counted", () => {
    const results = run("- { skip: waits for the lamp, hear: lamp blue, expect: act }");
    expect(results).toMatchObject({ passed: 0, failed: 0, skipped: 1 });
    expect(resultsOf(results)[0]).toMatchObject({ passed: true, skipped: "waits for the lamp" });
  });
  test("has to fail where it says so, and fails where it no longer does", () => {
    const results = run(`- { fails: not yet, hear: make it nice, expect: act }
- { fails: not yet, hear: lamp on, expect: act }`);
    expect(results).toMatchObject({ passed: 0, failed: 1, failing: 1 });
    expect(resultsOf(results)[1]).toMatchObject({
      passed: false,
      failures: [{ about: "fails", expected: "it fails: not yet" }],
    });
  });
  test("cannot be both", () => {
    expect(run("- { skip: a, fails: b, hear: lamp on, expect: act }")).toMatchObject({ failed: 1 });
  });
});

test("a turn may be in another language", () => {
  const results = run(`- talk:
    - { hear: turn on the lamp, expect: { set: { lamp: { power: on } } } }
    - { hear: mach den Abzug an, language: de-DE, expect: { set: { vent: { power: on } } } }`);
  expect(results).toMatchObject({ passed: 1, failed: 0 });
});

test("what is said somewhere, and what a question is about, can be expected", () => {
  const results = run(`- { after: { hear: hello there }, expect: { said: { shop: "Good *" } } }
- { after: { hear: hello there }, expect: { said: { studio: "Good *" } } }
- { hear: is the lamp on, expect: { about: lamp } }
- { hear: which lights are on, expect: { about: [lamp, spots] } }
- { hear: is the lamp on, expect: { about: shop } }`);
  expect(resultsOf(results).map(({ passed }) => passed)).toEqual([true, false, true, true, false]);
});
