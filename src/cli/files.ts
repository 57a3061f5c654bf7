import { mkdir, readFile, writeFile } from "node:fs/promises";
import { dirname } from "node:path";
import { WrongUse } from "../source/wrong-use.ts";

/** Writes a file, with the folders that it lies in; `isNew` where none may stand there. */
export async function writeOut(path: string, text: string, isNew = false): Promise<void> {
  await mkdir(dirname(path), { recursive: true });
  await writeFile(path, text, { flag: isNew ? "wx" : "w" });
}

/**
 * Reads what a command has written as JSON.
 *
 * @param is Whether data has its form.
 * @param what What it is called where it has not.
 * @throws WrongUse for a file that is not there, or holds something else.
 */
export async function readJson<T>(
  path: string,
  is: (value: unknown) => value is T,
  what: string,
): Promise<T> {
  const text = await readFile(path, "utf8").catch(() => {
    throw new WrongUse(`there is no file "${path}"`, "no-such-file");
  });
  const value = parsed(text);
  if (is(value)) return value;
  throw new WrongUse(`"${path}" holds ${what}`);
}

function parsed(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    return undefined;
  }
}
