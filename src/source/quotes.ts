/** A text in which what is quoted as said is blank, and everything else where it was. */
export function withoutQuotes(text: string): string {
  return text.replace(/“[^”]*”/gu, (said) => " ".repeat(said.length));
}
