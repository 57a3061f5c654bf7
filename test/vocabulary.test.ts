import { join } from "node:path";
import { beforeAll, describe, expect, test } from "vitest";
import { openPhrasebook } from "../src/node/open.ts";
import { type Book, type SuiteResults, readSuites, runSuites } from "../src/index.ts";
import { shippedPacks as packs } from "../src/language/shipped.ts";

let book: Book;
let results: SuiteResults;
beforeAll(async () => {
  const opened = await openPhrasebook(join(import.meta.dirname, "vocabulary"));
  book = opened.book;
  results = runSuites(book, readSuites(book, opened.suiteSources));
});

/** The languages of that phrasebook; all others are held to them in languages.test.ts. */
const spoken = packs.filter(({ language }) => ["en", "de"].includes(language));

test("devices alone are understood in every wording of the suites", () => {
  expect(book.problems).toEqual([]);
  expect(results.problems).toEqual([]);
  const failures = results.suites
    .flatMap(({ cases }) => cases)
    .filter(({ passed }) => !passed)
    .map(({ phrase }) => phrase);
  expect(failures).toEqual([]);
});

describe("every kind with something to set is spoken of in 40 wordings or more", () => {
  const kinds = [
    ...["light", "plug", "pump", "fan", "heater", "thermostat", "blind", "gate", "valve"],
    ...["lock", "alarm", "camera", "player", "appliance"],
  ];
  describe.each(spoken.map(({ language, name }) => [name, language] as const))(
    "%s",
    (_, language) => {
      test.each(kinds)("%s", (kind) => {
        const device = book.devices.get(kind);
        const names = (device?.names ?? [])
          .filter((name) => name.language.startsWith(language))
          .map(({ text }) => text.toLowerCase());
        const wordings = results.suites
          .flatMap(({ cases }) => cases)
          .filter((each) => each.passed && each.language.startsWith(language))
          .filter(({ phrase }) => names.some((name) => phrase.toLowerCase().includes(name)));
        expect(new Set(wordings.map(({ phrase }) => phrase)).size).toBeGreaterThanOrEqual(40);
      });
    },
  );
});
