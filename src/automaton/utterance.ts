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
