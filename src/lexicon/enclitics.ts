import { monthNames, weekdayNames } from "../language/calendar.ts";
import type { LanguagePack } from "../language/pack.ts";
import { type Word, splitWords } from "../language/words.ts";
import { type Lexicon, unheardOf } from "./lexicon.ts";

/** Shortest verb that a pronoun is written onto. */
const shortest = 2;

/** The words that are known, and which of them are verbs by their numbers. */
interface Verbs {
  lexicon: Lexicon;
  isVerb: (word: number) => boolean;
}

/**
 * The words of a text, where a pronoun that is written as the end of a verb is a word of its own:
 * "enciéndela" is "enciende la", and "metterla" is "mettere la". So is what ends a name in "the lamp's".
 */
export function spokenWords(text: string, pack: LanguagePack, { lexicon, isVerb }: Verbs): Word[] {
  const words = splitWords(text, pack);
  const { enclitics = [], endings = [] } = pack;
  if (enclitics.length === 0 && endings.length === 0) return words;
  const number = lexicon.find;
  const isKnown = (word: string): boolean => number(word) !== unheardOf || isOfDays(pack, word);
  return words.flatMap((word) => {
    if (isKnown(word.text)) return word;
    return (
      parted(word, enclitics, (verb) => isVerb(number(verb))) ??
      parted(word, endings, isKnown) ??
      word
    );
  });
}

/** Names of days and months by language: "aprile" is not "apri" and "le". */
const days = new Map<string, ReadonlySet<string>>();

function isOfDays({ language }: LanguagePack, word: string): boolean {
  let known = days.get(language);
  if (!known) {
    const names = [...monthNames(language), ...weekdayNames(language)];
    days.set(language, (known = new Set(names.map((name) => name.toLocaleLowerCase(language)))));
  }
  return known.has(word);
}

/** A word as another and its ending. */
function parted(
  word: Word,
  endings: readonly string[],
  isWord: (stem: string) => boolean,
): Word[] | undefined {
  for (const ending of endings) {
    const length = word.text.length - ending.length;
    if (length < shortest || !word.text.endsWith(ending)) continue;
    const stem = word.text.slice(0, length);
    // A verb takes an accent with a pronoun, or loses its last vowel.
    const whole = [stem, unaccented(stem), `${stem}e`].find(isWord);
    if (whole === undefined) continue;
    const at = word.end - ending.length;
    return [
      { text: whole, start: word.start, end: at },
      { text: ending, start: at, end: word.end },
    ];
  }
  return undefined;
}

/** Without acute accents: U+0301 of the decomposed form (UAX #15). */
function unaccented(text: string): string {
  return text
    .normalize("NFD")
    .replace(/\u0301/gu, "")
    .normalize("NFC");
}
