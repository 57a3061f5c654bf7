import { type Coverage, measureCoverage, percentOf } from "../coverage/coverage.ts";
import { type TraceWatch, traceWith } from "../coverage/trace.ts";
import { printCoverage, printPercent } from "../reports/coverage.ts";
import { membersOf } from "../source/border.ts";
import type { Position } from "../source/position.ts";
import { mergeResults } from "../suites/merge.ts";
import { joinParts } from "../suites/parting.ts";
import { type SuiteResults, caseKey, resultsVersion } from "../suites/results.ts";
import type { RunOptions } from "../suites/run.ts";
import { type Selection, chooseCases } from "../suites/select.ts";
import { addOffers, choicesOf, refuseEmpty } from "./choices.ts";
import { exit } from "./exit.ts";
import { readJson } from "./files.ts";
import { type Tested, wantedOf } from "./homes.ts";
import { failedLast, keepFailed } from "./last-run.ts";
import { type BookOptions, mentionErrors } from "./load.ts";
import { type OpenedHome, openHome } from "./open-home.ts";
import { readSuites } from "../suites/read.ts";
import { complain, paintFor, print, printJson } from "./output.ts";
import { createProgress } from "./progress.ts";
import type { PartOfRun } from "./test-worker.ts";
import { given } from "../source/given.ts";
import { type Touched, createTouched } from "./touched.ts";
import { type HomeResults, type ReportWanted, printHomes, writeReports } from "./test-reports.ts";

