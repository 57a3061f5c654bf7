import { WrongUse } from "../source/wrong-use.ts";
import { printResults } from "../reports/results.ts";
import { runSuites } from "../suites/run.ts";
import { readSuites } from "../suites/read.ts";
import { exit } from "./exit.ts";
import { type BookOptions, loadFolder, mentionErrors } from "./load.ts";
import { paintFor, print, printJson } from "./output.ts";

export interface TestOptions extends BookOptions {
  only?: string[];
  why?: boolean;
  json?: boolean;
}

/** `calm-phrase test`: runs the suites of a phrasebook. */
export async function test(folder: string, options: TestOptions): Promise<number> {
  const { only, json } = options;
  const { book, suiteSources } = await loadFolder(folder, options);
  if (suiteSources.length === 0) {
    throw new WrongUse(`there is no suite in "${folder}": a suite is a file named *.suite.yaml`);
  }
  mentionErrors(book);
  const results = runSuites(book, readSuites(book, suiteSources), only ? { only } : {});
  if (only && results.suites.length === 0) {
    throw new WrongUse(`no suite is called ${only.map((name) => `"${name}"`).join(" or ")}`);
  }
  if (json) printJson(results);
  else print(printResults(results, paintFor(process.stdout), options.why === true));
  const isBroken = [...book.problems, ...results.problems].some(
    ({ severity }) => severity === "error",
  );
  return results.failed > 0 || isBroken ? exit.failed : exit.fine;
}
