import type { SpokenPattern } from "../model/spoken.ts";
import type { Option, Pattern } from "../pattern/tree.ts";
import type { Intent, Phrasebook } from "../phrasebook/model.ts";
import { offsetPosition } from "../phrasebook/references.ts";
import { given } from "../source/given.ts";
import type { Part, PartSort } from "./parts.ts";

/** The patterns of fragments that a reference in a pattern stands for; none for a slot. */
export type Refer = (name: string) => readonly SpokenPattern[];

/** What references in the patterns of an intent stand for. */
export function referIn(book: Phrasebook, intent: Intent, language: string): Refer {
  return (name) => {
    if (intent.slots.has(name)) return [];
    const all = book.fragments.get(name)?.patterns ?? [];
    return all.filter((each) => each.language === language);
  };
}

/** A pattern and everything in it, and in its fragments, that may be said or left out. */
export function patternParts(book: Phrasebook, intent: Intent, pattern: SpokenPattern): Part[] {
  const refer = referIn(book, intent, pattern.language);
  const visited = new Set<SpokenPattern>();
  return [
    partAt(pattern, intent.id, { sort: "pattern", what: pattern.text, key: pattern }),
    ...partsIn(pattern.tree, { owner: pattern, of: intent.id, refer, visited }),
  ];
}

interface Within {
  /** The pattern, or the fragment's, in whose text it stands. */
  owner: SpokenPattern;
  of: string;
  refer: Refer;
  /** Fragments whose parts are told already. */
  visited: Set<SpokenPattern>;
}

interface Told {
  sort: PartSort;
  what: string;
  key: object;
  way?: string;
}

function partAt({ at, language }: SpokenPattern, of: string, told: Told, offset = 0): Part {
  const { sort, what, key, way } = told;
  return { sort, of, what, at: offsetPosition(at, offset), language, key, ...given({ way }) };
}

function partsIn(tree: Pattern, within: Within): Part[] {
  const { owner, of, refer, visited } = within;
  const text = (node: Pattern): string => owner.text.slice(...node.span);
  const part = (node: Pattern, told: Told): Part => partAt(owner, of, told, node.span[0]);
  switch (tree.type) {
    case "sequence":
      return tree.items.flatMap((item) => partsIn(item, within));
    case "choice":
      return tree.options.flatMap((option: Option) => {
        const what = `alternative ${text(option.pattern)}`;
        const self = part(option.pattern, { sort: "alternative", what, key: option });
        return [self, ...partsIn(option.pattern, within)];
      });
    case "repeat": {
      const ways: Part[] = [];
      const what = text(tree.item);
      if (tree.minimum === 0) {
        for (const way of ["said", "left out"]) {
          ways.push(part(tree, { sort: "optional", what: `${what} ${way}`, key: tree, way }));
        }
      }
      if (tree.maximum > 1 && tree.maximum > tree.minimum) {
        const again = { sort: "repeat", what: `${what} again`, key: tree, way: "again" } as const;
        ways.push(part(tree, again));
      }
      return [...ways, ...partsIn(tree.item, within)];
    }
    case "reference":
      return refer(tree.name).flatMap((inner) => {
        if (visited.has(inner)) return [];
        visited.add(inner);
        const self = partAt(inner, tree.name, { sort: "pattern", what: inner.text, key: inner });
        return [self, ...partsIn(inner.tree, { ...within, owner: inner, of: tree.name })];
      });
    default:
      return [];
  }
}

/** Is told of each part of a pattern that was gone through. */
type Tell = (key: object, way?: string) => void;

/**
 * Goes through a tree with the leaves that words went through, and tells what was said and left out.
 *
 * @param counts How often each leaf was gone through.
 * @returns Whether anything of it was said.
 */
export function tellParts(
  tree: Pattern,
  counts: ReadonlyMap<Pattern, number>,
  refer: Refer,
  tell: Tell,
): boolean {
  switch (tree.type) {
    case "sequence": {
      let isSaid = false;
      for (const item of tree.items) isSaid = tellParts(item, counts, refer, tell) || isSaid;
      return isSaid;
    }
    case "choice": {
      let isSaid = false;
      for (const option of tree.options) {
        if (!mayBeSaid(option.pattern, counts, refer)) continue;
        tellParts(option.pattern, counts, refer, tell);
        tell(option);
        isSaid = true;
      }
      if (isSaid) return true;
      // Nobody hears which of several was left unsaid.
      for (const option of tree.options) {
        if (!isNullable(option.pattern, refer)) continue;
        tellParts(option.pattern, counts, refer, tell);
        tell(option);
      }
      return false;
    }
    case "repeat": {
      const isSaid = mayBeSaid(tree.item, counts, refer);
      if (isSaid || isNullable(tree.item, refer)) tellParts(tree.item, counts, refer, tell);
      tell(tree, isSaid ? "said" : "left out");
      if (mostCounted(tree.item, counts, refer) > 1) tell(tree, "again");
      return isSaid;
    }
    case "reference": {
      const inner = refer(tree.name);
      if (inner.length === 0) return counts.has(tree);
      const said = inner.filter((each) => mayBeSaid(each.tree, counts, refer));
      const silent = inner.filter((each) => isNullable(each.tree, refer));
      for (const each of said.length > 0 ? said : silent) {
        tellParts(each.tree, counts, refer, tell);
        tell(each);
      }
      return said.length > 0;
    }
    default:
      return counts.has(tree);
  }
}

/** Whether any leaf of a tree was gone through. */
function mayBeSaid(tree: Pattern, counts: ReadonlyMap<Pattern, number>, refer: Refer): boolean {
  return mostCounted(tree, counts, refer) > 0;
}

/** How often the leaf of a tree was gone through that was gone through most, word by word. */
function mostCounted(tree: Pattern, counts: ReadonlyMap<Pattern, number>, refer: Refer): number {
  switch (tree.type) {
    case "sequence":
      return Math.max(0, ...tree.items.map((item) => mostCounted(item, counts, refer)));
    case "choice":
      return tree.options.reduce(
        (sum, { pattern }) => sum + mostCounted(pattern, counts, refer),
        0,
      );
    case "repeat":
      return mostCounted(tree.item, counts, refer);
    case "reference": {
      const inner = refer(tree.name);
      if (inner.length === 0) return counts.get(tree) ?? 0;
      return Math.max(0, ...inner.map((each) => mostCounted(each.tree, counts, refer)));
    }
    case "words":
      return (counts.get(tree) ?? 0) / Math.max(1, tree.words.length);
    default:
      return counts.get(tree) ?? 0;
  }
}

function isNullable(tree: Pattern, refer: Refer): boolean {
  switch (tree.type) {
    case "sequence":
      return tree.items.every((item) => isNullable(item, refer));
    case "choice":
      return tree.options.some(({ pattern }) => isNullable(pattern, refer));
    case "repeat":
      return tree.minimum === 0 || isNullable(tree.item, refer);
    case "reference": {
      const inner = refer(tree.name);
      return inner.length > 0 && inner.some((each) => isNullable(each.tree, refer));
    }
    case "nothing":
    case "garbage":
      return true;
    default:
      return false;
  }
}
