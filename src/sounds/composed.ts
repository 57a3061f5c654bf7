import type { SoundWords } from "../language/sounds.ts";
import { type Phone, readIpa, withStress } from "./phones.ts";

/** The ways in which a word is said that a dictionary has; none for others. */
type Lookup = (word: string) => readonly (readonly Phone[])[];

/** Fewest letters of a word that is a part of another: shorter ones are found in anything. */
const shortest = 3;

/**
 * The ways in which a word is said that is put together of words that a dictionary has: with what its language puts
 * before and after words, or of two of them. The first part of two has the stress, and what stands before a word
 * leaves it where it is (N. Chomsky and M. Halle, "The Sound Pattern of English", 1968, chapter 3).
 */
export function composedOf(
  word: string,
  { prefixes = [], suffixes = [] }: Pick<SoundWords, "prefixes" | "suffixes">,
  lookup: Lookup,
): readonly (readonly Phone[])[] {
  for (const [written, sound] of prefixes) {
    const rest = word.slice(written.length);
    if (!word.startsWith(written) || rest.length < shortest) continue;
    const ways = lookup(rest);
    if (ways.length > 0) return ways.map((way) => [...phonesOf(sound), ...way]);
  }
  for (const [written, sound, after] of suffixes) {
    const stem = word.slice(0, -written.length);
    if (!word.endsWith(written) || stem.length < shortest) continue;
    // A silent e is left out before a vowel: "glaze", "glazing".
    const ways = [stem, `${stem}e`].flatMap(lookup);
    const fits = ways.filter((way) => after?.includes(way.at(-1)?.symbol ?? "") ?? true);
    if (fits.length > 0) return fits.map((way) => [...way, ...phonesOf(sound)]);
  }
  // Of two words the longer first one: "flood" and "light".
  for (let at = word.length - shortest; at >= shortest; at--) {
    const [first] = lookup(word.slice(0, at));
    const second = first ? lookup(word.slice(at)) : [];
    if (first && second.length > 0) return second.map((way) => [...first, ...unstressed(way)]);
  }
  return [];
}

function unstressed(phones: readonly Phone[]): Phone[] {
  return phones.map((phone) => (phone.sort === "vowel" ? withStress(phone, false) : phone));
}

function phonesOf(sound: string): readonly Phone[] {
  const read = readIpa(sound);
  return read.ok ? read.phones : [];
}
