import { join } from "node:path";
import { beforeAll, describe, expect, test } from "vitest";
import { type Book, type SuiteResults, runSuites } from "../src/index.ts";
import { packs } from "../src/language/packs.ts";
import { openPhrasebook } from "../src/node/open.ts";

let book: Book;
let results: SuiteResults;
beforeAll(async () => {
  book = await openPhrasebook(join(import.meta.dirname, "languages"));
  results = await runSuites(book);
});

test("a home can speak every language at once without a finding", () => {
  expect(book.problems).toEqual([]);
  expect(results.problems).toEqual([]);
});

describe("the same 120 commands come to the same effects", () => {
  test.each(packs.map(({ name, language }) => [name, language] as const))("%s", (_, language) => {
    const cases = results.suites
      .flatMap((suite) => suite.cases)
      .filter((each) => each.language.startsWith(language));
    expect(cases.length).toBeGreaterThanOrEqual(120);
    expect(cases.filter(({ passed }) => !passed).map(({ phrase }) => phrase)).toEqual([]);
  });
});
