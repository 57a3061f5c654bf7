import { type Book, asBook } from "../book/book.ts";
import { homeLanguage } from "../hearing/hear.ts";
import { packOf } from "../language/packs.ts";
import { phonesOf } from "../sounds/distance.ts";
import { createSounds } from "../sounds/pronounce.ts";
import { withArticles } from "./articles.ts";
import { aloud } from "../language/aloud.ts";
import type { LanguagePack } from "../language/pack.ts";
import {
  choice,
  fillReferences,
  mapLeaves,
  nothingToSay,
  optional,
  reference,
  sequence,
  words,
} from "../pattern/build.ts";
import type { Grammar, GrammarRule } from "../pattern/grammar.ts";
import { spokenSunEvents } from "../language/times.ts";
import { parsePattern } from "../pattern/parse.ts";
import { referencesOf } from "../pattern/references.ts";
import type { Pattern } from "../pattern/tree.ts";
import type { Intent } from "../phrasebook/model.ts";
import { fragmentTree } from "../phrasebook/references.ts";
import { dateGrammar } from "../slot-types/date.ts";
import { durationGrammar } from "../slot-types/duration.ts";
import type { Slot, Writing } from "../slot-types/slot.ts";
import { targetGrammar } from "../slot-types/target.ts";
import type { ToldApart } from "./automata.ts";
import { partsOfDay, timeGrammar, timeOfDayGrammar } from "../slot-types/time.ts";
import { textOf } from "../source/border.ts";

/**
 * Everything that can be said to a home in one language, names included, as a grammar for a speech
 * recogniser: commands, questions and short replies. Not all of it is done: a device may be unable to do what
 * is said of it, and a reply by itself answers nothing. Free words are `$GARBAGE`.
 */
export function grammarOf(given: Book, tag?: string): Grammar {
  return homeGrammar(asBook(given), tag, {});
}

/** What of a home is in a grammar, and how. */
export interface GrammarParts {
  /** Whether no articles stand before nouns of commands; `withArticles` adds them later. */
  isBare?: boolean;
  /** Intents; all when left out. */
  only?: readonly string[];
  /** Whole numbers that are spelled out one by one; 0 to 100 when left out. */
  numbers?: { least: number; most: number };
}

export function homeGrammar(
  book: Book,
  tag: string | undefined,
  { isBare = false, only, numbers = { least: 0, most: 100 } }: GrammarParts,
): Grammar {
  const language = homeLanguage(book, textOf(tag));
  const pack = packOf(book, language);
  const rules = new Map<string, GrammarRule>();
  const said = (texts: readonly string[]): Pattern | undefined => {
    const distinct = new Set(texts.map((text) => aloud(text, pack).join(" ")));
    distinct.delete("");
    const options = [...distinct].map((text) =>
      sequence(...text.split(" ").map((word) => words(word))),
    );
    return options.length === 0 ? undefined : choice(options);
  };
  const parsed = (texts: readonly string[]): Pattern =>
    choice(
      texts.map((text) => {
        const result = parsePattern(text, pack);
        return result.ok ? spokenTree(result.pattern, pack) : undefined;
      }),
    );
  const define = (name: string, make: () => Pattern): Pattern => {
    if (!rules.has(name)) {
      rules.set(name, { pattern: nothingToSay, isPublic: false });
      rules.set(name, { pattern: make(), isPublic: false });
    }
    return reference(name);
  };
  const base: Base = { home: book, pack, language, numbers, said, parsed, define };
  const articled = (tree: Pattern): Pattern => (isBare ? tree : withArticles(tree, pack, true));

  define(mainRule, () => {
    const address = book.address.filter((each) => each.language === language);
    const fillers = fillersOf(pack);
    const opening = define("opening", () =>
      choice([
        ...address.map(({ tree }) => spokenTree(tree, pack)),
        parsed([...pack.courtesies.first, ...pack.courtesies.opening]),
        said([...fillers.short, ...fillers.long]),
      ]),
    );
    const closing = define("closing", () =>
      choice([parsed(pack.courtesies.closing), said(fillers.long)]),
    );
    const command = define(commandRule, () =>
      choice(
        [...book.intents.values()].flatMap((intent) => {
          const patterns = intent.patterns.filter((pattern) => pattern.language === language);
          if (patterns.length === 0 || only?.includes(intent.id) === false) return [];
          const rule = `${intentRule}${intent.id}`;
          return define(rule, () =>
            choice(patterns.map(({ tree }) => articled(patternOf(book, base, intent, tree)))),
          );
        }),
      ),
    );
    const then = define("then", () => said(pack.times.then) ?? nothingToSay);
    const when = define(whenRule, () =>
      whenGrammar({ ...base, owner: "when", lead: undefined, led: (tree) => tree }),
    );
    const narrowing = narrowingOf(base, rules);
    // "… and the fan", "… and blue": what was said before is not said again.
    const what = choice([command, ...repliesTo(rules)]);
    const clause = sequence(optional(when), what, narrowing && optional(narrowing), optional(when));
    const clauses = define(clausesRule, () =>
      sequence(clause, optional(sequence(then, reference(clausesRule)))),
    );
    return sequence(repeated(opening), clauses, repeated(closing));
  });
  const main = rules.get(mainRule)?.pattern ?? nothingToSay;
  rules.set(mainRule, { pattern: main, isPublic: true });
  return { language, root: mainRule, rules };
}

