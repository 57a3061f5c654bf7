import { distance } from "fastest-levenshtein";

/** Longest text that is compared, in UTF-16 code units: nothing that long is a slip of a short word. */
const longest = 200;

/**
 * The candidate that is spelled most like `text`, or undefined when none is near enough to be
 * worth suggesting: at most one edit in three letters.
 */
export function nearest(text: string, candidates: Iterable<string>): string | undefined {
  if (text.length > longest) return undefined;
  let best: string | undefined;
  let least = Math.max(1, Math.floor(text.length / 3)) + 1;
  for (const candidate of candidates) {
    // A word cut short, or with an ending too many, is near however long the rest is.
    const isCut = text.length > 2 && (candidate.startsWith(text) || text.startsWith(candidate));
    if (isCut && candidate.length > 2 && least > 1) {
      least = 1;
      best = candidate;
    }
    if (Math.abs(candidate.length - text.length) >= least) continue;
    const edits = isSwapped(text, candidate) ? 1 : distance(text, candidate);
    if (edits < least) {
      least = edits;
      best = candidate;
    }
  }
  return best;
}

/** Whether two letters have changed places, the commonest slip of a typing hand. */
function isSwapped(a: string, b: string): boolean {
  if (a.length !== b.length) return false;
  let at = 0;
  while (at < a.length && a[at] === b[at]) at++;
  return a[at] === b[at + 1] && a[at + 1] === b[at] && a.slice(at + 2) === b.slice(at + 2);
}

/** Whether a text is one of the candidates but for one letter. */
export function isSlipOf(text: string, candidates: readonly string[]): boolean {
  if (text.length > longest) return false;
  return candidates.some((each) => isSwapped(text, each) || distance(text, each) <= 1);
}
