import { describe, expect, test } from "vitest";
import { partSources, readPhrasebook, readSuites, runSuites, traceSuites } from "../index.ts";
import { printResults } from "../reports/index.ts";
import { printPosition } from "../source/position.ts";

const home = `
languages: [en]
rooms: { hall: { aliases: [lobby] }, shed: {} }
voicepoints: { panel: { room: hall } }
devices:
  lamp: { kind: light, room: hall, aliases: [lantern] }
  spot: { kind: light, room: hall }
  fan: { kind: fan, room: shed }
  gate: { kind: lock, room: shed, voice: code }
groups: { show: { members: [lamp, spot], name: show lights } }
intents:
  cosy: { patterns: make it cosy, do: { set: { lamp: { brightness: 30 } } }, reply: Cosy. }
routines:
  airing:
    triggers: [{ phrase: air the shed }]
    do:
      - set: { fan: { power: "on" } }
      - wait: 10m
      - set: { fan: { power: "off" } }
`;
const suite = `
suite: hall
cases:
  - { hear: turn on the lantern, expect: { set: { lamp: { power: "on" } } } }
  - { hear: turn on the spot, expect: { set: { spot: { power: "on" } } } }
  - { hear: turn on the lamp, expect: { set: { lamp: { power: "on" } } } }
  - { hear: turn on the show lights, expect: { set: { lamp: { power: "on" }, spot: { power: "on" } } } }
  - { hear: turn off the lights in the lobby, expect: { set: { lamp: { power: "off" }, spot: { power: "off" } } } }
  - { hear: unlock the gate, expect: code }
  - { hear: make it cosy, expect: { set: { lamp: { brightness: 30 } }, also: anything, reply: Cosy. } }
  - { after: [{ hear: air the shed }, { wait: 11m }], expect: { home: { fan: { power: "off" } }, log: [waits 10m] } }
`;

/** The first case that fails once a part of the home is otherwise. */
function failure(was: string, is: string) {
  expect(home).toContain(was);
  const { phrasebook, suites } = partSources([
    { path: "home.yaml", text: home.replace(was, is) },
    { path: "hall.suite.yaml", text: suite },
  ]);
  const book = readPhrasebook(phrasebook);
  const results = traceSuites(book, readSuites(book, suites));
  const failed = results.suites.flatMap(({ cases }) => cases.filter(({ passed }) => !passed));
  const [first] = failed;
  if (!first || first.passed) throw new Error("no case fails");
  return { first, results };
}

const lineOf = (text: string): number => home.slice(0, home.indexOf(text)).split("\n").length;

describe("where a failure may come from", () => {
  test.each([
    ["an alias that is gone", "aliases: [lantern]", "aliases: []", "lamp: {"],
    ["a member that is gone", "members: [lamp, spot]", "members: [lamp]", "show: {"],
    ["an alias of a room", "aliases: [lobby]", "aliases: []", "hall: {"],
    ["a guard that is lower", "voice: code", "voice: free", "gate: {"],
    ["a value of a step", "brightness: 30", "brightness: 60", "cosy: {"],
    ["a reply", "reply: Cosy.", "reply: Warm.", "cosy: {"],
    ["a length of time", "wait: 10m", "wait: 12m", "- wait: 10m"],
    ["a phrase that is gone", "triggers: [{ phrase: air the shed }]", "triggers: []", "airing:"],
    ["a word of a pattern", "make it cosy, do", "make cosy, do", "cosy: {"],
  ])("%s", (_, was, is, place) => {
    const { first } = failure(was, is);
    const lines = (first.suspects ?? []).map(({ at }) => at.line);
    expect(lines).toContain(lineOf(place));
  });

  test("is told in the first ten lines of a failure, under what was expected", () => {
    const { results } = failure("aliases: [lantern]", "aliases: []");
    expect(printResults(results).split("\n").slice(2, 8)).toEqual([
      "  ✗ “turn on the lantern” (en)",
      "    effect",
      "    expected  lamp { power: on }",
      "    but       unknown",
      "    case      hall.suite.yaml:4:13",
      "    look at   home.yaml:6:3    lamp",
    ]);
  });

  test("nothing that passes has any, and nothing ships that could be the place", () => {
    const { results } = failure("wait: 10m", "wait: 12m");
    for (const each of results.suites.flatMap(({ cases }) => cases)) {
      if (each.passed) expect(each).not.toHaveProperty("suspects");
      else expect(each.suspects?.every(({ at }) => at.file === "home.yaml")).toBe(true);
    }
  });

  test("and the verdicts are those of a run that is not traced", () => {
    const { phrasebook, suites } = partSources([
      { path: "home.yaml", text: home.replace("brightness: 30", "brightness: 60") },
      { path: "hall.suite.yaml", text: suite },
    ]);
    const book = readPhrasebook(phrasebook);
    const read = readSuites(book, suites);
    const { passed, failed } = runSuites(book, read);
    expect(traceSuites(book, read)).toMatchObject({ passed, failed });
  });
});

describe("the smallest change that would make a case pass", () => {
  test.each([
    ["aliases: [lantern]", "aliases: []", 'give lamp the alias "lantern"', "lamp: {"],
    ["aliases: [lobby]", "aliases: []", 'give hall the alias "lobby"', "hall: {"],
    ["voice: code", "voice: free", 'write "voice: code" in gate', "gate: {"],
    ["reply: Cosy.", "reply: Warm.", 'write "Cosy." in place of "Warm."', "cosy: {"],
  ])("of %s to %s: %s", (was, is, change, place) => {
    const { first } = failure(was, is);
    expect(first.mend?.change).toBe(change);
    expect(first.mend?.at.line).toBe(lineOf(place));
    expect(printPosition(first.mend?.at ?? { file: "", line: 0, column: 0 })).toMatch(
      /^home.yaml:\d/u,
    );
  });

  test("none is told where none is known", () => {
    expect(failure("wait: 10m", "wait: 12m").first).not.toHaveProperty("mend");
  });
});
