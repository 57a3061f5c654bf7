import { join } from "node:path";
import { beforeAll, describe, expect, test } from "vitest";
import { type Book, type SuiteResults, readSuites, runSuites } from "../src/index.ts";
import { shippedPacks as packs } from "../src/language/shipped.ts";
import { spokenSunEvents } from "../src/language/times.ts";
import { words } from "../src/pattern/build.ts";
import { phrases } from "../src/pattern/phrases.ts";
import { parsePattern } from "../src/pattern/parse.ts";
import { openPhrasebook } from "../src/node/open.ts";

let book: Book;
let results: SuiteResults;
beforeAll(async () => {
  const opened = await openPhrasebook(join(import.meta.dirname, "languages"));
  book = opened.book;
  results = runSuites(book, readSuites(book, opened.suiteSources));
});

test("a home can speak every language at once without a finding", () => {
  expect(book.problems).toEqual([]);
  expect(results.problems).toEqual([]);
});

test.each(packs.map((pack) => [pack.name, pack] as const))(
  "every pattern of the language can be read: %s",
  (_, { language, frames, vocabulary, wishes, courtesies, times }) => {
    const { clock, morning, afternoon, night, weekday, date, when, sun } = times;
    const patterns = [
      ...Object.values(vocabulary).flatMap(({ patterns = [], states = [], deeds = [] }) => [
        ...patterns,
        ...states,
        ...deeds,
      ]),
      ...(wishes?.frames ?? []),
      ...Object.values(wishes?.wishes ?? {}).flatMap(({ complaints, patterns = [] }) => [
        ...complaints,
        ...patterns,
      ]),
      ...frames.state,
      ...frames.deed,
      ...Object.values(frames.sorts)
        .flatMap((forms) => Object.values(forms))
        .flatMap(({ states, commands }) => [...states, ...commands]),
      ...Object.values(courtesies).flat(),
      ...clock.flatMap((form) => form.said),
      ...[morning, afternoon, night, weekday, date].flat(),
      ...Object.values(when).flat(),
      ...spokenSunEvents.flatMap((event) => {
        const { at = [], until = [], before = [], after = [] } = sun?.[event] ?? {};
        return [...at, ...until, ...before, ...after];
      }),
    ];
    const broken = patterns.filter((pattern) => !parsePattern(pattern, { language }).ok);
    expect(broken).toEqual([]);
  },
);

test.each(packs.map((pack) => [pack.name, pack] as const))(
  "every time of the clock is told by an hour, so that it comes to one: %s",
  (_, pack) => {
    const without = pack.times.clock
      .flatMap(({ said }) => said)
      .flatMap((text) => {
        const parsed = parsePattern(text, pack);
        return parsed.ok ? [...phrases(parsed.pattern, (name) => words(`$${name}`))] : [[text]];
      })
      .filter(
        (said) => !["$hour", "$face", "$clock", "$dotted"].some((part) => said.includes(part)),
      );
    expect(without).toEqual([]);
  },
);

describe("the same commands, and every frame, come to the same effects", () => {
  test.each(packs.map(({ name, language }) => [name, language] as const))("%s", (_, language) => {
    const cases = results.suites
      .flatMap((suite) => suite.cases)
      .filter((each) => each.language.startsWith(language));
    expect(cases.length).toBeGreaterThanOrEqual(170);
    expect(cases.filter(({ passed }) => !passed).map(({ phrase }) => phrase)).toEqual([]);
  });
});
