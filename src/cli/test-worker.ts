import { traceSuites } from "../coverage/trace.ts";
import { partSuites } from "../suites/parting.ts";
import { readShares } from "../suites/read.ts";
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
  /** Which part it is, of how many. */
  part: number;
  of: number;
  bail?: number;
}

export default async function runPart({
  home,
  options,
  selection,
  part,
  of,
  bail,
}: PartOfRun): Promise<SuiteResults> {
  const { book, sources } = await openHome(home, options);
  return traceSuites(book, readShares(book, partSuites(sources, part, of)), {
    ...selection,
    ...(bail !== undefined && { bail }),
  });
}