export interface TestOptions extends BookOptions {
  only?: string[];
  tag?: string[];
  language?: string[];
  failed?: boolean;
  watch?: boolean;
  jobs?: number;
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

/** What a run is told while files are watched. */
interface Watched {
  /** Keys of the only cases that are run. */
  keys?: readonly string[];
  touched?: Touched;
}

/** `calm-phrase test`: runs the suites of one home, or of many. */
export async function test(what: readonly string[], options: TestOptions): Promise<number> {
  const { watch, ...once } = options;
  if (!watch) return testOnce(what, once);
  const { watchTests } = await import("./watch.ts");
  // What failed last, a share or an order of cases is run as it is asked for.
  const isWhole =
    !once.failed && !once.shard && once.shuffle === undefined && once.bail === undefined;
  const mayPart = isWhole && jobsFor(once) === 1 && !wantsCoverage(once);
  const touched = createTouched();
  const run = (changed: readonly string[], keys?: readonly string[]): Promise<number> =>
    testOnce(changed, once, { touched, ...given({ keys }) });
  return watchTests(what, once, { run, touched, mayPart });
}

async function testOnce(
  what: readonly string[],
  options: TestOptions,
  watched: Watched = {},
): Promise<number> {
  const tested = options.merge
    ? [await mergedFrom(options.merge)]
    : await testHomes(what, options, watched);
  const results = joined(tested);
  const coverages = tested.flatMap(({ painted }) => painted?.coverage ?? []);
  const painted = tested.flatMap(({ painted: own }) => own ?? []);
  await writeReports(options.report ?? [], results, painted);
  const paint = paintFor(process.stdout);
  if (options.json) printJson(coverages.length > 0 ? { ...results, coverages } : results);
  else {
    print(printHomes({ tested, results }, paint, telling(options)));
    for (const { home, painted: own } of tellsCoverage(options) ? tested : []) {
      if (!own) continue;
      print(
        `${tested.length > 1 ? `\n${paint.strong(home)}` : ""}\n${printCoverage(own.coverage, paint)}`,
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

async function testHomes(
  what: readonly string[],
  options: TestOptions,
  watched: Watched,
): Promise<HomeResults[]> {
  const { homes, names } = await wantedOf(what, options);
  const only = [...(options.only ?? []), ...names];
  const wanted: Selection = {
    ...(only.length > 0 && { only }),
    ...(options.tag && { tags: options.tag }),
    ...(options.language && { languages: options.language }),
  };
  const choices = choicesOf(wanted);
  const tested: HomeResults[] = [];
  let chosen = 0;
  for (const home of homes) {
    const opened = await openHome(home, options);
    mentionErrors(opened.book);
    const { results, coverage } = await testHome(home, opened, { options, wanted, watched });
    chosen += results.suites.length;
    const { folder, book, sources, bookSources } = opened;
    const isKept = homes.length === 1 || options.json === true || options.report !== undefined;
    if (chosen === 0 && choices.length > 0) addOffers(choices, readSuites(book, sources).suites);
    tested.push({
      home: folder,
      // Of many homes those that are as they should be are told in a line each.
      results: isKept ? results : withoutPassed(results),
      problems: book.problems,
      ...(coverage && { painted: { coverage, sources: bookSources } }),
    });
  }
  if (chosen === 0) refuseEmpty(choices);
  return tested;
}

/** Results with their counts and their failures alone, so that a run of many homes takes no more of memory. */
function withoutPassed(results: SuiteResults): SuiteResults {
  const suites = results.suites.map(({ cases, ...suite }) => {
    return { ...suite, cases: cases.filter(({ passed }) => !passed) };
  });
  return { ...results, suites: suites.filter(({ cases }) => cases.length > 0) };
}

/** Runs what is chosen of a home, and keeps what failed. */
async function testHome(
  home: Tested,
  { folder, book, sources, bookSources }: OpenedHome,
  { options, wanted, watched }: { options: TestOptions; wanted: Selection; watched: Watched },
): Promise<{ results: SuiteResults; coverage?: Coverage }> {
  const { failed, bail, shard, shuffle } = options;
  const last = failed ? await failedLast(folder) : undefined;
  if (failed && !last) complain(`Nothing is known of an earlier run of ${folder}: all is run.`);
  const { touched, keys = last } = watched;
  const selection: Selection = {
    ...wanted,
    ...(keys && { keys }),
    ...(shard && { shard }),
  };
  const jobs = jobsFor(options);
  if (jobs > 1) {
    const results = await runParts(jobs, { home, options, selection });
    await keepFailed(folder, results);
    return { results };
  }
  const suites = readSuites(book, sources);
  const run: RunOptions = {
    ...selection,
    ...(bail !== undefined && { bail }),
    ...(shuffle !== undefined && { shuffle }),
  };
  if (last && chooseCases(suites.suites, run).cases.length === 0) {
    complain(`Nothing failed in the last run of ${folder}.`);
  }
  const places = new Map<string, readonly Position[]>();
  const onTouched: TraceWatch["onTouched"] =
    touched &&
    ((result, parts) => {
      places.set(
        caseKey(result),
        [...parts].map(({ at }) => at),
      );
    });
  const progress = createProgress(process.stderr);
  let failures = 0;
  run.onCase = ({ passed }, done, all) => {
    if (!passed) failures++;
    progress.tell(done, all, failures);
  };
  const tested = wantsCoverage(options)
    ? measureCoverage(book, suites, run)
    : { results: traceWith(book, suites, run, given({ onTouched })) };
  progress.end();
  touched?.keepSources(folder, bookSources);
  touched?.keepCases(tested.results.suites, places, keys ? "some" : "all");
  await keepFailed(folder, tested.results);
  return tested;
}

/** How many threads run the cases. What they touch is told by one, and an order is that of one. */
function jobsFor(options: TestOptions): number {
  const { jobs = 1, shard, shuffle } = options;
  return wantsCoverage(options) || shard !== undefined || shuffle !== undefined ? 1 : jobs;
}

const youngMegabytes = 128;

/** Runs a home in parts, each in a thread of its own. */
async function runParts(
  jobs: number,
  { home, options, selection }: Pick<PartOfRun, "home" | "selection"> & { options: TestOptions },
): Promise<SuiteResults> {
  const { Tinypool } = await import("tinypool");
  const pool = new Tinypool({
    filename: new URL("./test-worker.js", import.meta.url).href,
    minThreads: jobs,
    maxThreads: jobs,
    // Cases leave little behind: with more room for what is young, less of the time goes into collecting it.
    resourceLimits: { maxYoungGenerationSizeMb: youngMegabytes },
  });
  const { in: folder, allow, bail } = options;
  const opening: BookOptions = {
    ...(folder !== undefined && { in: folder }),
    ...(allow && { allow }),
  };
  const parts = await Promise.all(
    Array.from({ length: jobs }, (_, index) => {
      const part: PartOfRun = {
        home,
        options: opening,
        selection,
        part: index + 1,
        of: jobs,
      };
      const task: Promise<unknown> = pool.run(bail === undefined ? part : { ...part, bail });
      return task;
    }),
  );
  await pool.destroy();
  return joinParts(parts.filter(isResults));
}

/** Whether anything asks what the cases touch. */
function wantsCoverage(options: TestOptions): boolean {
  const { report = [] } = options;
  return tellsCoverage(options) || report.some(({ form }) => form === "html");
}

/** Whether it is asked for by itself; a page of results has it as well. */
function tellsCoverage({ coverage, atLeast, report = [] }: TestOptions): boolean {
  return coverage === true || atLeast !== undefined || report.some(({ form }) => form === "lcov");
}

/** Results of all homes as those of one run. */
function joined(tested: readonly HomeResults[]): SuiteResults {
  const [only, more] = tested;
  if (only && !more) return only.results;
  const sum = (key: "passed" | "failed" | "skipped" | "failing"): number =>
    tested.reduce((all, { results }) => all + results[key], 0);
  return {
    version: resultsVersion,
    suites: tested.flatMap(({ results }) => results.suites),
    passed: sum("passed"),
    failed: sum("failed"),
    skipped: sum("skipped"),
    failing: sum("failing"),
    problems: tested.flatMap(({ results }) => results.problems),
  };
}

/** Results that parts of a run printed with `--json`, as those of one run. */
async function mergedFrom(paths: readonly string[]): Promise<HomeResults> {
  const parts = await Promise.all(paths.map((path) => readJson(path, isResults, noResults)));
  return { home: ".", results: mergeResults(parts), problems: [] };
}

const noResults = "no results of calm-phrase test --json of this version";

function isResults(value: unknown): value is SuiteResults {
  const { version, suites, problems } = membersOf(value);
  return version === resultsVersion && Array.isArray(suites) && Array.isArray(problems);
}
