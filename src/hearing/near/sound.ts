import { doubleMetaphone } from "double-metaphone";

/** Longest text that has a sound, in UTF-16 code units: nobody says a longer word. */
const longest = 200;

/**
 * What words sound like, as a key: equal for words that are easily taken for one another. It knows
 * English spelling and the commoner spellings of other European languages.
 */
export function soundOf(text: string): string {
  if (text.length > longest) return "";
  const plain = text.normalize("NFD").replace(/\p{M}/gu, "");
  return doubleMetaphone(plain.replace(/[^a-z]/giu, ""))[0];
}
