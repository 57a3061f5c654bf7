import type { LanguagePack } from "../language/pack.ts";
import { type Said, type TargetWords, targetWords } from "../language/vocabulary.ts";
import { splitWords } from "../language/words.ts";
import type { Lexicon } from "../lexicon/lexicon.ts";
import { type Trie, createTrie } from "../lexicon/trie.ts";
import { isKnown } from "../model/known.ts";
import { given } from "../source/given.ts";
import { isBorrowed } from "./borrowed.ts";
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
  /** The noun as it is said of one and of several. */
  forms: Said;
  /** Whether other nouns of the kind are for other things. */
  differs?: true;
}

/** The words of a language that name devices by what they are and where they stand. */
export function connectiveTrie(spoken: Spoken, lexicon: Lexicon): Trie<Connective> {
  const trie = createTrie<Connective>();
  const { pack } = spoken;
  for (const sort of connectivesIn(spoken)) {
    insert(trie, pack.targets[sort], sort, { pack, lexicon });
  }
  return trie;
}

/** The sorts of them that say something in a home. */
export function connectivesIn(spoken: Spoken): readonly Connective[] {
  return targetWords.filter((sort) => isConnective(spoken, sort));
}

/** Whether words say something in a home: where no room is outside, nobody knows what that is. */
export function isConnective({ home }: Pick<Spoken, "home">, sort: Connective): boolean {
  if (sort !== "outside" && sort !== "inside") return true;
  return [...home.rooms.values()].some(({ outside }) => outside);
}

/** A noun with the words for it. */
export interface SaidNoun {
  said: string;
  noun: Noun;
}

/** The nouns of the kinds that a home has devices of, each with the words for it. */
export function nounsOf(spoken: Spoken): SaidNoun[] {
  const { home, pack } = spoken;
  const used = kindsOf(home);
  const nouns: SaidNoun[] = [];
  for (const [kind, { one, many, differ: differs }] of Object.entries(pack.kinds)) {
    if (!used.has(kind)) continue;
    const add = (said: string, at: number, isMany: boolean): void => {
      const forms = [one[at] ?? said, many[at] ?? said];
      if (isBorrowed(spoken, { kind, forms })) return;
      nouns.push({ said, noun: { kind, many: isMany, forms, ...given({ differs }) } });
    };
    for (const [at, said] of one.entries()) add(said, at, false);
    for (const [at, said] of many.entries()) add(said, at, true);
  }
  for (const { kind, many, text, language } of home.kindNouns) {
    if (language.split("-")[0] !== pack.language || !used.has(kind)) continue;
    nouns.push({ said: text, noun: { kind, many, forms: [text] } });
  }
  return nouns;
}

/** The kinds of what speech may know of. */
function kindsOf({ devices }: Spoken["home"]): ReadonlySet<string> {
  return new Set([...devices.values()].filter(isKnown).map(({ kind }) => kind));
}

/** The words that are said only beside the name of something of a kind: "garage door" for a gate called "garage". */
export function nounsBesideNames({ home, pack }: Spoken): SaidNoun[] {
  const used = kindsOf(home);
  return Object.entries(pack.kinds).flatMap(([kind, { beside = [] }]) =>
    used.has(kind)
      ? beside.map((said) => ({ said, noun: { kind, many: false, forms: [said] } }))
      : [],
  );
}

export function nounTrie(
  nouns: readonly SaidNoun[],
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
