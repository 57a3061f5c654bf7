import { readdir, stat } from "node:fs/promises";
import { dirname, join, relative, resolve, sep } from "node:path";
import type { SourceText } from "../document/document.ts";
import { findFolder, namesHome } from "../node/find.ts";
import { WrongUse } from "../source/wrong-use.ts";
import type { BookOptions } from "./load.ts";

/** What of a home is to be tested. */
export interface Tested {
  /** The folder or file of its phrasebook; the one that is found from here where none is named. */
  folder: string | undefined;
  /** Paths of the suite files that are meant; all where there are none. */
  files: readonly string[];
}

/** What arguments mean: homes, suites of a home, and parts of names. */
export interface Wanted {
  homes: readonly Tested[];
  names: readonly string[];
}

/**
 * Tells what each argument is: a suite file, a folder of suites within a home, a home, a folder of
 * homes, and otherwise a part of a name.
 */
export async function wantedOf(what: readonly string[], options: BookOptions): Promise<Wanted> {
  const homes: Tested[] = [];
  const names: string[] = [];
  const files = new Map<string, string[]>();
  for (const each of what) {
    const found = await stat(each).catch(() => undefined);
    if (!found) names.push(each);
    else if (found.isFile()) add(files, options.in ?? (await findFolder(dirname(each))), each);
    else {
      const inside = await homesIn(each);
      if (inside.length > 0) homes.push(...inside.map((folder) => ({ folder, files: [] })));
      else add(files, options.in ?? (await findFolder(each)), each);
    }
  }
  for (const [folder, own] of files) homes.push({ folder, files: own });
  if (homes.length === 0) homes.push({ folder: options.in, files: [] });
  if (options.in !== undefined && homes.length > 1) {
    throw new WrongUse("--in names one home: leave it out where several are tested");
  }
  return { homes, names };
}

function add(files: Map<string, string[]>, folder: string, file: string): void {
  files.set(folder, [...(files.get(folder) ?? []), file]);
}

/** A folder itself where it is a home, or the homes right within it. */
export async function homesIn(folder: string): Promise<string[]> {
  if (await namesHome(folder)) return [folder];
  const entries = await readdir(folder, { withFileTypes: true });
  const inside: string[] = [];
  for (const entry of entries.sort((a, b) => (a.name < b.name ? -1 : 1))) {
    const path = join(folder, entry.name);
    if (entry.isDirectory() && (await namesHome(path))) inside.push(path);
  }
  return inside;
}

/**
 * The suites that are meant, among those of a home.
 *
 * @throws WrongUse for a file or folder that holds none of them.
 */
export function suitesIn(sources: readonly SourceText[], files: readonly string[]): SourceText[] {
  if (files.length === 0) return [...sources];
  const isTable = ({ path }: SourceText): boolean => path.toLowerCase().endsWith(".csv");
  const meant = files.map((file) => {
    const whole = resolve(file);
    const own = sources.filter((source) => {
      const path = resolve(source.path);
      return !isTable(source) && (path === whole || path.startsWith(whole + sep));
    });
    if (own.length > 0) return own;
    const near = sources.filter((source) => !isTable(source)).map(({ path }) => path);
    throw new WrongUse(
      `there is no suite in "${relative(process.cwd(), whole)}": suites of this home are ${near.join(", ")}`,
    );
  });
  return [...new Set(meant.flat()), ...sources.filter(isTable)];
}
