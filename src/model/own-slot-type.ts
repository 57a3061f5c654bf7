import type { Value } from "./property.ts";

/**
 * A slot type of an application's own, written `{ type: own, of: shelf-mark }`. It is a function of
 * words: the same words must always come to the same.
 */
export interface OwnSlotType {
  /** What stands after `of:`. */
  name: string;
  /**
   * Everything that the words from one place on can be taken for.
   *
   * @param words As they are compared: lower case, without punctuation.
   * @param from Index of the first word; `end` of what is found is the index after the last one.
   * @param language BCP 47 primary language subtag, such as `en`.
   */
  recognise: (
    words: readonly string[],
    from: number,
    language: string,
  ) => readonly { end: number; value: Value }[];
  /** What may be said for it in a language: for checks, and for a grammar without `phrases`. */
  samples: (language: string) => readonly string[];
  /** All that may be said for it in a language, as SRGS ABNF, for exported grammars. */
  phrases?: (language: string) => readonly string[];
}
