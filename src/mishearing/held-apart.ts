import { type Book, asBook } from "../book/book.ts";
import type { Position } from "../source/position.ts";
import { distanceBetween, phonesOf } from "../sounds/distance.ts";
import type { Dictionary } from "../sounds/pronounce.ts";
import { type Suites, asSuites } from "../suites/read.ts";
import { createEars } from "./ear.ts";
import { readOptions } from "./options.ts";

/** Two phrases that a case holds apart, and how far apart they are. */
export interface HeldApart {
  phrase: string;
  from: string;
  language: string;
  distance: number;
  /** Whether that is far enough: one sound that is well apart from another. */
  isApart: boolean;
  position: Position;
}

/** How far apart phrases have to be that are held apart, in hundredths. */
const farEnough = 100;

/**
 * The phrases that cases hold apart (`apart-from`), and how far apart they sound, whichever is spoken.
 *
 * @throws WrongUse for suites that were not read with this phrasebook.
 */
export function heldApart(
  of: Book,
  read: Suites,
  options: { dictionary?: Dictionary } = {},
): HeldApart[] {
  const book = asBook(of);
  const { suites } = asSuites(book, read);
  const { dictionary } = readOptions(options);
  const earOf = createEars(book, dictionary);
  return suites.flatMap(({ cases }) =>
    cases.flatMap((each): HeldApart[] => {
      if ("problem" in each) return [];
      const { phrase, language, position, apartFrom = [] } = each;
      return apartFrom.map((from): HeldApart => {
        const { sounds, wordsOf } = earOf(language);
        const [one, other] = [phrase, from].map((text) => phonesOf(wordsOf(text), sounds));
        const there = distanceBetween(one ?? [], other ?? [], sounds.costs) ?? Infinity;
        const back = distanceBetween(other ?? [], one ?? [], sounds.costs) ?? Infinity;
        const distance = Math.min(there, back);
        const isApart = distance >= farEnough;
        return { phrase, from, language, distance: distance / 100, isApart, position };
      });
    }),
  );
}
