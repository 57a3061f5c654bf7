import type { Grammar } from "./grammar.ts";
import type { Pattern } from "./tree.ts";

/** Names that stand for rules of the specification (section 2.2.3). */
const reserved = ["NULL", "VOID", "GARBAGE"];

/**
 * A grammar whose rules have names as SRGS 1.0 allows them (section 3.1): XML names without periods,
 * colons and hyphens, each once.
 */
export function withLegalNames({ language, root, rules }: Grammar): Grammar {
  const names = new Map<string, string>();
  const taken = new Set<string>(reserved);
  for (const name of rules.keys()) {
    const plain = name.replace(/[^\p{L}\p{M}\p{N}_]/gu, "_").replace(/^(?![\p{L}_])/u, "_");
    let legal = plain;
    for (let count = 2; taken.has(legal); count++) legal = `${plain}_${count}`;
    taken.add(legal);
    names.set(name, legal);
  }
  const nameOf = (name: string): string => names.get(name) ?? name;
  return {
    language,
    root: nameOf(root),
    rules: new Map(
      [...rules].map(([name, { pattern, isPublic }]) => [
        nameOf(name),
        { pattern: renamed(pattern, nameOf), isPublic },
      ]),
    ),
  };
}

function renamed(pattern: Pattern, nameOf: (name: string) => string): Pattern {
  switch (pattern.type) {
    case "reference":
      return { ...pattern, name: nameOf(pattern.name) };
    case "sequence":
      return { ...pattern, items: pattern.items.map((item) => renamed(item, nameOf)) };
    case "choice":
      return {
        ...pattern,
        options: pattern.options.map((option) => {
          return { ...option, pattern: renamed(option.pattern, nameOf) };
        }),
      };
    case "repeat":
      return { ...pattern, item: renamed(pattern.item, nameOf) };
    default:
      return pattern;
  }
}
