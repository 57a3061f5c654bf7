import { doubleMetaphone } from "double-metaphone";

/**
 * What words sound like, as a key: equal for words that are easily taken for one another. It knows
 * English spelling and the commoner spellings of other European languages.
 */
export function soundOf(text: string): string {
  const plain = text.normalize("NFD").replace(/\p{M}/gu, "");
  return doubleMetaphone(plain.replace(/[^a-z]/giu, ""))[0];
}
