import type { Book } from "../book/book.ts";
import type { SourceText } from "../document/document.ts";
import { readSuites } from "../suites/read.ts";
import { runSuites } from "../suites/run.ts";

/** Cases of suites that fail, by their places. */
export function failingCases(book: Book, suiteSources: readonly SourceText[]): string[] {
  if (suiteSources.length === 0) return [];
  const { suites } = runSuites(book, readSuites(book, suiteSources));
  return suites.flatMap(({ cases }) =>
    cases.flatMap(({ passed, position }) =>
      passed ? [] : `${position.file}:${position.line}:${position.column}`,
    ),
  );
}
