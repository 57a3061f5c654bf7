import type { Span } from "../source/position.ts";

/**
 * A rule expansion of the W3C Speech Recognition Grammar Specification 1.0, section 2, as a tree.
 * Spans are offsets in the pattern's own text.
 */
export type Pattern =
  | Words
  | Sequence
  | Choice
  | Repeat
  | Reference
  /** `$NULL`, matched without a word being said (section 2.2.3). */
  | { type: "nothing"; span: Span }
  /** `$VOID`, never matched. */
  | { type: "void"; span: Span }
  /** `$GARBAGE`, any words. */
  | { type: "garbage"; span: Span };

/** A token (section 2.1), as the words it is compared with. */
export interface Words {
  type: "words";
  words: readonly string[];
  /** As it is written, without its quotes; left out where it was made and not written. */
  said?: string;
  span: Span;
}

/** Expansions said one after another (section 2.3). */
export interface Sequence {
  type: "sequence";
  items: readonly Pattern[];
  span: Span;
}

/** Alternatives (section 2.4). */
export interface Choice {
  type: "choice";
  options: readonly Option[];
  span: Span;
}

export interface Option {
  /** Relative likelihood for a recogniser, positive; has no part in what is understood. */
  weight?: number;
  pattern: Pattern;
}

/** A repeat, of which an optional is the case from 0 to 1 (section 2.5). */
export interface Repeat {
  type: "repeat";
  item: Pattern;
  minimum: number;
  /** May be `Infinity`. */
  maximum: number;
  /** Likelihood of each successive repeat, from 0 to 1, for a recogniser (section 2.5.1). */
  probability?: number;
  span: Span;
}

/** A rule reference (section 2.2): a slot of the intent, or a fragment. */
export interface Reference {
  type: "reference";
  name: string;
  span: Span;
}
