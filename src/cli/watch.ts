import { basename, relative, resolve } from "node:path";
import { watch as watchFiles } from "chokidar";
import { WrongUse } from "../source/wrong-use.ts";
import { wantedOf } from "./homes.ts";
import { complain, print } from "./output.ts";
import type { BookOptions } from "./load.ts";

/** Milliseconds that files have to be still: editors write one in several goes. */
const stillness = 20;

/** Runs tests once, and again whenever a file changes that they depend on; ends with the process. */
export async function watchTests(
  what: readonly string[],
  options: BookOptions,
  run: (what: readonly string[]) => Promise<number>,
): Promise<never> {
  const { homes } = await wantedOf(what, options);
  await attempt(() => run(what));
  const changed = new Set<string>();
  let isRunning = false;
  let timer: NodeJS.Timeout | undefined;
  const go = async (): Promise<void> => {
    if (isRunning || changed.size === 0) return;
    isRunning = true;
    const files = [...changed].sort();
    changed.clear();
    // A suite touches nothing beside itself; a table or the phrasebook may touch any.
    const isOwn = files.every((file) => /\.suite\.ya?ml$/iu.test(file));
    const shown = files.map((file) => relative(process.cwd(), file)).join(", ");
    print(`\n${shown} changed: ${isOwn ? "its cases run" : "all cases run"}`);
    await attempt(() => run(isOwn ? files : what));
    isRunning = false;
    void go();
  };
  const folders = homes.map(({ folder = "." }) => folder);
  const watcher = watchFiles(folders, {
    ignoreInitial: true,
    ignored: (path) => !folders.includes(path) && /^(?:\..+|node_modules)$/u.test(basename(path)),
  });
  watcher.on("all", (_, path) => {
    if (!/\.(?:ya?ml|csv)$/iu.test(path)) return;
    changed.add(resolve(path));
    clearTimeout(timer);
    timer = setTimeout(() => void go(), stillness);
  });
  return new Promise(() => undefined);
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
