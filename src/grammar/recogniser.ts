import { type Book, asBook, rebound } from "../book/book.ts";
import { homeLanguage } from "../hearing/hear.ts";
import { aloud } from "../language/aloud.ts";
import { packOf } from "../language/packs.ts";
import { wordsOfTalk } from "../language/talk-words.ts";
import { choice, reference, words } from "../pattern/build.ts";
import type { Grammar, GrammarRule } from "../pattern/grammar.ts";
import type { Option, Pattern } from "../pattern/tree.ts";
import { membersOf, numberFrom, textOf, textsGiven } from "../source/border.ts";
import { unknownId } from "../source/wrong-use.ts";
import { automataOf, isInGrammar } from "./automata.ts";
import { compactGrammar, usualSize } from "./compact.ts";
import { factored } from "./factored.ts";
import type { GrammarParts } from "./home-grammar.ts";
import { weighted } from "./weighted.ts";

/** What a recogniser is to be given. */
export interface RecogniserOptions extends Pick<GrammarParts, "only" | "numbers"> {
  /** BCP 47 tag; the first language of the home when left out. */
  language?: string;
  /** Only what stands in these rooms. */
  rooms?: readonly string[];
  /** Words that it may have when every rule is written out; 31,000 when left out. */
  size?: number;
  /** Phrases that are said more often than others, with how often beside them. */
  favour?: readonly { phrase: string; weight?: number }[];
}

/** A grammar for a recogniser, and what has to be known of it. */
export interface RecogniserGrammar {
  grammar: Grammar;
  /** Favoured phrases that are in it by themselves alone: no command of the home is put together so. */
  alone: readonly string[];
  /** Words for what is no command, for a form that has no word for any words. */
  otherWords: readonly string[];
}

/** How likely each is beside the others: what is favoured, anything else that can be said, and no command. */
const shares = { favoured: 0.5, sayable: 0.4, other: 0.1 };

/**
 * What can be said to a home as a recogniser takes it: in a bounded size, with what is said often favoured,
 * and with a branch for what is no command, so that not all that is heard becomes one.
 *
 * @throws WrongUse for an intent or a room that there is not.
 */
export function recogniserGrammar(of: Book, options: RecogniserOptions = {}): RecogniserGrammar {
  const book = asBook(of);
  const { rooms, only, numbers, size, favour, language: tag } = readRecogniser(options);
  for (const id of only ?? []) {
    if (!book.intents.has(id)) throw unknownId("intent", id, book.intents.keys());
  }
  const language = homeLanguage(book, tag);
  const pack = packOf(book, language);
  const some = rooms ? within(book, rooms) : book;
  const said = new Map<string, number>();
  for (const { phrase, weight } of favour) {
    const text = aloud(phrase, pack).join(" ");
    if (text !== "") said.set(text, (said.get(text) ?? 0) + weight);
  }
  const compact = weighted(compactGrammar(some, language, { size, only, numbers }), said);
  const { root } = compact;
  const main = compact.rules.get(root);
  if (!main) return { grammar: compact, alone: [], otherWords: [] };
  const automata = automataOf(compact);
  const alone = [...said.keys()].filter((text) => !isInGrammar(automata, text.split(" ")));
  const sayable: GrammarRule = { ...main, isPublic: false };
  const other: Pattern = { type: "garbage", span: [0, 0] };
  const branches: Option[] = [
    { weight: shares.sayable, pattern: reference(sayableRule) },
    { weight: shares.other, pattern: other },
  ];
  const rules = new Map<string, GrammarRule>();
  if (said.size > 0) {
    branches.unshift({ weight: shares.favoured, pattern: reference(favouredRule) });
    rules.set(favouredRule, { pattern: favouredPattern(said), isPublic: false });
  }
  const whole: Pattern = { type: "choice", options: branches, span: [0, 0] };
  return {
    grammar: {
      language,
      root,
      rules: new Map([
        [root, { pattern: whole, isPublic: true }],
        ...rules,
        [sayableRule, sayable],
        ...[...compact.rules].filter(([name]) => name !== root),
      ]),
    },
    alone,
    otherWords: wordsOfTalk(packOf(book, language)),
  };
}

/** Options as somebody passes them who need not have read their type; what they cannot be is left out. */
function readRecogniser(options: unknown) {
  const { rooms, only, numbers, size, favour, language } = membersOf(options);
  const { least, most } = membersOf(numbers);
  const [from, to] = [numberFrom(least), numberFrom(most)];
  const isRange = from !== undefined && to !== undefined && from <= to && to <= 1000;
  return {
    rooms: textsGiven(rooms),
    only: textsGiven(only),
    numbers: isRange ? { least: Math.floor(from), most: Math.floor(to) } : undefined,
    size: numberFrom(size, 1) ?? usualSize,
    language: textOf(language),
    favour: (Array.isArray(favour) ? favour : []).flatMap((each) => {
      const { phrase, weight } = membersOf(each);
      const text = textOf(phrase);
      return text === undefined ? [] : [{ phrase: text, weight: numberFrom(weight) ?? 1 }];
    }),
  };
}

const favouredRule = "favoured";
const sayableRule = "sayable";

/** Phrases by their weights; those of one weight with what is alike in them written once. */
function favouredPattern(said: ReadonlyMap<string, number>): Pattern {
  const byWeight = new Map<number, string[]>();
  for (const [text, weight] of said) {
    byWeight.set(weight, [...(byWeight.get(weight) ?? []), text]);
  }
  const options = [...byWeight].map(([weight, texts]): Option => {
    const pattern = factored(choice(texts.map((text) => words(...text.split(" ")))));
    return { weight: weight * texts.length, pattern };
  });
  const [only] = options;
  if (only && options.length === 1) return only.pattern;
  return { type: "choice", options, span: [0, 0] };
}

/** The same home with only what stands in some of its rooms. */
function within(book: Book, rooms: readonly string[]): Book {
  for (const room of rooms) {
    if (!book.rooms.has(room)) throw unknownId("room", room, book.rooms.keys());
  }
  const devices = new Map(
    [...book.devices].filter(([, { room }]) => room !== undefined && rooms.includes(room)),
  );
  const groups = new Map(
    [...book.groups].filter(([, group]) => group.devices.some((id) => devices.has(id))),
  );
  const zones = new Map(
    [...book.zones].filter(([, zone]) => zone.rooms.some((room) => rooms.includes(room))),
  );
  const kept = new Map([...book.rooms].filter(([id]) => rooms.includes(id)));
  return rebound({
    ...book,
    devices,
    groups,
    zones,
    rooms: kept,
    intents: new Map(book.intents),
  });
}
