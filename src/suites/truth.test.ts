import { describe, expect, test } from "vitest";
import { runSources } from "../../test/support/suites.ts";

const home = `languages: [en-GB]
code: "4711"
place: { latitude: 52.57, longitude: 1.72, timezone: Europe/London }
rooms: { shop: {}, yard: {} }
voicepoints: { till: { room: shop } }
devices:
  lamp: { kind: light, room: shop }
  strip: { kind: light, room: shop }
  vent: { kind: fan, room: shop }
  siren: { kind: alarm, room: shop }
  gate: { kind: gate, room: yard }
  bell: { kind: button, room: shop }
  deck: { kind: player, room: shop }
groups: { display: { members: [lamp, strip] } }
intents:
  memo:
    patterns: "note $words"
    slots: { words: { type: text } }
    reply: "Noted {$words}."
  hold:
    patterns: "hold the vent at $speed"
    slots: { speed: { type: percent, maximum: 50 } }
    do: { set: { vent: { speed: $speed } } }
routines:
  open-up:
    triggers: [{ phrase: open up }, { press: bell }, { time: "09:30" }]
    do: [{ set: { lamp: { power: on } } }, { wait: 5s }, { set: { vent: { power: on } } }]
`;

const run = (cases: string, head = "") =>
  runSources([
    { path: "home.yaml", text: home },
    { path: "a.suite.yaml", text: `suite: a\nat: till\n${head}cases:\n${cases}` },
  ]);
const outcomes = (cases: string, head?: string) =>
  run(cases, head).suites.flatMap((suite) => suite.cases.map(({ passed }) => passed));

describe("an effect is as expected only if the home did it", () => {
  test.each([
    [
      "the code is asked for",
      "{ hear: disarm the siren, expect: { set: { siren: { armed: off } } } }",
    ],
    ["a yes is asked for", "{ hear: open the gate, expect: { set: { gate: { position: 100 } } } }"],
    [
      "a yes is asked for, later",
      "{ hear: open the gate in ten minutes, expect: { set: { gate: { position: 100 } }, when: { in: 10m } } }",
    ],
    [
      "a yes is asked for, of several",
      "{ hear: turn on the lamp and open the gate, expect: [{ set: { lamp: { power: on } } }, { set: { gate: { position: 100 } } }] }",
    ],
    [
      "a yes is asked for, in a talk",
      "{ talk: [{ hear: open the gate, expect: { set: { gate: { position: 100 } } } }] }",
    ],
    [
      "a call",
      "{ hear: stop the gate, expect: { call: { gate: stop } }, faults: { gate: offline } }",
    ],
    [
      "the device does not answer",
      "{ hear: turn on the lamp, expect: { set: { lamp: { power: on } } }, faults: { lamp: offline } }",
    ],
    [
      "it does not answer, and was so before",
      "{ hear: turn off the lamp, expect: { set: { lamp: { power: off } } }, faults: { lamp: fails } }",
    ],
    [
      "it does not answer when its time has come",
      "{ hear: turn on the lamp in ten minutes, expect: { set: { lamp: { power: on } }, when: { in: 10m } }, faults: { lamp: offline } }",
    ],
    [
      "one of a list does not answer",
      "{ hear: turn on the lamp and turn on the vent, expect: [{ set: { lamp: { power: on } } }, { set: { vent: { power: on } } }], faults: { vent: offline } }",
    ],
    [
      "an amount does not arrive",
      "{ hear: dim the lamp by ten percent, expect: { nudge: { lamp: { brightness: -10 } } }, faults: { lamp: offline } }",
    ],
    [
      "a part does not arrive",
      "{ hear: dim the lamp by half, expect: { scale: { lamp: { brightness: 0.5 } } }, faults: { lamp: offline } }",
    ],
    [
      "the same as another, but for a fault",
      '{ hear: turn on the lamp, expect: same as "switch on the lamp", faults: { lamp: offline } }',
    ],
    [
      "the value lands elsewhere",
      "{ hear: lamp to 40 percent, expect: { set: { lamp: { brightness: 40 } } }, faults: { lamp: rounds to 25 } }",
    ],
  ])("fails where %s", (_, each) => {
    expect(outcomes(`  - ${each}`)).toEqual([false]);
  });

  test("and passes where it did, in every form", () => {
    const results = run(`
  - { hear: turn on the lamp, expect: { set: { lamp: { power: on } } } }
  - { hear: turn off the lamp, expect: { set: { lamp: { power: off } } } }
  - { hear: stop the gate, expect: { call: { gate: stop } } }
  - { hear: dim the lamp by ten percent, expect: { nudge: { lamp: { brightness: -10 } } } }
  - { hear: dim the lamp by ten percent, expect: { set: { lamp: { brightness: 90 } } } }
  - { hear: turn on the lamp in ten minutes, expect: { set: { lamp: { power: on } }, when: { in: 10m } } }
  - { hear: turn on the lamp for an hour, expect: { set: { lamp: { power: on } }, when: { for: 1h } } }
  - { hear: turn on the lamp, expect: { set: { lamp: { power: on } } }, faults: { lamp: slow 5s } }
  - talk:
      - { hear: open the gate, expect: confirm }
      - { hear: "yes", expect: { set: { gate: { position: 100 } } } }
`);
    expect(results).toMatchObject({ passed: 9, failed: 0, problems: [] });
  });
});

