/** Where lines begin in a text, to turn offsets into lines and columns. */
export interface LineIndex {
  /** Line and column, from 1, of a UTF-16 offset. */
  at: (offset: number) => { line: number; column: number };
  /** Offset at which a line, counted from 1, begins; the end of the text for a later line. */
  start: (line: number) => number;
}

export function indexLines(text: string): LineIndex {
  const starts = [0];
  for (let at = text.indexOf("\n"); at >= 0; at = text.indexOf("\n", at + 1)) starts.push(at + 1);
  return {
    at(offset) {
      let low = 0;
      let high = starts.length - 1;
      while (low < high) {
        const middle = (low + high + 1) >> 1;
        if ((starts[middle] ?? 0) <= offset) low = middle;
        else high = middle - 1;
      }
      return { line: low + 1, column: offset - (starts[low] ?? 0) + 1 };
    },
    start: (line) => starts[line - 1] ?? text.length,
  };
}
