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
 * The words of a text again, where a pronoun that is written as the end of a verb is a word of its own:
 * "enciéndela" is "enciende la", and "metterla" is "mettere la". So is what ends a name in "the lamp's".
 */
export function spokenWords(
  words: readonly Word[],
  pack: LanguagePack,
  { lexicon, isVerb }: Verbs,
): readonly Word[] {
  const { enclitics = [], endings = [] } = pack;
  const isLong = ({ text }: Word): boolean =>
    enclitics.some((each) => text.endsWith(each)) || endings.some((each) => text.endsWith(each));
  if (!words.some(isLong)) return words;
  const number = lexicon.find;
  const isKnown = (word: string): boolean => number(word) !== unheardOf || isOfTime(pack, word);
  return words.flatMap((word) => {
    if (!isLong(word) || isKnown(word.text)) return word;
    return (
      parted(word, enclitics, (verb) => isVerb(number(verb))) ??
      parted(word, endings, isKnown) ??
      word
    );
  });
}

/** Words for times, by language: "aprile" is not "apri" and "le". */
const timeWords = new WeakMap<LanguagePack, ReadonlySet<string>>();

function isOfTime(pack: LanguagePack, word: string): boolean {
  let known = timeWords.get(pack);
  if (!known) {
    const { language } = pack;
    const said = [...textsIn(pack.times), ...monthNames(language), ...weekdayNames(language)];
    const words = said.flatMap((text) => splitWords(text.replaceAll(/\$\p{L}+/gu, " "), pack));
    timeWords.set(pack, (known = new Set(words.map(({ text }) => text))));
  }
  return known.has(word);
}

/** Every text within a value. */
function textsIn(value: unknown): string[] {
  if (typeof value === "string") return [value];
  return typeof value === "object" && value !== null ? Object.values(value).flatMap(textsIn) : [];
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
