import { WrongUse } from "../source/wrong-use.ts";
import type { Book } from "../book/book.ts";
import { printHeard } from "../reports/heard.ts";
import { exit, isDone } from "./exit.ts";
import { type BookOptions, languageOf, loadBook, mentionErrors } from "./load.ts";
import { paintFor, print, printJson } from "./output.ts";
import { given } from "../source/given.ts";

export interface HearOptions extends BookOptions {
  at?: string;
  language?: string;
  time?: string;
  why?: boolean;
  json?: boolean;
}

/** `calm-phrase hear`: one phrase explained, or a prompt where the home keeps its state. */
export async function hear(phrase: string | undefined, options: HearOptions): Promise<number> {
  const isTalk = phrase === undefined || phrase === "-";
  if (isTalk && options.in === "-") {
    throw new WrongUse(
      "standard input holds the phrasebook: write a phrase, or --in with a folder",
    );
  }
  const book = await loadBook(options);
  const context = hearContext(book, options);
  mentionErrors(book);
  if (isTalk) {
    // One phrase needs no home, and loading one takes as long as all the rest.
    const { converse } = await import("./prompt.ts");
    return converse(book, context, { isJson: options.json === true, isPiped: phrase === "-" });
  }
  const heard = book.hear(phrase, context);
  if (options.json) printJson({ ...heard, reply: book.reply(heard), why: book.why(heard) });
  else print(printHeard(book, heard, paintFor(process.stdout), { dropped: options.why === true }));
  return isDone(heard.outcome) ? exit.fine : exit.failed;
}

function hearContext(book: Book, { at, language, time }: HearOptions) {
  if (at !== undefined && !book.voicepoints.has(at)) {
    const known = [...book.voicepoints.keys()].join(", ");
    throw new WrongUse(`there is no voicepoint "${at}": write one of ${known}`);
  }
  return given({ at, language: language && languageOf(book, language), time });
}
