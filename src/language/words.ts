/** One word of an utterance, as compared (`text`) and where it stands in the original text. */
export interface Word {
  text: string;
  /** UTF-16 offset of its first code unit in the original text. */
  start: number;
  /** UTF-16 offset after its last code unit. */
  end: number;
}

/** What decides on where words begin and end, and how they are compared. */
export interface WordRules {
  /** BCP 47 tag; decides lower case and where unspaced scripts are cut. */
  language: string;
  /** Words that lose their vowel before another, without the apostrophe: `l` for "l'atelier". */
  elisions?: readonly string[];
}

/**
 * Words beyond this many are not read. Nobody says more in one breath, and it bounds the cost of
 * any input.
 */
export const longestUtterance = 200;

const letter = /[\p{L}\p{M}]/u;
const digit = /\p{Nd}/u;
const fraction = /\p{No}/u;
const format = /\p{Cf}/u;
const symbol = /\p{S}/u;
const unspaced =
  /[\p{Script=Han}\p{Script=Hiragana}\p{Script=Katakana}\p{Script=Thai}\p{Script=Lao}\p{Script=Khmer}\p{Script=Myanmar}]/u;
const hexColour = /#(?:[0-9a-f]{6}|[0-9a-f]{3})(?![0-9a-z])/iy;

type Sort = "letter" | "digit" | "fraction" | "joiner" | "symbol" | "gap";

function sortOf(character: string): Sort {
  const code = character.charCodeAt(0);
  if (code < 128) {
    if ((code >= 97 && code <= 122) || (code >= 65 && code <= 90)) return "letter";
    if (code >= 48 && code <= 57) return "digit";
    if (character === "'") return "joiner";
    return character === "%" || character === "&" ? "symbol" : "gap";
  }
  if (character === "’" || format.test(character)) return "joiner";
  if (character === "−") return "gap";
  if (letter.test(character)) return "letter";
  if (digit.test(character)) return "digit";
  if (fraction.test(character)) return "fraction";
  return symbol.test(character) ? "symbol" : "gap";
}

/** The whole character at an offset, of two code units where it has so many. */
function characterAt(text: string, at: number): string {
  const first = text.charCodeAt(at);
  return first < 0xd800 ? text.charAt(at) : String.fromCodePoint(text.codePointAt(at) ?? 0);
}

/**
 * The form of a word that comparisons use: Unicode NFKC (UAX #15), lower case by the language's
 * rules, invisible characters removed, typographic apostrophes and ß in their plain forms.
 */
function fold(text: string, language: string): string {
  const plain = text.normalize("NFKC").toLocaleLowerCase(language);
  return plain
    .replace(/\p{Cf}/gu, "")
    .replaceAll("’", "'")
    .replaceAll("ß", "ss");
}

function isAscii(text: string): boolean {
  for (let i = 0; i < text.length; i++) if (text.charCodeAt(i) > 127) return false;
  return true;
}

/** Languages whose lower case differs from the default one for ASCII letters (Unicode SpecialCasing). */
const ownLowerCase = /^(?:tr|az|lt)(?:-|$)/;

/** One word as it is compared already. */
const plainWord = /^[a-z]+$/;

/**
 * Splits a text into words, a word that lost its vowel apart from the next. Punctuation separates;
 * letters and digits part from each other when the digits come first (`60percent`), so that a number
 * is always a word; `%`, `°c`, a sign before a number and `#rrggbb` are words of their own; scripts
 * written without spaces are cut by `Intl.Segmenter`.
 */
export function splitWords(text: string, { language, elisions = [] }: WordRules): Word[] {
  if (plainWord.test(text)) return [{ text, start: 0, end: text.length }];
  const found: Word[] = [];
  const ownCase = ownLowerCase.test(language);

  const add = (start: number, end: number): void => {
    const slice = text.slice(start, end);
    const folded = !ownCase && isAscii(slice) ? slice.toLowerCase() : fold(slice, language);
    if (folded !== "") found.push({ text: folded, start, end });
  };

  let at = 0;
  while (at < text.length && found.length < longestUtterance) {
    const character = characterAt(text, at);
    const sort = sortOf(character);
    const start = at;
    at += character.length;
    if (sort === "letter") {
      // "21h15".
      const isAfterDigit = start > 0 && sortOf(text.charAt(start - 1)) === "digit";
      at = endOfLetters(text, at, isAfterDigit);
      const run = text.slice(start, at);
      const hasMark = run.includes("'") || run.includes("’");
      const cut = hasMark && elisions.length > 0 ? run.search(/['’]/u) : -1;
      if (cut > 0 && elisions.includes(fold(run.slice(0, cut), language))) {
        add(start, start + cut);
        at = start + cut + 1;
        continue;
      }
      if (!isAscii(run) && unspaced.test(run)) {
        const segmenter = new Intl.Segmenter(language, { granularity: "word" });
        for (const part of segmenter.segment(run)) {
          add(start + part.index, start + part.index + part.segment.length);
        }
      } else {
        add(start, at);
      }
    } else if (sort === "digit") {
      at = endOfDigits(text, at);
      add(start, at);
    } else if (sort === "fraction") {
      add(start, at);
    } else if (sort === "symbol") {
      if (character === "°" && /[cf]/i.test(text.charAt(at)) && !startsWord(text, at + 1)) at++;
      add(start, at);
    } else if (character === "#") {
      hexColour.lastIndex = start;
      const match = hexColour.exec(text);
      if (match) {
        at = start + match[0].length;
        add(start, at);
      }
    } else if (isSign(text, start, character)) {
      found.push({ text: character === "+" ? "+" : "-", start, end: at });
    }
  }
  return found;
}

/** A minus or plus sign counts only at the front of a number: `thirty-five` and `a - b` have none. */
function isSign(text: string, at: number, character: string): boolean {
  if (character !== "-" && character !== "−" && character !== "+") return false;
  const before = at === 0 ? " " : text.charAt(at - 1);
  return before.trim() === "" && sortOf(text.charAt(at + 1) || " ") === "digit";
}

function startsWord(text: string, at: number): boolean {
  return at < text.length && ["letter", "digit"].includes(sortOf(text.charAt(at)));
}

/** Letters with digits among them, unless they stand right after digits. */
function endOfLetters(text: string, from: number, isAfterDigit: boolean): number {
  let at = from;
  let end = from;
  while (at < text.length) {
    const character = characterAt(text, at);
    const sort = sortOf(character);
    if (sort !== "letter" && sort !== "joiner" && (sort !== "digit" || isAfterDigit)) break;
    at += character.length;
    // A quotation mark after a word is not part of it.
    if (sort !== "joiner" || format.test(character)) end = at;
  }
  return end;
}

/** Digits with separators between digits: `18.5`, `21,5`, `1,000`, `18:30`. */
function endOfDigits(text: string, from: number): number {
  let at = from;
  while (at < text.length) {
    const character = text.charAt(at);
    if (sortOf(character) === "digit") at++;
    else if (".,:".includes(character) && sortOf(text.charAt(at + 1) || " ") === "digit") at += 2;
    else break;
  }
  return at;
}

/** The words of patterns, as compared, without the names of their slots. */
export function wordsOf(patterns: readonly string[], rules: WordRules): string[] {
  return patterns.flatMap((text) =>
    splitWords(text.replaceAll(/\$\p{L}+/gu, " "), rules).map((word) => word.text),
  );
}

/** The words that texts begin with. */
export function firstWordsOf(texts: readonly string[], rules: WordRules): ReadonlySet<string> {
  return new Set(texts.flatMap((text) => splitWords(text, rules)[0]?.text ?? []));
}
