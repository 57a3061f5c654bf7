import { type WordRules, splitWords } from "../language/words.ts";
import type { Span } from "../source/position.ts";
import type { Option, Pattern } from "./tree.ts";

/** What is wrong with a pattern's text, and where in it. */
export interface PatternError {
  message: string;
  fix: string;
  /** UTF-16 offset in the pattern's text. */
  offset: number;
  /** The pattern as it is meant, where that is plain. */
  mended?: string;
}

export type Parsed = { ok: true; pattern: Pattern } | { ok: false; error: PatternError };

/** Deepest nesting of brackets that is read. */
const deepest = 60;
/** Longest pattern text that is read, in UTF-16 code units. */
const longest = 10_000;
/** Highest count that a repeat may have, so that its automaton stays small. */
const highestCount = 100;

export class Stop extends Error {
  readonly at: PatternError;
  constructor(offset: number, message: string, fix: string, mended?: string) {
    super(message);
    this.at = { message, fix, offset, ...(mended !== undefined && { mended }) };
  }
}

/**
 * Reads a pattern: a rule expansion in the ABNF form of SRGS 1.0 (section 2), in text only.
 * Semantic tags, language attachments and references to other grammars are told apart and refused.
 *
 * @param rules How its words are told apart.
 */
export function parsePattern(text: string, rules: WordRules): Parsed {
  try {
    if (text.length > longest) {
      throw new Stop(
        longest,
        `the pattern is longer than ${longest} characters`,
        "split it into several patterns, or move parts of it into fragments",
      );
    }
    const reader = { text, rules, at: 0, depth: 0, isGrammar: false };
    const pattern = readChoice(reader);
    if (reader.at < text.length) unexpected(reader);
    return { ok: true, pattern };
  } catch (error) {
    if (error instanceof Stop) return { ok: false, error: error.at };
    throw error;
  }
}

/** A text that is read from front to back. */
export interface Reader {
  readonly text: string;
  readonly rules: WordRules;
  at: number;
  depth: number;
  /** Within a whole grammar a rule ends with a semicolon, and tags and languages are passed over. */
  readonly isGrammar: boolean;
}

export function unexpected(reader: Reader): never {
  const character = reader.text.charAt(reader.at);
  const closing: Record<string, string> = { ")": "(", "]": "[", ">": "<" };
  const opening = closing[character];
  if (opening) {
    throw new Stop(
      reader.at,
      `"${character}" closes nothing`,
      `remove it, or write the "${opening}" that it belongs to`,
    );
  }
  throw new Stop(reader.at, `"${character}" cannot stand here`, `quote it: "${character}"`);
}

const slash = "/".charCodeAt(0);

/** White space, of which almost all is a blank. */
function isGap(code: number): boolean {
  if (code <= 32) return code === 32 || (code >= 9 && code <= 13);
  return code >= 160 && /\s/.test(String.fromCharCode(code));
}

export function skipGaps(reader: Reader): void {
  const { text } = reader;
  for (;;) {
    while (isGap(text.charCodeAt(reader.at))) reader.at++;
    if (text.charCodeAt(reader.at) !== slash && !reader.isGrammar) return;
    if (text.startsWith("//", reader.at)) {
      const end = text.indexOf("\n", reader.at);
      reader.at = end < 0 ? text.length : end;
    } else if (text.startsWith("/*", reader.at)) {
      const end = text.indexOf("*/", reader.at + 2);
      if (end < 0) {
        throw new Stop(reader.at, "a comment does not end", 'close it with "*/"');
      }
      reader.at = end + 2;
    } else if (!reader.isGrammar || !skipMarks(reader)) {
      return;
    }
  }
}

/** Semantic tags (section 2.6) and language attachments (section 2.7) of a grammar. */
function skipMarks(reader: Reader): boolean {
  const { text, at } = reader;
  const language = /!\s*[a-zA-Z]{2,8}(?:-[a-zA-Z0-9]{1,8})*/y;
  language.lastIndex = at;
  if (language.test(text)) {
    reader.at = language.lastIndex;
    return true;
  }
  if (text.charAt(at) !== "{") return false;
  const close = text.startsWith("{!{", at) ? "}!}" : "}";
  const end = text.indexOf(close, at);
  if (end < 0) throw new Stop(at, "a tag does not end", `close it with "${close}"`);
  reader.at = end + close.length;
  return true;
}

