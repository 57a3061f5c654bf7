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
export async function test(options: TestOptions): Promise<number> {
  const { only, json } = options;
  const { book, suiteSources } = await loadFolder(options);
  if (suiteSources.length === 0) {
    throw new WrongUse(
      "there is no suite beside the phrasebook: a suite is a file named *.suite.yaml",
    );
  }
  mentionErrors(book);
  const suites = readSuites(book, suiteSources);
  const names = suites.suites.map(({ name }) => `"${name}"`).join(", ");
  const results = runSuites(book, suites, only ? { only } : {});
  if (only && results.suites.length === 0) {
    const wanted = only.map((name) => `"${name}"`).join(" or ");
    throw new WrongUse(`no suite is called ${wanted}: write one of ${names}`);
  }
  if (json) printJson(results);
  else print(printResults(results, paintFor(process.stdout), options.why === true));
  const isBroken = [...book.problems, ...results.problems].some(
    ({ severity }) => severity === "error",
  );
  return results.failed > 0 || isBroken ? exit.failed : exit.fine;
}
