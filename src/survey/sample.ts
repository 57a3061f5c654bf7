import type { Book } from "../book/book.ts";
import { packOf } from "../language/packs.ts";
import { choice, phrase } from "../pattern/build.ts";
import { phrases } from "../pattern/phrases.ts";
import type { Pattern } from "../pattern/tree.ts";
import type { Intent } from "../phrasebook/model.ts";
import type { Slot, Spoken } from "../slot-types/slot.ts";
import type { SpokenPattern } from "../model/spoken.ts";
import { fragmentTree } from "../phrasebook/references.ts";

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
  const spoken = { home: book, language, pack: packOf(book, language) };
  const resolve = (reference: string): Pattern | undefined => {
    const slot = intent.slots.get(reference);
    if (!slot) return fragmentTree(book.fragments.get(reference), language);
    const said = samplesOf(spoken, slot, names);
    return said.length === 0 ? undefined : choice(said);
  };
  for (const words of phrases(tree, resolve)) yield words.join(" ");
}

function samplesOf(spoken: Spoken, slot: Slot, names: readonly string[]): readonly Pattern[] {
  switch (slot.fills) {
    case "target":
      return names.map(phrase);
    case "words":
      return [phrase("…")];
    case "value":
      return slot.samples(spoken);
  }
}
