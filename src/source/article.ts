/** A noun with its article: "an alarm", "a light". */
export function withArticle(noun: string): string {
  return `${/^[aeiou]/iu.test(noun) ? "an" : "a"} ${noun}`;
}
