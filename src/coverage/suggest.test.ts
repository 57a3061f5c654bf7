import { readFileSync, readdirSync } from "node:fs";
import { describe, expect, test } from "vitest";
import { readPhrasebook } from "../book/read.ts";
import { readSuites } from "../suites/read.ts";
import { measureCoverage } from "./coverage.ts";
import { suggestSuite } from "./suggest.ts";

const folder = "demo/oxbow-pottery";
const sources = readdirSync(folder)
  .filter((name) => name.endsWith(".yaml"))
  .map((name) => ({ path: name, text: readFileSync(`${folder}/${name}`, "utf8") }));
const demo = readPhrasebook(sources);

describe("a suite for a home that has none", () => {
  const { text, cases } = suggestSuite(demo, readSuites(demo, []));
  const suites = readSuites(demo, [{ path: "made.suite.yaml", text }]);
  const { results, coverage } = measureCoverage(demo, suites);

  test("can be read, passes, and has each case marked to be checked", () => {
    expect(suites.problems).toEqual([]);
    expect(results).toMatchObject({ failed: 0, passed: cases });
    expect(results.suites[0]?.cases.every(({ note }) => note === "check this")).toBe(true);
  });
  test.each(["guard", "trigger", "branch", "step", "pattern", "alternative", "name", "reply"])(
    "touches 95 of 100 of every %s",
    (sort) => {
      const share = coverage.shares.find(({ of }) => of === sort);
      expect(share && share.touched / share.all).toBeGreaterThanOrEqual(0.95);
    },
  );
  test("needs nothing beside itself", () => {
    const more = suggestSuite(demo, suites);
    expect(more.cases).toBe(0);
  });
});

test("what cases touch already is not suggested again", () => {
  const home = "devices: { lamp: { kind: light }, fan: { kind: fan } }";
  const book = readPhrasebook([{ path: "home.yaml", text: home }]);
  const text = "suite: a\ncases: [{ hear: lamp on, expect: act }]";
  const suggested = suggestSuite(book, readSuites(book, [{ path: "a.suite.yaml", text }]), "more");
  expect(suggested.cases).toBe(1);
  expect(suggested.text).toContain("suite: more");
  expect(suggested.text).toContain("fan");
  expect(suggested.text).not.toContain("lamp");
});
