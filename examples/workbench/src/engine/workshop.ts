import {
  type Day,
  type RunRecord,
  type SayableDevice,
  applyEdits,
  checkPhrasebook,
  compareRecords,
  daylightOf,
  listSayable,
  measureCoverage,
  percentOf,
  printEvent,
  recordRun,
  runDay,
  simulate,
  suggestSuite,
} from "calm-phrase";
import {
  type Completions,
  type Explanation,
  type Fix,
  type Mark,
  type Renaming,
  type SaidCase,
  type Stretch,
  type Workspace,
  caseAdded,
  caseOf,
  completionsAt,
  definitionsAt,
  explainAt,
  fixesFor,
  happeningAdded,
  marksIn,
  openWorkspace,
  renameAt,
  usesAt,
} from "calm-phrase/edits";
import { drawPattern, printResults } from "calm-phrase/reports";
import phrasebookSchema from "calm-phrase/schema/phrasebook.schema.json";
import suiteSchema from "calm-phrase/schema/suite.schema.json";
import daySchema from "calm-phrase/schema/day.schema.json";
import type { Edit, Finding, Position } from "calm-phrase";
import { isOfPhrasebook } from "../files/sorts.ts";
import { packsOf } from "./languages.ts";
import { homeView, isSame } from "./desk.ts";
import {
  type DayView,
  type Happens,
  type HomeFile,
  type RunView,
  type SuggestionView,
  plainDay,
} from "./views.ts";

const schemas = { phrasebook: phrasebookSchema, suite: suiteSchema, day: daySchema };

let known: { files: readonly HomeFile[]; workspace: Workspace } | undefined;
let kept: RunRecord | undefined;

/** The files of a home, read together; read once for the same texts. */
async function workspaceOf(files: readonly HomeFile[]): Promise<Workspace> {
  if (!known || !isSame(known.files, files)) {
    const options = { languages: await packsOf(files), schemas };
    known = { files, workspace: openWorkspace(files, options) };
  }
  return known.workspace;
}

/** What reading some files finds wrong with them. */
export async function problems(files: readonly HomeFile[]): Promise<readonly Finding[]> {
  return (await workspaceOf(files)).problems;
}

/** What checks over all of them find. */
export async function checks(files: readonly HomeFile[]): Promise<Finding[]> {
  return checkPhrasebook((await workspaceOf(files)).book);
}

/** Ways to mend each of some findings. */
export async function fixes(
  files: readonly HomeFile[],
  found: readonly Finding[],
): Promise<Fix[][]> {
  const workspace = await workspaceOf(files);
  return found.map((each) => fixesFor(workspace, each));
}

export async function complete(
  files: readonly HomeFile[],
  place: Position,
): Promise<Completions | undefined> {
  return completionsAt(await workspaceOf(files), place);
}

/** What stands at a place, with its pattern drawn where it is one. */
export async function explain(
  files: readonly HomeFile[],
  place: Position,
): Promise<(Omit<Explanation, "pattern"> & { drawn?: string }) | undefined> {
  const told = explainAt(await workspaceOf(files), place);
  if (!told) return undefined;
  const { pattern, ...rest } = told;
  return pattern ? { ...rest, drawn: drawPattern(pattern, told.title) } : rest;
}

export async function definitions(files: readonly HomeFile[], place: Position): Promise<Stretch[]> {
  return definitionsAt(await workspaceOf(files), place);
}

export async function uses(files: readonly HomeFile[], place: Position): Promise<Stretch[]> {
  return usesAt(await workspaceOf(files), place);
}

export async function rename(
  files: readonly HomeFile[],
  place: Position,
  to: string,
): Promise<Renaming> {
  return renameAt(await workspaceOf(files), place, to);
}

export async function marks(files: readonly HomeFile[], path: string): Promise<Mark[]> {
  return marksIn(await workspaceOf(files), { path });
}

/** Files with edits made in them. */
export function edited(files: readonly HomeFile[], edits: readonly Edit[]): HomeFile[] {
  return files.map(({ path, text }) => {
    const own = edits.filter(({ file }) => file === path);
    return { path, text: own.length === 0 ? text : applyEdits(text, own) };
  });
}

