/** Widest that a line of output is, in columns. */
export const width = 100;

/** Cuts a text that is longer than `most`; an ellipsis shows that it goes on. */
export function shorten(text: string, most: number): string {
  const clean = text.replace(/[\p{Cc}\p{Cf}]+/gu, " ");
  return clean.length <= most ? clean : `${clean.slice(0, Math.max(0, most - 1))}…`;
}

/** Pads a text to a column. */
export function pad(text: string, to: number): string {
  return text + " ".repeat(Math.max(0, to - text.length));
}

/** Breaks a text between words, each line indented. */
export function wrap(text: string, indent: number): string {
  return wrapItems(text.split(" "), indent, " ");
}

/** Puts items side by side, as many as a line holds, none of them broken. */
export function wrapItems(items: readonly string[], indent: number, gap = "  "): string {
  const lines: string[] = [];
  let line = "";
  for (const word of items) {
    if (line !== "" && indent + line.length + gap.length + word.length > width) {
      lines.push(line);
      line = word;
    } else {
      line = line === "" ? word : line + gap + word;
    }
  }
  return [...lines, line].map((each) => " ".repeat(indent) + each).join("\n");
}
