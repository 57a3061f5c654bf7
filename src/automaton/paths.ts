import type { Chart, Match } from "./chart.ts";
import {
  type Network,
  anyWord,
  followersOf,
  isEnd,
  ruleOf,
  slotOf,
  slotTypeOf,
  startsOf,
  symbolOf,
} from "./network.ts";
import type { Utterance } from "./utterance.ts";

/** A state that an utterance went through, and the words that it took. */
export interface PathStep<Value> {
  state: number;
  from: number;
  end: number;
  /** For a slot: what the words were taken for. */
  match?: Match<Value>;
}

/** One way through a rule's pattern. */
export interface Path<Value> {
  rule: number;
  /** Words before the pattern: the address and courtesies. */
  from: number;
  /** Index after the last word that the pattern took. */
  end: number;
  steps: readonly PathStep<Value>[];
  /** Words of the pattern itself. */
  literalWords: number;
  /** Words taken by free text. */
  freeWords: number;
}

export interface Paths<Value> {
  found: readonly Path<Value>[];
  /** Whether there are more than were looked for. */
  cut: boolean;
  /** Steps that were taken, at most `mostSteps`. */
  steps: number;
}

/** Ways that are kept from one place on; ways that fill the slots alike count as one. */
const mostWays = 64;

/** Steps after which no more ways are looked for, which bounds the cost of any utterance. */
export const mostSteps = 100_000;

/** Most ways that are told. */
const mostFound = 1000;

interface Way<Value> {
  step?: PathStep<Value>;
  rest?: Way<Value>;
  end: number;
  literalWords: number;
  freeWords: number;
}

/**
 * Every way to fill the slots of the rules that an utterance reached the end of. Two ways through a
 * pattern that fill its slots alike are one, the one with more words of the pattern.
 */
export function findPaths<Value>(
  network: Network,
  chart: Chart<Value>,
  utterance: Utterance,
  { starts, ends }: { starts: ReadonlySet<number>; ends: ReadonlySet<number> },
): Paths<Value> {
  const found: Path<Value>[] = [];
  let cut = false;
  let steps = 0;
  const reached = new Set<number>();
  for (const end of ends) {
    for (const state of chart.sets[end]?.accepting ?? []) reached.add(ruleOf(network, state));
  }
  const { numbers, small } = utterance;
  const count = numbers.length;

  const known = new Map<number, Way<Value>[]>();
  const waysAfter = (state: number, at: number): Way<Value>[] => {
    const key = state * (count + 1) + at;
    let ways = known.get(key);
    if (!ways) {
      const ending = isEnd(network, state);
      const isFree = symbolOf(network, state) === anyWord;
      ways = continued(followersOf(network, state), at, { ending, isFree });
      known.set(key, ways);
    }
    return ways;
  };

  const continued = (
    next: readonly number[],
    from: number,
    { ending, isFree }: { ending: boolean; isFree: boolean },
  ): Way<Value>[] => {
    let ways: Way<Value>[] = [];
    if (ending && ends.has(from)) ways.push({ end: from, literalWords: 0, freeWords: 0 });
    // A word that may be passed over is passed over by standing still.
    for (let at = from; at < count; at++) {
      for (const state of next) {
        const symbol = symbolOf(network, state);
        const type = slotTypeOf(symbol);
        if (type !== undefined) {
          for (const match of chart.matches(type, at)) {
            extend(ways, { state, from: at, end: match.end, match }, 0, 0);
          }
        } else if (symbol === anyWord) {
          // In free words every word counts: none is passed over before, among or after them.
          if (at === from) extend(ways, { state, from: at, end: at + 1 }, 0, 1);
        } else if (symbol === numbers[at]) {
          extend(ways, { state, from: at, end: at + 1 }, 1, 0);
        }
      }
      if (!small[at] || isFree) break;
      if (ending && ends.has(at + 1)) ways.push({ end: at + 1, literalWords: 0, freeWords: 0 });
    }
    if (ways.length > 1) ways = distinct(ways);
    if (ways.length > mostWays) {
      cut = true;
      ways = ways.slice(0, mostWays);
    }
    return ways;
  };

  const extend = (
    ways: Way<Value>[],
    step: PathStep<Value>,
    literal: number,
    free: number,
  ): void => {
    for (const rest of waysAfter(step.state, step.end)) {
      if (++steps > mostSteps) {
        cut = true;
        return;
      }
      ways.push({
        step,
        rest,
        end: rest.end,
        literalWords: rest.literalWords + literal,
        freeWords: rest.freeWords + free,
      });
    }
  };

  const matchNumbers = new Map<Match<Value>, number>();
  /** How a way fills the slots, as a key. A match is the same object whenever it is asked for. */
  const fillings = (way: Way<Value>): string => {
    let key = "";
    for (let at: Way<Value> | undefined = way; at; at = at.rest) {
      const { step } = at;
      const slot = step && slotOf(network, step.state);
      if (!step || slot === undefined) continue;
      const { from, end, match } = step;
      if (match && !matchNumbers.has(match)) matchNumbers.set(match, matchNumbers.size);
      key += `${slot} ${from} ${end} ${match ? matchNumbers.get(match) : ""};`;
    }
    return key;
  };

  const distinct = (ways: readonly Way<Value>[]): Way<Value>[] => {
    const best = new Map<string, Way<Value>>();
    for (const way of ways) {
      const key = fillings(way);
      const other = best.get(key);
      if (!other || way.literalWords > other.literalWords) best.set(key, way);
    }
    return [...best.values()];
  };

  const start = { ending: false, isFree: false };
  for (const rule of reached) {
    for (const from of starts) {
      // Words that may be passed over are passed over from the front on.
      if (from > 0 && small.slice(0, from).every(Boolean)) continue;
      for (const way of continued(startsOf(network, rule), from, start)) {
        const { end, literalWords, freeWords } = way;
        if (found.length >= mostFound) {
          cut = true;
          continue;
        }
        found.push({ rule, from, end, steps: stepsOf(way), literalWords, freeWords });
      }
    }
  }
  return { found, cut, steps: Math.min(steps, mostSteps) };
}

function stepsOf<Value>(way: Way<Value>): PathStep<Value>[] {
  const steps: PathStep<Value>[] = [];
  for (let at: Way<Value> | undefined = way; at; at = at.rest) if (at.step) steps.push(at.step);
  return steps;
}
