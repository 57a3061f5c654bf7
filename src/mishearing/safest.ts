import type { Book } from "../book/book.ts";
import type { Dictionary } from "../sounds/pronounce.ts";
import { createEars } from "./ear.ts";
import { createListener } from "./listener.ts";
import { mishear, worstOf } from "./mishearings.ts";

/** Tells how likely a phrase is taken for something that does harm, in one language: 0 for not at all. */
export function createRisk(
  book: Book,
  language: string,
  dictionary?: Dictionary,
): (phrase: string) => number {
  const ear = createEars(book, dictionary)(language);
  const listen = createListener(book);
  return (phrase) => {
    const said = { phrase, language, given: new Map() };
    const found = mishear({ book, listen, ear }, said, { furthest: near, most: 4 });
    return (found && worstOf(found)?.risk) ?? 0;
  };
}

/** How far away a phrase is looked for that might be heard instead. */
const near = 0.9;
