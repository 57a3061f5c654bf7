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
  const spansFrom = createAligner(phones, { vocabulary, furthest, costs: sounds.costs });
  const spans = Array.from({ length: phones.length + 1 }, (_, from) => spansFrom(from));
  return { length: phones.length, spans, weakEnds, furthest };
}

/** Most sounds of a word that is made up where nothing is heard; longer ones never are. */
export const mostMadeUp = 2;

/** Most sounds that are taken for one word. */
const longestWord = 24;

/** More than anything costs. */
const never = 1 << 28;

interface Measure {
  vocabulary: Vocabulary;
  costs: Costs;
  furthest: number;
}

/**
 * Tells the costs of all words from one sound on: alignments of least cost (after R. A. Wagner and
 * M. J. Fischer, "The string-to-string correction problem", JACM 21, 1974), a row for each sound of the tree
 * of words, and of each row the part that does not cost too much already.
 */
function createAligner(
  phones: readonly Phone[],
  { vocabulary, costs, furthest }: Measure,
): (from: number) => (Span[] | undefined)[] {
  const losses = Int32Array.from(phones, costs.loss);
  const gains = Int32Array.from(vocabulary.phones, costs.gain);
  const swaps = vocabulary.phones.map((heard) =>
    Int32Array.from(phones, (spoken) => costs.swap(spoken, heard)),
  );
  /** A row for each depth of the tree, used again and again. */
  const rows: Int32Array[] = [];
  const rowAt = (depth: number): Int32Array => (rows[depth] ??= new Int32Array(longestWord + 1));

  return (from) => {
    const found = new Array<Span[] | undefined>(vocabulary.words.length).fill(undefined);
    const longest = Math.min(longestWord, phones.length - from);
    const first = rowAt(0);
    let lost = 0;
    let reached = 0;
    for (let at = 0; at <= longest && lost <= furthest; at++) {
      first[at] = lost;
      reached = at;
      lost += losses[from + at] ?? never;
    }
    visit(vocabulary.root, 0, { low: 0, high: reached });
    return found;

    function visit(node: SoundNode, depth: number, { low, high }: Band): void {
      const row = rowAt(depth);
      for (const word of node.words) {
        const spans = (found[word] ??= []);
        for (let at = low; at <= high; at++) {
          const cost = row[at] ?? never;
          // Longer words are never made up as a whole.
          if (cost > furthest || (at === 0 && depth > mostMadeUp)) continue;
          const end = from + at;
          // A word that is said in several ways is taken in the nearest.
          const same = spans.find((span) => span.end === end);
          if (!same) spans.push({ end, cost });
          else if (cost < same.cost) same.cost = cost;
        }
      }
      const next = rowAt(depth + 1);
      for (const { sound, node: after } of node.next) {
        const gain = gains[sound] ?? never;
        const swap = swaps[sound];
        const band: Band = { low: -1, high: -1 };
        for (let at = low; at <= longest; at++) {
          let cost = at <= high ? (row[at] ?? never) + gain : never;
          if (at > low) {
            const index = from + at - 1;
            cost = Math.min(cost, (next[at - 1] ?? never) + (losses[index] ?? never));
            if (at <= high + 1) {
              cost = Math.min(cost, (row[at - 1] ?? never) + (swap?.[index] ?? never));
            }
          }
          next[at] = cost;
          if (cost <= furthest) {
            band.high = at;
            if (band.low < 0) band.low = at;
          } else if (at > high) break;
        }
        if (band.low >= 0) visit(after, depth + 1, band);
      }
    }
  };
}

/** The first and the last column of a row that do not cost too much. */
interface Band {
  low: number;
  high: number;
}
