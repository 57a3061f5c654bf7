import type { Phone } from "../sounds/phones.ts";
import type { Sounds } from "../sounds/pronounce.ts";
import type { Costs } from "../sounds/costs.ts";
import type { SoundNode, Vocabulary } from "./vocabulary.ts";

/** A stretch of what was spoken, taken for one word. */
export interface Span {
  /** Index after its last sound. */
  end: number;
  /** In hundredths. */
  cost: number;
}

/** What each stretch of a spoken phrase may be taken for. */
export interface Lattice {
  /** How many sounds the phrase has. */
  length: number;
  /** What may begin at a sound, by the number of the word. */
  spans: readonly (readonly (readonly Span[] | undefined)[])[];
  /** The most that anything may cost. */
  furthest: number;
  /** For each sound that a weak word begins with, where that word ends. */
  weakEnds: ReadonlyMap<number, number>;
}

/** What may be heard where words are said one after another, each as it usually sounds. */
export function latticeOf(
  said: readonly string[],
  { sounds, vocabulary, furthest }: { sounds: Sounds; vocabulary: Vocabulary; furthest: number },
): Lattice {
  const phones: Phone[] = [];
  const weakEnds = new Map<number, number>();
  for (const word of said) {
    const [way = []] = sounds.waysOf(word);
    const from = phones.length;
    phones.push(...way);
    if (sounds.costs.weak.has(word) && way.length > 0) weakEnds.set(from, phones.length);
  }
  const spans = Array.from({ length: phones.length + 1 }, (_, from) =>
    spansFrom(phones.slice(from, from + longestWord), from, {
      vocabulary,
      furthest,
      costs: sounds.costs,
    }),
  );
  return { length: phones.length, spans, weakEnds, furthest };
}

/** Most sounds of a word that is made up where nothing is heard; longer ones never are. */
export const mostMadeUp = 2;

/** Most sounds that are taken for one word. */
const longestWord = 24;

interface Measure {
  vocabulary: Vocabulary;
  costs: Costs;
  furthest: number;
}

/**
 * The costs of all words from one sound on: alignments of least cost (after R. A. Wagner and M. J. Fischer,
 * "The string-to-string correction problem", JACM 21, 1974), a row for each sound of the tree of words.
 */
function spansFrom(
  phones: readonly Phone[],
  from: number,
  { vocabulary, costs, furthest }: Measure,
): (Span[] | undefined)[] {
  const found = new Array<Span[] | undefined>(vocabulary.words.length).fill(undefined);
  const losses = phones.map(costs.loss);
  const first = [0];
  for (const [at, loss] of losses.entries()) first.push((first[at] ?? 0) + loss);

  const visit = (node: SoundNode, row: readonly number[], depth: number): void => {
    for (const word of node.words) {
      const spans = (found[word] ??= []);
      row.forEach((cost, at) => {
        if (cost > furthest) return;
        // Longer words are never made up as a whole.
        if (at === 0 && depth > mostMadeUp) return;
        const end = from + at;
        // A word that is said in several ways is taken in the nearest.
        const same = spans.find((span) => span.end === end);
        if (!same) spans.push({ end, cost });
        else if (cost < same.cost) same.cost = cost;
      });
    }
    for (const { phone, node: after } of node.next) {
      const gain = costs.gain(phone);
      const next = [(row[0] ?? 0) + gain];
      let least = next[0] ?? Infinity;
      for (let at = 1; at < row.length; at++) {
        const spoken = phones[at - 1];
        const cost = Math.min(
          (row[at] ?? Infinity) + gain,
          (next[at - 1] ?? Infinity) + (losses[at - 1] ?? Infinity),
          (row[at - 1] ?? Infinity) + (spoken ? costs.swap(spoken, phone) : Infinity),
        );
        next.push(cost);
        if (cost < least) least = cost;
      }
      if (least <= furthest) visit(after, next, depth + 1);
    }
  };
  visit(vocabulary.root, first, 0);
  return found;
}
