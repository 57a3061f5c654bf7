import { readFile } from "node:fs/promises";
import type { Finding } from "../source/finding.ts";

export type ReadText = { ok: true; text: string } | { ok: false; finding: Finding };

/**
 * Reads a file as UTF-8 (RFC 3629), with or without a byte order mark, or as the UTF-16 that its mark
 * tells. What is neither, or cannot be read at all, is a finding.
 *
 * @param shown The path as findings show it.
 */
export async function readText(file: string, shown: string): Promise<ReadText> {
  const at = { file: shown, line: 1, column: 1 };
  const wrong = (message: string, fix: string): ReadText => {
    return { ok: false, finding: { rule: "unreadable-file", severity: "error", message, fix, at } };
  };
  let bytes: Uint8Array;
  try {
    bytes = await readFile(file);
  } catch (error) {
    const why = error instanceof Error && "code" in error ? String(error.code) : "unknown error";
    return wrong(`the file cannot be read (${why})`, "see that it is there and may be read");
  }
  const text = decode(bytes);
  return text === undefined
    ? wrong("the file is not UTF-8", "save it as UTF-8")
    : { ok: true, text };
}

/** Bytes as text; undefined for what is none. */
export function decode(bytes: Uint8Array): string | undefined {
  try {
    return new TextDecoder(encodingOf(bytes), { fatal: true }).decode(bytes);
  } catch {
    return undefined;
  }
}

/** What a byte order mark tells (Unicode, section 23.8). */
function encodingOf([first, second]: Uint8Array): "utf-8" | "utf-16le" | "utf-16be" {
  if (first === 0xff && second === 0xfe) return "utf-16le";
  return first === 0xfe && second === 0xff ? "utf-16be" : "utf-8";
}
