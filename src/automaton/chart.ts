import { unheardOf } from "../lexicon/lexicon.ts";
import { anyWord, slotSymbol } from "./network.ts";
import type { Sets, StateSet } from "./sets.ts";
import type { Utterance } from "./utterance.ts";

/** Words that a slot type takes, and what it takes them for. */
export interface Match<Value> {
  /** Index after the last word. */
  end: number;
  value: Value;
}

/** Finds everything that a slot type can take from a place on. */
export type Recognise<Value> = (utterance: Utterance, from: number) => readonly Match<Value>[];

/** Where an automaton can be after each number of words. */
export interface Chart<Value> {
  /** Index 0 is before the first word. */
  sets: readonly (StateSet | undefined)[];
  /** What a slot type takes from a place on; asked once for each place. */
  matches: (type: number, from: number) => readonly Match<Value>[];
  /** Moves that were made: at most one a word and one for each match of a slot type. */
  steps: number;
}

/**
 * Runs an automaton over an utterance, from every place in `starts` at once. The cost is linear in
 * the number of words: one step a word, and one for each match of a slot type that is expected.
 */
export function runAutomaton<Value>(
  sets: Sets,
  types: readonly Recognise<Value>[],
  utterance: Utterance,
  starts: ReadonlySet<number>,
): Chart<Value> {
  const { numbers, small } = utterance;
  const count = numbers.length;
  const chart = new Array<StateSet | undefined>(count + 1).fill(undefined);
  const known = new Map<number, readonly Match<Value>[]>();
  const matches = (type: number, from: number): readonly Match<Value>[] => {
    const key = type * (count + 1) + from;
    let found = known.get(key);
    if (!found) {
      found = types[type]?.(utterance, from) ?? [];
      known.set(key, found);
    }
    return found;
  };
  let furthest = Math.max(...starts);
  let steps = 0;
  const enter = (at: number, set: StateSet | undefined): void => {
    steps++;
    if (!set) return;
    if (at > furthest) furthest = at;
    const present = chart[at];
    chart[at] = present ? sets.union(present, set) : set;
  };

  for (let at = 0; at < count && at <= furthest; at++) {
    if (starts.has(at)) enter(at, sets.start);
    const set = chart[at];
    if (!set) continue;
    enter(at + 1, sets.word(set, numbers[at] ?? unheardOf));
    if (small[at]) enter(at + 1, set);
    for (const type of set.slotTypes) {
      const found = matches(type, at);
      if (found.length === 0) continue;
      const after = sets.move(set, slotSymbol(type));
      for (const { end } of found) enter(end, after);
    }
  }
  return { sets: chart, matches, steps };
}

/**
 * Where rules that begin at a place can end, and the states that they end in. For rules without
 * slots; most words begin none, which the first one tells.
 */
export function endsFrom(
  sets: Sets,
  utterance: Utterance,
  from: number,
): { end: number; states: readonly number[] }[] {
  const { moves } = sets.start;
  if (!moves.has(utterance.numbers[from] ?? unheardOf) && !moves.has(anyWord)) return [];
  const chart = runAutomaton(sets, [], utterance, new Set([from]));
  const ends: { end: number; states: readonly number[] }[] = [];
  for (let end = from + 1; end < chart.sets.length; end++) {
    const states = chart.sets[end]?.accepting ?? [];
    if (states.length > 0) ends.push({ end, states });
  }
  return ends;
}