const mainRule = "main";
export const commandRule = "command";
/** When something is to be done. */
export const whenRule = "when";
/** What names anything. */
export const thingRule = "target";
const clausesRule = "clauses";

/** The rules that hold the others together: intents, and what is said in their slots. */
export const holdingRules: ReadonlySet<string> = new Set([mainRule, clausesRule, commandRule]);

/** Rules that make no difference to what is meant. */
export const idleRules: ReadonlySet<string> = new Set(["opening", "closing", "lead", "then"]);

/** What makes a difference to what is meant: the intents, and the rules that rules which hold others refer to. */
export const toldApart: ToldApart = {
  partOf: intentOfRule,
  isStep: (rule, within) =>
    holdingRules.has(within) && !idleRules.has(rule) && !fragmentRules.test(rule),
};

const intentRule = "intent-";

/** Rules of fragments, which hold what they refer to together as well. */
const fragmentRules = /^(?:in|part)-/u;

/** The intent whose rule it is. */
export function intentOfRule(rule: string): string | undefined {
  return rule.startsWith(intentRule) ? rule.slice(intentRule.length) : undefined;
}

/** "In the shop", after a command: it narrows what is named before. */
function narrowingOf(
  { pack, said }: Base,
  rules: ReadonlyMap<string, GrammarRule>,
): Pattern | undefined {
  const within = said(pack.targets.inPlace);
  const places = rules.has("places") ? reference("places") : nothingToSay;
  return choice([within && sequence(within, places), said(pack.targets.here)]);
}

/** Rules that say what is meant, or how it is to be: what may be said alone after "and". */
const repliesRules = [thingRule, "percent", "degrees", "colour"];

function repliesTo(rules: ReadonlyMap<string, GrammarRule>): Pattern[] {
  return repliesRules.filter((rule) => rules.has(rule)).map(reference);
}

function whenGrammar(writing: Writing): Pattern {
  const { pack, parsed } = writing;
  const date = dateGrammar(writing);
  const inPart = parsed(partsOfDay.flatMap((part) => pack.times.partOf[part]));
  const day = choice([
    date,
    fillReferences(inPart, (name) => (name === "date" ? date : undefined)),
  ]);
  const parts = new Map([
    ["duration", durationGrammar(writing)],
    ["time", timeGrammar(writing)],
    ["date", day],
  ]);
  // The part of the day says by itself that a time is meant.
  const ofDay = timeOfDayGrammar(writing);
  const { when, sun } = pack.times;
  const bySun = spokenSunEvents.flatMap((event) => {
    const { at, until, before, after } = sun?.[event] ?? {
      at: [],
      until: [],
      before: [],
      after: [],
    };
    return [...at, ...until, ...before, ...after];
  });
  const texts = [...Object.values(when).flat(), ...bySun];
  return choice([
    fillReferences(parsed(texts), (name) => parts.get(name)),
    sequence(ofDay, optional(day)),
    sequence(day, ofDay),
  ]);
}

