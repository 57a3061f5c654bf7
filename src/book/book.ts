import type { HearContext } from "../hearing/context.ts";
import type { StatesOf } from "../commands/states.ts";
import type { Why } from "../hearing/explain/why.ts";
import { explainHeard, hearUtterance, replyToHeard } from "../hearing/hear.ts";
import type { Heard } from "../commands/outcome.ts";
import { membersOf } from "../source/border.ts";
import { WrongUse, madeOf } from "../source/wrong-use.ts";
import { type Source, readGiven } from "../document/document.ts";
import type { Phrasebook } from "../phrasebook/model.ts";
import type { Finding } from "../source/finding.ts";
import type { Witness } from "../model/witness.ts";
import { type LanguagePack, packKeys } from "../language/pack.ts";
import type { OwnSlotType } from "../model/own-slot-type.ts";
import { type Knowledge, readSources } from "../phrasebook/read.ts";

/** A phrasebook ready to listen. */
export interface Book extends Phrasebook {
  /** Understands one utterance. */
  hear: (text: string, context?: HearContext) => Heard;
  /** What is said back to what was heard; for something to do, once all of it has worked. */
  reply: (heard: Heard, states?: StatesOf) => string;
  /** Everything that led to what was heard. */
  why: (heard: Heard, states?: StatesOf) => Why;
}

/** What a phrasebook may be written in, beside what is in its files. */
export interface ReaderOptions {
  /** The languages that homes may speak, one at least; import the packs that are needed. */
  languages: readonly LanguagePack[];
  /** Slot types of the application's own: `{ type: own, of: shelf-mark }`. */
  slotTypes?: readonly OwnSlotType[];
}

/** Reads a phrasebook from files and definitions. */
export type Reader = (sources: readonly Source[], found?: readonly Finding[]) => Book;

/**
 * Makes a reader of phrasebooks in some languages, packs of an application's own among them.
 *
 * @throws WrongUse where there is no language, or what is passed is none.
 */
export function createReader(options: ReaderOptions): Reader {
  const knowledge = knowledgeOf(options);
  return (sources, found = []) => {
    const given = Array.isArray(found) ? found.filter(isFinding) : [];
    return openBook(knowledge, sources, given);
  };
}

/**
 * What a reader of phrasebooks is to know of.
 *
 * @throws WrongUse where there is no language, or what is passed is none.
 */
export function knowledgeOf(options: ReaderOptions): Knowledge {
  const { languages, slotTypes } = membersOf(options);
  const [first, ...others] = eachOf(languages, isPack, "pass language packs: [english]");
  if (!first) throw new WrongUse("pass a language at least: { languages: [english] }");
  const wrong = "pass slot types: [{ name, recognise, samples }]";
  const own = eachOf(slotTypes ?? [], isSlotType, wrong);
  return { packs: [first, ...others], slotTypes: own };
}

/** A phrasebook that can hear, with what is wrong with it. */
export function openBook(
  knowledge: Knowledge,
  sources: readonly Source[],
  found: readonly Finding[] = [],
): Book {
  return rebound(readSources(knowledge, readGiven(sources), found));
}

/** The same phrasebook, with somebody who is told what of it comes to be used. */
export function watched(book: Book, witness: Witness): Book {
  return rebound({ ...book, witness });
}

/** A phrasebook that hears by itself. */
export function rebound(book: Phrasebook): Book {
  const opened: Book = {
    ...book,
    hear: (text, context = {}) => hearUtterance(opened, text, context),
    reply: (heard, states) => madeOf("outcome", () => replyToHeard(opened, heard, states)),
    why: (heard, states) => madeOf("outcome", () => explainHeard(opened, heard, states)),
  };
  known.add(opened);
  return opened;
}

/** The phrasebooks that were read. */
const known = new WeakSet<object>();

/**
 * What was passed as a phrasebook, if it is one.
 *
 * @throws WrongUse for anything else.
 */
export function asBook(book: unknown): Book {
  if (isBook(book)) return book;
  throw new WrongUse("pass a phrasebook: what readPhrasebook returned");
}

function isBook(book: unknown): book is Book {
  return typeof book === "object" && book !== null && known.has(book);
}

/** A list of which everything is as it should be. */
function eachOf<T>(list: unknown, is: (value: unknown) => value is T, wrong: string): readonly T[] {
  if (!Array.isArray(list) || !list.every(is)) throw new WrongUse(wrong);
  return list;
}

function isPack(value: unknown): value is LanguagePack {
  const pack = membersOf(value);
  return typeof pack["language"] === "string" && packKeys.every((key) => Object.hasOwn(pack, key));
}

function isSlotType(value: unknown): value is OwnSlotType {
  const { name, recognise, samples } = membersOf(value);
  const isWhole = typeof recognise === "function" && typeof samples === "function";
  return typeof name === "string" && isWhole;
}

function isFinding(found: unknown): found is Finding {
  const { at, message } = membersOf(found);
  return typeof message === "string" && typeof membersOf(at)["file"] === "string";
}
