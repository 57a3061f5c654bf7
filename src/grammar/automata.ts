import {
  type Referred,
  anyWord,
  buildNetwork,
  ruleOf,
  slotSymbol,
  slotTypeOf,
} from "../automaton/network.ts";
import { type StateSet, createSets } from "../automaton/sets.ts";
import { createLexicon } from "../lexicon/lexicon.ts";
import { createBeginnings } from "../pattern/beginning.ts";
import type { Grammar } from "../pattern/grammar.ts";
import type { Pattern } from "../pattern/tree.ts";

/** One rule of a grammar as a deterministic automaton with the fewest states; it begins at 0. */
export interface RuleAutomaton {
  states: readonly AutomatonState[];
}

export interface AutomatonState {
  arcs: readonly Arc[];
  /** What the rule may end as here: names of the rules that it was a choice of, or `""`. */
  ends: readonly string[];
}

/** What may be said next, and the state after it. */
export type Arc =
  | { say: "word"; word: string; to: number }
  /** Another rule, as a whole. */
  | { say: "rule"; rule: string; to: number }
  /** Any one word. */
  | { say: "anything"; to: number };

/** The rules of a grammar as automata that call one another. */
export interface Automata {
  root: string;
  rules: ReadonlyMap<string, RuleAutomaton>;
}

/** What of a grammar is to be told apart in its automata. */
export interface ToldApart {
  /** What a rule is called where it is one of the parts that another is a choice of; others are no parts. */
  partOf: PartOf;
  /** Whether a rule is a step of its own in another one, however short it is. */
  isStep: (rule: string, within: string) => boolean;
}

type PartOf = (rule: string) => string | undefined;

const nothingApart: ToldApart = { partOf: () => undefined, isStep: () => false };

/**
 * Makes automata of a grammar. Rules that are parts, if any, are told from one another where the rule that
 * they are parts of ends, by what they are called.
 */
export function automataOf(
  grammar: Grammar,
  { partOf, isStep }: ToldApart = nothingApart,
): Automata {
  const isLong = longRules(grammar);
  const made = new Map<string, RuleAutomaton>();
  const waiting = [grammar.root];
  for (const name of waiting) {
    if (made.has(name)) continue;
    const pattern = grammar.rules.get(name)?.pattern;
    const called = new Set<string>();
    const parts = pattern ? partsOf(pattern, grammar, partOf) : [];
    const isCalled = (rule: string): boolean =>
      partOf(rule) === undefined && (isLong(rule) || isStep(rule, name));
    // Silence is no phrase, but a rule within one may be silent.
    const isWithin = name !== grammar.root;
    made.set(name, automatonOf(parts, grammar, { isCalled, called, isWithin }));
    waiting.push(...called);
  }
  return { root: grammar.root, rules: made };
}

/** A pattern of a grammar as an automaton by itself; the rules that `isCalled` tells are single steps of it. */
export function patternAutomaton(
  tree: Pattern,
  grammar: Grammar,
  isCalled: (rule: string) => boolean,
): RuleAutomaton {
  return automatonOf([{ part: "", tree }], grammar, {
    isCalled,
    called: new Set(),
    isWithin: false,
  });
}

interface Part {
  /** What it is called; empty for what is no part. */
  part: string;
  tree: Pattern;
}

/** A rule that is a choice of parts, as these. */
function partsOf(pattern: Pattern, { rules }: Pick<Grammar, "rules">, partOf: PartOf): Part[] {
  if (pattern.type === "choice") {
    return pattern.options.flatMap((option) => partsOf(option.pattern, { rules }, partOf));
  }
  const part = pattern.type === "reference" ? partOf(pattern.name) : undefined;
  const of = pattern.type === "reference" ? rules.get(pattern.name)?.pattern : undefined;
  return [part !== undefined && of ? { part, tree: of } : { part: "", tree: pattern }];
}

/** Rules that are not written out where they are referred to: what is long or refers to itself. */
function longRules({ rules }: Grammar) {
  const sizes = new Map<string, number>();
  const circular = new Set<string>();
  const sizeOf = (name: string): number => {
    const known = sizes.get(name);
    if (known !== undefined) {
      // A rule that leads back to itself can never be written out.
      if (known === measuring) circular.add(name);
      return known;
    }
    sizes.set(name, measuring);
    const pattern = rules.get(name)?.pattern;
    const measured = pattern ? wordsIn(pattern) : 0;
    const size = circular.has(name) ? measuring : measured;
    sizes.set(name, size);
    return size;
  };
  const wordsIn = (pattern: Pattern): number => {
    switch (pattern.type) {
      case "words":
        return pattern.words.length;
      case "sequence":
        return pattern.items.reduce((sum, item) => sum + wordsIn(item), 0);
      case "choice":
        return pattern.options.reduce((sum, option) => sum + wordsIn(option.pattern), 0);
      case "repeat":
        return wordsIn(pattern.item);
      case "reference":
        return sizeOf(pattern.name) > mostWrittenOut ? 1 : sizeOf(pattern.name);
      default:
        return 1;
    }
  };
  return (name: string): boolean => sizeOf(name) > mostWrittenOut;
}

/** The size of a rule while it is measured. */
const measuring = Infinity;

/** Words of a rule that is written out where it is referred to. */
const mostWrittenOut = 24;

