import { type Network, type Rule, buildNetwork } from "../../automaton/network.ts";
import type { LanguagePack } from "../../language/pack.ts";
import { type Lexicon, createLexicon } from "../../lexicon/lexicon.ts";
import { wordsIn } from "../../pattern/references.ts";
import type { Pattern } from "../../pattern/tree.ts";

/** Patterns that ship, with their words and their automaton, once some home had use for them. */
export interface Shipped {
  trees: readonly Pattern[];
  words: Lexicon;
  built?: { network: Network; asked: readonly Asked[] };
}

/** What stood for a slot of a rule: homes number their sorts of slot as they come. */
interface Asked {
  rule: number;
  name: string;
  symbol: number;
}

/** Most that are kept of a language, for homes whose devices differ in what they can do. */
const mostKept = 4;

const kept = new WeakMap<LanguagePack["vocabulary"], Shipped[]>();

/** What is kept of patterns that ship. */
export function shippedFor({ vocabulary }: LanguagePack, trees: readonly Pattern[]): Shipped {
  const known = kept.get(vocabulary) ?? [];
  const found = known.find(
    (each) =>
      each.trees.length === trees.length && each.trees.every((tree, at) => tree === trees[at]),
  );
  if (found) return found;
  const words = createLexicon();
  for (const tree of trees) wordsIn(tree).forEach(words.add);
  const shipped = { trees, words };
  kept.set(vocabulary, [shipped, ...known].slice(0, mostKept));
  return shipped;
}

/**
 * The automaton of patterns that ship. It is the same for every home whose devices can do the same, so that it is
 * built once.
 *
 * @param lexicon A copy of their words, to which others may have been added.
 */
export function shippedNetwork(
  shipped: Shipped,
  rules: readonly Rule[],
  lexicon: Lexicon,
): Network {
  const { built } = shipped;
  if (built && isNumberedAlike(built.asked, rules)) return built.network;
  const asked: Asked[] = [];
  const network = buildNetwork(
    rules.map((rule, number) => noting(rule, number, asked)),
    lexicon,
  );
  shipped.built = { network, asked };
  return network;
}

/** Whether a home has the same numbers for the sorts of its slots; it gives them out as they are asked for. */
function isNumberedAlike(asked: readonly Asked[], rules: readonly Rule[]): boolean {
  return asked.every(({ rule, name, symbol }) => {
    const referred = rules[rule]?.refer(name);
    return referred?.refer === "slot" && referred.symbol === symbol;
  });
}

/** A rule that notes what its slots are found under. */
function noting({ tree, refer }: Rule, rule: number, asked: Asked[]): Rule {
  const seen = new Set<string>();
  return {
    tree,
    refer(name) {
      const referred = refer(name);
      if (referred?.refer === "slot" && !seen.has(name)) {
        seen.add(name);
        asked.push({ rule, name, symbol: referred.symbol });
      }
      return referred;
    },
  };
}
