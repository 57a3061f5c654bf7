import type { Said } from "./vocabulary.ts";

/** What is said of what is played one after the other, as alternatives of patterns. */
export interface Tracks {
  /** What one is called: "track | song". */
  nouns: string;
  /** Where what says which one stands beside that: "next song", "chanson suivante". */
  which: "before" | "after" | "either";
  next: string;
  previous: string;
  /** Verbs that go to one: "skip to | play". */
  to: string;
  /** Where it is played: "on | in". */
  on: string;
  /** What leaves out the one that is played, with `$noun`: "skip (it | $noun)". */
  skip: string;
}

/** The patterns that go to the next of what is played, or to the one before. */
export function trackPatterns(tracks: Tracks, way: "next" | "previous"): Said {
  const which = tracks[way];
  const named = inOrder(tracks, `(${which})`, `(${tracks.nouns})`);
  const one = inOrder(tracks, `(${which})`, `[${tracks.nouns}]`);
  const skip = tracks.skip.replaceAll("$noun", `(${tracks.nouns})`);
  const skips = way === "next" ? [`(${skip}) [(${tracks.on}) $target]`] : [];
  return [
    ...skips,
    named,
    `(${tracks.to}) ${one}`,
    `[${tracks.to}] ${one} (${tracks.on}) $target`,
    `$target ${one}`,
  ];
}

function inOrder({ which }: Tracks, says: string, noun: string): string {
  if (which === "before") return `${says} ${noun}`;
  return which === "after" ? `${noun} ${says}` : `(${says} ${noun} | ${noun} ${says})`;
}