describe("an effect is exact, whatever sets it off", () => {
  const whole = "{ lamp: { power: on }, vent: { power: on } }";
  test.each([
    ["a phrase", "{ hear: open up, wait: 10s }"],
    ["a button", "[{ press: bell }, { wait: 10s }]"],
    ["a hand", "{ run: open-up, wait: 10s }"],
    ["a clock", '{ time: "09:31" }'],
  ])("%s", (_, after) => {
    expect(
      outcomes(`
  - { after: ${after}, expect: { set: ${whole} } }
  - { after: ${after}, expect: { set: { lamp: { power: on } } } }
  - { after: ${after}, expect: { set: { lamp: { power: on } }, also: anything } }
  - { after: ${after}, expect: { set: { lamp: { power: on }, vent: { power: on }, strip: { power: on } } } }`),
    ).toEqual([true, false, true, false]);
  });

  test("up to the time that a case lets pass", () => {
    expect(
      outcomes(`
  - { after: { hear: open up, wait: 2s }, expect: { set: { lamp: { power: on } } } }
  - { hear: open up, expect: { set: { lamp: { power: on } } } }
  - { after: { wait: 5m }, expect: { set: {} } }`),
    ).toEqual([true, true, true]);
  });

  test("turn by turn", () => {
    expect(
      outcomes(`
  - talk:
      - { hear: turn on the lamp, expect: { set: { lamp: { power: on } } } }
      - { hear: turn on the vent, expect: { set: { vent: { power: on } } } }
  - talk:
      - { hear: turn on the lamp, expect: act }
      - { hear: turn on display, expect: { set: { strip: { power: on } } } }`),
    ).toEqual([true, false]);
  });

  test("and what is set from outside is no effect", () => {
    expect(
      outcomes("  - { after: { set: { display: { power: on } } }, expect: { set: {} } }"),
    ).toEqual([true]);
  });
});

describe("what cannot be read fails the run", () => {
  test.each([
    ["an outcome that there is not", "{ hear: open up, expect: acts }"],
    ["an empty expectation", "{ hear: open up, expect: {} }"],
    ["an empty list", "{ hear: open up, expect: [] }"],
    ["no turns", "{ talk: [] }"],
    ["nothing that happens", "{ after: {}, expect: act }"],
    ["a key that there is not", "{ hear: open up, expct: act, expect: act }"],
    [
      "a condition that cannot be",
      "{ hear: open up, expect: { home: { lamp: { power: above 3 } } } }",
    ],
    ["a state that cannot be", "{ hear: open up, given: { lamp: { power: dim } }, expect: act }"],
    [
      "a group without the property",
      "{ hear: open up, expect: { home: { display: { speed: 3 } } } }",
    ],
    ["a device that there is not", "{ hear: open up, expect: { call: { horn: toot } } }"],
  ])("%s", (_, each) => {
    const results = run(
      `  - { hear: open up, expect: act }\n  - ${each}\n  - { hear: sing, expect: act }`,
    );
    expect(results).toMatchObject({ passed: 1, failed: 2 });
    expect(results.problems).not.toEqual([]);
    const [, broken, last] = results.suites[0]?.cases ?? [];
    expect(broken).toMatchObject({ passed: false, failures: [{ about: "case" }] });
    expect(broken?.position.line).toBe(5);
    // What stands after it keeps its place.
    expect(last).toMatchObject({ phrase: "sing", position: { line: 6 } });
  });

  test.each([
    ["a suite with no cases", "suite: a\ncases: []\n"],
    ["an empty file", ""],
    ["a file of comments", "# to be written\n"],
    [
      "a state that must never hold and cannot be",
      "suite: a\nnever: { lamp: { power: dim } }\ncases: [{ hear: sing, expect: unknown }]\n",
    ],
    [
      "a key of the suite that there is not",
      "suite: a\nnevr: {}\ncases: [{ hear: sing, expect: unknown }]\n",
    ],
    ["a second document", "suite: a\ncases: [{ hear: sing, expect: unknown }]\n---\nsuite: b\n"],
  ])("%s", (_, text) => {
    const results = runSources([
      { path: "home.yaml", text: home },
      { path: "a.suite.yaml", text },
    ]);
    expect(results.failed).toBe(1);
    expect(results.problems).not.toEqual([]);
  });
});

test("free words keep their case in a suite as at the prompt", () => {
  expect(
    outcomes(`
  - { hear: note Buy 3 Pens for Mara, expect: { slots: { words: Buy 3 Pens for Mara } } }
  - { hear: "note (Glaze | Slip) arrived", expect: { reply: "Noted * arrived." } }`),
  ).toEqual([true, true, true]);
});

test("a slot that was refused is shown with the refusal", () => {
  const results = run("  - { hear: hold the vent at 90, expect: { slots: { speed: 90 } } }");
  expect(results.suites[0]?.cases[0]).toMatchObject({
    failures: [
      { about: "slot", actual: "speed: nothing (refuse: speed goes up to 50 %, not 90 %)" },
    ],
  });
});

test("what is done at two moments is judged at each, and nothing is done at a third", () => {
  const hear = 'time: "2026-03-02T18:05", hear: lamp on at eight and off at eleven';
  const on = '{ set: { lamp: { power: on } }, when: { at: "20:00" } }';
  const off = '{ set: { lamp: { power: off } }, when: { at: "23:00" } }';
  const dim = '{ set: { lamp: { power: off } }, when: { at: "22:00" } }';
  expect(
    outcomes(`
  - { ${hear}, expect: [${on}, ${off}] }
  - { ${hear}, expect: [${on}, ${dim}] }
  - { ${hear}, expect: [${off}, ${on}] }
  - { ${hear}, expect: ${on} }
  - { ${hear}, expect: ${off} }`),
  ).toEqual([true, false, false, false, false]);
});
