import { stat } from "node:fs/promises";
import { relative } from "node:path";
import { type Comparison, compareRecords } from "../comparison/compare.ts";
import { readPhrases } from "../comparison/phrases.ts";
import { type RunRecord, joinRecords } from "../comparison/record.ts";
import { recordRun } from "../comparison/recording.ts";
import type { SourceText } from "../document/document.ts";
import { recordForm } from "../node/json-forms.ts";
import { readText } from "../node/text.ts";
import { findFolder } from "../node/find.ts";
import { isHarmful, printComparison } from "../reports/comparison.ts";
import { printFindings } from "../reports/findings.ts";
import type { Finding } from "../source/finding.ts";
import { given } from "../source/given.ts";
import { WrongUse } from "../source/wrong-use.ts";
import { readSuites } from "../suites/read.ts";
import { exit } from "./exit.ts";
import { readJson, writeOut } from "./files.ts";
import { homesIn } from "./homes.ts";
import { type BookOptions, loadFolder, mentionErrors, readInput } from "./load.ts";
import { complain, paintFor, print, printJson } from "./output.ts";
import { type Revision, takeRevision } from "./revision.ts";

export interface CompareOptions extends BookOptions {
  phrases?: string;
  to?: string;
  strict?: boolean;
  json?: boolean;
}

/** `calm-phrase compare`: what is otherwise than in an earlier run or version. */
export async function compare(
  before: string | undefined,
  options: CompareOptions,
): Promise<number> {
  const { to, json = false, strict = false } = options;
  if (before === undefined && to === undefined) {
    throw new WrongUse(
      "name what to compare with, a kept run, a folder or a revision, or keep this run with --to",
    );
  }
  const now = await homesFrom(options.in);
  const list = await listFrom(options.phrases);
  const problems: Finding[] = [];
  const recording: Recording = given({ allow: options.allow, list });
  // What there is to compare with comes first, so that a slip is told before anything is run.
  const earlier = before === undefined ? undefined : await recordBefore(before, now, recording);
  const after = await recordHomes(now, recording, problems);
  if (problems.length > 0) complain(printFindings(problems, paintFor(process.stderr)));
  if (to !== undefined) await writeOut(to, `${JSON.stringify(after, null, 2)}\n`);
  const isBroken = problems.some(({ severity }) => severity === "error");
  const broken = isBroken ? exit.failed : exit.fine;
  if (!earlier) return broken;
  const comparison = compareRecords(earlier, after);
  if (json) printJson(comparison);
  else print(printComparison(comparison, paintFor(process.stdout)));
  return isBad(comparison, strict) ? exit.failed : broken;
}

function isBad({ homes }: Comparison, strict: boolean): boolean {
  return homes.some(({ changes }) => (strict ? changes.length > 0 : changes.some(isHarmful)));
}

/** Homes that are compared, each with what it is called among them. */
interface Homes {
  /** The folder that they are in. */
  root: string;
  folders: readonly { home: string; folder: string }[];
}

async function homesFrom(folder: string | undefined): Promise<Homes> {
  const root = folder ?? (await findFolder("."));
  const found = await stat(root).catch(() => undefined);
  const inside = found?.isDirectory() ? await homesIn(root) : [];
  const folders = inside.length > 0 ? inside : [root];
  return {
    root,
    folders: folders.map((each) => ({ home: relative(root, each) || ".", folder: each })),
  };
}

interface Recording extends Pick<BookOptions, "allow"> {
  /** Phrases of which nothing is expected. */
  list?: SourceText;
}

async function recordHomes(
  { folders }: Homes,
  { allow, list }: Recording,
  problems: Finding[] = [],
): Promise<RunRecord> {
  const records: RunRecord[] = [];
  for (const { home, folder } of folders) {
    const { book, suiteSources } = await loadFolder({ in: folder, ...given({ allow }) });
    mentionErrors(book);
    const phrases = list && readPhrases(book, list);
    if (suiteSources.length === 0 && !phrases) {
      throw new WrongUse(
        `there is no suite beside the phrasebook in "${folder}": write one, or name a list of phrases with --phrases`,
      );
    }
    problems.push(...(phrases?.problems ?? []));
    const suites = readSuites(book, suiteSources);
    problems.push(...suites.problems);
    records.push(recordRun(book, suites, { home, ...given({ phrases }) }));
  }
  return joinRecords(records);
}

/** What phrases came to before: as it was kept, or in another folder, or in a revision. */
async function recordBefore(before: string, now: Homes, recording: Recording): Promise<RunRecord> {
  const found = await stat(before).catch(() => undefined);
  if (found?.isFile() && !/\.ya?ml$/iu.test(before)) return readJson(before, isRecord, noRecord);
  if (found) return recordHomes(await homesFrom(before), recording);
  const { allow = [] } = recording;
  const revision = await takeRevision(before, [now.root, ...allow]);
  try {
    return await recordRevision(revision, now, { ...recording, allow });
  } finally {
    await revision.remove();
  }
}

async function recordRevision(
  { folderOf, shown }: Revision,
  { root }: Homes,
  recording: Recording & { allow: string[] },
): Promise<RunRecord> {
  const homes = await homesFrom(folderOf(root));
  const allow = recording.allow.map(folderOf);
  const record = await recordHomes(homes, { ...recording, allow });
  return {
    ...record,
    homes: record.homes.map(({ home, cases }) => ({
      home,
      cases: cases.map((each) => {
        return { ...each, position: { ...each.position, file: shown(each.position.file) } };
      }),
    })),
  };
}

async function listFrom(path: string | undefined): Promise<SourceText | undefined> {
  if (path === undefined) return undefined;
  if (path === "-") return { path: "standard input", text: await readInput() };
  const read = await readText(path, path);
  if (read.ok) return { path, text: read.text };
  throw new WrongUse(`"${path}": ${read.finding.message}`);
}

const noRecord = "no run that calm-phrase compare --to of this version has kept";

function isRecord(value: unknown): value is RunRecord {
  return recordForm.safeParse(value).success;
}
