/**
 * Whether a text is as a glob asks, where `*` stands for any characters and the rest for itself,
 * in either case. Linear in the text for each `*`.
 */
export function matchesGlob(glob: string, text: string): boolean {
  const pieces = glob.toLowerCase().split("*");
  const whole = text.toLowerCase();
  const [first = ""] = pieces;
  if (pieces.length === 1) return whole === first;
  if (!whole.startsWith(first)) return false;
  const last = pieces.at(-1) ?? "";
  let at = first.length;
  for (const piece of pieces.slice(1, -1)) {
    const found = whole.indexOf(piece, at);
    if (found < 0) return false;
    at = found + piece.length;
  }
  return whole.length - last.length >= at && whole.endsWith(last);
}
