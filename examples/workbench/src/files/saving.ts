import type { HomeFile } from "../engine/views.ts";

/** Writes files into a folder that was opened; those that are there already are written over. */
export async function saveToFolder(
  folder: FileSystemDirectoryHandle,
  files: readonly HomeFile[],
): Promise<void> {
  for (const { path, text } of files) {
    const parts = path.split("/");
    const name = parts.pop() ?? path;
    let inside = folder;
    for (const part of parts) inside = await inside.getDirectoryHandle(part, { create: true });
    const file = await inside.getFileHandle(name, { create: true });
    const stream = await file.createWritable();
    await stream.write(text);
    await stream.close();
  }
}

/** Hands files over as one zip. */
export async function saveAsZip(name: string, files: readonly HomeFile[]): Promise<void> {
  const { strToU8, zipSync } = await import("fflate");
  const folder = name.toLowerCase().replace(/[^\p{L}\p{N}]+/gu, "-");
  const entries = files.map(({ path, text }) => [`${folder}/${path}`, strToU8(text)] as const);
  const bytes = zipSync(Object.fromEntries(entries));
  const link = document.createElement("a");
  link.href = URL.createObjectURL(new Blob([bytes.slice()], { type: "application/zip" }));
  link.download = `${folder}.zip`;
  link.click();
  URL.revokeObjectURL(link.href);
}
