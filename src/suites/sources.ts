import { type Source, type SourceText, readGiven } from "../document/document.ts";

/** What a file is, as its name ends: tables stand beside suites. */
export type FileSort = "phrasebook" | "suite" | "table" | "day";

/** Tells what a file is by what its name ends in. */
export function sortOfFile(path: string): FileSort {
  if (/\.suite\.ya?ml$/iu.test(path)) return "suite";
  if (/\.csv$/iu.test(path)) return "table";
  return /\.day\.ya?ml$/iu.test(path) ? "day" : "phrasebook";
}

/** The files of a folder by what they are. */
export interface Parted {
  phrasebook: readonly Source[];
  /** Files ending in `.suite.yaml` and the `.csv` tables beside them, which `readSuites` reads. */
  suites: readonly SourceText[];
  /** Files ending in `.day.yaml`, which `readDays` reads. */
  days: readonly SourceText[];
}

/** Parts suites and days from the files of a phrasebook, by what their names end in. */
export function partSources(given: readonly Source[]): Parted {
  const sources = readGiven(given);
  const texts = (...sorts: readonly FileSort[]): SourceText[] =>
    sources.filter(
      (source): source is SourceText => "text" in source && sorts.includes(sortOfFile(source.path)),
    );
  const [suites, days] = [texts("suite", "table"), texts("day")];
  const others = new Set<Source>([...suites, ...days]);
  return { phrasebook: sources.filter((source) => !others.has(source)), suites, days };
}
