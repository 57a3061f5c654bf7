import type { Chart } from "../../automaton/chart.ts";
import {
  anyWord,
  followersOf,
  ruleOf,
  slotOf,
  slotTypeOf,
  symbolOf,
} from "../../automaton/network.ts";
import type { Holder } from "../../slot-types/expression.ts";
import { isBare } from "../../slot-types/narrowing.ts";
import type { SlotReading } from "../../slot-types/slot.ts";
import type { Engine } from "../understand/engine.ts";
import type { Understood } from "../understand/understand.ts";
import { type NameFound, compare, createNameSearch } from "./likeness.ts";

/** One change that would make the utterance understood: words at `from` up to `end` are in the way. */
export interface Change {
  miss: "word" | "name" | "value" | "extra" | "missing";
  from: number;
  end: number;
  /** The state that the words should have led to; for `extra`, the one they came after. */
  state: number;
  /** Lower is nearer. */
  cost: number;
  holder?: Holder;
  /** Alike in sound rather than in spelling. */
  sounds?: boolean;
}

/** A name this like is meant, even where some of its words could be understood alone. */
export const nearEnough = 0.3;

/** Everything that one change would mend. */
export function singleChanges(engine: Engine, understood: Understood): Change[] {
  const { utterance, chart, starts } = understood;
  const { network } = engine;
  const count = utterance.numbers.length;
  const complete = completions(engine, understood);
  const changes: Change[] = [];
  const nearestNames = createNameSearch(engine, utterance);

  for (let at = 0; at <= count; at++) {
    const before = [...(chart.sets[at]?.states ?? [])];
    const next = new Set(before.flatMap((state) => followersOf(network, state)));
    if (starts.has(at)) for (const state of network.starts.flat()) next.add(state);
    const word = utterance.texts[at];
    if (word !== undefined) {
      for (const state of before) {
        if (complete[at + 1]?.has(state)) {
          changes.push({ miss: "extra", from: at, end: at + 1, state, cost: 0.65 });
        }
      }
    }
    for (const state of next) {
      const symbol = symbolOf(network, state);
      const type = slotTypeOf(symbol);
      if (complete[at]?.has(state) && symbol !== anyWord) {
        changes.push({ miss: "missing", from: at, end: at, state, cost: 0.6 });
      }
      if (word === undefined) continue;
      if (symbol >= 0 && complete[at + 1]?.has(state)) {
        const likeness = compare(word, engine.lexicon.word(symbol));
        changes.push({ miss: "word", from: at, end: at + 1, state, ...likeness });
      } else if (type !== undefined) {
        for (let end = at + 1; end <= Math.min(count, at + 5); end++) {
          if (!complete[end]?.has(state)) continue;
          const found = slotChanges(engine, { state, from: at, end }, nearestNames);
          // "The weel lamp" is nearer to the wheel lamp than to any lamp with a word too many.
          const isNear = found.some(({ holder, cost }) => holder && cost <= nearEnough);
          if (isNear || !holdsMatch(chart, type, at, end)) changes.push(...found);
        }
      }
    }
  }
  return changes;
}

/** Whether some of the words are what a slot takes already: then the others are too many. */
function holdsMatch(chart: Chart<SlotReading>, type: number, from: number, end: number): boolean {
  for (let at = from; at < end; at++) {
    const matches = chart.matches(type, at).filter(({ value }) => !isSaidBare(value));
    if (matches.some((match) => match.end <= end)) return true;
  }
  return false;
}

/** "The wheel lamb" is no "wheel" and a word too many. */
function isSaidBare(reading: SlotReading): boolean {
  return reading.read === "target" && isBare(reading.target);
}

function slotChanges(
  engine: Engine,
  { state, from, end }: Pick<Change, "state" | "from" | "end">,
  nearestNames: (from: number, end: number) => NameFound | undefined,
): Change[] {
  const { intent } = engine.rules[ruleOf(engine.network, state)] ?? {};
  const slot = intent?.slots.get(slotOf(engine.network, state) ?? "");
  if (slot?.fills !== "target") {
    return end === from + 1 ? [{ miss: "value", from, end, state, cost: 0.7 }] : [];
  }
  const near = nearestNames(from, end);
  if (!near) return [{ miss: "name", from, end, state, cost: 0.8 + (end - from) / 100 }];
  return [{ miss: "name", from, end, state, ...near }];
}

/** For each place, the states from which the words after it complete a pattern. */
function completions({ network }: Engine, { utterance, chart, ends }: Understood): Set<number>[] {
  const count = utterance.numbers.length;
  const complete = Array.from({ length: count + 1 }, () => new Set<number>());
  const accepting = network.accepts.flatMap((accepts, state) => (accepts ? [state] : []));
  for (let at = count; at >= 0; at--) {
    const here = complete[at];
    if (!here) continue;
    if (ends.has(at)) for (const state of accepting) here.add(state);
    if (at === count) continue;
    if (utterance.small[at]) for (const state of complete[at + 1] ?? []) here.add(state);
    const leads = (state: number): boolean => {
      const symbol = symbolOf(network, state);
      const type = slotTypeOf(symbol);
      if (type !== undefined) {
        return chart.matches(type, at).some(({ end }) => complete[end]?.has(state));
      }
      const isTaken = symbol === anyWord || symbol === utterance.numbers[at];
      return isTaken && complete[at + 1]?.has(state) === true;
    };
    network.follow.forEach((follow, state) => {
      if (follow.some(leads)) here.add(state);
    });
  }
  return complete;
}
