import XMLBuilder from "fast-xml-builder";
import { SaxesParser } from "saxes";
import { type Book, asBook } from "../book/book.ts";
import { homeLanguage } from "../hearing/hear.ts";
import { aloud } from "../language/aloud.ts";
import { packOf } from "../language/packs.ts";
import { namesIn } from "../mishearing/alike.ts";
import { soundsIn } from "../mishearing/sounds-in.ts";
import type { Grammar } from "../pattern/grammar.ts";
import { wordsIn } from "../pattern/references.ts";
import { isObject, membersOf, textOf, textsGiven } from "../source/border.ts";
import { printIpa, readIpa } from "../sounds/phones.ts";
import type { Dictionary } from "../sounds/pronounce.ts";
import { madeOf } from "../source/wrong-use.ts";

/** The XML namespace of PLS 1.0 (section 4.1). */
const namespace = "http://www.w3.org/2005/01/pronunciation-lexicon";

/** How words sound, in one language. */
export interface PronunciationLexicon {
  /** BCP 47 tag. */
  language: string;
  lexemes: readonly Lexeme[];
}

export interface Lexeme {
  word: string;
  /** In IPA, the usual way first. */
  pronunciations: readonly string[];
}

/** Writes how words sound as a W3C Pronunciation Lexicon (PLS 1.0). */
export function printPls(lexicon: PronunciationLexicon): string {
  return madeOf("lexicon", () => {
    const { language, lexemes } = lexicon;
    const builder = new XMLBuilder({
      preserveOrder: true,
      ignoreAttributes: false,
      attributeNamePrefix: "",
      format: true,
    });
    const element = (name: string, children: unknown[], attributes = {}): object => ({
      [name]: children,
      ...(Object.keys(attributes).length > 0 ? { ":@": attributes } : {}),
    });
    const text = (content: string): object => ({ "#text": content });
    const body = lexemes.map(({ word, pronunciations }) =>
      element("lexeme", [
        element("grapheme", [text(word)]),
        ...pronunciations.map((ipa) => element("phoneme", [text(ipa)])),
      ]),
    );
    const whole = element("lexicon", body, {
      version: "1.0",
      xmlns: namespace,
      alphabet: "ipa",
      "xml:lang": language,
    });
    return `<?xml version="1.0" encoding="UTF-8"?>\n${builder.build([whole])}\n`;
  });
}

export type PlsRead =
  | {
      ok: true;
      lexicon: PronunciationLexicon;
      /** Pronunciations that are left out, each with why. */
      skipped: readonly { word: string; reason: string }[];
    }
  | { ok: false; error: { message: string; fix: string; line?: number } };

/**
 * Reads a W3C Pronunciation Lexicon (PLS 1.0): graphemes with their phonemes in IPA, or with the words that
 * they are said like (`alias`).
 */
export function readPls(given: string): PlsRead {
  const source = textOf(given) ?? "";
  const lexemes: Lexeme[] = [];
  const skipped: { word: string; reason: string }[] = [];
  let language = "en";
  let alphabet = "ipa";
  const lexicons: string[] = [];
  let words: string[] = [];
  let ways: string[] = [];
  let content = "";
  const problems: { message: string; line: number }[] = [];
  const parser = new SaxesParser();
  parser.on("error", (error) => {
    const message = `this is no XML: ${error.message.replace(/^\d+:\d+:\s*/u, "")}`;
    problems.push({ message, line: parser.line });
  });
  parser.on("opentag", ({ name, attributes }) => {
    const local = name.replace(/^.*:/u, "");
    content = "";
    if (local === "lexicon") {
      language = attributes["xml:lang"] ?? language;
      lexicons.push(language);
      alphabet = attributes["alphabet"] ?? alphabet;
    }
    if (local === "lexeme") [words, ways] = [[], []];
  });
  parser.on("text", (text) => (content += text));
  parser.on("closetag", ({ name }) => {
    const local = name.replace(/^.*:/u, "");
    const text = content.trim();
    content = "";
    if (local === "grapheme") words.push(text);
    if (local === "alias") ways.push(text);
    if (local === "phoneme") {
      const read = alphabet === "ipa" ? readIpa(text) : undefined;
      if (read?.ok) ways.push(`/${text}/`);
      else {
        const reason = read
          ? `"${read.symbol}" is no sound of the IPA`
          : `the alphabet "${alphabet}" is not read`;
        for (const word of words) skipped.push({ word, reason });
      }
    }
    if (local !== "lexeme") return;
    for (const word of words) {
      if (/\s/u.test(word)) skipped.push({ word, reason: "it is more than one word" });
      else if (ways.length > 0) lexemes.push({ word, pronunciations: ways });
    }
  });
  parser.write(source).close();
  const [problem] = problems;
  if (problem) return { ok: false, error: { fix: "close what is open", ...problem } };
  if (lexicons.length === 0) {
    const error = { message: "there is no lexicon element", fix: "pass a lexicon of PLS 1.0" };
    return { ok: false, error };
  }
  return { ok: true, lexicon: { language, lexemes }, skipped };
}

/** A lexicon as a phrasebook has it: `pronunciations: { raku: { en: "/ˈrɑːkuː/" } }`. */
export function pronunciationsFrom(
  lexicon: PronunciationLexicon,
): Record<string, Record<string, string[]>> {
  return madeOf("lexicon", () => writtenOf(lexicon));
}

function writtenOf({
  language,
  lexemes,
}: PronunciationLexicon): Record<string, Record<string, string[]>> {
  const found: Record<string, Record<string, string[]>> = {};
  for (const { word, pronunciations } of lexemes) {
    const key = word.toLowerCase();
    const before = Object.hasOwn(found, key) ? found[key]?.[language] : undefined;
    found[key] = { [language]: [...(before ?? []), ...pronunciations] };
  }
  return found;
}

/**
 * How words sound in one language of a home.
 *
 * @param words Those of all its names when left out.
 */
export function lexiconOf(
  of: Book,
  tag?: string,
  dictionary?: Dictionary,
  words?: readonly string[],
): PronunciationLexicon {
  const book = asBook(of);
  const language = homeLanguage(book, textOf(tag));
  const pack = packOf(book, language);
  const known = isObject(dictionary) ? dictionary : undefined;
  const { waysOf } = soundsIn(book, language, known);
  const said = new Set(
    textsGiven(words) ?? namesIn(book, language).flatMap(({ text }) => aloud(text, pack)),
  );
  const lexemes = [...said].sort().map((word): Lexeme => {
    return { word, pronunciations: waysOf(word).map(printIpa) };
  });
  return { language, lexemes };
}

/**
 * The words of a grammar that neither the phrasebook nor a dictionary tells the sound of: a recogniser has to
 * be told of them.
 */
export function unpronounced(of: Book, grammar: Grammar, dictionary: Dictionary): string[] {
  const book = asBook(of);
  return madeOf("grammar", () => missingWords(book, grammar, membersOf(dictionary)));
}

function missingWords(book: Book, grammar: Grammar, dictionary: Dictionary): string[] {
  const told = new Set(
    book.pronunciations.flatMap(({ word, language }) =>
      language === grammar.language ? word : [],
    ),
  );
  const found = new Set<string>();
  for (const { pattern } of grammar.rules.values()) {
    for (const word of wordsIn(pattern)) {
      if (!told.has(word) && !Object.hasOwn(dictionary, word)) found.add(word);
    }
  }
  return [...found].sort();
}
