import type { Match } from "../automaton/chart.ts";
import type { Utterance } from "../automaton/utterance.ts";
import type { LanguagePack } from "../language/pack.ts";
import { splitWords } from "../language/words.ts";
import type { Lexicon } from "../lexicon/lexicon.ts";
import { createTrie } from "../lexicon/trie.ts";

/** Finds phrases that stand for something. */
export function recognisePhrases<Value>(
  phrases: readonly { said: string; value: Value }[],
  { pack, lexicon }: { pack: LanguagePack; lexicon: Lexicon },
): (utterance: Utterance, from: number) => Match<Value>[] {
  const trie = createTrie<Value>();
  for (const { said, value } of phrases) {
    const words = splitWords(said, pack).map((word) => lexicon.add(word.text));
    if (words.length > 0) trie.insert(words, value);
  }
  return ({ numbers }, from) => {
    const found: Match<Value>[] = [];
    trie.match(numbers, from, (end, values) => {
      for (const value of values) found.push({ end, value });
    });
    return found;
  };
}
