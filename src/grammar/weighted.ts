import { createBeginnings } from "../pattern/beginning.ts";
import type { Grammar } from "../pattern/grammar.ts";
import type { Choice, Option, Pattern, Repeat } from "../pattern/tree.ts";

/**
 * The same grammar with how likely each alternative and each part that may be left out is, told from phrases
 * that are said: what they use as often as they use it, and something for all that they do not (I. H. Witten
 * and T. C. Bell, "The zero-frequency problem", IEEE Transactions on Information Theory 37, 1991). What no
 * phrase leads to is left as it is, and phrases that are not in it tell nothing.
 *
 * @param said Phrases with how often each is said.
 */
export function weighted(grammar: Grammar, said: ReadonlyMap<string, number>): Grammar {
  const uses = createUses();
  const read = createUseReader(grammar);
  for (const [phrase, weight] of said) {
    for (const use of read(phrase.split(" "))) uses.add(use, weight);
  }
  const rules = [...grammar.rules].map(([name, rule]) => {
    return [name, { ...rule, pattern: uses.weigh(rule.pattern) }] as const;
  });
  return { ...grammar, rules: new Map(rules) };
}

/** An alternative that was taken, by its index; or whether what may be left out was said: 1, or 0. */
interface Use {
  of: Choice | Repeat;
  taken: number;
}

/** The way that a phrase is said: what is used, and the ways of its parts. */
interface Way {
  use?: Use;
  parts: readonly Way[];
}

/** Where a pattern may end that begins at a word, each in one way. */
type Ends = ReadonlyMap<number, Way>;

const nowhere: Ends = new Map();

/** Makes what tells the uses of a phrase in one of the ways in which a grammar has it. */
function createUseReader({ root, rules }: Grammar): (words: readonly string[]) => Use[] {
  // Most patterns cannot begin with a word that is at hand, and need not be looked into.
  const beginnings = createBeginnings((name) => rules.get(name)?.pattern);
  return (words) => {
    const known = new Map<Pattern, (Ends | undefined)[]>();
    const endsOf = (pattern: Pattern, at: number): Ends => {
      const { silent, first } = beginnings(pattern);
      if (!silent && !first.has(words[at] ?? "")) return nowhere;
      let row = known.get(pattern);
      if (!row) known.set(pattern, (row = []));
      const before = row[at];
      if (before) return before;
      // A rule that leads back to itself without a word leads nowhere.
      row[at] = nowhere;
      return (row[at] = find(pattern, at));
    };
    const find = (pattern: Pattern, at: number): Ends => {
      switch (pattern.type) {
        case "words": {
          const isSaid = pattern.words.every((word, index) => words[at + index] === word);
          return isSaid ? new Map([[at + pattern.words.length, { parts: [] }]]) : nowhere;
        }
        case "nothing":
          return new Map([[at, { parts: [] }]]);
        case "sequence": {
          let ends: Ends = new Map([[at, { parts: [] }]]);
          for (const item of pattern.items) ends = onward(ends, item);
          return ends;
        }
        case "choice": {
          const ends = new Map<number, Way>();
          for (const [taken, option] of pattern.options.entries()) {
            for (const [end, way] of endsOf(option.pattern, at)) {
              if (!ends.has(end)) ends.set(end, { use: { of: pattern, taken }, parts: [way] });
            }
          }
          return ends;
        }
        case "repeat":
          return repeated(pattern, at);
        case "reference": {
          const rule = rules.get(pattern.name)?.pattern;
          return rule ? endsOf(rule, at) : nowhere;
        }
        default:
          return nowhere;
      }
    };
    const onward = (from: Ends, item: Pattern): Map<number, Way> => {
      const ends = new Map<number, Way>();
      for (const [middle, before] of from) {
        for (const [end, way] of endsOf(item, middle)) {
          if (!ends.has(end)) ends.set(end, { parts: [before, way] });
        }
      }
      return ends;
    };
    const repeated = (pattern: Repeat, at: number): Ends => {
      const ends = new Map<number, Way>();
      let once: Ends = new Map([[at, { parts: [] }]]);
      for (let times = 0; times <= pattern.maximum && once.size > 0; times++) {
        for (const [end, way] of once) {
          if (times < pattern.minimum || ends.has(end)) continue;
          ends.set(end, { use: { of: pattern, taken: Math.min(times, 1) }, parts: [way] });
        }
        const further = onward(once, pattern.item);
        for (const end of times >= pattern.minimum ? ends.keys() : []) further.delete(end);
        once = further;
      }
      return ends;
    };
    const main = rules.get(root)?.pattern;
    const way = main && endsOf(main, 0).get(words.length);
    return way ? usesIn(way) : [];
  };
}

function usesIn(way: Way): Use[] {
  const found: Use[] = [];
  const waiting = [way];
  for (const { use, parts } of waiting) {
    if (use) found.push(use);
    waiting.push(...parts);
  }
  return found;
}

/** Counts what phrases use, and writes it into patterns as weights. */
function createUses() {
  const counts = new Map<Pattern, number[]>();
  const shareOf = (
    pattern: Choice | Repeat,
    kinds: number,
  ): ((taken: number) => number) | undefined => {
    const counted = counts.get(pattern);
    if (!counted) return undefined;
    const all = counted.reduce((sum, count) => sum + count, 0);
    const seen = counted.filter((count) => count > 0).length;
    return (taken) => rounded(((counted[taken] ?? 0) + seen / kinds) / (all + seen));
  };
  const weigh = (pattern: Pattern): Pattern => {
    switch (pattern.type) {
      case "sequence":
        return { ...pattern, items: pattern.items.map(weigh) };
      case "choice": {
        const share = shareOf(pattern, pattern.options.length);
        const options = pattern.options.map((option, index): Option => {
          return {
            ...option,
            pattern: weigh(option.pattern),
            ...(share ? { weight: share(index) } : {}),
          };
        });
        return { ...pattern, options };
      }
      case "repeat": {
        const isOptional = pattern.minimum === 0 && pattern.maximum === 1;
        const share = isOptional ? shareOf(pattern, 2) : undefined;
        const item = weigh(pattern.item);
        return { ...pattern, item, ...(share ? { probability: share(1) } : {}) };
      }
      default:
        return pattern;
    }
  };
  return {
    add({ of, taken }: Use, weight: number): void {
      let counted = counts.get(of);
      if (!counted) counts.set(of, (counted = []));
      for (let index = counted.length; index <= taken; index++) counted.push(0);
      counted[taken] = (counted[taken] ?? 0) + weight;
    },
    weigh,
  };
}

/** The least that is written: a weight has no exponent (SRGS 1.0, section 2.4.1). */
const least = 0.00001;

/** Two figures are as much as so few phrases tell. */
function rounded(share: number): number {
  return Math.max(least, Number(share.toPrecision(2)));
}
