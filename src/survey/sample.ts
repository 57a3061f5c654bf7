import type { Book } from "../book/book.ts";
import { packOf } from "../language/packs.ts";
import { choice, phrase } from "../pattern/build.ts";
import { phrases } from "../pattern/phrases.ts";
import type { Pattern } from "../pattern/tree.ts";
import type { Intent } from "../phrasebook/model.ts";
import type { Slot, Spoken } from "../slot-types/slot.ts";
import type { SpokenPattern } from "../model/spoken.ts";
import { fragmentTree } from "../phrasebook/references.ts";

/** What stands where any words may be said. */
export const anyWords = "…";

/**
 * Phrases of a pattern with everyday values in its slots, in the order of the pattern; lazy. None
 * where a slot has no value to say.
 *
 * @param names What is said for target slots.
 */
export function* samplePhrases(
  book: Book,
  intent: Intent,
  { tree, language }: SpokenPattern,
  names: readonly string[],
): Generator<string> {
  for (const words of phrases(tree, sampled(book, intent, language, names))) yield words.join(" ");
}

/** What stands for the references of an intent's patterns. */
function sampled(
  book: Book,
  intent: Intent,
  language: string,
  names: readonly string[],
): (reference: string) => Pattern | undefined {
  const spoken = { home: book, language, pack: packOf(book, language) };
  return (reference) => {
    const slot = intent.slots.get(reference);
    if (!slot) return fragmentTree(book.fragments.get(reference), language);
    const said = samplesOf(spoken, slot, names);
    return said.length === 0 ? undefined : choice(said);
  };
}

/**
 * The plainest way to say an intent of one thing: by the first of its patterns that names it, and not
 * as its first word if there is one.
 *
 * @param mark What stands in the place of a name.
 * @param said What is said for its value, where that is not any everyday one.
 */
export function plainest(
  book: Book,
  intent: Intent,
  { language, mark, said }: { language: string; mark: string; said?: Pattern | undefined },
): string | undefined {
  const usual = sampled(book, intent, language, [mark]);
  const resolve = (reference: string): Pattern | undefined =>
    intent.slots.get(reference)?.fills === "value" && said ? said : usual(reference);
  const all = intent.patterns.flatMap(({ language: spoken, tree }): string[] => {
    if (spoken !== language) return [];
    const [words] = phrases(said ? withPrepositions(tree, intent) : tree, resolve);
    return words?.includes(mark) ? [words.join(" ")] : [];
  });
  return all.find((phrase) => !phrase.startsWith(mark)) ?? all[0];
}

/** A question with the words before what it is about that may be left out: "what is the speed _of_". */
function withPrepositions(tree: Pattern, { slots }: Intent): Pattern {
  if (tree.type !== "sequence") return tree;
  const items = tree.items.map((item, at) => {
    const next = tree.items[at + 1];
    const isBefore = next?.type === "reference" && slots.get(next.name)?.fills === "target";
    return isBefore && item.type === "repeat" ? { ...item, minimum: item.maximum } : item;
  });
  return { ...tree, items };
}

function samplesOf(spoken: Spoken, slot: Slot, names: readonly string[]): readonly Pattern[] {
  switch (slot.fills) {
    case "target":
      return names.map(phrase);
    case "words":
      return [phrase(anyWords)];
    case "value":
      return slot.samples(spoken);
  }
}
