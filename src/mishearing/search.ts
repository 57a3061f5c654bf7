import type { Costs } from "../sounds/costs.ts";
import { type Frame, lookAhead } from "./ahead.ts";
import { createBuckets } from "./buckets.ts";
import type { Lattice } from "./lattice.ts";
import type { Machine } from "./machine.ts";
import type { Vocabulary } from "./vocabulary.ts";

/** A phrase that can be said, and how far it is from what was spoken. */
export interface Taken {
  phrase: string;
  /** In hundredths. */
  distance: number;
}

export interface SearchOptions {
  costs: Costs;
  vocabulary: Vocabulary;
  /** The most that a phrase may be away, in hundredths. */
  furthest: number;
  /** Steps after which the search is given up. */
  mostSteps: number;
}

export interface SearchEnd {
  /** Whether all that is no further than was asked for was seen. */
  isExhaustive: boolean;
  steps: number;
}

/** What tells one meaning from another on the way: the words in slots, and the intents. */
interface Trace {
  next: Map<string, Trace> | undefined;
  /** Places that were looked at with it: the first, and all once there are more. */
  first: number;
  seen: Set<number> | undefined;
}

/** A way to a place, for the phrase that led there. */
interface Way {
  frame: Frame;
  state: number;
  trace: Trace;
  at: number;
  cost: number;
  said: Said | undefined;
}

interface Said {
  word: number;
  before: Said | undefined;
}

/**
 * Looks for the phrases of a grammar that sound most like what was spoken, from the nearest on. Since the
 * least that is still to be paid is known of every place, only places are looked at that lead to one that is
 * told (P. E. Hart, N. J. Nilsson and B. Raphael, 1968). Of phrases that differ only in words that make no
 * difference, the nearest is told. `tell` says whether to go on.
 */
export function searchNearest(
  machine: Machine,
  lattice: Lattice,
  { costs, vocabulary, furthest, mostSteps }: SearchOptions,
  tell: (taken: Taken) => boolean,
): SearchEnd {
  const ahead = lookAhead(machine, lattice, costs);
  const traces = createTraces();
  const queue = createBuckets<Way>(furthest + 1);
  const told = new Set<Trace>();
  const push = (way: Way): void => {
    const total = way.cost + ahead.least(way.frame, way.state, way.at);
    if (total <= furthest) queue.push(total, way);
  };
  push({ frame: ahead.first, state: 0, trace: traces.root, at: 0, cost: 0, said: undefined });

  let steps = 0;
  for (let way = queue.pop(); way; way = queue.pop()) {
    const { frame, state: index, trace, at, cost, said } = way;
    const place = (frame.id * mostStates + index) * (lattice.length + 1) + at;
    if (!isFirst(trace, place)) continue;
    if (++steps > mostSteps) return { isExhaustive: false, steps };
    const rule = machine.rules[frame.rule];
    const state = rule?.states[index];
    if (!rule || !state) continue;
    const spans = lattice.spans[at];
    for (const { word, isWeak, to } of state.words) {
      const found = spans?.[word];
      if (!found && !isWeak) continue;
      // Nothing is made for ways that lead too far, which most do.
      const follow = (end: number, price: number): void => {
        const total = price + ahead.least(frame, to, end);
        if (total > furthest) return;
        const text = vocabulary.words[word] ?? "";
        const after = rule.isIdle || isWeak ? trace : traces.follow(trace, text);
        const then = { word, before: said };
        queue.push(total, { frame, state: to, trace: after, at: end, cost: price, said: then });
      };
      for (const span of found ?? none) follow(span.end, cost + span.cost);
      if (isWeak) follow(at, cost + costs.weakGain);
    }
    const weakEnd = lattice.weakEnds.get(at);
    if (weakEnd !== undefined) push({ ...way, at: weakEnd, cost: cost + costs.weakLoss });
    for (const call of state.calls) {
      push({ frame: ahead.called(frame, call), state: 0, trace, at, cost, said });
    }
    if (state.end === undefined) continue;
    const ended = state.end === "" ? trace : traces.follow(trace, state.end);
    if (frame.parent) {
      push({ frame: frame.parent, state: frame.back, trace: ended, at, cost, said });
    } else if (at === lattice.length && !told.has(ended)) {
      told.add(ended);
      const phrase = phraseOf(said, vocabulary);
      if (!tell({ phrase, distance: cost })) return { isExhaustive: true, steps };
    }
  }
  return { isExhaustive: true, steps };
}

const none: readonly never[] = [];

function phraseOf(said: Said | undefined, { words }: Vocabulary): string {
  const texts: string[] = [];
  for (let at = said; at; at = at.before) texts.push(words[at.word] ?? "");
  return texts.reverse().join(" ");
}

/** More than any rule has, so that a place is one number. */
const mostStates = 1 << 24;

/** Whether a place is looked at for the first time with a trace. Most traces come to one place alone. */
function isFirst(trace: Trace, place: number): boolean {
  if (trace.first === place) return false;
  if (trace.first < 0) {
    trace.first = place;
    return true;
  }
  trace.seen ??= new Set();
  if (trace.seen.has(place)) return false;
  trace.seen.add(place);
  return true;
}

function createTraces() {
  const create = (): Trace => ({ next: undefined, first: -1, seen: undefined });
  return {
    root: create(),
    follow(from: Trace, text: string): Trace {
      from.next ??= new Map();
      let next = from.next.get(text);
      if (!next) from.next.set(text, (next = create()));
      return next;
    },
  };
}
