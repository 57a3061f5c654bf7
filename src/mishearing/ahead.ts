import type { Costs } from "../sounds/costs.ts";
import { insideOf, never } from "./inside.ts";
import type { Lattice, Span } from "./lattice.ts";
import { type Call, type Machine, type MachineState, type Use, isLast } from "./machine.ts";

/** A rule that was called, and where it leads back to. */
export interface Frame {
  id: number;
  rule: number;
  /** The state of the calling rule after it, and the frame of that rule; none for the first. */
  back: number;
  parent: Frame | undefined;
  /** The least that is still to be paid from each state and sound; for rules that hold others together. */
  ahead?: Int32Array;
}

/** The least that any phrase costs from a place to its end. */
export interface Ahead {
  first: Frame;
  /** The frame of a call; a call that is the last thing in its rule needs none of its own. */
  called: (from: Frame, call: Call) => Frame;
  /** Hundredths from a state of a frame's rule and a sound on. */
  least: (frame: Frame, state: number, at: number) => number;
}

/**
 * Tells for every place of a grammar and of what was spoken how much has to be paid at least from there on,
 * exactly: for each rule on its own how it can get from a state and a sound to each sound where it may end,
 * and for the few rules that hold the others together how it goes on to the end of the phrase (J. K. Baker,
 * "Trainable grammars for speech recognition", 1979; here with the least in place of the sum).
 */
export function lookAhead(machine: Machine, lattice: Lattice, costs: Costs): Ahead {
  const inside = insideOf(machine, lattice, costs);
  const { length, furthest } = lattice;
  const width = length + 1;
  const frames = createFrames(machine);
  const onward = ({ back, parent }: Frame, at: number): number => {
    if (!parent) return at === length ? 0 : never;
    return parent.ahead ? (parent.ahead[back * width + at] ?? never) : least(parent, back, at);
  };
  const least: Ahead["least"] = (frame, state, at) => {
    if (frame.ahead) return frame.ahead[state * width + at] ?? never;
    const table = inside.tables[frame.rule];
    const row = (state * width + at) * width;
    let best = never;
    for (let end = at; end < width; end++) {
      const cost = table?.[row + end] ?? never;
      if (cost >= best || cost > furthest) continue;
      const total = cost + onward(frame, end);
      if (total < best) best = total;
    }
    return best;
  };
  const outer = frames.outer.map((frame): Outer => {
    const states = machine.rules[frame.rule]?.states ?? [];
    const ahead = (frame.ahead = new Int32Array(states.length * width).fill(never));
    const steps = silentSteps(frame);
    const active = [...states.keys()].filter((index) => {
      const { end, holding = none } = states[index] ?? {};
      const isSilent = steps.from[index] !== steps.from[index + 1];
      return end !== undefined || holding.length > 0 || isSilent;
    });
    return { frame, states, active: active.reverse(), steps, ahead };
  });
  const byRule = new Map<number, Int32Array[]>();
  for (const { frame, ahead } of outer) {
    byRule.set(frame.rule, [...(byRule.get(frame.rule) ?? []), ahead]);
  }
  for (let at = length; at >= 0; at--) {
    take(at);
    // What costs no sound leads to the same sound again, so that it is looked at until nothing changes.
    for (let changed = true; changed;) {
      changed = false;
      for (const each of outer) if (improve(each, at)) changed = true;
    }
  }
  return { first: frames.first, called: frames.called, least };

  /** Takes all that a stretch from a sound on may be taken for: what is later does not change any more. */
  function take(at: number): void {
    const takeSpans = (found: readonly Span[], uses: readonly Use[]): void => {
      for (const { rule, state, to } of uses) {
        for (const ahead of byRule.get(rule) ?? []) {
          const place = state * width + at;
          for (const { end, cost } of found) {
            const total = cost + (ahead[to * width + end] ?? never);
            if (end > at && total <= furthest && total < (ahead[place] ?? never)) {
              ahead[place] = total;
            }
          }
        }
      }
    };
    lattice.spans[at]?.forEach((found, word) => {
      if (found) takeSpans(found, machine.uses[word] ?? []);
    });
    inside.reach.forEach((found, rule) => {
      takeSpans(found[at] ?? none, machine.calls[rule] ?? []);
    });
    const weakEnd = lattice.weakEnds.get(at);
    if (weakEnd === undefined) return;
    for (const { ahead, states } of outer) {
      for (const index of states.keys()) {
        const total = costs.weakLoss + (ahead[index * width + weakEnd] ?? never);
        const place = index * width + at;
        if (total <= furthest && total < (ahead[place] ?? never)) ahead[place] = total;
      }
    }
  }

  /** Looks once at what costs no sound; whether anything became less. */
  function improve({ frame, states, active, steps, ahead }: Outer, at: number): boolean {
    let changed = false;
    for (const index of active) {
      const state = states[index];
      const place = index * width + at;
      let best = ahead[place] ?? never;
      const before = best;
      if (state?.end !== undefined) best = Math.min(best, onward(frame, at));
      for (const call of state?.holding ?? none) {
        best = Math.min(best, least(frames.called(frame, call), 0, at));
      }
      const last = steps.from[index + 1] ?? 0;
      for (let step = steps.from[index] ?? 0; step < last; step++) {
        const to = steps.to[step] ?? 0;
        const total = (steps.cost[step] ?? never) + (ahead[to * width + at] ?? never);
        if (total < best) best = total;
      }
      if (best < before && best <= furthest) {
        ahead[place] = best;
        changed = true;
      }
    }
    return changed;
  }

  /** What may be made up where nothing is heard, which costs the same wherever that is. */
  function silentSteps({ rule }: Frame): Steps {
    const { states = [] } = machine.rules[rule] ?? {};
    const from: number[] = [];
    const to: number[] = [];
    const prices: number[] = [];
    for (const { short, calls } of states) {
      from.push(to.length);
      for (const arc of short) {
        const spans = lattice.spans[length]?.[arc.word] ?? none;
        const made = Math.min(arc.isWeak ? costs.weakGain : never, spans[0]?.cost ?? never);
        if (made > furthest) continue;
        to.push(arc.to);
        prices.push(made);
      }
      for (const call of calls) {
        const made = inside.reach[call.rule]?.[length]?.[0]?.cost ?? never;
        if (made > furthest) continue;
        to.push(call.to);
        prices.push(made);
      }
    }
    from.push(to.length);
    return { from: Int32Array.from(from), to: Int32Array.from(to), cost: Int32Array.from(prices) };
  }
}

