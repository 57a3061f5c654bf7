import type { HomeFile } from "../engine/views.ts";

/** Files that belong to a home. */
const ours = /\.(?:ya?ml|csv)$/iu;

/** Whether the browser can open a folder and write to it. */
export const canOpenFolders = "showDirectoryPicker" in window;

/** A folder that was opened, and its files. */
export interface Opened {
  files: readonly HomeFile[];
  folder?: FileSystemDirectoryHandle;
}

/** Asks for a folder and reads it; nothing where the person thought better of it. */
export async function openFolder(): Promise<Opened | undefined> {
  if (!window.showDirectoryPicker) return undefined;
  try {
    const folder = await window.showDirectoryPicker({ mode: "readwrite" });
    return { files: await readFolder(folder, ""), folder };
  } catch (error) {
    if (error instanceof DOMException && error.name === "AbortError") return undefined;
    throw error;
  }
}

async function readFolder(folder: FileSystemDirectoryHandle, before: string): Promise<HomeFile[]> {
  const files: HomeFile[] = [];
  for await (const [name, entry] of folder.entries()) {
    if (name.startsWith(".") || name === "node_modules") continue;
    const path = before + name;
    if (entry.kind === "directory") files.push(...(await readFolder(entry, `${path}/`)));
    else if (ours.test(name)) files.push({ path, text: await (await entry.getFile()).text() });
  }
  return sorted(files);
}

/** Reads files that were dropped or chosen: those of a home, and those in a zip. */
export async function readFiles(given: Iterable<File>): Promise<HomeFile[]> {
  const read = [...given].map(async (file): Promise<HomeFile[]> => {
    if (/\.zip$/iu.test(file.name)) return unzip(new Uint8Array(await file.arrayBuffer()));
    const path = file.webkitRelativePath === "" ? file.name : withoutFirst(file.webkitRelativePath);
    return ours.test(file.name) ? [{ path, text: await file.text() }] : [];
  });
  return sorted((await Promise.all(read)).flat());
}

/** Reads what was dropped, folders among it. */
export async function readDropped(transfer: DataTransfer): Promise<HomeFile[]> {
  const entries = [...transfer.items].flatMap((item) => item.webkitGetAsEntry() ?? []);
  const files = await Promise.all(entries.map((entry) => filesIn(entry, "", entries.length > 1)));
  const dropped = files.flat();
  return dropped.length > 0 ? sorted(dropped) : readFiles(transfer.files);
}

async function filesIn(
  entry: FileSystemEntry,
  before: string,
  isNamed: boolean,
): Promise<HomeFile[]> {
  if (entry instanceof FileSystemFileEntry || entry.isFile) {
    const file = await new Promise<File>((resolve, reject) => {
      (entry as FileSystemFileEntry).file(resolve, reject);
    });
    const read = await readFiles([file]);
    return read.length === 1 && !/\.zip$/iu.test(file.name)
      ? read.map(({ text }) => ({ path: before + file.name, text }))
      : read;
  }
  const reader = (entry as FileSystemDirectoryEntry).createReader();
  const inner: FileSystemEntry[] = [];
  for (;;) {
    const some = await new Promise<FileSystemEntry[]>((resolve, reject) => {
      reader.readEntries(resolve, reject);
    });
    if (some.length === 0) break;
    inner.push(...some);
  }
  const path = before === "" && !isNamed ? "" : `${before}${entry.name}/`;
  return (await Promise.all(inner.map((each) => filesIn(each, path, true)))).flat();
}

async function unzip(bytes: Uint8Array): Promise<HomeFile[]> {
  const { strFromU8, unzipSync } = await import("fflate");
  const inner = Object.entries(unzipSync(bytes)).filter(([path]) => ours.test(path));
  const folder = inner.every(([path]) => path.split("/")[0] === inner[0]?.[0].split("/")[0]);
  return inner.map(([path, data]) => {
    const name = folder && path.includes("/") ? withoutFirst(path) : path;
    return { path: name, text: strFromU8(data) };
  });
}

function withoutFirst(path: string): string {
  return path.split("/").slice(1).join("/");
}

function sorted(files: readonly HomeFile[]): HomeFile[] {
  return [...files].sort((one, other) => (one.path < other.path ? -1 : 1));
}
