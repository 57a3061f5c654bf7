import { plainForms, withoutAccents } from "../language/accents.ts";
import { monthNames, weekdayNames } from "../language/calendar.ts";
import { numberReader, numberWords } from "../language/numbers.ts";
import type { LanguagePack } from "../language/pack.ts";
import { type Word, wordsOf } from "../language/words.ts";
import { unheardOf } from "./lexicon.ts";
import { type Verbs, orderOf } from "./verb-forms.ts";

/** Words with the accents that they have in the home, and not as what is small is called. */
export function respelled(
  words: readonly Word[],
  pack: LanguagePack,
  verbs: Verbs,
): readonly Word[] {
  const { lexicon, isVerb } = verbs;
  const number = lexicon.find;
  const spelling = ({ text }: Word): string | undefined => {
    if (number(text) !== unheardOf) return undefined;
    // "Tu fermes" is of "ferme", and not "fermés".
    if (orderOf(text, pack, verbs) !== undefined) return undefined;
    const known = lexicon.accented(text) ?? countedIn(pack).accented.get(text);
    if (known !== undefined) return known;
    const verb = againOf(text, pack).find((rest) => isVerb(number(rest)));
    if (verb !== undefined) return verb;
    const { diminutives = [] } = pack;
    const whole = diminutives
      .filter(([small]) => text.endsWith(small))
      .map(([small, plain]) => text.slice(0, text.length - small.length) + plain)
      .find((each) => number(each) !== unheardOf);
    if (whole !== undefined) return whole;
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

/** A verb without what says that it is done again: "rebaisse le store". */
function againOf(text: string, { again }: LanguagePack): string[] {
  if (!again || again.but.includes(text)) return [];
  return again.begins.flatMap((begin) => (text.startsWith(begin) ? text.slice(begin.length) : []));
}

/** What a language has words for that are in no pattern. */
interface Counted {
  /** Words for times and numbers: "aprile" is not "apri" and "le", nor "halbes" "halbe" and "s". */
  words: ReadonlySet<string>;
  /** Those for times that have accents, by their plain forms. */
  accented: ReadonlyMap<string, string>;
}

const counted = new WeakMap<LanguagePack, Counted>();

/** The words for times and numbers. */
export function countedIn(pack: LanguagePack): Counted {
  let known = counted.get(pack);
  if (!known) {
    const { language } = pack;
    const said = [...textsIn(pack.times), ...monthNames(language), ...weekdayNames(language)];
    const words = wordsOf(said, pack);
    const accented = words.flatMap((word) =>
      plainForms(word).map((plain) => [plain, word] as const),
    );
    known = {
      words: new Set([...words, ...numberWords(pack)]),
      accented: new Map(accented),
    };
    counted.set(pack, known);
  }
  return known;
}

/** Every text within a value. */
function textsIn(value: unknown): string[] {
  if (typeof value === "string") return [value];
  return typeof value === "object" && value !== null ? Object.values(value).flatMap(textsIn) : [];
}
