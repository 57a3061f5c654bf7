import type { Pattern, Reference } from "./tree.ts";

/** Every `$name` in a pattern, in the order written. */
export function referencesOf(pattern: Pattern): Reference[] {
  return leavesOf(pattern).flatMap((leaf) => (leaf.type === "reference" ? leaf : []));
}

/** Every word in a pattern, in the order written. */
export function wordsIn(pattern: Pattern): string[] {
  return leavesOf(pattern).flatMap((leaf) => (leaf.type === "words" ? leaf.words : []));
}

/** What a pattern is put together from, in the order written. */
function leavesOf(pattern: Pattern): Pattern[] {
  switch (pattern.type) {
    case "sequence":
      return pattern.items.flatMap(leavesOf);
    case "choice":
      return pattern.options.flatMap((option) => leavesOf(option.pattern));
    case "repeat":
      return leavesOf(pattern.item);
    default:
      return [pattern];
  }
}
