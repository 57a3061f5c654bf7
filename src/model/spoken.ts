import type { Value } from "./property.ts";
import type { Pattern } from "../pattern/tree.ts";
import type { Position } from "../source/position.ts";

/** A pattern in one language, with where it was written. */
export interface SpokenPattern {
  text: string;
  language: string;
  tree: Pattern;
  /** Whether it was written for this home or came with Calm Phrase. */
  origin: "phrasebook" | "vocabulary";
  /** Whether the tree is the same for all homes that have the pattern. */
  isShared?: true;
  at: Position;
}

/** A named piece of pattern; several texts in one language are alternatives. */
export interface Fragment {
  name: string;
  patterns: readonly SpokenPattern[];
  at: Position;
}

export interface Reply {
  text: string;
  /** The states that it speaks of: `{$glaze-sensor.humidity}`. */
  states: readonly { variable: string; device: string; property: string }[];
  origin: "phrasebook" | "vocabulary";
  at: Position;
}

export interface ChoiceValue {
  value: Value;
  patterns: readonly SpokenPattern[];
}
