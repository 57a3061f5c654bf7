import { printSayable } from "../reports/sayable.ts";
import { listSayable } from "../survey/sayable.ts";
import { exit } from "./exit.ts";
import { type BookOptions, languageOf, loadBook, mentionErrors } from "./load.ts";
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
  const tag = languageOf(book, language);
  const devices = listSayable(book, tag);
  if (json) printJson({ version: 1, language: tag, devices });
  else print(printSayable(book, devices, tag, paintFor(process.stdout)));
  return exit.fine;
}
