import { describe, expect, test } from "vitest";
import { readPhrasebook } from "../book/read.ts";
import { plain } from "../reports/paint.ts";
import { printResults } from "../reports/results.ts";
import { matchesGlob } from "../pattern/glob.ts";
import { printEvent } from "../home/log.ts";
import { readDays, runDay } from "./day.ts";
import { runSources } from "../../test/support/suites.ts";

const home = {
  path: "home.yaml",
  text: `rooms: { shop: {}, loft: {} }
voicepoints: { till: { room: shop } }
devices:
  vent: { kind: fan, room: shop, aliases: extractor }
  spots: { kind: light, room: shop }
  shelf-a: { kind: light, room: shop, name: shelf }
  shelf-b: { kind: light, room: shop, name: shelf }
groups: { display: { members: [spots, shelf-a] } }
fragments: { go: "(turn | switch)" }
intents:
  on:
    patterns: "$go on $target"
    slots: { target: { type: target } }
    do: { set: { $target: { power: on } } }
    reply: "{$target} on."
  speed:
    patterns: "$target to $level"
    slots: { target: { type: target, kind: fan }, level: { type: percent } }
    do: { set: { $target: { power: on, speed: $level } } }
`,
};

const run = (cases: string, options = {}) =>
  runSources(
    [home, { path: "a.suite.yaml", text: `suite: a\nat: till\ncases:\n${cases}` }],
    options,
  );

test("a pattern makes a case of each of its phrases", () => {
  const results = run(
    '  - { hear: "$go on the (vent | extractor)", expect: { set: { vent: { power: on } } } }',
  );
  expect(results).toMatchObject({ passed: 4, failed: 0, problems: [] });
  expect(results.suites[0]?.cases.map(({ phrase }) => phrase)).toContain("switch on the extractor");
});

test("what is expected can be said in every way", () => {
  const results = run(`
  - { hear: turn on the vent, expect: act }
  - { hear: turn on the vent, expect: { intent: on, outcome: act, reply: "VENT*" } }
  - { hear: turn on display, expect: { set: { display: { power: on } } } }
  - { hear: vent to 40, expect: { set: { vent: { power: on, speed: about 41 within 2 } } } }
  - { hear: vent to 40, expect: same as "extractor to forty percent" }
  - { hear: vent to 140, expect: { outcome: refuse, reason: "*0 to 100*" } }
  - { hear: turn on the shelf, expect: unsure }
  - { hear: sing, expect: unknown }
  - hear: turn on the vent
    given: { vent: { speed: 30 } }
    expect: { home: { vent: { power: on, speed: between 20 and 40 }, spots: { power: off } } }
`);
  expect(results).toMatchObject({ passed: 9, failed: 0, problems: [] });
});

describe("a case fails, and says how, when", () => {
  test.each<[string, string, { about: string; expected: string; actual: string }]>([
    [
      "the outcome is another",
      "{ hear: turn on the vent, expect: unknown }",
      { about: "outcome", expected: "unknown", actual: "vent { power: on }" },
    ],
    [
      "the intent is another",
      "{ hear: turn on the vent, expect: { intent: speed } }",
      { about: "intent", expected: "speed", actual: "on" },
    ],
    [
      "a value is another",
      "{ hear: vent to 40, expect: { set: { vent: { power: on, speed: 41 } } } }",
      {
        about: "effect",
        expected: "vent { power: on, speed: 41 }",
        actual: "vent { power: on, speed: 40 }",
      },
    ],
    [
      "a second property changes as well",
      "{ hear: vent to 40, expect: { set: { vent: { speed: 40 } } } }",
      { about: "effect", expected: "vent { speed: 40 }", actual: "vent { power: on, speed: 40 }" },
    ],
    [
      "a second device changes as well",
      "{ hear: turn on display, expect: { set: { spots: { power: on } } } }",
      {
        about: "effect",
        expected: "spots { power: on }",
        actual: "shelf-a { power: on }, spots { power: on }",
      },
    ],
    [
      "two phrases differ",
      '{ hear: turn on the vent, expect: same as "turn on spots" }',
      {
        about: "same as",
        expected: '"turn on spots" comes to spots { power: on }',
        actual: "vent { power: on }",
      },
    ],
    [
      "two phrases are alike in coming to nothing",
      '{ hear: sing, expect: same as "dance" }',
      { about: "same as", expected: '"dance" comes to unknown', actual: "unknown" },
    ],
    [
      "the reply is another",
      '{ hear: turn on the vent, expect: { reply: "*off." } }',
      { about: "reply", expected: "*off.", actual: "vent on." },
    ],
    [
      "the reason is another",
      '{ hear: vent to 140, expect: { reason: "*step*" } }',
      {
        about: "reason",
        expected: "*step*",
        actual: "the speed of vent goes from 0 to 100 %, not 140 %",
      },
    ],
    [
      "a state afterwards is another",
      "{ hear: turn on the vent, expect: { home: { vent: { speed: above 5 } } } }",
      { about: "home", expected: "vent speed: above 5", actual: "vent speed: 0" },
    ],
  ])("%s", (_, each, failure) => {
    const results = run(`  - ${each}`);
    expect(results).toMatchObject({ passed: 0, failed: 1 });
    expect(results.suites[0]?.cases[0]).toMatchObject({ passed: false, failures: [failure] });
  });
});