export function readChoice(reader: Reader): Pattern {
  skipGaps(reader);
  const start = reader.at;
  const options: Option[] = [];
  do {
    if (options.length > 0) reader.at++;
    skipGaps(reader);
    const weight = readWeight(reader);
    const pattern = readSequence(reader);
    options.push(weight === undefined ? { pattern } : { weight, pattern });
    skipGaps(reader);
  } while (reader.text.charAt(reader.at) === "|");
  const [only] = options;
  if (only && options.length === 1 && only.weight === undefined) return only.pattern;
  return { type: "choice", options, span: [start, reader.at] };
}

/** `/2/` before an alternative (section 2.4.1). */
function readWeight(reader: Reader): number | undefined {
  if (reader.text.charAt(reader.at) !== "/") return undefined;
  const start = reader.at;
  const weight = readSlashedNumber(reader, "a weight");
  if (!(weight > 0)) {
    throw new Stop(start, "a weight must be more than 0", "write /1/, or leave the weight out");
  }
  return weight;
}

function readSlashedNumber(reader: Reader, what: string): number {
  const start = reader.at;
  const end = reader.text.indexOf("/", start + 1);
  const inner = end < 0 ? "" : reader.text.slice(start + 1, end).trim();
  if (!/^\d*\.?\d+$|^\d+\.$/.test(inner)) {
    throw new Stop(
      start,
      `${what} is a number between slashes`,
      `write it as /2/, or quote the slash: "/"`,
    );
  }
  reader.at = end + 1;
  return Number(inner);
}

function readSequence(reader: Reader): Pattern {
  skipGaps(reader);
  const start = reader.at;
  const items: Pattern[] = [];
  for (;;) {
    skipGaps(reader);
    const item = readItem(reader);
    if (!item) break;
    items.push(readRepeats(reader, item));
  }
  if (items.length === 0) {
    throw new Stop(
      start,
      reader.text.trim() === "" ? "the pattern is empty" : "there is no word here",
      "write a word, or $NULL for saying nothing",
    );
  }
  const [only] = items;
  if (only && items.length === 1) return only;
  return { type: "sequence", items, span: [start, lastEnd(items, start)] };
}

function lastEnd(items: readonly Pattern[], start: number): number {
  return items.at(-1)?.span[1] ?? start;
}

function readItem(reader: Reader): Pattern | undefined {
  const start = reader.at;
  const character = reader.text.charAt(start);
  switch (character) {
    case "":
    case "|":
    case ")":
    case "]":
    case ">":
      return undefined;
    case "(":
      return readBracket(reader, ")", (item) => item);
    case "[":
      return readBracket(reader, "]", (item, span) => {
        return { type: "repeat", item, minimum: 0, maximum: 1, span };
      });
    case "$":
      return readReference(reader);
    case '"':
      return readQuoted(reader);
    case "<":
      throw new Stop(start, "a repeat has nothing to repeat", "write it after a word or a group");
    case "{":
      throw new Stop(
        start,
        "semantic tags have no place in a pattern",
        `write what the phrase does under "do", or quote the brace: "{"`,
      );
    case "!":
      throw new Stop(
        start,
        "a language cannot be attached to a part of a pattern",
        "write the pattern under that language: { en: […], de: […] }",
      );
    case "/":
      throw new Stop(
        start,
        "a weight stands at the front of an alternative",
        'write (/2/ one | two), or quote the slash: "/"',
      );
    case ";":
      return reader.isGrammar ? undefined : unexpected(reader);
    case "*":
    case "+":
    case "=":
      return unexpected(reader);
    default:
      return readWord(reader);
  }
}

/** A pattern with its last bracket closed at its end, where that alone can be meant: one word, or alternatives. */
function closed({ text, isGrammar }: Reader, start: number, close: string): string | undefined {
  const rest = text.slice(start + 1).trim();
  const isPlain = !isGrammar && !/[()[\]<>]/u.test(text.slice(0, start) + rest);
  return isPlain && (/^[^\s|]+$/u.test(rest) || /[^|\s]\s*\|\s*[^|\s]/u.test(rest))
    ? text.trimEnd() + close
    : undefined;
}

function readBracket(
  reader: Reader,
  close: ")" | "]",
  make: (item: Pattern, span: Span) => Pattern,
): Pattern {
  const start = reader.at;
  if (++reader.depth > deepest) {
    throw new Stop(
      start,
      `brackets are nested more than ${deepest} deep`,
      "write alternatives side by side, or move parts into fragments",
    );
  }
  reader.at++;
  const item = readChoice(reader);
  if (reader.text.charAt(reader.at) !== close) {
    const isCut = reader.isGrammar && reader.text.charAt(reader.at) === ";";
    if (reader.at < reader.text.length && !isCut) unexpected(reader);
    const open = reader.text.charAt(start);
    const fix = `write the missing "${close}"`;
    throw new Stop(start, `"${open}" is not closed`, fix, closed(reader, start, close));
  }
  reader.at++;
  reader.depth--;
  return make(item, [start, reader.at]);
}

