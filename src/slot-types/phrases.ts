import type { Match } from "../automaton/chart.ts";
import type { Utterance } from "../automaton/utterance.ts";
import { splitWords } from "../language/words.ts";
import type { Lexicon } from "../lexicon/lexicon.ts";
import { createTrie } from "../lexicon/trie.ts";

/** Finds phrases that stand for readings. */
export function recognisePhrases<T>(
  phrases: readonly { said: string; reading: T }[],
  language: string,
  lexicon: Lexicon,
): (utterance: Utterance, from: number) => (Match & { value: T })[] {
  const trie = createTrie<T>();
  for (const { said, reading } of phrases) {
    const words = splitWords(said, language).map((word) => lexicon.add(word.text));
    if (words.length > 0) trie.insert(words, reading);
  }
  return ({ numbers }, from) => {
    const found: (Match & { value: T })[] = [];
    trie.match(numbers, from, (end, readings) => {
      for (const value of readings) found.push({ end, value });
    });
    return found;
  };
}
