import type { Text } from "@codemirror/state";

/** Line and column, from 1. */
export interface Point {
  line: number;
  column: number;
}

/** The offset of a point in a text, which may have become shorter since. */
export function offsetAt(doc: Text, { line, column }: Point): number {
  const { from, to } = doc.line(Math.min(Math.max(line, 1), doc.lines));
  return Math.min(from + column - 1, to);
}

export function pointAt(doc: Text, offset: number): Point {
  const line = doc.lineAt(offset);
  return { line: line.number, column: offset - line.from + 1 };
}
