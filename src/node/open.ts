import { realpath } from "node:fs/promises";
import { dirname, join, relative, resolve, sep } from "node:path";
import type { Book } from "../book/book.ts";
import { readPhrasebook } from "../book/read.ts";
import {
  type Source,
  type SourceDefinition,
  type SourceText,
  readDocument,
} from "../document/document.ts";
import type { Finding } from "../source/finding.ts";
import { membersOf, shown, textOf, textsOf } from "../source/border.ts";
import { partSources } from "../suites/sources.ts";
import type { Position } from "../source/position.ts";
import { WrongUse } from "../source/wrong-use.ts";
import { isWithin, listFolder } from "./folder.ts";
import { readText } from "./text.ts";

export interface OpenOptions {
  /** Definitions made with `definePhrasebook`, read together with the files. */
  definitions?: readonly SourceDefinition[];
  /** Folders beside the phrasebook's own that `uses` may read. */
  allow?: readonly string[];
}

/** A phrasebook that was opened, with the suites and days that stand beside it. */
export interface Opened {
  book: Book;
  /** For `readSuites`. */
  suiteSources: readonly SourceText[];
  /** For `readDays`. */
  daySources: readonly SourceText[];
  /** The files of the phrasebook itself. */
  bookSources: readonly SourceText[];
}

/**
 * Reads every YAML file in a folder and the folders in it, or one file, and the folders that these
 * use, as long as those lie within the folder or one that is allowed.
 *
 * @param folder Path of a folder or of one phrasebook file.
 * @throws WrongUse when there is no such folder or file.
 */
export async function openPhrasebook(folder: string, options: OpenOptions = {}): Promise<Opened> {
  const { allow, definitions: given } = membersOf(options);
  const definitions: readonly SourceDefinition[] = Array.isArray(given) ? given : [];
  const { sources, findings } = await readFolder(folder, textsOf(allow));
  return openSources([...sources, ...definitions], findings);
}

/**
 * Reads the files of a folder as what they are.
 *
 * @param read Reads the phrasebook among them.
 */
export function openSources(
  sources: readonly Source[],
  findings: readonly Finding[],
  read: typeof readPhrasebook = readPhrasebook,
): Opened {
  const { phrasebook, suites, days } = partSources(sources);
  const book = read(phrasebook, findings);
  const bookSources = phrasebook.filter(isText);
  return { book, suiteSources: suites, daySources: days, bookSources };
}

function isText(source: Source): source is SourceText {
  return "text" in source;
}

/** The files of a phrasebook as texts, and what is wrong with those that cannot be read. */
export async function readFolder(
  folder: string,
  allow: readonly string[],
): Promise<{ sources: SourceText[]; findings: Finding[] }> {
  const gathering: Gathering = { sources: new Map(), findings: [], roots: [] };
  for (const each of [folder, ...allow]) gathering.roots.push(await rootOf(each));
  await gather(gathering, folder);
  return { sources: [...gathering.sources.values()], findings: gathering.findings };
}

interface Gathering {
  sources: Map<string, SourceText>;
  findings: Finding[];
  /** Real paths of the folders that may be read. */
  roots: string[];
}

/** The real path of a folder; of a file, that of the folder that it lies in. */
async function rootOf(folder: unknown): Promise<string> {
  try {
    if (typeof folder !== "string") throw new WrongUse("a folder is named by a text");
    const real = await realpath(folder);
    return /\.ya?ml$/iu.test(real) ? dirname(real) : real;
  } catch {
    throw new WrongUse(`there is no folder or file ${shown(folder)}`, "no-such-file");
  }
}

/** Adds the files of a folder and of the folders that they use, each once. */
async function gather(gathering: Gathering, folder: string): Promise<void> {
  const { sources, findings, roots } = gathering;
  const { files, findings: found } = await listFolder(folder, roots, pathShown);
  findings.push(...found);
  for (const file of files) {
    const key = resolve(file);
    if (sources.has(key)) continue;
    const read = await readText(file, pathShown(file));
    if (!read.ok) {
      findings.push(read.finding);
      continue;
    }
    const source = { path: pathShown(file), text: read.text };
    sources.set(key, source);
    for (const use of usedFolders(source)) await follow(gathering, file, use);
    for (const table of tablesOf(source)) await addTable(gathering, join(dirname(file), table));
  }
}

/** A folder that a file uses, with where it says so. */
interface Use {
  used: string;
  at: Position;
}

/** Reads a folder that a file uses; one that is not there, or may not be read, is a finding. */
async function follow(gathering: Gathering, file: string, { used, at }: Use): Promise<void> {
  const folder = join(dirname(file), used);
  const report = (message: string, fix: string): void => {
    gathering.findings.push({ rule: "unknown-reference", severity: "error", message, fix, at });
  };
  let real: string;
  try {
    real = await realpath(folder);
  } catch {
    const from = pathShown(dirname(file)) || "this one";
    report(`there is no folder "${used}" to use`, `name a folder as seen from ${from}`);
    return;
  }
  if (!gathering.roots.some((root) => isWithin(real, root))) {
    const fix = "move it into the phrasebook's folder, or allow it: --allow, or the option allow";
    report(`"${used}" lies outside of the phrasebook, and is not read`, fix);
    return;
  }
  await gather(gathering, folder);
}

/** The `.csv` files that the cases of a suite name as their tables. */
function tablesOf(source: SourceText): string[] {
  if (!/\.suite\.ya?ml$/iu.test(source.path) || !/\.csv/iu.test(source.text)) return [];
  const { cases } = membersOf(readDocument(source, []).value);
  if (!Array.isArray(cases)) return [];
  return cases.flatMap((each: unknown) => textOf(membersOf(each)["rows"]) ?? []);
}

/** Adds a table that may be read; a suite that names one which is not there says so. */
async function addTable({ sources, findings, roots }: Gathering, file: string): Promise<void> {
  const key = resolve(file);
  if (sources.has(key)) return;
  const real = await realpath(file).catch(() => undefined);
  if (real === undefined || !roots.some((root) => isWithin(real, root))) return;
  const read = await readText(file, pathShown(file));
  if (read.ok) sources.set(key, { path: pathShown(file), text: read.text });
  else findings.push(read.finding);
}

function usedFolders(source: SourceText): Use[] {
  // Most files use nothing, and reading one twice takes time; a quoted key may be escaped.
  if (!/uses|\\[xuU]/u.test(source.text)) return [];
  const { value, at } = readDocument(source, []);
  const uses: unknown =
    typeof value === "object" && value !== null && "uses" in value ? value.uses : [];
  if (!Array.isArray(uses)) return [];
  return uses.flatMap((used: unknown, index) =>
    typeof used === "string" ? [{ used, at: at(["uses", index]) }] : [],
  );
}

/** Paths are shown as from the working folder, with slashes on every system. */
function pathShown(file: string): string {
  const near = relative(process.cwd(), file);
  return (near.startsWith("..") ? file : near).split(sep).join("/");
}
