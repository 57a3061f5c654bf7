import { shippedPacks } from "../language/shipped.ts";
import type { Finding } from "../source/finding.ts";
import type { Source } from "../document/document.ts";
import { type Book, createReader } from "./book.ts";

/** The languages in which a phrasebook is read where no others are given. */
export const usualLanguages = shippedPacks;

let reader: ReturnType<typeof createReader> | undefined;

/**
 * Reads a phrasebook from files or definitions, in any of the languages that ship. Never throws:
 * look at `problems` for what is wrong; whatever could be read is ready to use.
 *
 * @param sources Files as path and text, and definitions made with `definePhrasebook`.
 * @param found Findings about the files made before, such as folders that do not exist.
 */
export function readPhrasebook(sources: readonly Source[], found: readonly Finding[] = []): Book {
  reader ??= createReader({ languages: usualLanguages });
  return reader(sources, found);
}
