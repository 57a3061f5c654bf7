import { readFile } from "node:fs/promises";
import type { Book } from "../book/book.ts";
import { type Coverage, measureCoverage, percentOf } from "../coverage/coverage.ts";
import { printCoverage, printPercent } from "../reports/coverage.ts";
import type { Finding } from "../source/finding.ts";
import { membersOf } from "../source/border.ts";
import { WrongUse } from "../source/wrong-use.ts";
import { mergeResults } from "../suites/merge.ts";
import { type Suites, readSuites } from "../suites/read.ts";
import {
  type CaseResult,
  type SuiteResults,
  countResults,
  resultsVersion,
} from "../suites/results.ts";
import { type RunOptions, runSuites } from "../suites/run.ts";
import { type Selection, chooseCases } from "../suites/select.ts";
import { exit } from "./exit.ts";
import { type Tested, suitesIn, wantedOf } from "./homes.ts";
import { failedLast, keepFailed } from "./last-run.ts";
import { type BookOptions, loadFolder, mentionErrors } from "./load.ts";
import { complain, paintFor, print, printJson } from "./output.ts";
import { createProgress } from "./progress.ts";
import { type ReportWanted, printHomes, writeReports } from "./test-reports.ts";

export interface TestOptions extends BookOptions {
  only?: string[];
  tag?: string[];
  language?: string[];
  failed?: boolean;
  bail?: number;
  shard?: NonNullable<Selection["shard"]>;
  shuffle?: number;
  coverage?: boolean;
  atLeast?: number;
  merge?: string[];
  report?: ReportWanted[];
  why?: boolean;
  log?: boolean;
  json?: boolean;
}

/** What testing one home came to. */
export interface HomeResults {
  home: string;
  results: SuiteResults;
  coverage?: Coverage;
  /** What is wrong with its phrasebook. */
  problems: readonly Finding[];
}

/** `calm-phrase test`: runs the suites of one home, or of many. */
export async function test(what: readonly string[], options: TestOptions): Promise<number> {
  const tested = options.merge ? [await mergedFrom(options.merge)] : await testHomes(what, options);
  const results = joined(tested);
  const coverages = tested.flatMap(({ coverage }) => coverage ?? []);
  await writeReports(options.report ?? [], results, coverages);
  const paint = paintFor(process.stdout);
  if (options.json) printJson(coverages.length > 0 ? { ...results, coverages } : results);
  else {
    print(printHomes(tested, paint, telling(options)));
    for (const { home, coverage } of tested) {
      if (!coverage) continue;
      print(
        `${tested.length > 1 ? `\n${paint.strong(home)}` : ""}\n${printCoverage(coverage, paint)}`,
      );
    }
  }
  const { atLeast = 0 } = options;
  const short = coverages.filter((coverage) => percentOf(coverage) < atLeast);
  for (const coverage of short) {
    complain(
      `Cases touch ${printPercent(percentOf(coverage))} of the phrasebook, not ${atLeast} %.`,
    );
  }
  const isBroken = tested.some(({ results: { problems: own }, problems }) =>
    [...own, ...problems].some(({ severity }) => severity === "error"),
  );
  return results.failed > 0 || isBroken || short.length > 0 ? exit.failed : exit.fine;
}

function telling({ why = false, log = false }: TestOptions) {
  return { dropped: why, log };
}

async function testHomes(what: readonly string[], options: TestOptions): Promise<HomeResults[]> {
  const { homes, names } = await wantedOf(what, options);
  const only = [...(options.only ?? []), ...names];
  const tested: HomeResults[] = [];
  const known = new Set<string>();
  let chosen = 0;
  for (const home of homes) {
    const opened = await openHome(home, options);
    for (const { name, cases } of opened.suites.suites) {
      known.add(name);
      for (const each of cases) if (!("problem" in each) && each.name) known.add(each.name);
    }
    const { results, coverage } = await testHome(opened, { ...options, only });
    chosen += results.suites.length;
    const { folder, book } = opened;
    tested.push({ home: folder, results, problems: book.problems, ...(coverage && { coverage }) });
  }
  if (only.length > 0 && chosen === 0) {
    const wanted = only.map((name) => `"${name}"`).join(" or ");
    const names = [...known].map((name) => `"${name}"`).join(", ");
    throw new WrongUse(`no suite or case is called ${wanted}: there are ${names}`);
  }
  return tested;
}

