import { distance } from "fastest-levenshtein";

/**
 * The candidate that is spelled most like `text`, or undefined when none is near enough to be
 * worth suggesting: at most one edit in three letters.
 */
export function nearest(text: string, candidates: Iterable<string>): string | undefined {
  let best: string | undefined;
  let least = Math.max(1, Math.floor(text.length / 3)) + 1;
  for (const candidate of candidates) {
    if (Math.abs(candidate.length - text.length) >= least) continue;
    const edits = distance(text, candidate);
    if (edits < least) {
      least = edits;
      best = candidate;
    }
  }
  return best;
}
