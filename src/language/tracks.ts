import type { Said } from "./vocabulary.ts";

/** What is said of what is played one after the other, as alternatives of patterns. */
export interface Tracks {
  /** What one is called: "track | song". */
  nouns: string;
  /** Whether it is called so before what says which: "chanson suivante". */
  isAfter?: true;
  next: string;
  previous: string;
  /** Verbs that go to one: "skip to | play". */
  to: string;
  /** Where it is played: "on | in". */
  on: string;
}

/** The patterns that go to the next of what is played, or to the one before. */
export function trackPatterns(tracks: Tracks, way: "next" | "previous"): Said {
  const which = tracks[way];
  const named = tracks.isAfter ? `(${tracks.nouns}) (${which})` : `(${which}) (${tracks.nouns})`;
  const one = tracks.isAfter ? `[${tracks.nouns}] (${which})` : `(${which}) [${tracks.nouns}]`;
  return [
    named,
    `(${tracks.to}) ${one}`,
    `[${tracks.to}] ${one} (${tracks.on}) $target`,
    `$target ${one}`,
  ];
}
