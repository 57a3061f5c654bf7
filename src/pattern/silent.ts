import type { Resolve } from "./phrases.ts";
import type { Pattern } from "./tree.ts";

/** Whether a pattern is said by saying nothing. */
export function canBeSilent(
  pattern: Pattern,
  resolve: Resolve,
  within: ReadonlySet<string> = new Set(),
): boolean {
  switch (pattern.type) {
    case "sequence":
      return pattern.items.every((item) => canBeSilent(item, resolve, within));
    case "choice":
      return pattern.options.some((option) => canBeSilent(option.pattern, resolve, within));
    case "repeat":
      return pattern.minimum === 0 || canBeSilent(pattern.item, resolve, within);
    case "reference": {
      const { name } = pattern;
      const target = resolve(name);
      // What leads back to itself says something on every way out that is not looked at already.
      if (!target || within.has(name)) return false;
      return canBeSilent(target, resolve, new Set([...within, name]));
    }
    case "nothing":
    case "garbage":
      return true;
    default:
      return false;
  }
}
