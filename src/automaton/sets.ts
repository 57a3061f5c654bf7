import { type Network, anyWord, followersOf, isEnd, slotTypeOf, symbolOf } from "./network.ts";

/**
 * A set of states that an utterance can be in at one place: a state of the deterministic automaton,
 * made when first reached.
 */
export interface StateSet {
  readonly states: readonly number[];
  /** Whether a rule may also begin here. */
  readonly begins: boolean;
  /** Slot types that may come next. */
  readonly slotTypes: readonly number[];
  /** Members at which a rule may end. */
  readonly accepting: readonly number[];
  /** What a symbol leads to: states, or the set made of them once it was asked for. */
  readonly moves: Map<number, number[] | StateSet>;
  readonly unions: Map<StateSet, StateSet>;
}

export interface Sets {
  /** Before the first word. */
  readonly start: StateSet;
  /** After one more word; undefined when nothing goes on with it. */
  word: (set: StateSet, word: number) => StateSet | undefined;
  /** After one symbol: a slot that was filled, or a word without regard to states that take any. */
  move: (set: StateSet, symbol: number) => StateSet | undefined;
  union: (a: StateSet, b: StateSet) => StateSet;
}

/** Sets that are kept; when there are more, all are forgotten and made again as needed. */
const usuallyKept = 20_000;

/** The subset construction over a network, done as far as utterances need it. */
export function createSets(network: Network, mostSets = usuallyKept): Sets {
  let kept = new Map<string, StateSet>();

  const allStarts = network.starts.flat();

  const make = (states: readonly number[], begins: boolean): StateSet => {
    const next = new Set<number>();
    // The ends of one stretch are followed by the same.
    for (const follow of new Set(states.map((state) => followersOf(network, state)))) {
      for (const state of follow) next.add(state);
    }
    if (begins) for (const state of allStarts) next.add(state);
    const moves = new Map<number, number[]>();
    for (const state of next) {
      const symbol = symbolOf(network, state);
      const same = moves.get(symbol);
      if (same) same.push(state);
      else moves.set(symbol, [state]);
    }
    return {
      states,
      begins,
      slotTypes: [...moves.keys()].flatMap((symbol) => slotTypeOf(symbol) ?? []),
      accepting: states.filter((state) => isEnd(network, state)),
      moves,
      unions: new Map(),
    };
  };

  const intern = (states: Iterable<number>, begins: boolean): StateSet => {
    const sorted = [...new Set(states)].sort((a, b) => a - b);
    const key = `${begins ? "start " : ""}${sorted.join(" ")}`;
    let set = kept.get(key);
    if (!set) {
      if (kept.size >= mostSets) kept = new Map();
      set = make(sorted, begins);
      kept.set(key, set);
    }
    return set;
  };

  const move = (set: StateSet, symbol: number): StateSet | undefined => {
    const target = set.moves.get(symbol);
    if (!target) return undefined;
    if (!Array.isArray(target)) return target;
    const made = intern(target, false);
    set.moves.set(symbol, made);
    return made;
  };

  const union = (a: StateSet, b: StateSet): StateSet => {
    if (a === b) return a;
    let both = a.unions.get(b);
    if (!both) {
      both = intern([...a.states, ...b.states], a.begins || b.begins);
      a.unions.set(b, both);
    }
    return both;
  };

  const start = intern([], true);
  return {
    start,
    word(set, word) {
      const exact = move(set, word);
      const loose = move(set, anyWord);
      return exact && loose ? union(exact, loose) : (exact ?? loose);
    },
    move,
    union,
  };
}
