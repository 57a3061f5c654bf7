import type { LanguagePack } from "../language/pack.ts";
import type { Lexicon } from "./lexicon.ts";

/** The words that are known, and which of them are verbs by their numbers. */
export interface Verbs {
  lexicon: Lexicon;
  isVerb: (word: number) => boolean;
}

/** The order of which a word is the form that asks whether somebody does it: "mach" of "machst". */
export function orderOf(
  text: string,
  { requests }: Pick<LanguagePack, "requests">,
  { lexicon, isVerb }: Verbs,
): string | undefined {
  return (
    requests?.endings
      .filter((ending) => text.endsWith(ending))
      .map((ending) => text.slice(0, text.length - ending.length))
      // "Fährst" is of "fahr".
      .flatMap((stem) => [stem, stem.replace("ä", "a")])
      .find((stem) => isVerb(lexicon.find(stem)))
  );
}
