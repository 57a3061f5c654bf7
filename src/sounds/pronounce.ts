import type { LanguagePack } from "../language/pack.ts";
import { readArpabet } from "./arpabet.ts";
import { composedOf } from "./composed.ts";
import { type Costs, createCosts } from "./costs.ts";
import { createLetters } from "./letters.ts";
import { type Phone, inSyllables } from "./phones.ts";

/** A pronouncing dictionary in ARPAbet: words in lower case, further ways as `word(2)`. */
export type Dictionary = Readonly<Record<string, unknown>>;

/** How the words of one language sound, and what it costs to take sounds for others. */
export interface Sounds {
  costs: Costs;
  /** The ways that a word is said, the usual one first; at least one. */
  waysOf: (word: string) => readonly (readonly Phone[])[];
}

/** A word as it is said, where letters and dictionaries tell otherwise. */
export type Pronunciations = ReadonlyMap<string, readonly (readonly Phone[])[]>;

/**
 * Makes what tells how words sound: as the phrasebook says, then as a dictionary does, then as it says of the parts
 * of a word, then by the letter-to-sound rules of the language. A language without any is read letter by letter.
 */
export function createSounds(
  { sounds = silent }: Pick<LanguagePack, "sounds">,
  { own, dictionary }: { own?: Pronunciations; dictionary?: Dictionary | undefined } = {},
): Sounds {
  const byLetters = createLetters(sounds);
  const told = new Set(sounds.words.map(([word]) => word));
  const known = new Map<string, readonly (readonly Phone[])[]>();
  const find = (word: string): readonly (readonly Phone[])[] => {
    const given = own?.get(word);
    if (given) return given;
    const listed = dictionary ? inDictionary(dictionary, word) : [];
    if (told.has(word)) return [byLetters(word), ...listed];
    if (listed.length > 0) return listed;
    const composed = dictionary
      ? composedOf(word, sounds, (part) => inDictionary(dictionary, part))
      : [];
    return composed.length > 0 ? composed : [byLetters(word)];
  };
  return {
    costs: createCosts(sounds),
    waysOf(word) {
      let ways = known.get(word);
      if (!ways) known.set(word, (ways = find(word).map(inSyllables)));
      return ways;
    },
  };
}

/** Of a language that nobody described: each letter is its own sound, as far as it is one. */
const silent = {
  letters: Array.from("abdefhijklmnoprstuvwxyz", (letter): [string, string] => [letter, letter]),
  stress: [],
  words: [],
  weak: [],
};

/** Ways that a dictionary is asked for. */
const mostWays = 4;

function inDictionary(dictionary: Dictionary, word: string): (readonly Phone[])[] {
  const found: (readonly Phone[])[] = [];
  for (let way = 1; way <= mostWays; way++) {
    const key = way === 1 ? word : `${word}(${way})`;
    const written = Object.hasOwn(dictionary, key) ? dictionary[key] : undefined;
    if (typeof written !== "string") break;
    found.push(readArpabet(written));
  }
  return found;
}
