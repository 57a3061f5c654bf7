import { WrongUse } from "../source/wrong-use.ts";
import type { Book } from "../home/book.ts";
import { openPhrasebook, phrasebookFiles } from "../node/open.ts";
import { countFindings } from "../reports/findings.ts";

/** Opens the phrasebook that a command is about. */
export async function loadBook(folder: string): Promise<Book> {
  let files: string[];
  try {
    files = await phrasebookFiles(folder);
  } catch {
    throw new WrongUse(`there is no folder or file "${folder}"`);
  }
  if (files.length === 0) {
    throw new WrongUse(
      `there is no phrasebook in "${folder}": name another folder with --in, or begin one with calm-phrase new`,
    );
  }
  return openPhrasebook(folder);
}

/** Says that a phrasebook has errors, where the command goes on regardless. */
export function mentionErrors(book: Book): void {
  const errors = book.problems.filter(({ severity }) => severity === "error");
  if (errors.length === 0) return;
  process.stderr.write(`The phrasebook has ${countFindings(errors)}: see calm-phrase check\n\n`);
}
