import type { Lexicon } from "../lexicon/lexicon.ts";
import type { Pattern } from "../pattern/tree.ts";
import type { Span } from "../source/position.ts";

/**
 * Every pattern of one language as one position automaton (Glushkov): a state is a place in a
 * pattern where something is said, entering it says it, and there are no empty moves.
 */
export interface Network {
  /** What entering a state consumes: a word's number, `anyWord`, or a slot type (`slotSymbol`). */
  symbol: number[];
  /** The name of the slot that a state fills, if any. */
  slot: (string | undefined)[];
  /** States that may come after a state; the ends of one stretch share their list. */
  follow: (readonly number[])[];
  /** Whether a rule may end at a state. */
  accepts: boolean[];
  /** The rule that a state belongs to. */
  rule: number[];
  /** The leaf of its pattern's tree that the state stands for; in a fragment, also whose tree that is. */
  leaf: Pattern[];
  fragment: (string | undefined)[];
  /** States that a rule may begin with, rule by rule. */
  starts: (readonly number[])[];
}

/** Consumes any one word. The lexicon has -1 for words that are in no pattern. */
export const anyWord = -2;

/** Consumed by nothing: of a state that there is not. */
const noSymbol = -3;

/** The symbol of a slot type, by its number. */
export const slotSymbol = (type: number): number => noSymbol - 1 - type;

/** The number of the slot type that a symbol stands for; undefined when it stands for none. */
export const slotTypeOf = (symbol: number): number | undefined =>
  symbol < noSymbol ? noSymbol - 1 - symbol : undefined;

/** What entering a state consumes. */
export const symbolOf = ({ symbol }: Network, state: number): number => symbol[state] ?? noSymbol;

/** The name of the slot that a state fills, if any. */
export const slotOf = ({ slot }: Network, state: number): string | undefined => slot[state];

/** States that may come after a state. */
export const followersOf = ({ follow }: Network, state: number): readonly number[] =>
  follow[state] ?? [];

/** Whether a rule may end at a state. */
export const isEnd = ({ accepts }: Network, state: number): boolean => accepts[state] === true;

/** The number of the rule that a state belongs to; -1 for a state that there is not. */
export const ruleOf = ({ rule }: Network, state: number): number => rule[state] ?? -1;

/** Where a state stands in its pattern's text. */
export const spanOf = ({ leaf }: Network, state: number): Span => leaf[state]?.span ?? [0, 0];

/** The leaf of its pattern's tree that a state stands for. */
export const leafOf = ({ leaf }: Network, state: number): Pattern | undefined => leaf[state];

/** The fragment in whose text a state stands, if it is in one. */
export const fragmentOf = ({ fragment }: Network, state: number): string | undefined =>
  fragment[state];

/** States that a rule may begin with. */
export const startsOf = ({ starts }: Network, rule: number): readonly number[] =>
  starts[rule] ?? [];

/** What a reference in a pattern stands for. */
export type Referred =
  | { refer: "pattern"; pattern: Pattern; fragment: string }
  | { refer: "slot"; symbol: number }
  /** Free words. */
  | { refer: "text" };

/** One pattern to be understood. */
export interface Rule {
  tree: Pattern;
  refer: (name: string) => Referred | undefined;
}

/** A stretch of a pattern: where it can begin and end, and whether it can be left unsaid. */
interface Stretch {
  first: readonly number[];
  last: readonly number[];
  nullable: boolean;
}

const empty: Network = {
  symbol: [],
  slot: [],
  follow: [],
  accepts: [],
  rule: [],
  leaf: [],
  fragment: [],
  starts: [],
};

/**
 * Builds the automaton of many patterns; the rules keep their numbers.
 *
 * @param begun The automaton of the rules before them, whose words the lexicon has under the same numbers.
 */
export function buildNetwork(
  rules: readonly Rule[],
  lexicon: Lexicon,
  begun: Network = empty,
): Network {
  const network: Network = {
    symbol: [...begun.symbol],
    slot: [...begun.slot],
    follow: [...begun.follow],
    accepts: [...begun.accepts],
    rule: [...begun.rule],
    leaf: [...begun.leaf],
    fragment: [...begun.fragment],
    starts: [...begun.starts],
  };
  rules.forEach((rule, index) => {
    const number = begun.starts.length + index;
    const whole = build(rule.tree, { network, lexicon, rule, number, fragment: undefined });
    for (const state of whole.last) network.accepts[state] = true;
    network.starts.push(whole.first);
  });
  return network;
}

