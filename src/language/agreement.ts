import { closed, opened } from "./syllables.ts";
import type { LanguagePack } from "./pack.ts";

/** Shortest beginning of a word that takes an ending. */
const shortest = 3;

/** A word in all the ways in which it agrees with what it is said of: "groß", "große", "großen". */
export function agreeing(text: string, { agreement = [], imperatives }: LanguagePack): string[] {
  if (agreement.length === 0 || /\s/u.test(text)) return [text];
  const ending = agreement.find(
    (each) => text.endsWith(each) && text.length - each.length >= shortest,
  );
  if (ending === undefined) return [text];
  const stem = text.slice(0, text.length - ending.length);
  const isOpen = imperatives?.isOpen === true;
  const forms = agreement.map((each) => {
    if (!isOpen) return stem + each;
    return each === "" ? closed(stem) : opened(stem) + each;
  });
  return [...new Set([text, ...forms])];
}
