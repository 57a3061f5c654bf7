import type { LanguagePack } from "../language/pack.ts";
import { type TargetWords, targetWords } from "../language/vocabulary.ts";
import { splitWords } from "../language/words.ts";
import type { Lexicon } from "../lexicon/lexicon.ts";
import { type Trie, createTrie } from "../lexicon/trie.ts";
import { isKnown } from "../model/known.ts";
import type { Spoken } from "./slot.ts";

export type Connective = keyof TargetWords;

/** Words for places that are no names. */
export const placeWords = ["here", "there", "everywhere", "outside", "inside"] as const;

/** Whether words say a place by themselves. */
export function isPlaceWord(sort: Connective): sort is (typeof placeWords)[number] {
  return placeWords.some((word) => word === sort);
}

/** A word for devices of a kind: one of them, or several. */
export interface Noun {
  kind: string;
  many: boolean;
}

/** The words of a language that name devices by what they are and where they stand. */
export function connectiveTrie({ home, pack }: Spoken, lexicon: Lexicon): Trie<Connective> {
  const trie = createTrie<Connective>();
  for (const sort of targetWords) {
    if (isConnective({ home }, sort)) insert(trie, pack.targets[sort], sort, { pack, lexicon });
  }
  return trie;
}

/** Whether words say something in a home: where no room is outside, nobody knows what that is. */
export function isConnective({ home }: Pick<Spoken, "home">, sort: Connective): boolean {
  if (sort !== "outside" && sort !== "inside") return true;
  return [...home.rooms.values()].some(({ outside }) => outside);
}

/** The nouns of the kinds that a home has devices of, each with the words for it. */
export function nounsOf({ home, pack }: Spoken): { said: string; noun: Noun }[] {
  const used = new Set([...home.devices.values()].filter(isKnown).map(({ kind }) => kind));
  const nouns: { said: string; noun: Noun }[] = [];
  for (const [kind, { one, many }] of Object.entries(pack.kinds)) {
    if (!used.has(kind)) continue;
    for (const said of one) nouns.push({ said, noun: { kind, many: false } });
    for (const said of many) nouns.push({ said, noun: { kind, many: true } });
  }
  for (const { kind, many, text, language } of home.kindNouns) {
    if (language.split("-")[0] !== pack.language || !used.has(kind)) continue;
    nouns.push({ said: text, noun: { kind, many } });
  }
  return nouns;
}

export function nounTrie(
  nouns: readonly { said: string; noun: Noun }[],
  { pack }: Spoken,
  lexicon: Lexicon,
): Trie<Noun> {
  const trie = createTrie<Noun>();
  for (const { said, noun } of nouns) insert(trie, [said], noun, { pack, lexicon });
  return trie;
}

function insert<T>(
  trie: Trie<T>,
  said: readonly string[],
  value: T,
  { pack, lexicon }: { pack: LanguagePack; lexicon: Lexicon },
): void {
  for (const text of said) {
    trie.insert(
      splitWords(text, pack).map((word) => lexicon.add(word.text)),
      value,
    );
  }
}
