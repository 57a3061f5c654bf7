import type { Pattern, Reference } from "./tree.ts";

/** Every `$name` in a pattern, in the order written. */
export function referencesOf(pattern: Pattern): Reference[] {
  switch (pattern.type) {
    case "reference":
      return [pattern];
    case "sequence":
      return pattern.items.flatMap(referencesOf);
    case "choice":
      return pattern.options.flatMap((option) => referencesOf(option.pattern));
    case "repeat":
      return referencesOf(pattern.item);
    default:
      return [];
  }
}
