import { readdir, readFile, stat } from "node:fs/promises";
import { join, relative, sep } from "node:path";
import { type Book, readPhrasebook } from "../home/book.ts";
import type { SourceDefinition, SourceText } from "../phrasebook/document.ts";

export interface OpenOptions {
  /** Definitions made with `definePhrasebook`, read together with the files. */
  definitions?: readonly SourceDefinition[];
}

/**
 * Reads every `.yaml` file in a folder and the folders in it, or one file.
 *
 * @param folder Path of a folder or of one phrasebook file.
 * @throws when there is no such folder or file, or it cannot be read.
 */
export async function openPhrasebook(folder: string, options: OpenOptions = {}): Promise<Book> {
  const files = await phrasebookFiles(folder);
  const sources = await Promise.all(
    files.map(async (file): Promise<SourceText> => {
      return { path: shown(file), text: await readFile(file, "utf8") };
    }),
  );
  return readPhrasebook([...sources, ...(options.definitions ?? [])]);
}

/** The files of a phrasebook, in the order of their paths. */
export async function phrasebookFiles(folder: string): Promise<string[]> {
  if (!(await stat(folder)).isDirectory()) return [folder];
  const entries = await readdir(folder, { recursive: true, withFileTypes: true });
  return entries
    .filter((entry) => entry.isFile() && /\.ya?ml$/.test(entry.name))
    .map((entry) => join(entry.parentPath, entry.name))
    .filter((file) => !file.split(sep).some((part) => part === "node_modules"))
    .sort();
}

/** Paths are shown as from the working folder, with slashes on every system. */
function shown(file: string): string {
  const near = relative(process.cwd(), file);
  return (near.startsWith("..") ? file : near).split(sep).join("/");
}