const nameCharacter = /[\p{L}\p{M}\p{N}_-]/u;

function readReference(reader: Reader): Pattern {
  const { text } = reader;
  const start = reader.at;
  let end = start + 1;
  if (text.charAt(end) === "<") {
    throw new Stop(
      start,
      "a pattern cannot refer to another grammar",
      "copy the rule into fragments and write $name",
    );
  }
  while (end < text.length && nameCharacter.test(text.charAt(end))) end++;
  const name = text.slice(start + 1, end);
  if (name === "") {
    throw new Stop(start, '"$" has no name after it', 'write $name, or quote it: "$"');
  }
  reader.at = end;
  const span: Span = [start, end];
  if (name === "NULL") return { type: "nothing", span };
  if (name === "VOID") return { type: "void", span };
  if (name === "GARBAGE") return { type: "garbage", span };
  return { type: "reference", name, span };
}

function readQuoted(reader: Reader): Pattern {
  const start = reader.at;
  const end = reader.text.indexOf('"', start + 1);
  if (end < 0) throw new Stop(start, "a quoted token does not end", "write the closing quote");
  reader.at = end + 1;
  return tokens(reader, reader.text.slice(start + 1, end), [start, end + 1]);
}

/** What ends a word, or may: a slash is part of one where it begins no comment. */
const special = /[\s|()[\]<>$"{}!;=*+/]/g;

function readWord(reader: Reader): Pattern {
  const { text, at: start } = reader;
  reader.at = endOfWord(text, start);
  return tokens(reader, text.slice(start, reader.at), [start, reader.at]);
}

function endOfWord(text: string, start: number): number {
  special.lastIndex = start;
  for (;;) {
    const found = special.exec(text);
    if (!found) return text.length;
    if (found[0] !== "/" || isComment(text, found.index)) return found.index;
  }
}

function isComment(text: string, at: number): boolean {
  return text.startsWith("//", at) || text.startsWith("/*", at);
}

function tokens(reader: Reader, text: string, span: Span): Pattern {
  const words = splitWords(text, reader.rules).map((word) => word.text);
  if (words.length === 0) {
    throw new Stop(span[0], `"${text}" is never heard as a word`, "leave it out: nobody says it");
  }
  return { type: "words", words, said: text, span };
}

/** `<2>`, `<0-3>`, `<1->`, with an optional probability (section 2.5). */
function readRepeats(reader: Reader, item: Pattern): Pattern {
  let repeated = item;
  for (;;) {
    skipGaps(reader);
    if (reader.text.charAt(reader.at) !== "<") return repeated;
    repeated = readRepeat(reader, repeated);
  }
}

function readRepeat(reader: Reader, item: Pattern): Pattern {
  const start = reader.at;
  const match = /<\s*(\d+)\s*(-)?\s*(\d+)?\s*/y;
  match.lastIndex = start;
  const found = match.exec(reader.text);
  if (!found) {
    throw new Stop(start, "a repeat is written with counts", "write <2>, <0-3> or <1->");
  }
  reader.at = match.lastIndex;
  const probability =
    reader.text.charAt(reader.at) === "/" ? readSlashedNumber(reader, "a probability") : undefined;
  while (reader.text.charAt(reader.at) === " ") reader.at++;
  if (reader.text.charAt(reader.at) !== ">") {
    throw new Stop(start, "a repeat is not closed", 'write the missing ">"');
  }
  reader.at++;
  if (probability !== undefined && probability > 1) {
    throw new Stop(start, "a probability is at most 1", "write a number from 0 to 1");
  }
  const minimum = Number(found[1]);
  const maximum = found[3] ? Number(found[3]) : found[2] ? Infinity : minimum;
  if (maximum < minimum) {
    throw new Stop(start, "the counts of a repeat go backwards", `write <${maximum}-${minimum}>`);
  }
  if (minimum > highestCount || (maximum > highestCount && maximum !== Infinity)) {
    throw new Stop(
      start,
      `a repeat counts to ${highestCount} at most`,
      `write <${Math.min(minimum, highestCount)}->`,
    );
  }
  const span: Span = [item.span[0], reader.at];
  const repeat: Pattern = { type: "repeat", item, minimum, maximum, span };
  return probability === undefined ? repeat : { ...repeat, probability };
}
