import type { Position } from "../source/position.ts";

/** How one word sounds, as the phrasebook says. */
export interface Pronunciation {
  /** As it is compared: in lower case. */
  word: string;
  /** BCP 47 tag. */
  language: string;
  /** In IPA, or other words that it is said like. */
  said: { as: "ipa"; ipa: string } | { as: "words"; words: readonly string[] };
  at: Position;
}
