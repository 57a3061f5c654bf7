import type { LanguagePack } from "../language/pack.ts";
import type { Nameable } from "../model/home.ts";

/**
 * Whose a place is, where its name says so: "Ella's" of "Ella's room", and "Ella" as in "the lamp of Ella"; "Ellas"
 * of "Ellas Zimmer".
 */
export function whoseOf(
  { names }: Nameable,
  words: readonly string[],
  { possessives = [] }: LanguagePack,
): (readonly string[])[] {
  const name = names.find((each) => each.words === words);
  const written = name?.text.replaceAll("’", "'").trim().split(/\s+/u).at(-2);
  const ending = possessives.find((each) => written?.endsWith(each));
  const whose = words.slice(0, -1);
  const last = whose.at(-1);
  if (ending === undefined || last === undefined) return [];
  const isWritten = last.endsWith(ending);
  return isWritten ? [whose, whose.with(-1, last.slice(0, -ending.length))] : [whose];
}
