import { type Match, type Recognise, runAutomaton } from "../automaton/chart.ts";
import { type Rule, buildNetwork, slotOf, slotSymbol } from "../automaton/network.ts";
import { findPaths } from "../automaton/paths.ts";
import { createSets } from "../automaton/sets.ts";
import type { Utterance } from "../automaton/utterance.ts";
import type { LanguagePack } from "../language/pack.ts";
import { type Lexicon, unheardOf } from "../lexicon/lexicon.ts";
import { parsePattern } from "../pattern/parse.ts";

/** Ways to say one thing, as patterns whose `$names` are read by other recognisers. */
export interface Form<Parts, Value> {
  said: readonly string[];
  /** What it comes to, given what the parts were read as; undefined when that cannot be. */
  make: (parts: Partial<Parts>) => Value | undefined;
}

/** Recognisers of the parts of forms, by their names. */
export type PartReaders<Parts> = { [Name in keyof Parts]: Recognise<Parts[Name]> };

/** Words that one form is looked for in; nobody takes more to say a time. */
const longest = 24;

/** What one part was read as. */
type Part<Parts> = { [Name in keyof Parts]: { name: Name; value: Parts[Name] } }[keyof Parts];

/** Makes a recogniser of forms. Patterns that cannot be read and unknown parts are left out. */
export function createForms<Parts extends object, Value>(
  forms: readonly Form<Parts, Value>[],
  parts: PartReaders<Parts>,
  { pack, lexicon }: { pack: LanguagePack; lexicon: Lexicon },
): (utterance: Utterance, from: number) => Match<Value>[] {
  const names: string[] = [];
  const types: Recognise<Part<Parts>>[] = [];
  for (const name in parts) {
    const recognise = parts[name];
    names.push(name);
    types.push((utterance, from) =>
      recognise(utterance, from).map(({ end, value }) => ({ end, value: { name, value } })),
    );
  }
  const refer: Rule["refer"] = (name) => {
    const type = names.indexOf(name);
    return type < 0 ? undefined : { refer: "slot", symbol: slotSymbol(type) };
  };
  const rules = forms.flatMap(({ said, make }) =>
    said.flatMap((text) => {
      const parsed = parsePattern(text, pack);
      return parsed.ok ? [{ make, rule: { tree: parsed.pattern, refer } }] : [];
    }),
  );
  const network = buildNetwork(
    rules.map(({ rule }) => rule),
    lexicon,
  );
  const sets = createSets(network);

  return (whole, from) => {
    const { moves, slotTypes } = sets.start;
    if (slotTypes.length === 0 && !moves.has(whole.numbers[from] ?? unheardOf)) return [];
    const utterance = cut(whole, from);
    const chart = runAutomaton(sets, types, utterance, new Set([0]));
    const found: Match<Value>[] = [];
    for (let end = 1; end < chart.sets.length; end++) {
      if (!chart.sets[end]?.accepting.length) continue;
      const paths = findPaths(network, chart, utterance, {
        starts: new Set([0]),
        ends: new Set([end]),
      });
      for (const { rule, steps } of paths.found) {
        const read: Partial<Parts> = {};
        for (const { state, match } of steps) {
          if (match && slotOf(network, state) !== undefined)
            read[match.value.name] = match.value.value;
        }
        const value = rules[rule]?.make(read);
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
