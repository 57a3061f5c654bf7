import { readdir, readFile, stat } from "node:fs/promises";
import { dirname, join, relative, resolve, sep } from "node:path";
import { type Book, readPhrasebook } from "../home/book.ts";
import { type SourceDefinition, type SourceText, readDocument } from "../phrasebook/document.ts";
import type { Finding } from "../source/finding.ts";

export interface OpenOptions {
  /** Definitions made with `definePhrasebook`, read together with the files. */
  definitions?: readonly SourceDefinition[];
}

/**
 * Reads every `.yaml` file in a folder and the folders in it, or one file, and the folders that
 * these use.
 *
 * @param folder Path of a folder or of one phrasebook file.
 * @throws when there is no such folder or file, or it cannot be read.
 */
export async function openPhrasebook(folder: string, options: OpenOptions = {}): Promise<Book> {
  const sources = new Map<string, SourceText>();
  const findings: Finding[] = [];
  await gather(folder, sources, findings);
  return readPhrasebook([...sources.values(), ...(options.definitions ?? [])], findings);
}

/** The files of a folder, or the one file, in the order of their paths. */
export async function phrasebookFiles(folder: string): Promise<string[]> {
  if (!(await stat(folder)).isDirectory()) return [folder];
  const entries = await readdir(folder, { recursive: true, withFileTypes: true });
  return entries
    .filter((entry) => entry.isFile() && /\.ya?ml$/.test(entry.name))
    .map((entry) => join(entry.parentPath, entry.name))
    .filter((file) => !file.split(sep).includes("node_modules"))
    .sort();
}

/** Adds the files of a folder and of the folders that they use, each once. */
async function gather(
  folder: string,
  sources: Map<string, SourceText>,
  findings: Finding[],
): Promise<void> {
  for (const file of await phrasebookFiles(folder)) {
    const key = resolve(file);
    if (sources.has(key)) continue;
    const source = { path: shown(file), text: await readFile(file, "utf8") };
    sources.set(key, source);
    for (const { path, used } of usedFolders(source)) {
      try {
        await gather(join(dirname(file), used), sources, findings);
      } catch {
        findings.push({
          rule: "unknown-reference",
          severity: "error",
          message: `there is no folder "${used}" to use`,
          fix: `name a folder as seen from ${shown(dirname(file)) || "this one"}`,
          at: readDocument(source, []).at(path),
        });
      }
    }
  }
}

function usedFolders(source: SourceText): { path: (string | number)[]; used: string }[] {
  // Most files use nothing, and reading one twice takes time.
  if (!/^uses\s*:/m.test(source.text)) return [];
  const { value } = readDocument(source, []);
  const uses = typeof value === "object" && value !== null && "uses" in value ? value.uses : [];
  if (!Array.isArray(uses)) return [];
  return uses.flatMap((used: unknown, index) =>
    typeof used === "string" ? [{ path: ["uses", index], used }] : [],
  );
}

/** Paths are shown as from the working folder, with slashes on every system. */
function shown(file: string): string {
  const near = relative(process.cwd(), file);
  return (near.startsWith("..") ? file : near).split(sep).join("/");
}
