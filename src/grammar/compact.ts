import { choice, fillReferences, optional, reference, sequence } from "../pattern/build.ts";
import { printPattern } from "../pattern/print.ts";
import { referencesOf } from "../pattern/references.ts";
import type { Grammar, GrammarRule } from "../pattern/grammar.ts";
import type { Pattern } from "../pattern/tree.ts";
import { type RuleAutomaton, patternAutomaton, symbolOf } from "./automata.ts";
import { factored } from "./factored.ts";
import { framesOf } from "./frames.ts";
import type { Book } from "../book/book.ts";
import { given } from "../source/given.ts";
import type { LanguagePack } from "../language/pack.ts";
import { packOf } from "../language/packs.ts";
import { withArticles } from "./articles.ts";
import {
  type GrammarParts,
  commandRule,
  homeGrammar,
  intentOfRule,
  thingRule,
  whenRule,
} from "./home-grammar.ts";
import { simplified } from "./simplified.ts";

/** Words that a recogniser has to hold at most, where nobody says otherwise. */
export const usualSize = 24_000;

export interface CompactOptions {
  /** Words that it may have when every rule is written out. */
  size: number;
  only?: GrammarParts["only"] | undefined;
  numbers?: GrammarParts["numbers"] | undefined;
}

/**
 * What `grammarOf` makes, for recognisers that write every rule out wherever it is referred to, which most do:
 * what begins or ends alike is written once, and so are the frames of commands around what they name. Where
 * that is not enough, frames are put together that are nearly alike: the grammar then holds some phrases that
 * nobody says, which are not understood when they are heard.
 */
export function compactGrammar(
  book: Book,
  tag: string,
  { size, only, numbers }: CompactOptions,
): Grammar {
  const small = smallRules(homeGrammar(book, tag, { isBare: true, ...given({ only, numbers }) }));
  const pack = packOf(book, small.language);
  const make = (frames: number): Grammar => withFrames(small, frames, pack);
  let best = make(1);
  // The number of frames that fits is looked for by halves.
  for (let [low, high] = [2, mostFrames]; low <= high;) {
    const most = (low + high) >> 1;
    const tried = make(most);
    const isFitting = sizeOf(tried) <= size;
    if (isFitting) best = tried;
    if (isFitting) low = most + 1;
    else high = most - 1;
  }
  return best;
}

/** Frames around one thing beyond which there are no more to be told apart. */
const mostFrames = 16;

/** How many words a grammar has when every rule is written out wherever it is referred to. */
export function sizeOf({ root, rules }: Grammar): number {
  const known = new Map<string, number>();
  const ofRule = (name: string): number => {
    const there = known.get(name);
    if (there !== undefined) return there;
    // A rule that leads back to itself is written out once.
    known.set(name, 0);
    const pattern = rules.get(name)?.pattern;
    const size = pattern ? ofPattern(pattern) : 0;
    known.set(name, size);
    return size;
  };
  const ofPattern = (pattern: Pattern): number => {
    switch (pattern.type) {
      case "words":
        return pattern.words.length;
      case "sequence":
        return pattern.items.reduce((sum, item) => sum + ofPattern(item), 0);
      case "choice":
        return pattern.options.reduce((sum, option) => sum + ofPattern(option.pattern), 0);
      case "repeat":
        return ofPattern(pattern.item) * copiesOf(pattern);
      case "reference":
        return ofRule(pattern.name);
      default:
        return 0;
    }
  };
  return ofRule(root);
}

function copiesOf({ minimum, maximum }: Pattern & { type: "repeat" }): number {
  return maximum === Infinity ? Math.max(1, minimum) : maximum;
}

/** Every rule with what is alike in it written once; rules that say the same are one. */
function smallRules(grammar: Grammar): Grammar {
  const rules = new Map<string, GrammarRule>();
  const same = new Map<string, string>();
  const named = new Map<string, string>();
  for (const [name, rule] of [...grammar.rules].reverse()) {
    const pattern = factored(renamed(rule.pattern, named));
    const key = printPattern(pattern);
    const other = same.get(key);
    if (other === undefined || rule.isPublic) {
      same.set(key, name);
      rules.set(name, { ...rule, pattern });
    } else named.set(name, other);
  }
  const ordered = [...rules].reverse().map(([name, rule]): [string, GrammarRule] => {
    return [name, { ...rule, pattern: renamed(rule.pattern, named) }];
  });
  return { ...grammar, rules: new Map(ordered) };
}

/** A pattern that refers to other rules than it did. */
function renamed(pattern: Pattern, names: ReadonlyMap<string, string>): Pattern {
  return fillReferences(pattern, (name) => reference(names.get(name) ?? name));
}

