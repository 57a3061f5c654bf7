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
import {
  type Element,
  Wrong,
  contentOf,
  element,
  elementsOf,
  printXml,
  readXml,
  text,
} from "./xml.ts";

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
  /** As a phrasebook has them, the usual way first: IPA between slashes, or words that it is said like. */
  pronunciations: readonly string[];
}

/** Writes how words sound as a W3C Pronunciation Lexicon (PLS 1.0). */
export function printPls(lexicon: PronunciationLexicon): string {
  return madeOf("lexicon", () => {
    const { language, lexemes } = lexicon;
    const body = lexemes.map(({ word, pronunciations }) =>
      element("lexeme", [
        element("grapheme", [text(word)]),
        ...pronunciations.map((said) => {
          const ipa = /^\/(.*)\/$/u.exec(said)?.[1];
          return ipa === undefined
            ? element("alias", [text(said)])
            : element("phoneme", [text(ipa)]);
        }),
      ]),
    );
    const attributes = {
      version: "1.0",
      xmlns: namespace,
      alphabet: "ipa",
      "xml:lang": language,
    };
    return printXml(element("lexicon", body, attributes));
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
export function readPls(source: string): PlsRead {
  const read = readXml(textOf(source) ?? "", readLexicon);
  return read.ok ? { ok: true, ...read.value } : read;
}

function readLexicon(document: Element): Omit<PlsRead & { ok: true }, "ok"> {
  const top = elementsOf(document).find(({ name }) => name === "lexicon");
  if (!top) throw new Wrong("there is no lexicon element", "pass a lexicon of PLS 1.0");
  const { "xml:lang": language = "en", alphabet: usual = "ipa" } = top.attributes;
  const lexemes: Lexeme[] = [];
  const skipped: { word: string; reason: string }[] = [];
  for (const lexeme of elementsOf(top).filter(({ name }) => name === "lexeme")) {
    const parts = elementsOf(lexeme);
    const words = parts.filter(({ name }) => name === "grapheme").map(trimmed);
    const pronunciations: string[] = [];
    for (const part of preferredFirst(parts)) {
      if (part.name === "alias") pronunciations.push(trimmed(part));
      if (part.name !== "phoneme") continue;
      const reason = whyUnread(part, usual);
      if (reason === undefined) pronunciations.push(`/${trimmed(part)}/`);
      else skipped.push(...words.map((word) => ({ word, reason })));
    }
    for (const word of words) {
      if (/\s/u.test(word)) skipped.push({ word, reason: "it is more than one word" });
      else if (pronunciations.length > 0) lexemes.push({ word, pronunciations });
    }
  }
  return { lexicon: { language, lexemes }, skipped };
}

/** PLS 1.0, section 4.9.3: of several ways to say a word, the first that is preferred is said. */
function preferredFirst(parts: readonly Element[]): Element[] {
  const preferred = parts.find(({ attributes }) => attributes["prefer"] === "true");
  return preferred ? [preferred, ...parts.filter((part) => part !== preferred)] : [...parts];
}

function trimmed(part: Element): string {
  return contentOf(part).trim();
}

/** Why the sounds of a phoneme element cannot be read; its alphabet is the lexicon's unless it tells its own. */
function whyUnread(phoneme: Element, usual: string): string | undefined {
  const { alphabet = usual } = phoneme.attributes;
  if (alphabet !== "ipa") return `the alphabet "${alphabet}" is not read`;
  const read = readIpa(trimmed(phoneme));
  return read.ok ? undefined : `"${read.symbol}" is no sound of the IPA`;
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
    return { word, pronunciations: waysOf(word).map((way) => `/${printIpa(way)}/`) };
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
