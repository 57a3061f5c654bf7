import type { Utterance } from "../../automaton/utterance.ts";

/** A stretch of an utterance: the indexes of its first word and after its last. */
export interface Stretch {
  from: number;
  end: number;
}

/** The places of the words of a stretch. */
export function indexes({ from, end }: Stretch): number[] {
  return Array.from({ length: end - from }, (_, index) => from + index);
}

/** The places of the words of a stretch that mean something by themselves. */
export function countedIn({ small }: Pick<Utterance, "small">, stretch: Stretch): number[] {
  return indexes(stretch).filter((at) => small[at] !== true);
}

/** The words of a stretch, without some of them. */
export function pick(
  { text, words, texts, numbers, small }: Utterance,
  { from, end }: Stretch,
  without: readonly Stretch[],
): Utterance {
  const isIn = (_: unknown, index: number): boolean =>
    index >= from && index < end && !without.some((out) => index >= out.from && index < out.end);
  return {
    text,
    words: words.filter(isIn),
    texts: texts.filter(isIn),
    numbers: numbers.filter(isIn),
    small: small.filter(isIn),
  };
}

/** The same with other words in place of some. */
export function reworded(
  utterance: Utterance,
  wordAt: (text: string, at: number) => string,
  numberOf: (word: string) => number,
): Utterance {
  const texts = utterance.texts.map(wordAt);
  return { ...utterance, texts, numbers: texts.map(numberOf) };
}

export function joined(parts: readonly Utterance[]): Utterance {
  return {
    text: parts[0]?.text ?? "",
    words: parts.flatMap(({ words }) => words),
    texts: parts.flatMap(({ texts }) => texts),
    numbers: parts.flatMap(({ numbers }) => numbers),
    small: parts.flatMap(({ small }) => small),
  };
}

/** A word that nobody said, in front of others or after them: it takes up none of the text. */
export function nameless(
  word: Utterance,
  beside: Utterance,
  where: "front" | "end" = "front",
): Utterance {
  const start = where === "front" ? beside.words[0]?.start : beside.words.at(-1)?.end;
  return {
    ...word,
    text: beside.text,
    words: word.words.map(({ text }) => ({ text, start: start ?? 0, end: start ?? 0 })),
  };
}
