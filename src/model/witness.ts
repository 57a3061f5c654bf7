import type { Pattern } from "../pattern/tree.ts";
import type { SpokenPattern } from "./spoken.ts";

/** Is told of each part of a phrasebook that comes to be used: what coverage is made of. */
export interface Witness {
  /** A part, as the phrasebook holds it, and in which of its ways: a step's branch, a slot's limit. */
  used: (part: object, way?: string) => void;
  /** A pattern, with the leaves of its tree and its fragments that words went through, in order. */
  said: (pattern: SpokenPattern, leaves: readonly Pattern[]) => void;
}
