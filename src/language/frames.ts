import type { Said } from "./vocabulary.ts";

/**
 * The sorts of value that a language has frames for, and what can be asked of each: that it be on or
 * off, come to a value, go up or down, or that something be done.
 */
export const frameForms = {
  switched: ["on", "off"],
  level: ["to", "up", "down"],
  choice: ["to"],
  colour: ["to"],
  text: ["to"],
  action: ["call"],
} as const;

export type FrameSort = keyof typeof frameForms;

/** One form of one sort. */
export type Frame = {
  [Sort in FrameSort]: { sort: Sort; form: (typeof frameForms)[Sort][number] };
}[FrameSort];

/**
 * How one form is said of any property of its sort. In these patterns `$target` is the thing,
 * `$property` the words for the property, `$value` or `$amount` what was said for it, and `$verb` the
 * words for an action. Those without `$property` are said of what a device has foremost.
 */
export interface FrameForm {
  /** What a thing shall be: "on", "at 40 percent". It is put into each frame for states. */
  states: Said;
  /** Whole commands. */
  commands: Said;
}

/** What a language says around things and what they shall be, once for every property. */
export interface Frames {
  /** Words that add something to what was said of a thing: "with" in "on with forty percent". */
  besides: Said;
  /** Around `$target` and `$state`: "$target $state", "make sure $target is $state". */
  state: Said;
  /** Around `$property`, `$target` and `$state`, what a property shall be: "$property of $target should be $state". */
  of?: Said;
  /** Around a `$state` that is more or less of something at hand, which nothing names: "make it $state". */
  more: Said;
  /** Around `$target` and `$verb`, what it shall do: "let $target $verb". */
  deed: Said;
  /** Around `$target` and `$verb`, what it shall no longer do: "stop $target from $verb". */
  cease: Said;
  /** Around `$target`, `$property` and `$value`, whether something is set to a value: "is $target on $value". */
  asked?: Said;
  sorts: { [Sort in FrameSort]: Record<(typeof frameForms)[Sort][number], FrameForm> };
}