/** Runs all suites, with what they touch, and what is otherwise than in the run that was kept. */
export async function run(files: readonly HomeFile[]): Promise<RunView> {
  const { book, suites } = await workspaceOf(files);
  const start = performance.now();
  const { results, coverage } = measureCoverage(book, suites);
  const took = performance.now() - start;
  const changes = kept
    ? compareRecords(kept, recordRun(book, suites)).homes.flatMap((home) => home.changes)
    : undefined;
  const failures = results.suites.flatMap((suite) =>
    suite.cases.flatMap((each) => {
      if (each.passed) return [];
      const own = { ...results, suites: [{ ...suite, cases: [each] }], problems: [] };
      const text = printResults({ ...own, passed: 0, failed: 1, skipped: 0, failing: 0 });
      return { phrase: each.phrase, suite: suite.suite, at: each.position, text };
    }),
  );
  return {
    passed: results.passed,
    failed: results.failed,
    skipped: results.skipped,
    took,
    suites: results.suites.map(({ suite, file, cases }) => ({
      suite,
      file,
      passed: cases.filter(({ passed }) => passed).length,
      all: cases.length,
      cases: cases.map((each) => ({
        phrase: each.phrase,
        language: each.language,
        at: each.at ?? "",
        verdict: each.passed ? (each.skipped === undefined ? "passed" : "left out") : "failed",
        position: each.position,
      })),
    })),
    failures,
    shares: coverage.shares,
    percent: percentOf(coverage),
    untouched: coverage.parts
      .filter(({ hits }) => hits === 0)
      .map(({ of, what, sort, language = "", at }) => ({ of, what, sort, language, at })),
    changes,
  };
}

/** Keeps what all cases come to now, for later runs to be compared with. */
export async function keepRun(files: readonly HomeFile[]): Promise<number> {
  const { book, suites } = await workspaceOf(files);
  kept = recordRun(book, suites);
  return kept.homes.reduce((sum, { cases }) => sum + cases.length, 0);
}

/** Cases for what no case touches. */
export async function suggestions(files: readonly HomeFile[]): Promise<SuggestionView[]> {
  const { book, suites } = await workspaceOf(files);
  return suggestSuite(book, suites).each.map((written) => ({ written, text: brief(written) }));
}

function brief(written: Readonly<Record<string, unknown>>): string {
  const { hear, after, expect } = written;
  return `${typeof hear === "string" ? hear : JSON.stringify(after)} → ${JSON.stringify(expect)}`;
}

/** The edit that adds a case for what was said to a suite. */
export async function addCase(
  files: readonly HomeFile[],
  path: string,
  said: SaidCase,
): Promise<Edit | undefined> {
  const workspace = await workspaceOf(files);
  return caseAdded(workspace, path, caseOf(workspace, said));
}

export async function addWritten(
  files: readonly HomeFile[],
  path: string,
  written: Readonly<Record<string, unknown>>,
): Promise<Edit | undefined> {
  return caseAdded(await workspaceOf(files), path, written);
}

/** What can be said to each device, and asked about it. */
export async function sayable(
  files: readonly HomeFile[],
  language: string,
): Promise<SayableDevice[]> {
  const { book } = await workspaceOf(files);
  return listSayable(book, book.languages.includes(language) ? language : undefined);
}

/** The file of a day with more that happens in it, and how it is then. */
async function dayWith(
  files: readonly HomeFile[],
  path: string,
  also: readonly Happens[],
): Promise<Workspace> {
  const own = files.filter((file) => file.path === path || isOfPhrasebook(file));
  const plain = { path: plainDay, text: "day: a day\nhappenings: []\n" };
  const options = { languages: await packsOf(files), schemas };
  let workspace = openWorkspace(path === plainDay ? [...own, plain] : own, options);
  for (const each of also) {
    const edit = happeningAdded(workspace, path, { ...each });
    if (!edit) continue;
    workspace = openWorkspace(edited(workspace.files, [edit]), options);
  }
  return workspace;
}

/** The text of a day's file with more that happens in it. */
export async function dayText(
  files: readonly HomeFile[],
  path: string,
  also: readonly Happens[],
): Promise<string> {
  const { files: after } = await dayWith(files, path, also);
  return after.find((file) => file.path === path)?.text ?? "";
}

/** Plays a day as it is written, with more that happens in it. */
export async function day(
  files: readonly HomeFile[],
  { path, date, also }: { path: string; date: string; also: readonly Happens[] },
): Promise<DayView> {
  const workspace = await dayWith(files, path, also);
  const { book, days } = workspace;
  const script: Day | undefined = days.find(({ file }) => file === path);
  const on = date === "" ? (script?.date ?? "2026-03-02") : date;
  const log = runDay(book, on, script);
  const { sunrise, sunset } = daylightOf(book, on);
  const start = simulate(book, {
    time: `${on}T00:00`,
    states: Object.fromEntries(script?.given ?? []),
  }).states();
  return {
    date: on,
    name: script?.name ?? on,
    file: path,
    sunrise,
    sunset,
    log: log.map((entry) => ({ ...entry, text: printEvent(entry.event) })),
    start,
    people: [...book.people].map(([id, { name }]) => {
      return { id, name, isHome: script?.away.includes(id) !== true };
    }),
    rooms: homeView(book).rooms,
    problems: workspace.problems.filter(({ at }) => at.file === path),
  };
}
