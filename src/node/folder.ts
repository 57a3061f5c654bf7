import { type Dirent } from "node:fs";
import { readdir, realpath, stat } from "node:fs/promises";
import { isAbsolute, join, relative, sep } from "node:path";
import type { Finding } from "../source/finding.ts";

/** The files of a phrasebook's folder, and what in it cannot be read. */
export interface Folder {
  /** Paths, in their order. */
  files: readonly string[];
  findings: readonly Finding[];
}

/** Deepest that folders are followed. */
const deepest = 40;

/**
 * Finds every YAML file in a folder and the folders in it, or the one file; what is hidden is left
 * alone. Links are followed as
 * long as they lead to a place within what may be read.
 *
 * @param roots Real paths of the folders that may be read.
 * @param shown A path as findings show it.
 * @throws when there is no such folder or file.
 */
export async function listFolder(
  folder: string,
  roots: readonly string[],
  shown: (path: string) => string,
): Promise<Folder> {
  const files: string[] = [];
  const findings: Finding[] = [];
  const visited = new Set<string>();
  const report = (path: string, message: string, fix: string): void => {
    const at = { file: shown(path), line: 1, column: 1 };
    findings.push({ rule: "unreadable-file", severity: "error", message, fix, at });
  };

  const visit = async (path: string, depth: number): Promise<void> => {
    const entries = await readdir(path, { withFileTypes: true });
    for (const entry of entries.sort(byName)) {
      // What is hidden belongs to tools, and so do packages.
      if (entry.name.startsWith(".") || entry.name === "node_modules") continue;
      await visitEntry(entry, join(path, entry.name), depth);
    }
  };
  const visitEntry = async (entry: Dirent, path: string, depth: number): Promise<void> => {
    const isYaml = /\.ya?ml$/iu.test(entry.name);
    const found = entry.isSymbolicLink() ? await follow(path, isYaml) : entry;
    if (!found) return;
    if (found.isDirectory()) {
      const real = await realpath(path);
      if (visited.has(real)) return;
      visited.add(real);
      if (depth >= deepest)
        report(path, `folders lie more than ${deepest} deep`, "lay them flatter");
      else await visit(path, depth + 1);
    } else if (isYaml && found.isFile()) files.push(path);
    else if (isYaml) report(path, "this is no file that can be read", "keep phrasebooks in files");
  };
  const follow = async (path: string, isYaml: boolean) => {
    try {
      const real = await realpath(path);
      const target = await stat(real);
      if (roots.some((root) => isWithin(real, root))) return target;
      if (!isYaml && !target.isDirectory()) return undefined;
      report(path, "this link leads out of the phrasebook", "copy it here, or allow its folder");
    } catch {
      report(path, "this link leads nowhere", "mend it, or remove it");
    }
    return undefined;
  };

  const whole = await stat(folder);
  if (whole.isDirectory()) {
    visited.add(await realpath(folder));
    await visit(folder, 0);
  } else if (whole.isFile()) files.push(folder);
  else report(folder, "this is no file that can be read", "keep phrasebooks in files");
  return { files, findings };
}

function byName(a: Dirent, b: Dirent): number {
  return a.name < b.name ? -1 : 1;
}

/** Whether a path is a folder or lies in it; both are real paths. */
export function isWithin(path: string, folder: string): boolean {
  const way = relative(folder, path);
  return way === "" || (way !== ".." && !way.startsWith(`..${sep}`) && !isAbsolute(way));
}
