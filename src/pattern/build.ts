import type { Pattern } from "./tree.ts";

/** Patterns that nobody wrote have no place in a text. */
const span = [0, 0] as const;

/** Never said. */
export const nothingToSay: Pattern = { type: "void", span };

export function sequence(...items: readonly (Pattern | undefined)[]): Pattern {
  const said = items.filter((item) => item !== undefined);
  const [only] = said;
  return only && said.length === 1 ? only : { type: "sequence", items: said, span };
}

/** One of several patterns; what is none is left out, and of nothing nothing can be said. */
export function choice(options: readonly (Pattern | undefined)[]): Pattern {
  const said = options.filter((option) => option !== undefined);
  const [only] = said;
  if (!only) return nothingToSay;
  if (said.length === 1) return only;
  return { type: "choice", options: said.map((pattern) => ({ pattern })), span };
}

export function optional(item: Pattern): Pattern {
  return { type: "repeat", item, minimum: 0, maximum: 1, span };
}

export function reference(name: string): Pattern {
  return { type: "reference", name, span };
}

export function words(...said: readonly string[]): Pattern {
  return { type: "words", words: said, span };
}

/** The words of a text, as they stand. */
export function phrase(text: string): Pattern {
  return words(...text.split(" "));
}

/** A pattern with each of its leaves, words and references among them, as something else. */
export function mapLeaves(tree: Pattern, change: (leaf: Leaf) => Pattern): Pattern {
  const inner = (item: Pattern): Pattern => mapLeaves(item, change);
  switch (tree.type) {
    case "sequence":
      return { ...tree, items: tree.items.map(inner) };
    case "choice":
      return {
        ...tree,
        options: tree.options.map((option) => ({ ...option, pattern: inner(option.pattern) })),
      };
    case "repeat":
      return { ...tree, item: inner(tree.item) };
    default:
      return change(tree);
  }
}

type Leaf = Exclude<Pattern, { type: "sequence" | "choice" | "repeat" }>;

/** A pattern with its references led to other patterns; what has none is never said. */
export function fillReferences(
  tree: Pattern,
  fill: (name: string) => Pattern | undefined,
): Pattern {
  return mapLeaves(tree, (leaf) =>
    leaf.type === "reference" ? (fill(leaf.name) ?? nothingToSay) : leaf,
  );
}
