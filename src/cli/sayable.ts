import { WrongUse } from "../source/wrong-use.ts";
import { printSayable } from "../reports/sayable.ts";
import { listSayable } from "../survey/sayable.ts";
import { exit } from "./exit.ts";
import { type BookOptions, loadBook, mentionErrors } from "./load.ts";
import { paintFor, print, printJson } from "./output.ts";

export interface SayableOptions extends BookOptions {
  language?: string;
  json?: boolean;
}

/** `calm-phrase sayable`: what the people of a home can say, and what voice may do. */
export async function sayable(options: SayableOptions): Promise<number> {
  const { language, json } = options;
  const book = await loadBook(options);
  mentionErrors(book);
  const spoken = language ?? book.languages[0] ?? "en";
  const tag = book.languages.find((each) => each === spoken || each.split("-")[0] === spoken);
  if (tag === undefined) {
    throw new WrongUse(
      `this home does not speak "${spoken}": write one of ${book.languages.join(", ")}`,
    );
  }
  const devices = listSayable(book, tag);
  if (json) printJson({ version: 1, language: tag, devices });
  else print(printSayable(book, devices, tag, paintFor(process.stdout)));
  return exit.fine;
}
