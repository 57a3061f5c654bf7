import { suggestSuite } from "../coverage/suggest.ts";
import { WrongUse } from "../source/wrong-use.ts";
import { readSuites } from "../suites/read.ts";
import { exit } from "./exit.ts";
import { writeOut } from "./files.ts";
import { type BookOptions, loadFolder, mentionErrors } from "./load.ts";
import { complain, printData } from "./output.ts";

export interface SuggestOptions extends BookOptions {
  to?: string;
  name?: string;
}

/** `calm-phrase suggest`: writes cases for what no case touches. */
export async function suggest(options: SuggestOptions): Promise<number> {
  const { to, name } = options;
  const { book, suiteSources } = await loadFolder(options);
  mentionErrors(book);
  const { text, cases } = suggestSuite(book, readSuites(book, suiteSources), name);
  if (cases === 0) {
    complain("Nothing is left that a suggested case could touch.");
    return exit.fine;
  }
  if (to === undefined || to === "-") printData(text.trimEnd());
  else {
    if (!/\.suite\.ya?ml$/iu.test(to)) {
      throw new WrongUse(`"${to}" is no name of a suite: write one that ends in .suite.yaml`);
    }
    // What somebody has written or checked is never written over.
    await writeOut(to, text, true);
    complain(`${cases} ${cases === 1 ? "case" : "cases"} in ${to}, each to be checked`);
  }
  return exit.fine;
}
