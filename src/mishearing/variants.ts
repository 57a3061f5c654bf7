import { randomFrom } from "../source/random.ts";
import type { Costs } from "../sounds/costs.ts";
import type { Lattice } from "./lattice.ts";
import type { Vocabulary } from "./vocabulary.ts";

export interface VariantOptions {
  costs: Costs;
  vocabulary: Vocabulary;
  /** How many are drawn; the same one more than once counts as one. */
  draws: number;
  /** Decides what is drawn. */
  seed: number;
}

/** How far apart sounds have to be for a slip to be a third as likely, in hundredths. */
const spread = 25;

/**
 * What a recogniser that is held to nothing may make of a phrase: words drawn by how much they sound like
 * what was spoken, wherever they begin and end. Each way through the words is drawn as often as its share of
 * all ways has it (backward sums, then forward draws, as in L. R. Rabiner, "A tutorial on hidden Markov
 * models", 1989). The same seed draws the same.
 */
export function variantsOf(lattice: Lattice, options: VariantOptions): string[] {
  const { costs, vocabulary, draws, seed } = options;
  const { length, spans, weakEnds } = lattice;
  const random = randomFrom(seed);
  const weight = (cost: number): number => Math.exp(-cost / spread);
  /** The sum over all ways from a sound to the end. */
  const sums = new Float64Array(length + 1);
  sums[length] = 1;
  const choices = Array.from({ length: length + 1 }, (): Choice[] => []);
  for (let at = length - 1; at >= 0; at--) {
    const here = choices[at] ?? [];
    const offer = (word: number | undefined, end: number, cost: number): void => {
      const share = weight(cost) * (sums[end] ?? 0);
      if (share > 0) here.push({ word, end, share });
    };
    spans[at]?.forEach((found, word) => {
      for (const { end, cost } of found ?? []) if (end > at) offer(word, end, cost);
    });
    const weakEnd = weakEnds.get(at);
    if (weakEnd !== undefined) offer(undefined, weakEnd, costs.weakLoss);
    sums[at] = here.reduce((sum, { share }) => sum + share, 0);
  }
  const drawn = new Set<string>();
  for (let draw = 0; draw < draws; draw++) {
    const words: string[] = [];
    for (let at = 0; at < length;) {
      let left = random() * (sums[at] ?? 0);
      const chosen = choices[at]?.find(({ share }) => (left -= share) < 0) ?? choices[at]?.at(-1);
      if (!chosen) break;
      if (chosen.word !== undefined) words.push(vocabulary.words[chosen.word] ?? "");
      at = chosen.end;
    }
    drawn.add(words.join(" "));
  }
  return [...drawn];
}

interface Choice {
  /** Undefined where a weak word is lost. */
  word: number | undefined;
  end: number;
  share: number;
}
