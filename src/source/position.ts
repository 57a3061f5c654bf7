/**
 * A place in a source text. Lines and columns count from 1, as editors show them; both are 0 where
 * the source is a definition in code, whose path follows the file after a `#`.
 */
export interface Position {
  file: string;
  line: number;
  column: number;
}

/** Half-open range of UTF-16 code units in one text. */
export type Span = readonly [start: number, end: number];

/** `file:line:column`, or the file alone where there are no lines: the form that terminals and editors turn into a link. */
export function printPosition({ file, line, column }: Position): string {
  return line === 0 ? file : `${file}:${line}:${column}`;
}
