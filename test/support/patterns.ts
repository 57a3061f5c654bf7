import fc from "fast-check";
import type { Pattern } from "../../src/pattern/tree.ts";

const span = [0, 0] as const;

/** Patterns over a few words, so that random phrases have a fair chance to fit. */
export const anyPattern: fc.Arbitrary<Pattern> = fc.letrec<{ pattern: Pattern }>((tie) => ({
  pattern: fc.oneof(
    { maxDepth: 4, depthSize: "small" },
    fc
      .array(fc.constantFrom("on", "off", "red", "two"), { minLength: 1, maxLength: 2 })
      .map((words): Pattern => ({ type: "words", words, span })),
    fc
      .array(tie("pattern"), { minLength: 2, maxLength: 3 })
      .map((items): Pattern => ({ type: "sequence", items, span })),
    fc
      .array(
        fc.record(
          { weight: fc.integer({ min: 1, max: 9 }), pattern: tie("pattern") },
          { requiredKeys: ["pattern"] },
        ),
        { minLength: 2, maxLength: 3 },
      )
      .map((options): Pattern => ({ type: "choice", options: options, span })),
    fc
      .record({
        item: tie("pattern"),
        minimum: fc.integer({ min: 0, max: 2 }),
        more: fc.constantFrom(0, 1, Infinity),
      })
      .map(({ item, minimum, more }): Pattern => {
        const maximum = minimum + more === 0 ? 1 : minimum + more;
        return { type: "repeat", item, minimum, maximum, span };
      }),
  ),
})).pattern;

/** Phrases over the words of `anyPattern` and one that is in none. */
export const anyPhrase = fc.array(fc.constantFrom("on", "off", "red", "two", "blue"), {
  maxLength: 6,
});