/** The rules of commands and times by so many frames around each thing or value. */
function withFrames(small: Grammar, most: number, pack: LanguagePack): Grammar {
  const rules = new Map(small.rules);
  const command = rules.get(commandRule);
  if (command) {
    const intents = [...small.rules].filter(([name]) => intentOfRule(name) !== undefined);
    const isLoop = ([, { pattern }]: (typeof intents)[number]): boolean => hasLoop(pattern);
    // What repeats without end stays as it is.
    const looping = intents.filter(isLoop).map(([name]) => reference(name));
    const plain = intents.filter((intent) => !isLoop(intent)).map(([, { pattern }]) => pattern);
    const values = [...small.rules.keys()].filter(
      (name) => valueRule.test(name) && sizeOf({ ...small, root: name }) <= heavy,
    );
    rules.set(valuesRule, { pattern: choice(values.map(reference)), isPublic: false });
    const all = { ...small, rules };
    const framed = framedPattern(widened(choice(plain), new Set(values)), all, [thingRule], most);
    const pattern = withArticles(choice([framed, ...looping]), pack, true);
    rules.set(commandRule, { ...command, pattern });
  }
  const when = rules.get(whenRule);
  if (when) rules.set(whenRule, { ...when, pattern: framedPattern(when.pattern, small, [], 1) });
  return withoutUnused({ ...small, rules });
}

/** Rules of values, which are said in the same places. */
const valueRule = /^(?:value|choice|routine|state)/u;
const valuesRule = "values";

/** Words that any part of a command may have. */
const leastWords = 60;

/** How many words a pattern has when the rules that it refers to are written out in it. */
function sizeIn(grammar: Grammar, pattern: Pattern): number {
  const rules = new Map(grammar.rules).set("", { pattern, isPublic: false });
  return sizeOf({ ...grammar, root: "", rules });
}

/** Words of a rule beyond which it is written in as few places as possible. */
const heavy = 40;

/**
 * A pattern in which what is long is written in few frames: first what is named first, and then every other
 * rule that is long, each in one frame.
 */
function framedPattern(
  tree: Pattern,
  grammar: Grammar,
  first: readonly string[],
  most: number,
): Pattern {
  const isInline = (name: string): boolean => /^(?:part|in)-/u.test(name);
  const whole = patternAutomaton(tree, grammar, (name) => !isInline(name));
  const sizes = new Map<string, number>();
  const sizeOfRule = (name: string): number => {
    const size = sizes.get(name) ?? sizeOf({ ...grammar, root: name });
    sizes.set(name, size);
    return size;
  };
  const write = (
    automaton: RuleAutomaton,
    frames: number,
    named: readonly string[],
  ): Pattern | undefined => {
    const rules = new Set(
      automaton.states.flatMap(({ arcs }) =>
        arcs.flatMap((arc) => (arc.say === "rule" ? arc.rule : [])),
      ),
    );
    const next =
      named.find((rule) => rules.has(rule)) ??
      [...rules]
        .filter((rule) => sizeOfRule(rule) > heavy)
        .sort((a, b) => sizeOfRule(b) - sizeOfRule(a))[0];
    if (next === undefined) {
      const said = new Set(automaton.states.flatMap(({ arcs }) => arcs.map(symbolOf)));
      const limit = Math.max(leastWords, said.size * 2);
      return simplified(automaton, limit, (pattern) => sizeIn(grammar, pattern));
    }
    const { framed, bare } = framesOf(automaton, next, named.includes(next) ? frames : 1);
    const options = framed.map(({ before, after }) =>
      sequence(
        notNothing(write(before, frames, [])),
        reference(next),
        notNothing(write(after, frames, [])),
      ),
    );
    const rest = bare.states.length > 0 ? write(bare, frames, []) : undefined;
    if (rest?.type === "nothing") return optional(choice(options));
    return choice([...options, rest]);
  };
  return write(whole, most, first) ?? tree;
}

function notNothing(pattern: Pattern | undefined): Pattern | undefined {
  return pattern?.type === "nothing" ? undefined : pattern;
}

/** Whether a pattern repeats something without end, or holds free words. */
function hasLoop(pattern: Pattern): boolean {
  switch (pattern.type) {
    case "sequence":
      return pattern.items.some(hasLoop);
    case "choice":
      return pattern.options.some((option) => hasLoop(option.pattern));
    case "repeat":
      return pattern.maximum === Infinity || hasLoop(pattern.item);
    case "garbage":
      return true;
    default:
      return false;
  }
}

/** A pattern in which whatever names only some things may name any, and one value stands for all. */
function widened(pattern: Pattern, values: ReadonlySet<string>): Pattern {
  return fillReferences(pattern, (name) => {
    if (name.startsWith(`${thingRule}-`)) return reference(thingRule);
    return reference(values.has(name) ? valuesRule : name);
  });
}

/** Only rules that are referred to. */
function withoutUnused(grammar: Grammar): Grammar {
  const used = new Set([grammar.root]);
  for (const name of used) {
    const pattern = grammar.rules.get(name)?.pattern;
    for (const reference of pattern ? referencesOf(pattern) : []) used.add(reference.name);
  }
  return { ...grammar, rules: new Map([...grammar.rules].filter(([name]) => used.has(name))) };
}