test("a failure prints what was heard word by word, and both places", () => {
  const results = run(
    "  - { hear: turn on the extractor, expect: { set: { vent: { speed: 1 } } } }",
  );
  const text = printResults(results, plain);
  expect(text).toContain("“turn on the extractor”");
  expect(text).toContain("case      a.suite.yaml:4:13");
  expect(text).toMatch(/expected +vent \{ speed: 1 \}/);
  expect(text).toMatch(/but +vent \{ power: on \}/);
  expect(text).toMatch(/extractor +\$target +device vent \(alias\) {2}home\.yaml:4:43/);
  expect(text).toContain("home.yaml:12:16");
});

describe("a mistake in a suite is a finding at its place", () => {
  test.each<[string, string, string, string]>([
    [
      "an unknown device",
      "{ hear: go, expect: { set: { vant: { power: on } } } }",
      "4:34",
      "unknown-reference",
    ],
    ["an unknown outcome", "{ hear: go, expect: unknwn }", "4:25", "wrong-value"],
    [
      "a value that cannot be",
      "{ hear: go, expect: { set: { vent: { speed: 200 } } } }",
      "4:49",
      "wrong-condition",
    ],
    ["an unknown voicepoint", "{ hear: go, at: tlil, expect: act }", "4:21", "unknown-reference"],
    ["a wrong key", "{ heer: go, expect: act }", "4:7", "unknown-key"],
    ["a pattern that makes nothing", '{ hear: "$VOID", expect: act }', "4:14", "case-phrases"],
    ["far too many phrases", '{ hear: "(a | b)<20>", expect: act }', "4:14", "case-phrases"],
  ])("%s", (_, each, place, rule) => {
    const { problems } = run(`  - ${each}`);
    expect(problems.map((found) => `${found.at.line}:${found.at.column} ${found.rule}`)).toEqual([
      `${place} ${rule}`,
    ]);
  });
});

const routines = {
  path: "routines.yaml",
  text: `people: { mara: {} }
place: { latitude: 52.57, longitude: 1.72, timezone: Europe/London }
devices: { gate: { kind: gate, room: shop }, meter: { kind: sensor, room: shop, properties: [humidity] } }
routines:
  air:
    triggers: [{ time: "09:30" }, { phrase: air it }]
    do:
      - if: { meter: { humidity: above 70 } }
        then: { try: { set: { vent: { power: on } } }, failed: { notify: mara, text: The vent is out. } }
        else: { send: { to: "mqtt:shop/air", text: dry } }
`,
};

