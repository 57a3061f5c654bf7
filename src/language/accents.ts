/** Vowels that are written as two where no umlauts are at hand. */
const umlauts: Readonly<Record<string, string>> = { ä: "ae", ö: "oe", ü: "ue" };

const plainText = /^[ -~]*$/u;

/** How a word with accents is written without: "lampara", and "kuche" as well as "kueche". */
export function plainForms(word: string): string[] {
  if (plainText.test(word)) return [];
  const two = word.replaceAll(/[äöü]/gu, (vowel) => umlauts[vowel] ?? vowel);
  return [...new Set([without(word, /\p{M}/gu), without(two, /\p{M}/gu)])];
}

/** Without acute accents: U+0301 of the decomposed form (UAX #15). */
export function withoutAcute(word: string): string {
  return without(word, /\u0301/gu);
}

/** Without grave, acute and circumflex accents and cedillas; an umlaut or a tilde makes another letter. */
export function withoutAccents(word: string): string {
  return without(word, /[\u0300-\u0302\u0327]/gu);
}

function without(word: string, marks: RegExp): string {
  return word.normalize("NFD").replaceAll(marks, "").normalize("NFC");
}
