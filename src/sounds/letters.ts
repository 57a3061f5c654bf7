import type { SoundWords } from "../language/sounds.ts";
import { type Phone, readIpa, withStress } from "./phones.ts";

/** Tells how a word sounds by its letters; letters that no rule knows are silent. */
export type LettersReader = (word: string) => readonly Phone[];

interface Rule {
  fits: RegExp;
  phones: readonly Phone[];
}

/** Makes what reads words by the letter-to-sound rules of a language. */
export function createLetters({ letters, stress, words }: SoundWords): LettersReader {
  const rules = letters.map(([written, sound]): Rule => {
    return { fits: new RegExp(`(?:${written})`, "uy"), phones: phonesOf(sound) };
  });
  const stresses = stress.map(([word, syllable]) => ({ fits: new RegExp(word, "u"), syllable }));
  const whole = new Map(words.map(([word, sound]) => [word, phonesOf(sound)]));
  return (word) => {
    const text = word.normalize("NFC");
    const known = whole.get(text);
    const phones = known ?? byRules(text, rules);
    if (phones.some((phone) => phone.sort === "vowel" && phone.stressed)) return phones;
    const syllable = stresses.find(({ fits }) => fits.test(text))?.syllable ?? 1;
    return stressed(phones, syllable);
  };
}

function phonesOf(sound: string): readonly Phone[] {
  const read = readIpa(sound);
  return read.ok ? read.phones : [];
}

function byRules(text: string, rules: readonly Rule[]): Phone[] {
  const phones: Phone[] = [];
  let at = 0;
  while (at < text.length) {
    const start = at;
    for (const { fits, phones: sound } of rules) {
      fits.lastIndex = start;
      const length = fits.exec(text)?.[0].length ?? 0;
      if (length === 0) continue;
      phones.push(...sound);
      at += length;
      break;
    }
    if (at === start) at++;
  }
  return phones;
}

/** Puts the stress on a syllable; one with a schwa leaves it to the next. */
function stressed(phones: readonly Phone[], syllable: number): Phone[] {
  const nuclei = phones.flatMap((phone, index) => (phone.sort === "vowel" ? index : []));
  const place = syllable > 0 ? Math.min(syllable, nuclei.length) - 1 : nuclei.length + syllable;
  const from = Math.max(0, place);
  const full = (index: number): boolean => phones[index]?.symbol !== "ə";
  const chosen =
    nuclei.slice(from).find(full) ?? nuclei.findLast(full) ?? nuclei[from] ?? nuclei.at(-1);
  return phones.map((phone, index) =>
    phone.sort === "vowel" && index === chosen ? withStress(phone, true) : phone,
  );
}
