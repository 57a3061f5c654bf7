import { plainForms } from "../language/accents.ts";

/** Words as small numbers, so that automata compare numbers. */
export interface Lexicon {
  /** The number of a word, which it is given when it has none. */
  add: (word: string) => number;
  /** The number of a word, or `unheardOf`. */
  find: (word: string) => number;
  /** A word that is this one but for accents that were left out: "lámpara" for "lampara". */
  accented: (word: string) => string | undefined;
  word: (number: number) => string;
  /** Another with the same words under the same numbers, to which more may be added. */
  copy: () => Lexicon;
}

/** Stands for every word that is in no pattern and no name. */
export const unheardOf = -1;

/** What a lexicon holds. */
interface Held {
  numbers: ReadonlyMap<string, number>;
  words: readonly string[];
  accented: ReadonlyMap<string, string>;
}

const nothing: Held = { numbers: new Map(), words: [], accented: new Map() };

export function createLexicon(held: Held = nothing): Lexicon {
  const numbers = new Map(held.numbers);
  const words = [...held.words];
  const accented = new Map(held.accented);
  return {
    add(word) {
      let number = numbers.get(word);
      if (number === undefined) {
        number = words.length;
        numbers.set(word, number);
        words.push(word);
        for (const plain of plainForms(word)) if (!accented.has(plain)) accented.set(plain, word);
      }
      return number;
    },
    accented: (word) => accented.get(word),
    find: (word) => numbers.get(word) ?? unheardOf,
    word: (number) => words[number] ?? "",
    copy: () => createLexicon({ numbers, words, accented }),
  };
}
