/** Words as small numbers, so that automata compare numbers. */
export interface Lexicon {
  /** The number of a word, which it is given when it has none. */
  add: (word: string) => number;
  /** The number of a word, or `unheardOf`. */
  find: (word: string) => number;
  word: (number: number) => string;
}

/** Stands for every word that is in no pattern and no name. */
export const unheardOf = -1;

export function createLexicon(): Lexicon {
  const numbers = new Map<string, number>();
  const words: string[] = [];
  return {
    add(word) {
      let number = numbers.get(word);
      if (number === undefined) {
        number = words.length;
        numbers.set(word, number);
        words.push(word);
      }
      return number;
    },
    find: (word) => numbers.get(word) ?? unheardOf,
    word: (number) => words[number] ?? "",
  };
}
