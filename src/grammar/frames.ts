import {
  type Arc,
  type AutomatonState,
  type RuleAutomaton,
  fewestStates,
  symbolOf,
} from "./automata.ts";

/** Commands as what comes before a thing that is named, and what may come after it then. */
export interface Framed {
  before: RuleAutomaton;
  after: RuleAutomaton;
}

export interface Frames {
  framed: readonly Framed[];
  /** Commands in which nothing is named. */
  bare: RuleAutomaton;
}

/**
 * Takes commands apart at the first thing that they name. Since what names things is long, each frame costs
 * much, and frames are put together until there are as few as asked for: those first of which this adds the
 * fewest commands that nobody says.
 *
 * @param thing The rule that names things.
 * @returns The frames, of which there are so many at most.
 */
export function framesOf(commands: RuleAutomaton, thing: string): (most: number) => Frames {
  const { states } = commands;
  const isThing = (arc: Arc): boolean => arc.say === "rule" && arc.rule === thing;
  const groups = new Map<number, Set<number>>();
  states.forEach(({ arcs }, from) => {
    for (const arc of arcs) {
      if (!isThing(arc)) continue;
      const sources = groups.get(arc.to) ?? new Set<number>();
      groups.set(arc.to, sources.add(from));
    }
  });
  const others = states.map(({ arcs, ends }) => ({
    ends,
    arcs: arcs.filter((arc) => !isThing(arc)),
  }));
  const all = [...groups].map(([after, before]): Group => {
    return { before: [...before], after: [after] };
  });
  const fewer = createJoining(all, countWays(others), createDifferences(states));
  const bare = trimmed(others);
  // However many frames there are, most of them are the same ones.
  const framed = new Map<Group, Framed>();
  const asFramed = (group: Group): Framed => {
    const there = framed.get(group);
    if (there) return there;
    const { before, after } = group;
    const ends = (state: number): string[] => (before.includes(state) ? [""] : []);
    const made = {
      before: trimmed(others.map(({ arcs }, state) => ({ arcs, ends: ends(state) }))),
      after: joined(states, after),
    };
    framed.set(group, made);
    return made;
  };
  return (most) => ({ bare, framed: fewer(most).map(asFramed) });
}

interface Group {
  /** States before the thing, and those after it. */
  before: readonly number[];
  after: readonly number[];
}

/** More phrases than need be counted. */
const many = 1e9;

/** How many ways lead to each state. */
function countWays(states: readonly AutomatonState[]): (state: number) => number {
  const into = states.map((): number[] => []);
  states.forEach(({ arcs }, from) => {
    for (const { to } of arcs) into[to]?.push(from);
  });
  const known = new Map<number, number>([[0, 1]]);
  const count = (state: number): number => {
    const there = known.get(state);
    if (there !== undefined) return there;
    known.set(state, 0);
    const sum = (into[state] ?? []).reduce((all, from) => all + count(from), 0);
    known.set(state, Math.min(many, sum));
    return Math.min(many, sum);
  };
  return count;
}

/** How many phrases follow one state and do not follow another, which may be `nowhere`. */
type Differences = (one: number, other: number) => number;

/** A state that there is not: nothing follows it. */
export const nowhere = -1;

export function createDifferences(states: readonly AutomatonState[]): Differences {
  const known = new Map<number, number>();
  const symbols = states.map(({ arcs }) => new Map(arcs.map((arc) => [symbolOf(arc), arc.to])));
  const differ = (one: number, other: number): number => {
    if (one === other) return 0;
    const key = one * (states.length + 1) + other + 1;
    const there = known.get(key);
    if (there !== undefined) return there;
    known.set(key, 0);
    const ending = (state: number): boolean => (states[state]?.ends.length ?? 0) > 0;
    let count = ending(one) && !ending(other) ? 1 : 0;
    for (const [symbol, to] of symbols[one] ?? []) {
      count += differ(to, symbols[other]?.get(symbol) ?? nowhere);
    }
    known.set(key, Math.min(many, count));
    return Math.min(many, count);
  };
  return differ;
}

