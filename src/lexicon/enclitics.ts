import { withoutAcute } from "../language/accents.ts";
import type { LanguagePack } from "../language/pack.ts";
import type { Word } from "../language/words.ts";
import { unheardOf } from "./lexicon.ts";
import { countedIn } from "./respelled.ts";
import { stateWordsIn } from "./said-states.ts";
import type { Verbs } from "./verb-forms.ts";

/** Shortest verb that a pronoun is written onto. */
const shortest = 2;

/**
 * The words of a text again, where a pronoun that is written as the end of a verb is a word of its own:
 * "enciéndela" is "enciende la", and "metterla" is "mettere la". So is what ends a name in "the lamp's", and a verb
 * behind a state: "anhaben".
 */
export function spokenApart(
  words: readonly Word[],
  pack: LanguagePack,
  { lexicon, isVerb }: Verbs,
): readonly Word[] {
  const { enclitics = [], endings = [], stateVerbs = [] } = pack;
  const all = [...enclitics, ...endings, ...stateVerbs];
  const isLong = ({ text }: Word): boolean => all.some((each) => text.endsWith(each));
  if (!words.some(isLong)) return words;
  const number = lexicon.find;
  const isKnown = (word: string): boolean =>
    number(word) !== unheardOf || countedIn(pack).words.has(word);
  return words.flatMap((word, at) => {
    if (!isLong(word) || isKnown(word.text)) return word;
    const part =
      parted(word, enclitics, (verb) => isVerb(number(verb))) ??
      parted(word, endings, isKnown) ??
      parted(word, stateVerbs, (state) => stateWordsIn(pack).has(state)) ??
      // An apostrophe parts off what stands after it, whatever is before: "the phone's ringing".
      parted(word, endings.filter(isApostrophed), () => true);
    return part ? inFull(part, words[at + 1], pack) : word;
  });
}

/** "The gate's open" says what is, and so does "the gate is open". */
function inFull(
  [stem, ending]: readonly [Word, Word],
  next: Word | undefined,
  pack: LanguagePack,
): readonly Word[] {
  const { contractions } = pack;
  const whole = contractions?.endings[ending.text];
  if (!contractions || whole === undefined || !next) return [stem, ending];
  const tellsState = stateWordsIn(pack).has(next.text) || contractions.before.includes(next.text);
  return tellsState ? [stem, { ...ending, text: whole }] : [stem, ending];
}

function isApostrophed(ending: string): boolean {
  return ending.startsWith("'");
}

/** A word as another and its ending. */
function parted(
  word: Word,
  endings: readonly string[],
  isWord: (stem: string) => boolean,
): [Word, Word] | undefined {
  for (const ending of endings) {
    const length = word.text.length - ending.length;
    if (length < shortest || !word.text.endsWith(ending)) continue;
    const stem = word.text.slice(0, length);
    // A verb takes an accent with a pronoun, or loses its last vowel.
    const whole = [stem, withoutAcute(stem), `${stem}e`].find(isWord);
    if (whole === undefined) continue;
    const at = word.end - ending.length;
    return [
      { text: whole, start: word.start, end: at },
      { text: ending, start: at, end: word.end },
    ];
  }
  return undefined;
}
