import { readFileSync, readdirSync } from "node:fs";
import { load } from "js-yaml";
import { expect, test } from "vitest";
import { type SourceText, readDays, readPhrasebook, readSuites, runDay } from "../src/index.ts";
import { verdictOf } from "../src/suites/results.ts";
import { runSuites } from "../src/suites/run.ts";
import { phrasebookSchema } from "../src/phrasebook/schema/phrasebook.ts";

const folder = "demo/oxbow-pottery";
const demo = readdirSync(folder)
  .filter((name) => name.endsWith(".yaml"))
  .map((path): SourceText => ({ path, text: readFileSync(`${folder}/${path}`, "utf8") }));
const book = readPhrasebook(demo);

const blocks = readdirSync("docs")
  .filter((name) => name.endsWith(".md") && name !== "tour.md")
  .flatMap((name) => {
    const found = readFileSync(`docs/${name}`, "utf8").matchAll(/```yaml\n(.*?)```/gsu);
    return [...found].map(([, text = ""], index) => ({
      name: `${name}, block ${index + 1}`,
      text,
    }));
  });

/** The table that an example names, which is not written out. */
const table = { path: "speeds.csv", text: "said,value\nforty percent,40\n" };

const sections = Object.keys(phrasebookSchema.def.shape);

test.each(blocks)("$name holds on the demo", ({ text }) => {
  const value: unknown = load(text);
  const keys = typeof value === "object" && value !== null ? Object.keys(value) : [];
  if (keys.includes("cases")) {
    const suite = keys.includes("suite") ? text : `suite: an example\n${text}`;
    const suites = readSuites(book, [{ path: "a.suite.yaml", text: suite }, table]);
    const results = runSuites(book, suites);
    const failed = results.suites.flatMap(({ cases }) =>
      cases.filter((each) => verdictOf(each) === "failed"),
    );
    expect([suites.problems, failed]).toEqual([[], []]);
  } else if (keys.includes("happenings")) {
    const { days, problems } = readDays(book, [{ path: "a.day.yaml", text }]);
    expect(problems).toEqual([]);
    expect(days.map((day) => runDay(book, "2026-03-06", day).length)).not.toContain(0);
  } else if (keys.length > 0 && keys.every((key) => sections.includes(key))) {
    const read = readPhrasebook([...demo, { path: "example.yaml", text }]);
    // What the demo has already stands twice.
    expect(read.problems.filter(({ rule }) => rule !== "defined-twice")).toEqual([]);
  }
});
