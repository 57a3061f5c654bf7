import { execFile } from "node:child_process";
import { mkdtemp, realpath, rm } from "node:fs/promises";
import { tmpdir } from "node:os";
import { join, relative, resolve } from "node:path";
import { promisify } from "node:util";
import { WrongUse } from "../source/wrong-use.ts";

const run = promisify(execFile);

/** Folders as they were in a revision of the repository that holds them. */
export interface Revision {
  /** Where a folder of now lies as it was then. */
  folderOf: (folder: string) => string;
  /** The path now of a file of then, as seen from here. */
  shown: (file: string) => string;
  remove: () => Promise<void>;
}

/**
 * Takes folders out of an earlier revision of their git repository, into a folder of its own.
 *
 * @throws WrongUse where there is no such revision, no repository, or no such folder in it.
 */
export async function takeRevision(name: string, folders: readonly string[]): Promise<Revision> {
  const missing = `there is no file, folder or revision "${name}" to compare with`;
  // What begins with a dash would be an option to git.
  if (name.startsWith("-")) throw new WrongUse(missing);
  const [here = "."] = folders;
  const git = async (...words: string[]): Promise<string> =>
    (await run("git", ["-C", here, ...words], { maxBuffer: 1 << 28 })).stdout.trim();
  const [root, commit] = await Promise.all([
    git("rev-parse", "--show-toplevel"),
    git("rev-parse", "--verify", "--quiet", "--end-of-options", `${name}^{commit}`),
  ]).catch(() => {
    throw new WrongUse(missing, "no-such-file");
  });
  const inside = await Promise.all(
    folders.map(async (folder) => relative(root, await realpath(folder)) || "."),
  );
  const into = await realpath(await mkdtemp(join(tmpdir(), "calm-phrase-")));
  const archive = join(into, "revision.tar");
  const remove = (): Promise<void> => rm(into, { recursive: true, force: true });
  try {
    await run("git", ["-C", root, "archive", "--output", archive, commit, "--", ...inside]);
    await run("tar", ["-xf", archive, "-C", into]);
  } catch {
    await remove();
    const those = folders.map((folder) => `"${folder}"`).join(" and ");
    throw new WrongUse(`${those} is not in the revision "${name}"`, "no-such-file");
  }
  return {
    folderOf: (folder) => join(into, relative(root, resolve(folder))),
    shown: (file) => relative(process.cwd(), join(root, relative(into, resolve(file)))),
    remove,
  };
}
