import type { HearContext } from "../hearing/context.ts";
import type { StatesOf } from "../commands/states.ts";
import type { Why } from "../hearing/explain/why.ts";
import { explainHeard, hearUtterance, replyToHeard } from "../hearing/hear.ts";
import type { Heard } from "../commands/outcome.ts";
import { membersOf } from "../source/border.ts";
import { WrongUse, madeOf } from "../source/wrong-use.ts";
import { type Source, readGiven } from "../phrasebook/document.ts";
import type { Phrasebook } from "../phrasebook/model.ts";
import type { Finding } from "../source/finding.ts";
import { readSources } from "../phrasebook/read.ts";

/** A phrasebook ready to listen. */
export interface Book extends Phrasebook {
  /** Understands one utterance. */
  hear: (text: string, context?: HearContext) => Heard;
  /** What is said back to what was heard; for something to do, once all of it has worked. */
  reply: (heard: Heard, states?: StatesOf) => string;
  /** Everything that led to what was heard. */
  why: (heard: Heard, states?: StatesOf) => Why;
}

/**
 * Reads a phrasebook from files or definitions. Never throws: look at `problems` for what is
 * wrong; whatever could be read is ready to use.
 *
 * @param sources Files as path and text, and definitions made with `definePhrasebook`.
 * @param found Findings about the files made before, such as folders that do not exist.
 */
export function readPhrasebook(sources: readonly Source[], found: readonly Finding[] = []): Book {
  const book = readSources(readGiven(sources), Array.isArray(found) ? found.filter(isFinding) : []);
  const opened: Book = {
    ...book,
    hear: (text, context = {}) => hearUtterance(opened, text, context),
    reply: (heard, states) => madeOf("outcome", () => replyToHeard(opened, heard, states)),
    why: (heard, states) => madeOf("outcome", () => explainHeard(opened, heard, states)),
  };
  books.add(opened);
  return opened;
}

/** The phrasebooks that were read. */
const books = new WeakSet<Book>();

/**
 * What was passed as a phrasebook, if it is one.
 *
 * @throws WrongUse for anything else.
 */
export function asBook(book: Book): Book {
  if (typeof book === "object" && books.has(book)) return book;
  throw new WrongUse("pass a phrasebook: what readPhrasebook returned");
}

function isFinding(found: unknown): found is Finding {
  const { at, message } = membersOf(found);
  return typeof message === "string" && typeof membersOf(at)["file"] === "string";
}
