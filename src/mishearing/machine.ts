import type { Automata } from "../grammar/automata.ts";
import type { Sounds } from "../sounds/pronounce.ts";
import { mostMadeUp } from "./lattice.ts";
import type { Vocabulary } from "./vocabulary.ts";

/** Automata of a grammar with numbers for words and rules, ready to be searched. */
export interface Machine {
  rules: readonly MachineRule[];
  /** The number of the rule that phrases are of. */
  root: number;
  /** Where each word may be said, by its number, and where each rule is called. */
  uses: readonly (readonly Use[])[];
  calls: readonly (readonly Use[])[];
  /** Rules that hold no others, what is called before what calls it. */
  inner: readonly number[];
  /** Those of them that come after one that calls them all the same, since some call one another. */
  late: ReadonlySet<number>;
}

export interface MachineRule {
  name: string;
  states: readonly MachineState[];
  /** States from which something leads on that may cost no sound, the last first; and those where it may end. */
  silent: readonly number[];
  ends: readonly number[];
  /** The rules that it calls. */
  called: ReadonlySet<number>;
  /** Whether its words make no difference to what is meant. */
  isIdle: boolean;
  /** Whether it is one of the few that hold the others together. */
  isOuter: boolean;
}

export interface MachineState {
  words: readonly WordArc[];
  /** Those of them that may be made up where nothing is heard. */
  short: readonly WordArc[];
  calls: readonly Call[];
  /** Those of them that are of rules which hold others together. */
  holding: readonly Call[];
  /** What the rule may end as here; undefined where it cannot. */
  end: string | undefined;
}

export interface WordArc {
  word: number;
  isWeak: boolean;
  to: number;
}

export interface Call {
  rule: number;
  to: number;
}

/** An arc, seen from what it says. */
export interface Use {
  rule: number;
  state: number;
  to: number;
}

/** @param outer Rules that hold the others together, by name; what is said in them is no slot. */
export function machineOf(
  { rules, root }: Automata,
  { vocabulary, sounds }: { vocabulary: Vocabulary; sounds: Sounds },
  { outer, idle }: { outer: ReadonlySet<string>; idle: ReadonlySet<string> },
): Machine {
  const names = [...rules.keys()];
  const numbers = new Map(names.map((name, index) => [name, index]));
  const uses = vocabulary.words.map((): Use[] => []);
  const callsOf = names.map((): Use[] => []);
  const isShort = ({ word, isWeak }: WordArc): boolean =>
    isWeak || sounds.waysOf(vocabulary.words[word] ?? "").some((way) => way.length <= mostMadeUp);
  const all = [...rules].map(([name, { states }], rule): MachineRule => {
    const made = states.map(({ arcs, ends }, state): MachineState => {
      // Free words have no sounds of their own: phrases with them are left out.
      const words = arcs.flatMap((arc): WordArc[] => {
        const word = arc.say === "word" ? vocabulary.numberOf(arc.word) : undefined;
        if (arc.say !== "word" || word === undefined) return [];
        uses[word]?.push({ rule, state, to: arc.to });
        return [{ word, isWeak: sounds.costs.weak.has(arc.word), to: arc.to }];
      });
      const calls = arcs.flatMap((arc): Call[] => {
        const called = arc.say === "rule" ? numbers.get(arc.rule) : undefined;
        if (called === undefined) return [];
        callsOf[called]?.push({ rule, state, to: arc.to });
        return [{ rule: called, to: arc.to }];
      });
      return {
        words,
        short: words.filter(isShort),
        calls,
        holding: calls.filter((call) => outer.has(names[call.rule] ?? "")),
        end: ends.length === 0 ? undefined : ends.join(" "),
      };
    });
    return {
      name,
      isIdle: outer.has(name) || idle.has(name),
      isOuter: outer.has(name),
      states: made,
      silent: [...made.keys()].filter((at) => isSilent(made[at])).reverse(),
      ends: [...made.keys()].filter((at) => made[at]?.end !== undefined),
      called: new Set(made.flatMap(({ calls }) => calls.map(({ rule: called }) => called))),
    };
  });
  // What is called was made after what calls it.
  const inner = [...all.keys()].filter((index) => all[index]?.isOuter === false).reverse();
  const late = lateIn(inner, all);
  return { rules: all, root: numbers.get(root) ?? 0, uses, calls: callsOf, inner, late };
}

function lateIn(inner: readonly number[], rules: readonly MachineRule[]): Set<number> {
  const before = new Set<number>();
  const late = new Set<number>();
  for (const rule of inner) {
    for (const called of rules[rule]?.called ?? []) {
      if (!before.has(called) && rules[called]?.isOuter === false) late.add(called);
    }
    before.add(rule);
  }
  return late;
}

function isSilent(state: MachineState | undefined): boolean {
  return state !== undefined && (state.short.length > 0 || state.calls.length > 0);
}

/** Whether nothing comes after a state but the end of its rule, so that a call before it leads there. */
export function isLast({ words, calls, end }: MachineState): boolean {
  return words.length === 0 && calls.length === 0 && end === "";
}
