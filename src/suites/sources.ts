import { type Source, type SourceText, readGiven } from "../document/document.ts";

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
  const named = (ending: RegExp): SourceText[] =>
    sources.filter((source): source is SourceText => "text" in source && ending.test(source.path));
  const [suites, days] = [named(/\.(?:suite\.ya?ml|csv)$/iu), named(/\.day\.ya?ml$/iu)];
  const others = new Set<Source>([...suites, ...days]);
  return { phrasebook: sources.filter((source) => !others.has(source)), suites, days };
}