/** Makes what puts frames together until there are so many at most, two of which this adds the fewest commands first. */
function createJoining(
  all: readonly Group[],
  ways: (state: number) => number,
  without: Differences,
): (most: number) => readonly Group[] {
  const sum = (values: readonly number[]): number => values.reduce((total, one) => total + one, 0);
  const waysTo = (group: Group): number => sum(group.before.map(ways));
  const missing = (one: Group, other: Group): number =>
    sum(one.after.map((state) => Math.min(...other.after.map((each) => without(state, each)))));
  const costs = new Map<Group, Map<Group, number>>();
  const costOf = (one: Group, other: Group): number => {
    const known = costs.get(one) ?? new Map<Group, number>();
    costs.set(one, known);
    const cost =
      known.get(other) ?? waysTo(one) * missing(other, one) + waysTo(other) * missing(one, other);
    known.set(other, cost);
    return cost;
  };
  const joinNearest = (frames: readonly Group[]): readonly Group[] => {
    let best: { cost: number; one: Group; other: Group } | undefined;
    frames.forEach((one, index) => {
      for (const other of frames.slice(index + 1)) {
        const cost = costOf(one, other);
        if (!best || cost < best.cost) best = { cost, one, other };
      }
    });
    if (!best) return frames;
    const { one, other } = best;
    const both: Group = {
      before: [...one.before, ...other.before],
      after: [...one.after, ...other.after],
    };
    return [...frames.filter((each) => each !== one && each !== other), both];
  };
  const steps = [all];
  return (most) => {
    for (;;) {
      const there = steps.find(({ length }) => length <= most);
      if (there) return there;
      steps.push(joinNearest(steps.at(-1) ?? []));
    }
  };
}

/** An automaton without what leads to no end. */
function trimmed(states: readonly AutomatonState[]): RuleAutomaton {
  const leads = new Set<number>();
  for (let grew = true; grew;) {
    grew = false;
    states.forEach(({ arcs, ends }, index) => {
      if (leads.has(index)) return;
      if (ends.length === 0 && !arcs.some(({ to }) => leads.has(to))) return;
      leads.add(index);
      grew = true;
    });
  }
  const kept = states.map(({ arcs, ends }) => ({
    ends,
    arcs: arcs.filter(({ to }) => leads.has(to)),
  }));
  return fewestStates(reached(kept));
}

/** What may follow any of some states, as one automaton. */
export function joined(states: readonly AutomatonState[], from: readonly number[]): RuleAutomaton {
  const numbers = new Map<string, number>();
  const order: (readonly number[])[] = [];
  const numberOf = (set: ReadonlySet<number>): number => {
    const sorted = [...set].sort((one, other) => one - other);
    const key = sorted.join(" ");
    let number = numbers.get(key);
    if (number === undefined) {
      number = order.length;
      numbers.set(key, number);
      order.push(sorted);
    }
    return number;
  };
  numberOf(new Set(from));
  const made: AutomatonState[] = [];
  for (const set of order) {
    const next = new Map<string, { arc: Arc; to: Set<number> }>();
    for (const state of set) {
      for (const arc of states[state]?.arcs ?? []) {
        const symbol = symbolOf(arc);
        const same = next.get(symbol);
        if (same) same.to.add(arc.to);
        else next.set(symbol, { arc, to: new Set([arc.to]) });
      }
    }
    const ends = set.some((state) => (states[state]?.ends.length ?? 0) > 0) ? [""] : [];
    made.push({
      ends,
      arcs: [...next.values()].map(({ arc, to }) => ({ ...arc, to: numberOf(to) })),
    });
  }
  return fewestStates(made);
}

/** States that can be reached from the first, with new numbers. */
function reached(states: readonly AutomatonState[]): AutomatonState[] {
  const numbers = new Map([[0, 0]]);
  const order = [0];
  for (const state of order) {
    for (const { to } of states[state]?.arcs ?? []) {
      if (numbers.has(to)) continue;
      numbers.set(to, order.length);
      order.push(to);
    }
  }
  return order.map((state) => {
    const { arcs, ends } = states[state] ?? { arcs: [], ends: [] };
    return { ends, arcs: arcs.map((arc) => ({ ...arc, to: numbers.get(arc.to) ?? 0 })) };
  });
}
