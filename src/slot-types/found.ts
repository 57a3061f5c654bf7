import type { PlaceExpression, TargetExpression } from "./expression.ts";
import type { Narrowing } from "./narrowing.ts";

/** Words that name something, up to where they end. */
export interface Found {
  end: number;
  expression: TargetExpression;
  /** Whether a noun after it says what it is, which is no other thing then: "pendant light and fan". */
  hasNoun?: true;
}

/** Words that say where. */
export interface Placed {
  end: number;
  place: PlaceExpression;
}

/** Words that narrow a thing that is named elsewhere. */
export interface NarrowingFound {
  from: number;
  end: number;
  /** Where what it names begins, after a preposition. */
  named: number;
  narrowing: Narrowing;
}

/** The same with words before it that say how many there are. */
export function longerBy(found: Found, words: number): Found {
  const { end, expression } = found;
  if (expression.target !== "kind" && expression.target !== "named") return found;
  return { end, expression: { ...expression, words: expression.words + words } };
}
