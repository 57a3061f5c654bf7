import { type Book, asBook } from "../book/book.ts";
import { given } from "../source/given.ts";
import { homeLanguage } from "../hearing/hear.ts";
import { textOf } from "../source/border.ts";
import type { Dictionary } from "../sounds/pronounce.ts";
import { createEars } from "./ear.ts";
import { createListener } from "./listener.ts";
import { mishear, worstOf } from "./mishearings.ts";
import { readOptions } from "./options.ts";

/**
 * Tells how likely a phrase is taken for something that does harm, in one language of a home, its first when
 * left out: 0 for not at all.
 *
 * @param pronounced A pronouncing dictionary of English.
 */
export function createRisk(
  of: Book,
  tag?: string,
  pronounced?: Dictionary,
): (phrase: string) => number {
  const book = asBook(of);
  const language = homeLanguage(book, textOf(tag));
  const { dictionary } = readOptions(given({ dictionary: pronounced }));
  const ear = createEars(book, dictionary)(language);
  const listen = createListener(book);
  return (text) => {
    const phrase = textOf(text) ?? "";
    const said = { phrase, language, given: new Map() };
    const found = mishear({ book, listen, ear }, said, { furthest: near, most: 4 });
    return (found && worstOf(found)?.risk) ?? 0;
  };
}

/** How far away a phrase is looked for that might be heard instead. */
const near = 0.9;
