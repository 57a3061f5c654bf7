import { choice, optional, reference, sequence, words } from "../pattern/build.ts";
import type { Pattern } from "../pattern/tree.ts";
import { type Arc, type AutomatonState, type RuleAutomaton, symbolOf } from "./automata.ts";

/**
 * An automaton without circles as a pattern that is as small as it can easily be: what begins alike is written
 * once, and so is what all ways come to in the end. `undefined` for one with circles.
 */
export function patternOfAutomaton({ states }: RuleAutomaton): Pattern | undefined {
  const order = inOrder(states.map(({ arcs }) => arcs));
  if (!order) return undefined;
  const exit = states.length;
  const joins = meetings(states, order, exit);
  const write = (from: number, until: number): Pattern | undefined => {
    const parts: Pattern[] = [];
    let at = from;
    while (at !== until) {
      const state = states[at];
      if (!state) break;
      const meeting = joins[at] ?? exit;
      const next = between(meeting, until) ? meeting : until;
      const ways = new Map<number, Arc[]>();
      for (const arc of state.arcs) ways.set(arc.to, [...(ways.get(arc.to) ?? []), arc]);
      const skipped = [...ways.keys()].find((to) => to !== until && isSkip(state, to));
      if (skipped !== undefined) {
        parts.push(optional(choice((ways.get(skipped) ?? []).map(symbol))));
        at = skipped;
        continue;
      }
      const options = [...ways].map(([to, arcs]) => {
        const rest = to === next ? undefined : write(to, next);
        return sequence(choice(arcs.map(symbol)), rest);
      });
      const isEnding = state.ends.length > 0;
      if (options.length > 0) {
        const all = choice(options);
        // An end before all ways meet is an end of the whole, which `until` then is.
        parts.push(isEnding ? optional(all) : all);
      }
      at = next;
    }
    return parts.length === 0 ? undefined : sequence(...parts);
  };
  /** Whether what leads to a state may as well be left out. */
  function isSkip({ arcs, ends }: AutomatonState, to: number): boolean {
    const after = states[to];
    const others = arcs.filter((arc) => arc.to !== to);
    if (others.length !== after?.arcs.length) return false;
    const there = new Set(after.arcs.map(keyOf));
    const isSame = ends.length === after.ends.length;
    return isSame && others.every((arc) => there.has(keyOf(arc)));
  }
  /** Whether a state comes no later than another one on all ways. */
  const place = new Map(order.map((state, index) => [state, index]));
  function between(state: number, until: number): boolean {
    if (state === exit) return until === exit;
    return until === exit || (place.get(state) ?? 0) <= (place.get(until) ?? 0);
  }
  return write(0, exit) ?? { type: "nothing", span: [0, 0] };
}

function keyOf(arc: Arc): string {
  return `${symbolOf(arc)} ${arc.to}`;
}

function symbol(arc: Arc): Pattern {
  switch (arc.say) {
    case "word":
      return words(arc.word);
    case "rule":
      return reference(arc.rule);
    case "anything":
      return { type: "garbage", span: [0, 0] };
  }
}

/** States so that each comes before those that may follow it; `undefined` where there is a circle. */
function inOrder(arcs: readonly (readonly Arc[])[]): number[] | undefined {
  const done = new Set<number>();
  const open = new Set<number>();
  const order: number[] = [];
  const visit = (state: number): boolean => {
    if (done.has(state)) return true;
    if (open.has(state)) return false;
    open.add(state);
    for (const { to } of arcs[state] ?? []) if (!visit(to)) return false;
    open.delete(state);
    done.add(state);
    order.push(state);
    return true;
  };
  return visit(0) ? order.reverse() : undefined;
}

/**
 * For each state the first one that all ways from it come to; the exit where they only end (T. Lengauer and
 * R. E. Tarjan, 1979, seen from the end; found by walking up, as in K. D. Cooper and others, 2001).
 */
function meetings(
  states: RuleAutomaton["states"],
  order: readonly number[],
  exit: number,
): number[] {
  const place = new Map(order.map((state, index) => [state, index]));
  place.set(exit, order.length);
  const at = (state: number): number => place.get(state) ?? 0;
  const meeting: number[] = [];
  const meet = (one: number, other: number): number => {
    let [a, b] = [one, other];
    while (a !== b) {
      if (at(a) < at(b)) a = meeting[a] ?? exit;
      else b = meeting[b] ?? exit;
    }
    return a;
  };
  for (const state of [...order].reverse()) {
    const { arcs = [], ends = [] } = states[state] ?? {};
    const next = [...arcs.map(({ to }) => to), ...(ends.length > 0 ? [exit] : [])];
    meeting[state] = next.reduce(meet, next[0] ?? exit);
  }
  return meeting;
}
