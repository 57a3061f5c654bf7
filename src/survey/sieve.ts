import type { Book } from "../book/book.ts";
import { numberReader } from "../language/numbers.ts";
import type { LanguagePack } from "../language/pack.ts";
import { packOf } from "../language/packs.ts";
import { splitWords } from "../language/words.ts";
import type { Pattern } from "../pattern/tree.ts";

/** Names alike but for their numbers that are tried. */
const mostAlike = 3;

/**
 * Tells names that may be phrases from those that cannot, so that only the former are heard: a
 * phrase has a word of a pattern, of a value or of a kind, or a number. Of names that differ in
 * their numbers alone, the first few are tried.
 */
export function createSieve(book: Book, language: string): (words: readonly string[]) => boolean {
  const pack = packOf(book, language);
  const numbers = numberReader(pack);
  const known = new Set(ownWordsOf(pack));
  const addTree = (tree: Pattern): void => {
    for (const word of wordsOf(tree)) known.add(word);
  };
  const add = (text: string): void => {
    for (const word of splitWords(text, pack)) known.add(word.text);
  };
  for (const { patterns, slots } of book.intents.values()) {
    for (const each of patterns) if (each.language === language) addTree(each.tree);
    for (const slot of slots.values()) {
      const values = slot.fills === "value" ? (slot.values ?? []) : [];
      for (const { patterns: said } of values) for (const each of said) addTree(each.tree);
    }
  }
  for (const { patterns } of book.fragments.values()) {
    for (const each of patterns) if (each.language === language) addTree(each.tree);
  }
  for (const { text } of [...book.kindNouns, ...book.colours]) add(text);

  const tried = new Map<string, number>();
  const startsWithDigit = /^\d/u;
  return (words) => {
    const isNumber = words.map(
      (word, index) => startsWithDigit.test(word) || numbers(words, index).length > 0,
    );
    if (!words.some((word, index) => isNumber[index] === true || known.has(word))) return false;
    if (!isNumber.includes(true)) return true;
    const shape = words.map((word, index) => (isNumber[index] === true ? "#" : word)).join(" ");
    const count = (tried.get(shape) ?? 0) + 1;
    tried.set(shape, count);
    return count <= mostAlike;
  };
}

const ownWords = new WeakMap<LanguagePack, ReadonlySet<string>>();

/** The words of kinds, values, properties, states, colours and places in a language. */
function ownWordsOf(pack: LanguagePack): ReadonlySet<string> {
  const made = ownWords.get(pack);
  if (made) return made;
  const known = new Set<string>();
  const add = (texts: Iterable<string>): void => {
    for (const text of texts) for (const word of splitWords(text, pack)) known.add(word.text);
  };
  for (const { one, many } of Object.values(pack.kinds)) add([...one, ...many]);
  for (const said of Object.values(pack.values)) add(Object.values(said).flat());
  add(Object.values(pack.properties).flat());
  for (const said of [pack.states, pack.colours]) add(Object.values(said).flat());
  for (const said of Object.values(pack.targets)) add([said].flat());
  ownWords.set(pack, known);
  return known;
}

const wordsOfTrees = new WeakMap<Pattern, readonly string[]>();

/** The words that a pattern says itself; homes that speak a language share its patterns. */
function wordsOf(pattern: Pattern): readonly string[] {
  const known = wordsOfTrees.get(pattern);
  if (known) return known;
  const words = [...wordsIn(pattern)];
  wordsOfTrees.set(pattern, words);
  return words;
}

function* wordsIn(pattern: Pattern): Generator<string> {
  switch (pattern.type) {
    case "words":
      yield* pattern.words;
      return;
    case "sequence":
      for (const item of pattern.items) yield* wordsIn(item);
      return;
    case "choice":
      for (const option of pattern.options) yield* wordsIn(option.pattern);
      return;
    case "repeat":
      yield* wordsIn(pattern.item);
      return;
    default:
  }
}