interface Calling {
  isCalled: (rule: string) => boolean;
  /** Rules that turned out to be called. */
  called: Set<string>;
  /** Whether it is called itself. */
  isWithin: boolean;
}

function automatonOf(
  options: readonly Part[],
  { rules }: Grammar,
  { isCalled, called, isWithin }: Calling,
): RuleAutomaton {
  const lexicon = createLexicon();
  const names: string[] = [];
  const patternOf = (name: string): Pattern | undefined => rules.get(name)?.pattern;
  const refer = (name: string): Referred | undefined => {
    const pattern = patternOf(name);
    if (!pattern) return undefined;
    if (!isCalled(name)) return { refer: "pattern", pattern, fragment: name };
    called.add(name);
    if (!names.includes(name)) names.push(name);
    return { refer: "slot", symbol: slotSymbol(names.indexOf(name)) };
  };
  const network = buildNetwork(
    options.map(({ tree }) => ({ tree, refer })),
    lexicon,
  );
  const sets = createSets(network, Infinity);
  const numbers = new Map<StateSet, number>([[sets.start, 0]]);
  const order = [sets.start];
  const states: AutomatonState[] = [];
  for (const set of order) {
    const arcs: Arc[] = [];
    for (const symbol of [...set.moves.keys()]) {
      const next = sets.move(set, symbol);
      if (!next) continue;
      let to = numbers.get(next);
      if (to === undefined) {
        to = order.length;
        numbers.set(next, to);
        order.push(next);
      }
      const type = slotTypeOf(symbol);
      if (type !== undefined) arcs.push({ say: "rule", rule: names[type] ?? "", to });
      else if (symbol === anyWord) arcs.push({ say: "anything", to });
      else arcs.push({ say: "word", word: lexicon.word(symbol), to });
    }
    const ends = new Set(set.accepting.map((state) => options[ruleOf(network, state)]?.part ?? ""));
    if (isWithin && set === sets.start) {
      const beginningOf = createBeginnings(patternOf);
      for (const { part, tree } of options) if (beginningOf(tree).silent) ends.add(part);
    }
    states.push({ arcs, ends: [...ends].sort() });
  }
  return fewestStates(states);
}

/** The same automaton with states put together from which the same may follow (after E. F. Moore, 1956). */
export function fewestStates(states: readonly AutomatonState[]): RuleAutomaton {
  const symbols = new Map<string, number>();
  const numberOf = (symbol: string): number => {
    const number = symbols.get(symbol) ?? symbols.size;
    symbols.set(symbol, number);
    return number;
  };
  const endings = states.map(({ ends }) => JSON.stringify(ends));
  // No two arcs of a state say the same.
  const leading = states.map(({ arcs }) =>
    arcs
      .map((arc) => ({ symbol: numberOf(symbolOf(arc)), to: arc.to }))
      .sort((one, other) => one.symbol - other.symbol),
  );
  let classes: readonly string[] = endings;
  let count = 0;
  let numbered: number[] = [];
  for (;;) {
    const known = new Map<string, number>();
    // The first state comes first, and so keeps its number.
    numbered = classes.map((key) => {
      const number = known.get(key) ?? known.size;
      known.set(key, number);
      return number;
    });
    if (known.size === count) break;
    count = known.size;
    classes = leading.map((arcs, index) => {
      let key = endings[index] ?? "";
      for (const { symbol, to } of arcs) key += ` ${symbol} ${numbered[to] ?? -1}`;
      return key;
    });
  }
  const merged: AutomatonState[] = [];
  states.forEach(({ arcs, ends }, index) => {
    const number = numbered[index] ?? 0;
    merged[number] ??= {
      ends,
      arcs: arcs.map((arc) => ({ ...arc, to: numbered[arc.to] ?? 0 })),
    };
  });
  return { states: merged };
}

/** What an arc says, as a key: words are never empty. */
export function symbolOf(arc: Arc): string {
  switch (arc.say) {
    case "word":
      return arc.word;
    case "rule":
      return `<${arc.rule}>`;
    case "anything":
      return "";
  }
}

/** Where a rule can end that begins at a place of an utterance. */
type EndsOf = (rule: string, from: number) => ReadonlySet<number>;

/** Whether a grammar has a phrase: words as they are said. */
export function isInGrammar({ root, rules }: Automata, words: readonly string[]): boolean {
  const known = new Map<string, Set<number>>();
  const endsOf: EndsOf = (rule, from) => {
    const key = `${rule} ${from}`;
    const there = known.get(key);
    if (there) return there;
    const ends = new Set<number>();
    known.set(key, ends);
    const states = rules.get(rule)?.states ?? [];
    const seen = new Set<string>();
    const waiting: [state: number, at: number][] = [[0, from]];
    for (const [state, at] of waiting) {
      const place = `${state} ${at}`;
      if (seen.has(place)) continue;
      seen.add(place);
      const { arcs = [], ends: finals = [] } = states[state] ?? {};
      if (finals.length > 0) ends.add(at);
      for (const arc of arcs) {
        if (arc.say === "rule") for (const end of endsOf(arc.rule, at)) waiting.push([arc.to, end]);
        else if (at < words.length && (arc.say === "anything" || arc.word === words[at])) {
          waiting.push([arc.to, at + 1]);
        }
      }
    }
    return ends;
  };
  return endsOf(root, 0).has(words.length);
}
