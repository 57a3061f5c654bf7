import { type Book, type ReaderOptions, knowledgeOf, openBook } from "../book/book.ts";
import { usualLanguages } from "../book/read.ts";
import { type Edit, applyEdits } from "../document/mending.ts";
import { type SourceText, readTexts } from "../document/document.ts";
import type { Sighting } from "../document/sightings.ts";
import { type Finding, compareFindings } from "../source/finding.ts";
import { WrongUse, madeOf } from "../source/wrong-use.ts";
import { type Day, readDays } from "../suites/day.ts";
import { type Suites, readSuites } from "../suites/read.ts";
import { partSources, sortOfFile } from "../suites/sources.ts";
import type { KeySchema } from "./schema.ts";

/** What a workspace is opened with, beside its files. */
export interface WorkspaceOptions extends Partial<ReaderOptions> {
  /**
   * The JSON Schemas of files, as they come with the package: `calm-phrase/schema/phrasebook.schema.json`.
   * Keys and listed values of a file are known where its schema is.
   */
  schemas?: { phrasebook?: KeySchema; suite?: KeySchema; day?: KeySchema };
}

/** The files of a home as they are being written, read together. */
export interface Workspace {
  readonly files: readonly SourceText[];
  readonly book: Book;
  readonly suites: Suites;
  readonly days: readonly Day[];
  /** What reading found in all of them, by file and place. */
  readonly problems: readonly Finding[];
}

/** What a workspace keeps for those who ask about places. */
export interface Kept {
  options: WorkspaceOptions;
  sightings: readonly Sighting[];
  /** Who is told what is seen while a part of it is read anew. */
  listener: Listener;
}

interface Listener {
  see: ((sighting: Sighting) => void) | undefined;
}

const opened = new WeakMap<Workspace, Kept>();

/**
 * Reads the files of a home: phrasebook, suites and days, told apart by their names. Never throws for
 * what stands in them: look at `problems`.
 *
 * @throws WrongUse for what is no list of files.
 */
export function openWorkspace(
  sources: readonly SourceText[],
  options: WorkspaceOptions = {},
): Workspace {
  return madeOf("list of options", () => opening(readTexts(sources), options));
}

function opening(files: readonly SourceText[], options: WorkspaceOptions): Workspace {
  const listener: Listener = { see: undefined };
  const { phrasebook, suites: suiteTexts, days: dayTexts } = partSources(files);
  let workspace: Workspace | undefined;
  const sightings = heardBy(listener, () => {
    const book = openBook(knowledge(options, listener), phrasebook);
    const suites = readSuites(book, suiteTexts);
    const { days, problems } = readDays(book, dayTexts);
    const all = [...book.problems, ...suites.problems, ...problems].sort(compareFindings);
    workspace = { files, book, suites, days, problems: all };
  });
  if (!workspace) throw new WrongUse("pass a list of files: [{ path, text }]");
  opened.set(workspace, { options, sightings, listener });
  return workspace;
}

/**
 * What a workspace keeps.
 *
 * @throws WrongUse for what `openWorkspace` did not open.
 */
export function keptOf(workspace: Workspace): Kept {
  const kept = opened.get(workspace);
  if (kept) return kept;
  throw new WrongUse("pass a workspace: what openWorkspace returned");
}

/**
 * What is made of a workspace and something else that was passed.
 *
 * @throws WrongUse for what is no workspace, or not what is meant.
 */
export function asked<T>(workspace: Workspace, what: string, make: () => T): T {
  keptOf(workspace);
  return madeOf(what, make);
}

/** What readers see of the files that one is read with, that one having another text. */
export function sightingsWith(workspace: Workspace, changed: SourceText): Sighting[] {
  const { options, listener } = keptOf(workspace);
  const files = workspace.files.map((file) => (file.path === changed.path ? changed : file));
  const { phrasebook, suites } = partSources(files);
  const sort = sortOfFile(changed.path);
  return heardBy(listener, () => {
    if (sort === "day") readDays(workspace.book, [changed]);
    else if (sort !== "phrasebook") readSuites(workspace.book, suites);
    else openBook(knowledge(options, listener), phrasebook);
  });
}

/** The same files with edits made in them. */
export function withEdits(workspace: Workspace, edits: readonly Edit[]): Workspace {
  return withTexts(workspace, ({ path, text }) => {
    const own = edits.filter(({ file }) => file === path);
    return own.length === 0 ? text : applyEdits(text, own);
  });
}

/** The same files with other texts. */
export function withTexts(workspace: Workspace, textOf: (file: SourceText) => string): Workspace {
  const { options } = keptOf(workspace);
  const files = workspace.files.map((file) => ({ path: file.path, text: textOf(file) }));
  return openWorkspace(files, options);
}

/** What is seen while something is read. */
function heardBy(listener: Listener, read: () => void): Sighting[] {
  const sightings: Sighting[] = [];
  listener.see = (sighting) => sightings.push(sighting);
  read();
  listener.see = undefined;
  return sightings;
}

function knowledge({ languages = usualLanguages, slotTypes = [] }: WorkspaceOptions, to: Listener) {
  return { ...knowledgeOf({ languages, slotTypes }), watcher: (each: Sighting) => to.see?.(each) };
}
