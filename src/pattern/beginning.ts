import type { Resolve } from "./phrases.ts";
import type { Pattern } from "./tree.ts";

/** What a pattern may begin with, and whether it is said by saying nothing. */
export interface Beginning {
  first: ReadonlySet<string>;
  silent: boolean;
}

/** Nothing, and something is said all the same. */
const never: Beginning = { first: new Set(), silent: false };
const silence: Beginning = { first: new Set(), silent: true };

/** Makes what tells how patterns begin, each found once. A rule that begins with itself begins with the rest. */
export function createBeginnings(resolve: Resolve): (pattern: Pattern) => Beginning {
  const known = new Map<Pattern, Beginning>();
  const beginningOf = (pattern: Pattern): Beginning => {
    let beginning = known.get(pattern);
    if (!beginning) {
      known.set(pattern, never);
      known.set(pattern, (beginning = find(pattern)));
    }
    return beginning;
  };
  const find = (pattern: Pattern): Beginning => {
    switch (pattern.type) {
      case "words":
        return { first: new Set(pattern.words.slice(0, 1)), silent: pattern.words.length === 0 };
      case "nothing":
      case "garbage":
        return silence;
      case "sequence": {
        const parts: Beginning[] = [];
        for (const item of pattern.items) {
          parts.push(beginningOf(item));
          if (parts.at(-1)?.silent !== true) break;
        }
        return { first: joined(parts), silent: parts.every(({ silent }) => silent) };
      }
      case "choice": {
        const parts = pattern.options.map((option) => beginningOf(option.pattern));
        return { first: joined(parts), silent: parts.some(({ silent }) => silent) };
      }
      case "repeat": {
        const { first, silent } = beginningOf(pattern.item);
        return { first, silent: silent || pattern.minimum === 0 };
      }
      case "reference": {
        const target = resolve(pattern.name);
        return target ? beginningOf(target) : never;
      }
      default:
        return never;
    }
  };
  return beginningOf;
}

function joined(parts: readonly Beginning[]): ReadonlySet<string> {
  return new Set(parts.flatMap(({ first }) => [...first]));
}
