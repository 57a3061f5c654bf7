import { isKnown } from "../model/known.ts";
import { isAble } from "../commands/ability.ts";
import {
  type Network,
  type Referred,
  buildNetwork,
  followersOf,
  isEnd,
  ruleOf,
  slotOf,
  slotSymbol,
  slotTypeOf,
  startsOf,
  symbolOf,
} from "../automaton/network.ts";
import { type StateSet, createSets } from "../automaton/sets.ts";
import { planIntent } from "../commands/plan.ts";
import type { Book } from "../book/book.ts";
import { type Lexicon, createLexicon } from "../lexicon/lexicon.ts";
import { phrases } from "../pattern/phrases.ts";
import type { Device } from "../model/home.ts";
import type { Intent } from "../phrasebook/model.ts";
import type { Slot, ValuedSlot } from "../slot-types/slot.ts";
import type { SpokenPattern } from "../model/spoken.ts";
import { fragmentTree } from "../phrasebook/references.ts";
import { type Finding, compareFindings } from "../source/finding.ts";
import { printPosition } from "../source/position.ts";

/** Sets of states that are looked at in one language before the search is cut. */
const mostSets = 20_000;

/**
 * Finds patterns of different intents that both take some phrase with equal rank, so that the
 * phrase is `unsure`: exactly, by a search through both automata at once, which also finds the
 * shortest such phrase. Readings rank equally when they take the same words as words of the pattern
 * and the same words as slots. Also finds patterns that make no phrase at all.
 */
export function checkOverlaps(book: Book): Finding[] {
  return book.languages.flatMap((language) => overlapsIn(book, language)).sort(compareFindings);
}

interface Rule {
  intent: Intent;
  pattern: SpokenPattern;
}

function overlapsIn(book: Book, language: string): Finding[] {
  const rules = [...book.intents.values()].flatMap((intent) =>
    intent.patterns
      .filter((pattern) => pattern.language === language && pattern.origin === "phrasebook")
      .map((pattern): Rule => ({ intent, pattern })),
  );
  const lexicon = createLexicon();
  const slots: { intent: Intent; slot: Slot }[] = [];
  const build = (symbolOf: (intent: Intent, slot: Slot) => number): Network =>
    buildNetwork(
      rules.map(({ intent, pattern }) => ({
        tree: pattern.tree,
        refer: (name: string): Referred | undefined => {
          const slot = intent.slots.get(name);
          if (slot?.fills === "words") return { refer: "text" };
          if (slot) return { refer: "slot", symbol: slotSymbol(symbolOf(intent, slot)) };
          const tree = fragmentTree(book.fragments.get(name), language);
          return tree && { refer: "pattern", pattern: tree, fragment: name };
        },
      })),
      lexicon,
    );
  // First by the sort of slot, which is quick; then each pair that may overlap by the very slots.
  const families: string[] = [];
  const { pairs, cut } = candidatePairs(
    build((_, slot) => {
      const family = slot.fills === "value" ? slot.family : slot.fills;
      const known = families.indexOf(family);
      return known < 0 ? families.push(family) - 1 : known;
    }),
    rules,
  );
  const network = build((intent, slot) => slots.push({ intent, slot }) - 1);
  const canMeet = createSlotMeeting(book, slots, language);
  const findings = pairs.flatMap((pair) => {
    const overlap = shortestOverlap(network, pair, canMeet);
    return overlap ? [describe({ network, lexicon, rules, language }, overlap)] : [];
  });
  const [first] = rules;
  if (cut && first) {
    findings.push({
      rule: "pattern-overlap",
      severity: "note",
      message: `the search for overlaps (${language}) stopped after ${mostSets} sets of states and is not exhaustive`,
      at: first.pattern.at,
    });
  }
  return [...findings, ...emptyPatterns(network, rules)];
}

/**
 * Pairs of rules of different intents that may take one phrase: the sets of the deterministic
 * automaton in which both can end. Shared beginnings are walked once, however many patterns there
 * are.
 */
function candidatePairs(
  network: Network,
  rules: readonly Rule[],
): { pairs: [number, number][]; cut: boolean } {
  const sets = createSets(network);
  const reached = new Set<StateSet>([sets.start]);
  const pairs = new Map<string, [number, number]>();
  for (const set of reached) {
    if (reached.size > mostSets) return { pairs: [...pairs.values()], cut: true };
    const ending = [...new Set(set.accepting.map((state) => ruleOf(network, state)))];
    ending.forEach((a, index) => {
      for (const b of ending.slice(index + 1)) {
        if (rules[a]?.intent !== rules[b]?.intent) pairs.set(`${a} ${b}`, [a, b]);
      }
    });
    for (const symbol of [...set.moves.keys()]) {
      const next = sets.move(set, symbol);
      if (next) reached.add(next);
    }
  }
  return { pairs: [...pairs.values()], cut: false };
}

/** Two states of two rules, and the pair that led to it. */
interface Pair {
  a: number;
  b: number;
  before: Pair | undefined;
}

