import fc from "fast-check";
import { expect, test } from "vitest";
import { dictionary } from "cmu-pronouncing-dictionary";
import { readPhrasebook } from "../book/read.ts";
import { lexiconOf, printPls, pronunciationsFrom, readPls } from "./lexicon.ts";

const read = (inner: string, attributes = 'xml:lang="en" alphabet="ipa"') => {
  const space = 'xmlns="http://www.w3.org/2005/01/pronunciation-lexicon"';
  return readPls(`<lexicon version="1.0" ${space} ${attributes}>${inner}</lexicon>`);
};

test("a word has every way to say it, the preferred one first", () => {
  const told = read(`<lexeme><grapheme>lehr</grapheme><grapheme>Lehr</grapheme>
    <phoneme>lɛɹ</phoneme><phoneme prefer="true">lɪɹ</phoneme><alias>leer</alias></lexeme>`);
  expect(told).toEqual({
    ok: true,
    lexicon: {
      language: "en",
      lexemes: [
        { word: "lehr", pronunciations: ["/lɪɹ/", "/lɛɹ/", "leer"] },
        { word: "Lehr", pronunciations: ["/lɪɹ/", "/lɛɹ/", "leer"] },
      ],
    },
    skipped: [],
  });
});

test("is written as it was read", () => {
  const told = read(
    `<lexeme><grapheme>lehr</grapheme><phoneme>lɪɹ</phoneme><alias>leer</alias></lexeme>`,
  );
  if (!told.ok) throw new Error(told.error.message);
  expect(readPls(printPls(told.lexicon))).toEqual(told);
});

test("a prefix of its namespace changes nothing", () => {
  const told = readPls(
    `<p:lexicon xmlns:p="http://www.w3.org/2005/01/pronunciation-lexicon" version="1.0" xml:lang="de">
      <p:lexeme><p:grapheme>Ton</p:grapheme><p:phoneme>toːn</p:phoneme></p:lexeme></p:lexicon>`,
  );
  expect(told).toMatchObject({
    lexicon: { language: "de", lexemes: [{ word: "Ton", pronunciations: ["/toːn/"] }] },
  });
});

test.each([
  [
    "another alphabet",
    '<lexeme><grapheme>glaze</grapheme><phoneme alphabet="x-sampa">gleIz</phoneme></lexeme>',
    { word: "glaze", reason: 'the alphabet "x-sampa" is not read' },
  ],
  [
    "what is no sound",
    "<lexeme><grapheme>glaze</grapheme><phoneme>gl8z</phoneme></lexeme>",
    { word: "glaze", reason: '"8" is no sound of the IPA' },
  ],
  [
    "more than a word",
    "<lexeme><grapheme>oxbow kiln</grapheme><alias>kiln</alias></lexeme>",
    { word: "oxbow kiln", reason: "it is more than one word" },
  ],
])("%s is left out, and told", (_, inner, skipped) => {
  expect(read(inner)).toMatchObject({ ok: true, lexicon: { lexemes: [] }, skipped: [skipped] });
});

test.each([
  ["", "this is no XML: document must contain a root element."],
  ["<lexicon>", "this is no XML: unclosed tag: lexicon"],
  ["<grammar/>", "there is no lexicon element"],
])("what is no lexicon is told: %s", (source, message) => {
  expect(readPls(source)).toMatchObject({ ok: false, error: { message } });
});

test("whatever a home calls its things is pronounced the same when it is written and read again", () => {
  const word = fc.constantFrom("kiln", "raku", "glost", "lehr", "wheel", "o'clock", "slip");
  const names = fc.uniqueArray(fc.tuple(word, word), { minLength: 1, maxLength: 4 });
  fc.assert(
    fc.property(names, (pairs) => {
      const devices = pairs.map(
        ([one, other], index) =>
          `  d${index}: { kind: light, name: ${JSON.stringify(`${one} ${other}`)} }`,
      );
      const book = readPhrasebook([{ path: "a.yaml", text: `devices:\n${devices.join("\n")}\n` }]);
      const lexicon = lexiconOf(book, "en", dictionary);
      expect(lexicon.lexemes.length).toBeGreaterThan(0);
      const again = readPls(printPls(lexicon));
      expect(again).toEqual({ ok: true, lexicon, skipped: [] });
      // What the phrasebook is then told goes before the dictionary, and says the same.
      const pronunciations = pronunciationsFrom(lexicon);
      const told = readPhrasebook([
        { path: "a.yaml", text: `devices:\n${devices.join("\n")}\n` },
        { path: "b.yaml", text: JSON.stringify({ pronunciations }) },
      ]);
      expect(told.problems).toEqual([]);
      expect(lexiconOf(told, "en")).toEqual(lexicon);
    }),
    { numRuns: 25 },
  );
});