describe("what happens over time can be expected in every way", () => {
  const cases = `suite: a
at: till
time: 2026-03-02T09:00
cases:
`;
  const results = (each: string) =>
    runSources([home, routines, { path: "a.suite.yaml", text: `${cases}  - ${each}` }]);
  const failed = (each: string) => {
    const { suites, problems } = results(each);
    expect(problems).toEqual([]);
    const [first] = suites[0]?.cases ?? [];
    return first?.passed === false ? first.failures.map(({ about }) => about) : [];
  };

  test.each([
    ["a branch", "after: { hear: air it }, expect: { branch: else }"],
    [
      "branches in turn",
      "after: { hear: air it }, given: { meter: { humidity: 80 } }, faults: { vent: offline }, expect: { branch: [then, failed], told: { mara: The vent*} }",
    ],
    ["a message", 'after: { run: air }, expect: { sent: { "mqtt:shop/air": dry } }'],
    ["a time of day", 'after: { time: "10:00" }, expect: { routine: air }'],
    [
      "a line at a time",
      'after: { wait: 1h }, expect: { log: { line: "air starts*", time: "09:29", within: 1m } }',
    ],
    [
      "a fault that comes and goes",
      "after: [{ set: { meter: { humidity: 80 } }, faults: { vent: offline } }, { faults: { vent: none } }, { run: air }], expect: { home: { vent: { power: on } } }",
    ],
    [
      "turns at two voicepoints, with time between them",
      'talk: [{ hear: open the gate, expect: confirm }, { hear: "yes", wait: 20s, expect: { home: { gate: { position: 100 } } } }]',
    ],
  ])("%s", (_, each) => {
    expect(failed(`{ ${each} }`)).toEqual([]);
  });

  test.each([
    ["branch", "after: { run: air }, expect: { branch: then }"],
    ["branch", "after: { run: air }, expect: { branch: [else, then] }"],
    ["told", "after: { run: air }, expect: { told: { mara: '*' } }"],
    ["sent", 'after: { run: air }, expect: { sent: { "mqtt:shop/air": wet } }'],
    [
      "log",
      'after: { wait: 1h }, expect: { log: { line: "air starts*", time: "09:28", within: 1m } }',
    ],
    [
      "outcome",
      'talk: [{ hear: open the gate, expect: confirm }, { hear: "yes", wait: 31s, expect: act }]',
    ],
  ])("and fails by its %s", (about, each) => {
    expect(failed(`{ ${each} }`)).toEqual([about]);
  });

  test.each([
    ["told", "{ after: { run: air }, expect: { told: { mra: x } } }", "5:46", "unknown-reference"],
    ["run", "{ after: { run: ari }, expect: act }", "5:21", "unknown-reference"],
    ["presence", "{ after: { presence: mara gone }, expect: act }", "5:26", "wrong-value"],
    ["wait", "{ after: { wait: soon }, expect: act }", "5:22", "wrong-value"],
    ["at", "{ after: { hear: x, at: tlil }, expect: act }", "5:29", "unknown-reference"],
    ["fault", "{ after: { faults: { vnt: offline } }, expect: act }", "5:26", "unknown-reference"],
  ])("a mistake in %s is a finding", (_, each, place, rule) => {
    const { problems } = results(each);
    expect(problems.map((found) => `${found.at.line}:${found.at.column} ${found.rule}`)).toEqual([
      `${place} ${rule}`,
    ]);
  });
});

describe("a day is played from midnight to midnight", () => {
  const day = (text: string) => {
    const book = readPhrasebook([home, routines]);
    return { book, ...readDays(book, [{ path: "wet.day.yaml", text }]) };
  };

  test("with what people do and sensors measure", () => {
    const { book, days, problems } = day(`day: wet
at: till
given: { spots: { power: on } }
happenings:
  - { time: "08:00", set: { meter: { humidity: 80 } } }
  - { time: "08:00", presence: mara away }
  - { time: "12:00", hear: turn on the extractor, wait: 5m }
`);
    expect(problems).toEqual([]);
    const lines = runDay(book, "2026-03-29", days[0]).map(
      ({ time, event }) => `${time} ${printEvent(event)}`,
    );
    expect(lines).toContain("2026-03-29T08:00:00 meter humidity: 50 → 80");
    expect(lines).toContain("2026-03-29T09:30:00 air starts: its time has come");
    expect(lines).toContain("2026-03-29T12:00:00 heard “turn on the extractor” at till");
    expect(lines.every((line) => line.startsWith("2026-03-29"))).toBe(true);
  });

  test.each([
    [
      "an order of happenings",
      '[{ time: "09:00", run: air }, { time: "08:00", run: air }]',
      "2:51",
    ],
    ["a routine", "[{ run: ari }]", "2:21"],
  ])("a mistake in %s is a finding", (_, happenings, place) => {
    const { problems } = day(`day: wet\nhappenings: ${happenings}`);
    expect(problems.map(({ at }) => `${at.line}:${at.column}`)).toEqual([place]);
  });
});

test("cases do not see what other cases did", () => {
  const results = run(`
  - { hear: turn on the vent, expect: { home: { vent: { power: on } } } }
  - { hear: turn on spots, expect: { home: { vent: { power: off } } } }
`);
  expect(results.failed).toBe(0);
});

test("only the suites asked for run", () => {
  expect(run("  - { hear: x, expect: unknown }", { only: ["b"] }).suites).toEqual([]);
});

test.each([
  ["*sixty*", "At Sixty percent.", true],
  ["a*b*c", "a-b-c", true],
  ["a*b", "abc", false],
  ["ab*ba", "aba", false],
  ["exact", "Exact", true],
  ["", "x", false],
])("the glob %s and %s", (glob, text, expected) => {
  expect(matchesGlob(glob, text)).toBe(expected);
});