/** A home that was opened, with the suites of it that are meant. */
export interface OpenedHome {
  folder: string;
  book: Book;
  suites: Suites;
}

export async function openHome(home: Tested, options: BookOptions): Promise<OpenedHome> {
  const { folder, book, suiteSources } = await loadFolder({ ...options, ...inFolder(home) });
  if (suiteSources.length === 0) {
    throw new WrongUse(
      "there is no suite beside the phrasebook: a suite is a file named *.suite.yaml",
    );
  }
  mentionErrors(book);
  return { folder, book, suites: readSuites(book, suitesIn(suiteSources, home.files)) };
}

function inFolder({ folder }: Tested): Pick<BookOptions, "in"> {
  return folder === undefined ? {} : { in: folder };
}

/** Runs what is chosen of a home, and keeps what failed. */
export async function testHome(
  { folder, book, suites }: OpenedHome,
  options: TestOptions,
): Promise<{ results: SuiteResults; coverage?: Coverage }> {
  const { only = [], tag, language, failed, bail, shard, shuffle } = options;
  const last = failed ? await failedLast(folder) : undefined;
  if (failed && !last) complain(`Nothing is known of an earlier run of ${folder}: all is run.`);
  const selection: Selection = {
    ...(only.length > 0 && { only }),
    ...(tag && { tags: tag }),
    ...(language && { languages: language }),
    ...(last && { keys: last }),
    ...(shard && { shard }),
  };
  if (last && chooseCases(suites.suites, selection).cases.length === 0) {
    complain(`Nothing failed in the last run of ${folder}.`);
  }
  const progress = createProgress(process.stderr);
  let failures = 0;
  const run = {
    ...selection,
    ...(bail !== undefined && { bail }),
    ...(shuffle !== undefined && { shuffle }),
    onCase({ passed }: CaseResult, done: number, all: number) {
      if (!passed) failures++;
      progress.tell(done, all, failures);
    },
  } satisfies RunOptions;
  const tested = wantsCoverage(options)
    ? measureCoverage(book, suites, run)
    : { results: runSuites(book, suites, run) };
  progress.end();
  await keepFailed(folder, tested.results);
  return tested;
}

/** Whether anything asks what the cases touch. */
function wantsCoverage({ coverage, atLeast, report = [] }: TestOptions): boolean {
  return coverage === true || atLeast !== undefined || report.some(({ form }) => form === "lcov");
}

/** Results of all homes as those of one run. */
function joined(tested: readonly HomeResults[]): SuiteResults {
  const [only, more] = tested;
  if (only && !more) return only.results;
  return countResults(
    tested.flatMap(({ results }) => results.suites),
    tested.flatMap(({ results }) => results.problems),
  );
}

/** Results that parts of a run printed with `--json`, as those of one run. */
async function mergedFrom(paths: readonly string[]): Promise<HomeResults> {
  const parts = await Promise.all(paths.map(readResults));
  return { home: ".", results: mergeResults(parts), problems: [] };
}

export async function readResults(path: string): Promise<SuiteResults> {
  const text = await readFile(path, "utf8").catch(() => {
    throw new WrongUse(`there is no file "${path}"`, "no-such-file");
  });
  const results = parseResults(text);
  if (results) return results;
  throw new WrongUse(`"${path}" holds no results of calm-phrase test --json of this version`);
}

function parseResults(text: string): SuiteResults | undefined {
  let value: unknown;
  try {
    value = JSON.parse(text);
  } catch {
    return undefined;
  }
  return isResults(value) ? value : undefined;
}

function isResults(value: unknown): value is SuiteResults {
  const { version, suites, problems } = membersOf(value);
  return version === resultsVersion && Array.isArray(suites) && Array.isArray(problems);
}
