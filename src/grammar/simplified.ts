import type { Pattern } from "../pattern/tree.ts";
import { type AutomatonState, type RuleAutomaton, fewestStates } from "./automata.ts";
import { createDifferences, joined, nowhere } from "./frames.ts";
import { patternOfAutomaton } from "./to-pattern.ts";

/** Words of what may follow a state below which it is not worth putting it together with another. */
const leastWorth = 8;

/** How unlike what follows two states may be: 0 is the same, 2 nothing in common. */
const mostUnlike = 1.2;

/**
 * An automaton as a pattern of at most so many words, as far as that can be. States of which nearly the same
 * may follow are put together until it is, those first that spare most: the pattern then has some phrases
 * that the automaton did not have. What it had it keeps.
 */
export function simplified(
  automaton: RuleAutomaton,
  most: number,
  sizeOf: (pattern: Pattern) => number,
): Pattern | undefined {
  let { states } = automaton;
  let pattern = patternOfAutomaton({ states });
  for (let size = pattern && sizeOf(pattern); size !== undefined && size > most;) {
    let isSmaller = false;
    for (const [one, other] of likePairs(states)) {
      const fewer = together(states, one, other);
      const tried = patternOfAutomaton({ states: fewer });
      const triedSize = tried && sizeOf(tried);
      if (triedSize === undefined || triedSize >= size) continue;
      states = fewer;
      pattern = tried;
      size = triedSize;
      isSmaller = true;
      break;
    }
    if (!isSmaller) break;
  }
  return pattern;
}

/** Most pairs that are tried for one step. */
const mostTried = 12;

/** Pairs of states of which nearly the same may follow, those first that spare most. */
function likePairs(states: readonly AutomatonState[]): [number, number][] {
  const sizes = sizesOf(states);
  const without = createDifferences(states);
  const reach = reachOf(states);
  const worth = [...states.keys()].filter(
    (state) => state > 0 && (sizes[state] ?? 0) >= leastWorth,
  );
  const pairs: { pair: [number, number]; spared: number }[] = [];
  worth.forEach((one, index) => {
    for (const other of worth.slice(index + 1)) {
      // What follows another would follow itself.
      if (reach[one]?.has(other) || reach[other]?.has(one)) continue;
      const unlike =
        without(one, other) / Math.max(1, without(one, nowhere)) +
        without(other, one) / Math.max(1, without(other, nowhere));
      if (unlike > mostUnlike) continue;
      const spared = Math.min(sizes[one] ?? 0, sizes[other] ?? 0) * (2 - unlike);
      pairs.push({ pair: [one, other], spared });
    }
  });
  pairs.sort((a, b) => b.spared - a.spared);
  return pairs.slice(0, mostTried).map(({ pair }) => pair);
}

/** How many words follow each state when every way is written out. */
function sizesOf(states: readonly AutomatonState[]): number[] {
  const known: number[] = [];
  const size = (state: number): number => {
    const there = known[state];
    if (there !== undefined) return there;
    known[state] = 0;
    const arcs = states[state]?.arcs ?? [];
    const targets = new Set(arcs.map(({ to }) => to));
    const sum = [...targets].reduce((all, to) => all + size(to), arcs.length);
    return (known[state] = Math.min(1e6, sum));
  };
  for (const state of states.keys()) size(state);
  return known;
}

/** The same automaton with two states as one. */
function together(
  states: readonly AutomatonState[],
  one: number,
  other: number,
): readonly AutomatonState[] {
  const moved = states.map(({ arcs, ends }): AutomatonState => {
    return { ends, arcs: arcs.map((arc) => (arc.to === other ? { ...arc, to: one } : arc)) };
  });
  const [first, second] = [moved[one], moved[other]];
  const both = (first?.arcs ?? []).concat(second?.arcs ?? []);
  const ends = first?.ends.length || second?.ends.length ? [""] : [];
  return fewestStates(joined(moved.with(one, { arcs: both, ends }), [0]).states).states;
}

/** The states that may come after each. */
function reachOf(states: readonly AutomatonState[]): Set<number>[] {
  return states.map((_, from) => {
    const found = new Set<number>();
    const waiting = [from];
    for (const state of waiting) {
      for (const { to } of states[state]?.arcs ?? []) {
        if (found.has(to)) continue;
        found.add(to);
        waiting.push(to);
      }
    }
    return found;
  });
}