interface Building {
  network: Network;
  lexicon: Lexicon;
  rule: Rule;
  number: number;
  fragment: string | undefined;
}

function build(pattern: Pattern, to: Building): Stretch {
  switch (pattern.type) {
    case "words": {
      const states = pattern.words.map((word) => addState(to, to.lexicon.add(word), pattern));
      return inSequence(states.map(single), to.network);
    }
    case "sequence":
      return inSequence(
        pattern.items.map((item) => build(item, to)),
        to.network,
      );
    case "choice": {
      const options = pattern.options.map((option) => build(option.pattern, to));
      return {
        first: options.flatMap(({ first }) => first),
        last: options.flatMap(({ last }) => last),
        nullable: options.some(({ nullable }) => nullable),
      };
    }
    case "repeat":
      return repeated(pattern, to);
    case "reference":
      return referred(pattern, to);
    case "garbage":
      return { ...looped(addState(to, anyWord, pattern), to.network), nullable: true };
    case "nothing":
      return { first: [], last: [], nullable: true };
    case "void":
      return { first: [], last: [], nullable: false };
  }
}

function addState(to: Building, symbol: number, leaf: Pattern, slot?: string): number {
  const { network } = to;
  network.symbol.push(symbol);
  network.slot.push(slot);
  network.follow.push(nothing);
  network.accepts.push(false);
  network.rule.push(to.number);
  network.leaf.push(leaf);
  network.fragment.push(to.fragment);
  return network.symbol.length - 1;
}

function single(state: number): Stretch {
  return { first: [state], last: [state], nullable: false };
}

const nothing: readonly number[] = [];

function looped(state: number, network: Network): Stretch {
  network.follow[state] = [state];
  return single(state);
}

function inSequence(stretches: readonly Stretch[], network: Network): Stretch {
  const [begin, ...others] = stretches;
  let whole: Stretch = begin ?? { first: [], last: [], nullable: true };
  for (const next of others) {
    join(whole.last, next.first, network);
    whole = {
      first: whole.nullable ? [...whole.first, ...next.first] : whole.first,
      last: next.nullable ? [...whole.last, ...next.last] : next.last,
      nullable: whole.nullable && next.nullable,
    };
  }
  return whole;
}

/** Lets states be followed by others. Those that were followed by the same still are. */
function join(last: readonly number[], first: readonly number[], network: Network): void {
  if (first.length === 0) return;
  // Most are followed by nothing yet.
  let joined: Map<readonly number[], readonly number[]> | undefined;
  for (const state of last) {
    const before = network.follow[state] ?? nothing;
    if (before === nothing) {
      network.follow[state] = first;
      continue;
    }
    joined ??= new Map();
    let after = joined.get(before);
    if (!after) joined.set(before, (after = [...before, ...first]));
    network.follow[state] = after;
  }
}

/** Loops inside loops join the same states twice. */
function joinOnce(last: readonly number[], first: readonly number[], network: Network): void {
  for (const state of last) {
    const before = new Set(network.follow[state]);
    const more = first.filter((next) => !before.has(next));
    if (more.length > 0) network.follow[state] = [...before, ...more];
  }
}

/** Counts are unrolled; an endless repeat is a last copy that leads back to itself. */
function repeated({ item, minimum, maximum }: Pattern & { type: "repeat" }, to: Building): Stretch {
  const copies: Stretch[] = [];
  const count = maximum === Infinity ? Math.max(1, minimum) : maximum;
  for (let copy = 0; copy < count; copy++) {
    const stretch = build(item, to);
    copies.push(copy < minimum ? stretch : { ...stretch, nullable: true });
  }
  const final = copies.at(-1);
  if (maximum === Infinity && final) joinOnce(final.last, final.first, to.network);
  return inSequence(copies, to.network);
}

function referred(leaf: Pattern & { type: "reference" }, to: Building): Stretch {
  const { name } = leaf;
  const target = to.rule.refer(name);
  if (!target) return { first: [], last: [], nullable: false };
  switch (target.refer) {
    case "slot":
      return single(addState(to, target.symbol, leaf, name));
    case "text":
      return looped(addState(to, anyWord, leaf, name), to.network);
    case "pattern":
      return build(target.pattern, { ...to, fragment: target.fragment });
  }
}
