import {
  type Source,
  partSources,
  readPhrasebook,
  readSuites,
  runSuites,
} from "../../src/index.ts";
import type { RunOptions, SuiteResults } from "../../src/index.ts";

/** Runs the suites among some sources against the phrasebook that the others are. */
export function runSources(sources: readonly Source[], options?: RunOptions): SuiteResults {
  const { phrasebook, suites } = partSources(sources);
  const book = readPhrasebook(phrasebook);
  return runSuites(book, readSuites(book, suites), options);
}
