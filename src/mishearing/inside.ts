import type { Costs } from "../sounds/costs.ts";
import type { Lattice, Span } from "./lattice.ts";
import type { Machine } from "./machine.ts";

/** More than anything costs. */
export const never = 1 << 28;

/** How rules get from a state and a sound to the sounds where they may end. */
export interface Inside {
  /** By rule: for each sound of each state, a row of what it costs to end at each sound. */
  tables: readonly Int32Array[];
  /** By rule and sound: where it may end that begins there, and at what cost. */
  reach: readonly (readonly (readonly Span[])[])[];
}

/** Tells how each rule may be said in each stretch of what was spoken, but for those that hold others. */
export function insideOf(
  { rules, uses, inner, late }: Machine,
  { length, spans, weakEnds, furthest }: Lattice,
  costs: Costs,
): Inside {
  const width = length + 1;
  const sizeOf = ({ states, isOuter }: Machine["rules"][number]) => (isOuter ? 0 : states.length);
  const tables = rules.map((rule) => new Int32Array(sizeOf(rule) * width * width).fill(never));
  /** The least of each row. */
  const lowest = rules.map((rule) => new Int32Array(sizeOf(rule) * width).fill(never));
  const reach = rules.map(() => Array.from({ length: width }, (): Span[] => []));
  /** For the sound at hand, the turn in which what begins there last changed. */
  const changedIn = new Int32Array(rules.length);

  for (let at = length; at >= 0; at--) {
    take(at);
    changedIn.fill(-1);
    // What costs no sound leads to the same sound again, so that it is looked at until nothing changes.
    for (let turn = 0, changed = true; changed; turn++) {
      changed = false;
      for (const rule of inner) {
        const isNew = mayChange(rule, turn) && improve(rule, at, turn);
        if (isNew || turn === 0) gatherReach(rule, at);
        const isLate = turn === 0 && late.has(rule) && (reach[rule]?.[at]?.length ?? 0) > 0;
        if (!isNew && !isLate) continue;
        changed = true;
        changedIn[rule] = turn;
      }
    }
  }
  return { tables, reach };

  /** Joins what a state reaches after something that costs so much; whether anything became less. */
  function join(rule: number, place: number, cost: number, other: number): boolean {
    const low = lowest[rule];
    const table = tables[rule];
    // Most lead too far.
    if (!low || !table || cost + (low[other] ?? never) > furthest) return false;
    let changed = false;
    for (let end = other % width; end < width; end++) {
      const total = cost + (table[other * width + end] ?? never);
      if (total <= furthest && total < (table[place * width + end] ?? never)) {
        table[place * width + end] = total;
        if (total < (low[place] ?? never)) low[place] = total;
        changed = true;
      }
    }
    return changed;
  }

  /** Whether anything that a rule leads on by became less since it was looked at. */
  function mayChange(rule: number, turn: number): boolean {
    if (turn === 0 || (changedIn[rule] ?? 0) >= turn - 1) return true;
    for (const called of rules[rule]?.called ?? []) {
      if ((changedIn[called] ?? 0) >= turn - 1) return true;
    }
    return false;
  }

  /** Takes all words that a stretch from a sound on may be taken for. */
  function take(at: number): void {
    spans[at]?.forEach((found, word) => {
      if (!found) return;
      for (const { rule, state, to } of uses[word] ?? []) {
        if (rules[rule]?.isOuter) continue;
        for (const { end, cost } of found) {
          if (end > at) join(rule, state * width + at, cost, to * width + end);
        }
      }
    });
    const weakEnd = weakEnds.get(at);
    for (const rule of inner) {
      const [table, low] = [tables[rule], lowest[rule]];
      const { states = [], ends = [] } = rules[rule] ?? {};
      for (const index of ends) {
        const place = index * width + at;
        if (table) table[place * width + at] = 0;
        if (low) low[place] = 0;
      }
      if (weakEnd === undefined) continue;
      for (let index = 0; index < states.length; index++) {
        join(rule, index * width + at, costs.weakLoss, index * width + weakEnd);
      }
    }
  }

  /** Looks once at what else a rule may say from a sound on; whether anything became less. */
  function improve(rule: number, at: number, turn: number): boolean {
    const { states = [], silent = [] } = rules[rule] ?? {};
    const here = spans[at];
    let changed = false;
    for (const index of silent) {
      const state = states[index];
      if (!state) continue;
      const place = index * width + at;
      for (const { word, isWeak, to } of state.short) {
        const other = to * width + at;
        for (const { end, cost } of here?.[word] ?? none) {
          if (end === at && join(rule, place, cost, other)) changed = true;
        }
        if (isWeak && join(rule, place, costs.weakGain, other)) changed = true;
      }
      for (const { rule: called, to } of state.calls) {
        const isNew = turn === 0 || (changedIn[called] ?? 0) >= turn - 1;
        for (const { end, cost } of reach[called]?.[at] ?? none) {
          if ((isNew || end === at) && join(rule, place, cost, to * width + end)) changed = true;
        }
      }
    }
    return changed;
  }

  function gatherReach(rule: number, at: number): void {
    const starting = reach[rule];
    const ends: Span[] = [];
    for (let end = at; end < width; end++) {
      const cost = tables[rule]?.[at * width + end] ?? never;
      if (cost <= furthest) ends.push({ end, cost });
    }
    if (starting) starting[at] = ends;
  }
}

const none: readonly Span[] = [];
