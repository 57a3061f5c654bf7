import { compareFindings } from "../source/finding.ts";
import { countFindings, printFindings } from "../reports/findings.ts";
import { checkPhrasebook } from "../survey/check.ts";
import { readSuites } from "../suites/suite.ts";
import { exit } from "./exit.ts";
import { loadBook } from "./load.ts";
import { paintFor, print, printJson } from "./output.ts";

/** `calm-phrase check`: everything that is wrong with a phrasebook and its suites. */
export async function check(folder: string, { json }: { json?: boolean }): Promise<number> {
  const book = await loadBook(folder);
  const { problems } = readSuites(book, book.suiteSources);
  const all = [...book.problems, ...checkPhrasebook(book), ...problems].sort(compareFindings);
  if (json) {
    printJson({ version: 1, problems: all });
  } else {
    const paint = paintFor(process.stdout);
    if (all.length > 0) print(`${printFindings(all, paint)}\n`);
    const { devices, rooms, intents } = book;
    print(`${book.name}: ${devices.size} devices, ${rooms.size} rooms, ${intents.size} intents`);
    const hasErrors = all.some(({ severity }) => severity === "error");
    print(hasErrors ? paint.bad(countFindings(all)) : paint.good(countFindings(all)));
  }
  return all.some(({ severity }) => severity === "error") ? exit.failed : exit.fine;
}
