import type { Book } from "../book/book.ts";
import { numberReader } from "../language/numbers.ts";
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
  const known = new Set<string>();
  const add = (texts: Iterable<string>): void => {
    for (const text of texts) for (const word of splitWords(text, pack)) known.add(word.text);
  };
  for (const { patterns, slots } of book.intents.values()) {
    for (const each of patterns) if (each.language === language) add(wordsOf(each.tree));
    for (const slot of slots.values()) {
      const values = slot.fills === "value" ? (slot.values ?? []) : [];
      for (const { patterns: said } of values) for (const each of said) add(wordsOf(each.tree));
    }
  }
  for (const { patterns } of book.fragments.values()) {
    for (const each of patterns) if (each.language === language) add(wordsOf(each.tree));
  }
  for (const { one, many } of Object.values(pack.kinds)) add([...one, ...many]);
  for (const said of Object.values(pack.values)) add(Object.values(said).flat());
  add(Object.values(pack.properties).flat());
  for (const said of [pack.states, pack.colours]) add(Object.values(said).flat());
  for (const said of Object.values(pack.targets)) add([said].flat());
  add(book.kindNouns.map(({ text }) => text));
  add(book.colours.map(({ text }) => text));

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

/** The words that a pattern says itself. */
function* wordsOf(pattern: Pattern): Generator<string> {
  switch (pattern.type) {
    case "words":
      yield* pattern.words;
      return;
    case "sequence":
      for (const item of pattern.items) yield* wordsOf(item);
      return;
    case "choice":
      for (const option of pattern.options) yield* wordsOf(option.pattern);
      return;
    case "repeat":
      yield* wordsOf(pattern.item);
      return;
    default:
  }
}
