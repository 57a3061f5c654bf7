import type { Word } from "../language/words.ts";
import type { Lexicon } from "../lexicon/lexicon.ts";

/** The words of an utterance, ready for automata. */
export interface Utterance {
  text: string;
  words: readonly Word[];
  /** The words as compared. */
  texts: readonly string[];
  /** Their numbers in the lexicon. */
  numbers: readonly number[];
  /** Whether a word means nothing on its own and may be passed over. */
  small: readonly boolean[];
}

export function prepareUtterance(
  text: string,
  words: readonly Word[],
  lexicon: Lexicon,
  small: ReadonlySet<string>,
): Utterance {
  const texts = words.map((word) => word.text);
  return {
    text,
    words,
    texts,
    numbers: texts.map(lexicon.find),
    small: texts.map((word) => small.has(word)),
  };
}

const pause = /[,;:.!?–—]/u;

/** Whether there is a pause before a word. */
export function isAfterPause({ text, words }: Utterance, at: number): boolean {
  const [before, word] = [words[at - 1], words[at]];
  return (
    before !== undefined && word !== undefined && pause.test(text.slice(before.end, word.start))
  );
}

/** Indexes of the words before which there is a pause. */
export function pausesIn(utterance: Utterance): number[] {
  return utterance.words.flatMap((_, at) => (isAfterPause(utterance, at) ? [at] : []));
}

/** The place after words that are passed over. */
export function afterSmall({ small }: Pick<Utterance, "small">, from: number): number {
  let at = from;
  while (small[at] === true) at++;
  return at;
}