/** The shortest way to the ends of two rules at once, or undefined when there is none. */
function shortestOverlap(
  network: Network,
  [one, other]: readonly [number, number],
  canMeet: (a: number, b: number) => boolean,
): Pair | undefined {
  const seen = new Set<number>();
  const queue: Pair[] = [];
  const visit = (
    nextOne: readonly number[],
    nextOther: readonly number[],
    before: Pair | undefined,
  ): void => {
    for (const a of nextOne) {
      for (const b of nextOther) {
        const key = a * network.symbol.length + b;
        if (seen.has(key) || !fit(network, a, b, canMeet)) continue;
        seen.add(key);
        queue.push({ a, b, before });
      }
    }
  };
  visit(startsOf(network, one), startsOf(network, other), undefined);
  for (const pair of queue) {
    if (isEnd(network, pair.a) && isEnd(network, pair.b)) return pair;
    visit(followersOf(network, pair.a), followersOf(network, pair.b), pair);
  }
  return undefined;
}

/** Whether two states can take the same words, in the same part of a reading. */
function fit(
  network: Network,
  a: number,
  b: number,
  canMeet: (a: number, b: number) => boolean,
): boolean {
  const [one, other] = [symbolOf(network, a), symbolOf(network, b)];
  const [typeOne, typeOther] = [slotTypeOf(one), slotTypeOf(other)];
  if (typeOne !== undefined && typeOther !== undefined) return canMeet(typeOne, typeOther);
  return one === other;
}

/** Tells whether two slots can be filled by the same words, each to something that can be done. */
function createSlotMeeting(
  book: Book,
  slots: readonly { intent: Intent; slot: Slot }[],
  language: string,
): (a: number, b: number) => boolean {
  const known = new Map<string, boolean>();
  const meet = (a: number, b: number): boolean => {
    const [one, other] = [slots[a], slots[b]];
    if (!one || !other) return false;
    if (one.slot.fills === "target" || other.slot.fills === "target") {
      return [...book.devices.values()].some(
        (device) => fits(device, one.intent, one.slot) && fits(device, other.intent, other.slot),
      );
    }
    if (one.slot.fills === "words" || other.slot.fills === "words") {
      return one.slot.fills === other.slot.fills;
    }
    if (one.slot.family !== other.slot.family) return false;
    if (one.slot.family === "choice") {
      const said = wordsOf(one.slot, language);
      return wordsOf(other.slot, language).some((words) => said.includes(words));
    }
    return true;
  };
  return (a, b) => {
    const key = `${a} ${b}`;
    const before = known.get(key);
    if (before !== undefined) return before;
    const now = meet(a, b);
    known.set(key, now);
    return now;
  };
}

function fits(device: Device, intent: Intent, slot: Slot): boolean {
  if (slot.fills !== "target" || !isKnown(device)) return false;
  return isAble(device, { slot, ...planIntent(intent).asked.get(slot.name) });
}

/** Most phrases of one choice that are compared with another's. */
const mostChoices = 500;

function wordsOf({ values = [] }: ValuedSlot, language: string): string[] {
  const said: string[] = [];
  for (const { patterns } of values) {
    for (const pattern of patterns) {
      if (pattern.language !== language) continue;
      for (const words of phrases(pattern.tree, () => undefined)) {
        if (said.push(words.join(" ")) >= mostChoices) return said;
      }
    }
  }
  return said;
}

/** What an overlap is told by. */
interface Overlapping {
  network: Network;
  lexicon: Lexicon;
  rules: readonly Rule[];
  language: string;
}

function describe({ network, lexicon, rules, language }: Overlapping, pair: Pair): Finding {
  const words: string[] = [];
  for (let at: Pair | undefined = pair; at; at = at.before) {
    const symbol = symbolOf(network, at.a);
    words.unshift(symbol >= 0 ? lexicon.word(symbol) : `$${slotOf(network, at.a) ?? "…"}`);
  }
  const one = rules[ruleOf(network, pair.a)];
  const other = rules[ruleOf(network, pair.b)];
  const at = other?.pattern.at ?? { file: "", line: 1, column: 1 };
  const also = one ? [one.pattern.at] : [];
  return {
    rule: "pattern-overlap",
    severity: "warning",
    message: `"${words.join(" ")}" (${language}) is "${one?.intent.id ?? ""}" and "${other?.intent.id ?? ""}" at once, and neither goes before the other`,
    fix: `say more in one of them, or take the phrase out of the one at ${printPosition(also[0] ?? at)}`,
    at,
    also,
  };
}

/** Patterns from whose beginning no end is reached. */
function emptyPatterns(network: Network, rules: readonly Rule[]): Finding[] {
  return rules.flatMap(({ pattern }, rule): Finding[] => {
    const reached = new Set(startsOf(network, rule));
    for (const state of reached) for (const next of followersOf(network, state)) reached.add(next);
    if ([...reached].some((state) => isEnd(network, state))) return [];
    return [
      {
        rule: "pattern-empty",
        severity: "warning",
        message: "the pattern makes no phrase, so nothing is ever understood by it",
        fix: "take $VOID out of it, or remove it",
        at: pattern.at,
      },
    ];
  });
}
