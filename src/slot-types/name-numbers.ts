import type { LanguagePack } from "../language/pack.ts";
import { splitWords } from "../language/words.ts";

/** Highest number that a name is found by in words and in digits. */
const highest = 20;

/** The numbers of names as they are said otherwise: digits for number words, and the reverse. */
export function numbersOtherwise(pack: LanguagePack): ReadonlyMap<string, string> {
  const otherwise = new Map<string, string>();
  for (let value = 0; value <= highest; value++) {
    const [word, more] = splitWords(pack.numbers.cardinal(value), pack);
    if (!word || more) continue;
    otherwise.set(word.text, String(value));
    otherwise.set(String(value), word.text);
  }
  return otherwise;
}
