import type { Resolve } from "./phrases.ts";
import type { Pattern } from "./tree.ts";

/**
 * How many places for a word a pattern has once its references are written out and its repeats
 * unrolled, which bounds the size of its automaton; every node counts for one at least.
 *
 * @param known Sizes of what references stand for, filled in as they are met.
 */
export function patternSize(
  pattern: Pattern,
  resolve: Resolve,
  known: Map<string, number>,
): number {
  switch (pattern.type) {
    case "words":
      return pattern.words.length;
    case "nothing":
    case "void":
    case "garbage":
      return 1;
    case "sequence":
      return pattern.items.reduce((size, item) => size + patternSize(item, resolve, known), 0);
    case "choice":
      return pattern.options.reduce(
        (size, option) => size + patternSize(option.pattern, resolve, known),
        0,
      );
    case "repeat": {
      const times = pattern.maximum === Infinity ? pattern.minimum + 1 : pattern.maximum;
      return Math.max(1, times) * patternSize(pattern.item, resolve, known);
    }
    case "reference": {
      const size = known.get(pattern.name);
      if (size !== undefined) return size;
      const target = resolve(pattern.name);
      const measured = target ? patternSize(target, resolve, known) : 1;
      known.set(pattern.name, measured);
      return measured;
    }
  }
}