/** Arcs of the states of a rule, those of one state after another. */
interface Steps {
  /** For each state, where its arcs begin; one more at the end. */
  from: Int32Array;
  to: Int32Array;
  cost: Int32Array;
}

const none: readonly never[] = [];

/** A frame of a rule that holds others together. */
interface Outer {
  frame: Frame;
  states: readonly MachineState[];
  /** Those from which something leads on that costs no sound, the last first. */
  active: readonly number[];
  /** What costs no sound. */
  steps: Steps;
  ahead: Int32Array;
}

function createFrames(machine: Machine) {
  let count = 0;
  const create = (rule: number, back: number, parent: Frame | undefined): Frame => {
    return { id: count++, rule, back, parent };
  };
  const first = create(machine.root, 0, undefined);
  /** Of each frame, those of its calls. */
  const inner = new Map<Frame | undefined, Map<number, Frame>>();
  const called: Ahead["called"] = (from, { rule, to }) => {
    const after = machine.rules[from.rule]?.states[to];
    const isTail = after !== undefined && isLast(after);
    const [back, parent] = isTail ? [from.back, from.parent] : [to, from];
    let frames = inner.get(parent);
    if (!frames) inner.set(parent, (frames = new Map<number, Frame>()));
    const key = back * machine.rules.length + rule;
    let frame = frames.get(key);
    if (!frame) frames.set(key, (frame = create(rule, back, parent)));
    return frame;
  };
  // Calls in last place keep those of the rules that hold others few.
  const found = new Set([first]);
  for (const frame of found) {
    for (const { calls } of machine.rules[frame.rule]?.states ?? []) {
      for (const call of calls) {
        if (machine.rules[call.rule]?.isOuter) found.add(called(frame, call));
      }
    }
  }
  // Inner ones first: what they come to is asked for by those around them.
  return { first, called, outer: [...found].reverse() };
}
