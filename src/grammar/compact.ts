import { choice, fillReferences, optional, reference, sequence } from "../pattern/build.ts";
import { printPattern } from "../pattern/print.ts";
import { referencesOf } from "../pattern/references.ts";
import type { Grammar, GrammarRule } from "../pattern/grammar.ts";
import type { Pattern } from "../pattern/tree.ts";
import { type RuleAutomaton, patternAutomaton, symbolOf } from "./automata.ts";
import { factored } from "./factored.ts";
import { type Frames, framesOf } from "./frames.ts";
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
export const usualSize = 31_000;

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
  const make = createFraming(small, pack);
  let best = make(1);
  if (sizeOf(best) > size) return best;
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

/** Most frames around one thing; more of them spare hardly anything that nobody says. */
const mostFrames = 16;

/** How many words a grammar has when every rule is written out wherever it is referred to. */
export function sizeOf({ root, rules }: Grammar): number {
  return createSizes(rules)(reference(root));
}

/** Measures patterns, with every rule of a grammar written out in them. */
function createSizes(rules: Grammar["rules"]): (pattern: Pattern) => number {
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
  return ofPattern;
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

/** Makes what writes the rules of commands and times with so many frames around what is named first. */
function createFraming(small: Grammar, pack: LanguagePack): (frames: number) => Grammar {
  const rules = new Map(small.rules);
  const sizes = createSizes(rules);
  const when = rules.get(whenRule);
  if (when) {
    const write = createFramed({ tree: when.pattern, named: [] }, small, sizes);
    rules.set(whenRule, { ...when, pattern: write(1) });
  }
  const command = rules.get(commandRule);
  if (!command) return () => withoutUnused({ ...small, rules });
  const intents = [...small.rules].filter(([name]) => intentOfRule(name) !== undefined);
  const isLoop = ([, { pattern }]: (typeof intents)[number]): boolean => hasLoop(pattern);
  // What repeats without end stays as it is.
  const looping = intents.filter(isLoop).map(([name]) => reference(name));
  const plain = intents.filter((intent) => !isLoop(intent)).map(([, { pattern }]) => pattern);
  const values = [...small.rules.keys()].filter(
    (name) => valueRule.test(name) && sizes(reference(name)) <= heavy,
  );
  rules.set(valuesRule, { pattern: choice(values.map(reference)), isPublic: false });
  const tree = widened(choice(plain), new Set(values));
  const write = createFramed({ tree, named: [thingRule] }, { ...small, rules }, sizes);
  return (frames) => {
    const pattern = withArticles(choice([write(frames), ...looping]), pack, true);
    return withoutUnused({
      ...small,
      rules: new Map(rules).set(commandRule, { ...command, pattern }),
    });
  };
}

/** Rules of values, which are said in the same places. */
const valueRule = /^(?:value|choice|routine|state)/u;
const valuesRule = "values";

/** Words that any part of a command may have. */
const leastWords = 60;

/** Words of a rule beyond which it is written in as few places as possible. */
const heavy = 40;

/**
 * Makes what writes a pattern with what is long in it in few frames: first what is named first, in so many,
 * and then every other rule that is long, each in one.
 */
function createFramed(
  { tree, named }: { tree: Pattern; named: readonly string[] },
  grammar: Grammar,
  sizes: (pattern: Pattern) => number,
): (most: number) => Pattern {
  const isInline = (name: string): boolean => /^(?:part|in)-/u.test(name);
  const whole = patternAutomaton(tree, grammar, (name) => !isInline(name));
  const sizeOfRule = (name: string): number => sizes(reference(name));
  const inFrames = ({ framed, bare }: Frames, rule: string): Pattern | undefined => {
    const options = framed.map(({ before, after }) =>
      sequence(notNothing(write(before)), reference(rule), notNothing(write(after))),
    );
    const rest = bare.states.length > 0 ? write(bare) : undefined;
    if (rest?.type === "nothing") return optional(choice(options));
    return choice([...options, rest]);
  };
  const write = once((automaton) => {
    const [longest] = rulesIn(automaton)
      .filter((rule) => sizeOfRule(rule) > heavy)
      .sort((a, b) => sizeOfRule(b) - sizeOfRule(a));
    if (longest !== undefined) return inFrames(framesOf(automaton, longest)(1), longest);
    const said = new Set(automaton.states.flatMap(({ arcs }) => arcs.map(symbolOf)));
    return simplified(automaton, Math.max(leastWords, said.size * 2), sizes);
  });
  const there = rulesIn(whole);
  const first = named.find((rule) => there.includes(rule));
  if (first === undefined) return () => write(whole) ?? tree;
  const frames = framesOf(whole, first);
  return (most) => inFrames(frames(most), first) ?? tree;
}

/** What writes each automaton once, since frames are tried in several numbers. */
function once(
  write: (automaton: RuleAutomaton) => Pattern | undefined,
): (automaton: RuleAutomaton) => Pattern | undefined {
  const written = new Map<RuleAutomaton, Pattern | undefined>();
  return (automaton) => {
    if (!written.has(automaton)) written.set(automaton, write(automaton));
    return written.get(automaton);
  };
}

/** The rules that an automaton refers to. */
function rulesIn({ states }: RuleAutomaton): string[] {
  const found = states.flatMap(({ arcs }) =>
    arcs.flatMap((arc) => (arc.say === "rule" ? arc.rule : [])),
  );
  return [...new Set(found)];
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
