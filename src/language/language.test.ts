import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { numberReader } from "./numbers.ts";
import { packFor } from "./packs.ts";
import { shippedPacks as packs } from "./shipped.ts";
import { longestUtterance, splitWords } from "./words.ts";

const texts = (text: string, language = "en"): string[] =>
  splitWords(text, packFor({ packs }, language) ?? { language }).map((word) => word.text);

describe("an utterance is split into words", () => {
  test.each<[string, string[]]>([
    ["Turn ON, the light!", ["turn", "on", "the", "light"]],
    ["sixty-five 60percent", ["sixty", "five", "60", "percent"]],
    ["21.5°C at 18:30", ["21.5", "°c", "at", "18:30"]],
    ["-5 or − 5 or a-b", ["-", "5", "or", "5", "or", "a", "b"]],
    ["“what’s on?”", ["what's", "on"]],
    ["lamp #1F75FE #12", ["lamp", "#1f75fe", "12"]],
    ["ｆｕｌｌ ｗｉｄｔｈ", ["full", "width"]],
    ["18½", ["18", "1⁄2"]],
    ["salt & pepper 🔥", ["salt", "&", "pepper", "🔥"]],
    ["so\u00adft li\u200bght", ["soft", "light"]],
    ["", []],
  ])("%s", (text, expected) => {
    expect(texts(text)).toEqual(expected);
  });

  test("by the rules of its language", () => {
    expect(texts("IŞIK", "tr")).toEqual(["ışık"]);
    expect(texts("Weiß", "de")).toEqual(["weiss"]);
    expect(texts("電気をつけて", "ja").length).toBeGreaterThan(1);
  });

  test("and each word keeps its place in the original text", () => {
    fc.assert(
      fc.property(fc.string({ unit: "grapheme" }), (text) => {
        let last = 0;
        for (const { text: word, start, end } of splitWords(text, { language: "en" })) {
          expect(start).toBeGreaterThanOrEqual(last);
          expect(end).toBeGreaterThan(start);
          expect(word).not.toBe("");
          last = end;
        }
        expect(last).toBeLessThanOrEqual(text.length);
      }),
    );
  });

  test("up to a stated number of words", () => {
    expect(splitWords("very ".repeat(100_000), { language: "en" })).toHaveLength(longestUtterance);
  });
});

/** The number that all of a text makes. */
function read(text: string, language: string): number | undefined {
  const pack = packFor({ packs }, language);
  if (!pack) throw new Error(`no pack for ${language}`);
  const words = texts(text, language);
  const found = numberReader(pack)(words, 0);
  return found.find(({ end }) => end === words.length)?.value;
}

describe("numbers are read as digits, in words and mixed", () => {
  test.each<[string, string, number | undefined]>([
    ["en", "twenty one point five", 21.5],
    ["en", "21.5", 21.5],
    ["en", "minus two", -2],
    ["en", "-2", -2],
    ["en", "eighteen and a half", 18.5],
    ["en", "18 and three quarters", 18.75],
    ["en", "18½", 18.5],
    ["en", "half", 0.5],
    ["en", "a hundred and five", 105],
    ["en", "one hundred five", 105],
    ["en", "two thousand and ten", 2010],
    ["en", "1,000", 1000],
    ["en", "three point one four", 3.14],
    ["en", "point", undefined],
    ["en", "12,34,5", undefined],
    ["de", "einundzwanzig Komma fünf", 21.5],
    ["de", "21,5", 21.5],
    ["de", "21.5", 21.5],
    ["de", "1.500", 1500],
    ["de", "zweieinhalb", 2.5],
    ["de", "anderthalb", 1.5],
    ["de", "minus zwölf", -12],
    ["de", "zweitausenddreihundert", 2300],
    ["de", "hundertfünf", 105],
  ])("%s: %s", (language, text, expected) => {
    expect(read(text, language)).toBe(expected);
  });

  test.each(packs.map((pack) => [pack.name, pack] as const))(
    "every whole number: %s",
    (_, pack) => {
      const reader = numberReader(pack);
      fc.assert(
        fc.property(fc.integer({ min: 0, max: 999_999 }), (value) => {
          const words = texts(pack.numbers.cardinal(value), pack.language);
          expect(reader(words, 0).filter(({ end }) => end === words.length)).toMatchObject([
            { value },
          ]);
        }),
        { numRuns: 1000 },
      );
    },
  );
});

const ofTheirOwn = ["moments", "adjectives"];
const ofSome = [
  "patterns",
  "states",
  "deeds",
  "links",
  "endings",
  "contractions",
  "possessives",
  "again",
  "enclitics",
  "inflections",
  "actions",
  "gerunds",
  "agreement",
  "diminutives",
  "stateVerbs",
  "imperatives",
  "requests",
  "minutes",
  "ofDay",
  "more",
  "floors",
  "prefixes",
  "suffixes",
];

test("every language pack has the same keys", () => {
  const keys = (value: unknown): unknown =>
    typeof value === "object" && value !== null && !Array.isArray(value)
      ? Object.fromEntries(
          // Which times and measures have words of their own is a matter of the language, and so are
          // the ways in which it joins words and what is peculiar to an intent.
          Object.entries(value)
            .filter(([key]) => !ofSome.includes(key))
            .map(([key, inner]) => [key, ofTheirOwn.includes(key) ? "" : keys(inner)]),
        )
      : typeof value;
  const [first, ...others] = packs;
  for (const pack of others) expect(keys(pack)).toEqual(keys(first));
});
