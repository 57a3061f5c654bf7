import { createHash } from "node:crypto";
import { mkdir, readFile, realpath, writeFile } from "node:fs/promises";
import { homedir } from "node:os";
import { dirname, join } from "node:path";
import { membersOf, textsOf } from "../source/border.ts";
import { type SuiteResults, caseKey } from "../suites/results.ts";

/** Where the cases of a home are kept that failed when they were run last: with other caches. */
async function keptAt(folder: string): Promise<string> {
  const { XDG_CACHE_HOME: caches = join(homedir(), ".cache") } = process.env;
  const real = await realpath(folder).catch(() => folder);
  const name = createHash("sha256").update(real).digest("hex").slice(0, 20);
  return join(caches, "calm-phrase", `${name}.json`);
}

/** Keys of the cases of a home that failed last; undefined where none was run. */
export async function failedLast(folder: string): Promise<string[] | undefined> {
  try {
    const kept: unknown = JSON.parse(await readFile(await keptAt(folder), "utf8"));
    return textsOf(membersOf(kept)["failed"]);
  } catch {
    return undefined;
  }
}

/** Keeps which cases failed; those that were not run are as they were. */
export async function keepFailed(folder: string, { suites }: SuiteResults): Promise<void> {
  const failed = new Set(await failedLast(folder));
  for (const each of suites.flatMap(({ cases }) => cases)) {
    if (each.passed) failed.delete(caseKey(each));
    else failed.add(caseKey(each));
  }
  const path = await keptAt(folder);
  try {
    await mkdir(dirname(path), { recursive: true });
    await writeFile(path, JSON.stringify({ failed: [...failed] }));
  } catch {
    // A cache that cannot be written is only missed by --failed, which then says so.
  }
}
