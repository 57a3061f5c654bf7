import { packOf } from "../language/packs.ts";
import { createRisk } from "../mishearing/safest.ts";
import { loadDictionary } from "../node/english-dictionary.ts";
import { type SheetForm, printSayable, reportSheet } from "../reports/index.ts";
import type { Book } from "../book/book.ts";
import { listSayable } from "../survey/sayable.ts";
import { sheetOf } from "../survey/sheet.ts";
import { exit } from "./exit.ts";
import { writeOut } from "./files.ts";
import { type BookOptions, languageOf, loadBook, mentionErrors } from "./load.ts";
import { paintFor, print, printData, printJson } from "./output.ts";

export interface SayableOptions extends BookOptions {
  language?: string;
  /** A sheet to hand over, in one of these forms. */
  sheet?: SheetForm;
  to?: string;
  json?: boolean;
}

/** `calm-phrase sayable`: what the people of a home can say, and what voice may do. */
export async function sayable(options: SayableOptions): Promise<number> {
  const { language, sheet, json } = options;
  const book = await loadBook(options);
  mentionErrors(book);
  const tag = languageOf(book, language);
  if (sheet !== undefined) return handOver(book, tag, { ...options, sheet });
  const devices = listSayable(book, tag);
  if (json) printJson({ version: 1, language: tag, devices });
  else print(printSayable(book, devices, tag, paintFor(process.stdout)));
  return exit.fine;
}

/** Writes the sheet for those who live there, the safest-sounding wordings first. */
async function handOver(
  book: Book,
  language: string,
  { sheet: form, to }: SayableOptions & { sheet: SheetForm },
): Promise<number> {
  const isEnglish = packOf(book, language).language === "en";
  const dictionary = isEnglish ? await loadDictionary() : undefined;
  const text = reportSheet(form, sheetOf(book, language, createRisk(book, language, dictionary)));
  if (to === undefined || to === "-") printData(text.trimEnd());
  else await writeOut(to, text);
  return exit.fine;
}
