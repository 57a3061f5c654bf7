import { type Recognise, runAutomaton } from "../automaton/chart.ts";
import { type Rule, buildNetwork, slotSymbol } from "../automaton/network.ts";
import { findPaths } from "../automaton/paths.ts";
import { createSets } from "../automaton/sets.ts";
import type { Utterance } from "../automaton/utterance.ts";
import type { Lexicon } from "../lexicon/lexicon.ts";
import { parsePattern } from "../pattern/parse.ts";

/** Ways to say one thing, as patterns whose `$names` are read by other recognisers. */
export interface Form<T> {
  said: readonly string[];
  /** What it comes to, given what the parts were read as; undefined when that cannot be. */
  make: (part: (name: string) => unknown) => T | undefined;
}

/** Words that one form is looked for in; nobody takes more to say a time. */
const longest = 24;

/** Makes a recogniser of forms. Patterns that cannot be read and unknown parts are left out. */
export function createForms<T>(
  forms: readonly Form<T>[],
  parts: Readonly<Record<string, Recognise>>,
  language: string,
  lexicon: Lexicon,
): (utterance: Utterance, from: number) => { end: number; value: T }[] {
  const names = Object.keys(parts);
  const refer: Rule["refer"] = (name) =>
    name in parts ? { refer: "slot", symbol: slotSymbol(names.indexOf(name)) } : undefined;
  const rules = forms.flatMap(({ said, make }) =>
    said.flatMap((text) => {
      const parsed = parsePattern(text, language);
      return parsed.ok ? [{ make, rule: { tree: parsed.pattern, refer } }] : [];
    }),
  );
  const network = buildNetwork(
    rules.map(({ rule }) => rule),
    lexicon,
  );
  const sets = createSets(network);
  const types = Object.values(parts);

  return (whole, from) => {
    const { moves, slotTypes } = sets.start;
    if (slotTypes.length === 0 && !moves.has(whole.numbers[from] ?? -1)) return [];
    const utterance = cut(whole, from);
    const chart = runAutomaton(sets, types, utterance, new Set([0]));
    const found: { end: number; value: T }[] = [];
    for (let end = 1; end < chart.sets.length; end++) {
      if (!chart.sets[end]?.accepting.length) continue;
      const paths = findPaths(network, chart, utterance, new Set([0]), new Set([end]));
      for (const { rule, steps } of paths.found) {
        const read = new Map(steps.map((step) => [network.slot[step.state], step.match?.value]));
        const value = rules[rule]?.make((name) => read.get(name));
        if (value !== undefined) found.push({ end: from + end, value });
      }
    }
    return found;
  };
}

/** A stretch of an utterance on its own, of which every word counts. */
function cut({ text, words, texts, numbers }: Utterance, from: number): Utterance {
  const end = from + longest;
  return {
    text,
    words: words.slice(from, end),
    texts: texts.slice(from, end),
    numbers: numbers.slice(from, end),
    small: numbers.slice(from, end).map(() => false),
  };
}
