import { readFile } from "node:fs/promises";
import { basename, dirname, relative, resolve, sep } from "node:path";
import { watch as watchFiles } from "chokidar";
import { WrongUse } from "../source/wrong-use.ts";
import { wantedOf } from "./homes.ts";
import { complain, print } from "./output.ts";
import type { BookOptions } from "./load.ts";
import type { Touched } from "./touched.ts";

/** Milliseconds that files have to be still: editors write one in several goes. */
const stillness = 20;

/** How tests are run while files are watched. */
interface Watching {
  /** Runs what is meant: all cases of it, or those with these keys. */
  run: (what: readonly string[], keys?: readonly string[]) => Promise<number>;
  /** What cases touched when they were run last. */
  touched: Touched;
  /** Whether some of the cases may be run before the others. */
  mayPart: boolean;
}

/** Runs tests once, and again whenever a file changes that they depend on; ends with the process. */
export async function watchTests(
  what: readonly string[],
  options: BookOptions,
  { run, touched, mayPart }: Watching,
): Promise<never> {
  const { homes } = await wantedOf(what, options);
  await attempt(() => run(what));
  const folders = homes.map(({ folder = "." }) => folder);
  const changed = new Set<string>();
  let isRunning = false;
  let timer: NodeJS.Timeout | undefined;
  const go = async (): Promise<void> => {
    if (isRunning || changed.size === 0) return;
    isRunning = true;
    const files = [...changed].sort();
    changed.clear();
    const shown = `\n${files.map((file) => relative(process.cwd(), file)).join(", ")} changed:`;
    // A suite touches nothing beside itself; a table or the phrasebook may touch any of its home.
    if (files.every((file) => /\.suite\.ya?ml$/iu.test(file))) {
      print(`${shown} its cases run`);
      await attempt(() => run(files));
    } else if (folders.length > 1) {
      const own = homesOf(files, folders, touched);
      print(`${shown} all cases of ${own.join(", ")} run`);
      await attempt(() => run(own));
    } else await runParted(shown, mayPart ? await likelyOf(files, touched) : undefined);
    isRunning = false;
    void go();
  };
  /** Those first that a change is likely to touch: the others may be touched as well, and follow. */
  const runParted = async (
    shown: string,
    first: ReadonlySet<string> | undefined,
  ): Promise<void> => {
    const rest = touched.all().filter((key) => !first?.has(key));
    if (!first || first.size === 0 || rest.length === 0) {
      print(`${shown} all cases run`);
      await attempt(() => run(what));
      return;
    }
    print(`${shown} first ${first.size} cases that it is likely to touch`);
    await attempt(() => run(what, [...first]));
    // What was changed again meanwhile begins anew.
    if (changed.size > 0) return;
    print(`\nand the other ${rest.length}`);
    await attempt(() => run(what, rest));
  };
  // What a phrasebook uses of other folders is part of it.
  const used = touched.files().map((file) => dirname(file));
  const watched = [...new Set([...folders, ...used].map((folder) => resolve(folder)))];
  const watcher = watchFiles(watched, {
    ignoreInitial: true,
    ignored: (path) => !watched.includes(path) && /^(?:\..+|node_modules)$/u.test(basename(path)),
  });
  watcher.on("all", (_, path) => {
    if (!/\.(?:ya?ml|csv)$/iu.test(path)) return;
    changed.add(resolve(path));
    clearTimeout(timer);
    timer = setTimeout(() => void go(), stillness);
  });
  return new Promise(() => undefined);
}

/** The homes that files are part of or lie in; all of them where that cannot be told of each file. */
function homesOf(files: readonly string[], folders: readonly string[], touched: Touched): string[] {
  const each = files.map((file) => {
    const within = folders.filter((folder) => file.startsWith(resolve(folder) + sep));
    return [...within, ...touched.homesOf(file)];
  });
  if (each.some((own) => own.length === 0)) return [...folders];
  return [...new Set(each.flat())];
}

/** Keys of the cases that files are likely to touch as they are now; undefined where that cannot be told. */
async function likelyOf(
  files: readonly string[],
  touched: Touched,
): Promise<ReadonlySet<string> | undefined> {
  const keys = new Set<string>();
  for (const file of files) {
    const text = await readFile(file, "utf8").catch(() => undefined);
    const likely = text === undefined ? undefined : touched.likely(file, text);
    if (!likely) return undefined;
    for (const key of likely) keys.add(key);
  }
  return keys;
}

/** What cannot be run for now is told, and tried again once something changes. */
async function attempt(run: () => Promise<number>): Promise<void> {
  try {
    await run();
  } catch (error) {
    if (!(error instanceof WrongUse)) throw error;
    complain(`calm-phrase: ${error.message}`);
  }
}
