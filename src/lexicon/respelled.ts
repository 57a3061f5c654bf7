import { plainForms, withoutAccents } from "../language/accents.ts";
import { monthNames, weekdayNames } from "../language/calendar.ts";
import { numberReader } from "../language/numbers.ts";
import type { LanguagePack } from "../language/pack.ts";
import { type Word, splitWords } from "../language/words.ts";
import { type Lexicon, unheardOf } from "./lexicon.ts";

/** The words that are known, and which of them are verbs by their numbers. */
export interface Verbs {
  lexicon: Lexicon;
  isVerb: (word: number) => boolean;
}

/** Words with the accents that they have in the home. */
export function respelled(
  words: readonly Word[],
  pack: LanguagePack,
  { lexicon, isVerb }: Verbs,
): readonly Word[] {
  const number = lexicon.find;
  const spelling = ({ text }: Word): string | undefined => {
    if (number(text) !== unheardOf) return undefined;
    const known = lexicon.accented(text) ?? timesOf(pack).accented.get(text);
    if (known !== undefined) return known;
    // "Apagué" is what somebody did, and "apague" a command.
    const plain = withoutAccents(text);
    if (plain === text || number(plain) === unheardOf || isVerb(number(plain))) return undefined;
    return plain;
  };
  const all = words.map((word) => {
    const text = spelling(word);
    const isNumber = text !== undefined && numberReader(pack)([word.text], 0).length > 0;
    return text === undefined || isNumber ? word : { ...word, text };
  });
  return all.every((word, at) => word === words[at]) ? words : all;
}

/** Words for times, and those that have accents by their plain forms. */
interface TimesOf {
  words: ReadonlySet<string>;
  accented: ReadonlyMap<string, string>;
}

/** Words for times, by language: "aprile" is not "apri" and "le". */
const timeWords = new WeakMap<LanguagePack, TimesOf>();

export function timesOf(pack: LanguagePack): TimesOf {
  let known = timeWords.get(pack);
  if (!known) {
    const { language } = pack;
    const said = [...textsIn(pack.times), ...monthNames(language), ...weekdayNames(language)];
    const words = said
      .flatMap((text) => splitWords(text.replaceAll(/\$\p{L}+/gu, " "), pack))
      .map(({ text }) => text);
    const accented = words.flatMap((word) =>
      plainForms(word).map((plain) => [plain, word] as const),
    );
    timeWords.set(pack, (known = { words: new Set(words), accented: new Map(accented) }));
  }
  return known;
}

/** Every text within a value. */
function textsIn(value: unknown): string[] {
  if (typeof value === "string") return [value];
  return typeof value === "object" && value !== null ? Object.values(value).flatMap(textsIn) : [];
}
