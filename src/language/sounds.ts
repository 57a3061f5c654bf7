import type { Said } from "./vocabulary.ts";

/** How words of a language sound, as far as its letters tell. Sounds are in IPA. */
export interface SoundWords {
  /**
   * What letters sound like: the first of them that fits goes, from left to right. Written as regular
   * expressions, so that what stands before and after may be looked at: `c(?=[ei])`.
   */
  letters: readonly (readonly [written: string, sound: string])[];
  /** Which syllable has the stress, by the first pattern that fits a word: 1 the first, -1 the last. */
  stress: readonly (readonly [word: string, syllable: number])[];
  /** Words that do not sound as they are written. */
  words: readonly (readonly [word: string, sound: string])[];
  /** What stands before words that a dictionary has: "un" of "unmute". */
  prefixes?: readonly (readonly [written: string, sound: string])[];
  /** What stands after them, the first that fits: after these sounds, or after any. */
  suffixes?: readonly (readonly [written: string, sound: string, after?: readonly string[]])[];
  /** Words that are said weakly, and lost or made up more easily than others. */
  weak: Said;
  /** Sounds that the language keeps less, or more, apart than others do: what one costs for the other. */
  near?: readonly (readonly [one: string, other: string, cost: number])[];
}
