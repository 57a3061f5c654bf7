import { traceSuites } from "../coverage/suspects.ts";
import { readSuites } from "../suites/read.ts";
import type { SuiteResults } from "../suites/results.ts";
import type { Selection } from "../suites/select.ts";
import type { Tested } from "./homes.ts";
import type { BookOptions } from "./load.ts";
import { openHome } from "./open-home.ts";

/** One part of a run, for a thread of its own. */
export interface PartOfRun {
  home: Tested;
  options: BookOptions;
  selection: Selection;
  bail?: number;
}

export default async function runPart({
  home,
  options,
  selection,
  bail,
}: PartOfRun): Promise<SuiteResults> {
  const { book, sources } = await openHome(home, options);
  return traceSuites(book, readSuites(book, sources), {
    ...selection,
    ...(bail !== undefined && { bail }),
  });
}