function repeated(item: Pattern): Pattern {
  return { type: "repeat", item, minimum: 0, maximum: Infinity, span: [0, 0] };
}

/** A pattern with its words as they are said; what is only written is never said. */
function spokenTree(tree: Pattern, pack: LanguagePack): Pattern {
  return mapLeaves(tree, (leaf) => {
    if (leaf.type !== "words") return leaf;
    const said = aloud(leaf.words.join(" "), pack);
    return said.length === 0 ? nothingToSay : words(...said);
  });
}

/** A pattern with its references led to rules of the grammar. */
function patternOf(book: Book, writing: Base, intent: Intent, tree: Pattern): Pattern {
  return fillReferences(spokenTree(tree, writing.pack), (name) => {
    const slot = intent.slots.get(name);
    if (slot) return slotRule(book, writing, intent, slot);
    const fragment = fragmentTree(book.fragments.get(name), writing.language);
    if (!fragment) return undefined;
    // A fragment that holds slots is another one in each intent.
    const uses = referencesOf(fragment).some(({ name: inner }) => intent.slots.has(inner));
    const rule = uses ? `in-${intent.id}-${name}` : `part-${name}`;
    return writing.define(rule, () => patternOf(book, writing, intent, fragment));
  });
}

/** Small words are passed over when they are heard; they are said before what has a name. */
function leadOf({ pack, said, define }: Base): Pattern | undefined {
  const small = said(pack.small);
  const fillers = said(fillersOf(pack).long);
  if (!small && !fillers) return undefined;
  return define("lead", () =>
    choice([fillers && sequence(fillers, optional(fillers), small && optional(small)), small]),
  );
}

/** Fillers that are words. */
interface Fillers {
  /** Such as are said before a command alone. */
  short: readonly string[];
  long: readonly string[];
}

/**
 * A sigh, which is a vowel or a hum with little else, is no word to a recogniser, and one that it could hear at
 * the front of a command would be heard in it: "um lock" in "unlock".
 */
function fillersOf(pack: LanguagePack): Fillers {
  let fillers = spokenFillers.get(pack);
  if (fillers) return fillers;
  const { waysOf } = createSounds(pack);
  const soundsOf = (text: string) => phonesOf(text.split(" "), { waysOf });
  const isHummed = (text: string): boolean => {
    const [first] = soundsOf(text);
    return first?.sort === "vowel" || first?.manner === "nasal";
  };
  const isSyllable = (text: string): boolean => soundsOf(text).some(({ sort }) => sort === "vowel");
  const isShort = (text: string): boolean => soundsOf(text).length <= fewSounds;
  fillers = {
    short: pack.fillers.filter((text) => isShort(text) && isSyllable(text) && !isHummed(text)),
    long: pack.fillers.filter((text) => !isShort(text)),
  };
  spokenFillers.set(pack, fillers);
  return fillers;
}

/** Those of each language, found once. */
const spokenFillers = new WeakMap<LanguagePack, Fillers>();

/** Sounds that a short filler has at most. */
const fewSounds = 2;

/** What rules are written with, before it is known for which slot. */
type Base = Omit<Writing, "owner" | "led" | "lead">;

function slotRule(book: Book, base: Base, intent: Intent, slot: Slot): Pattern {
  if (slot.fills === "words") return { type: "garbage", span: [0, 0] };
  const writing: Writing = {
    ...base,
    owner: `${intent.id}-${slot.name}`,
    lead: leadOf(base),
    led: (tree) => withArticles(patternOf(book, base, intent, tree), base.pack, false),
  };
  return slot.fills === "value" ? slot.grammar(writing) : targetGrammar(writing, slot);
}
