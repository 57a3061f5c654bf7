import type { Book } from "../book/book.ts";
import { matchLanguage } from "../language/packs.ts";
import { isObject, membersOf, numberFrom, textsGiven } from "../source/border.ts";
import { given } from "../source/given.ts";
import { unknownId } from "../source/wrong-use.ts";
import type { Dictionary } from "../sounds/pronounce.ts";

/** What options of this stage have in common, as they are used. */
export interface Known {
  dictionary?: Dictionary;
  /** How far away is looked, in hundredths. */
  furthest: number;
  languages?: readonly string[];
  tell?: (done: number, all: number) => void;
}

/** How far away is looked where nobody says, and at most. */
const [usuallyFurthest, mostFurthest] = [1.5, 3];

/** Options as somebody passes them who need not have read their type; what they cannot be is left out. */
export function readOptions(options: unknown): Known {
  const { dictionary, furthest, languages, tell } = membersOf(options);
  const away = Math.min(mostFurthest, numberFrom(furthest) ?? usuallyFurthest);
  return {
    furthest: Math.round(away * 100),
    ...given({
      dictionary: isObject(dictionary) ? dictionary : undefined,
      languages: textsGiven(languages),
      tell: isTell(tell) ? tell : undefined,
    }),
  };
}

function isTell(tell: unknown): tell is (done: number, all: number) => void {
  return typeof tell === "function";
}

/**
 * The languages of a home that are meant, `de-DE` also by `de`; all where nobody says.
 *
 * @throws WrongUse for one that the home does not speak.
 */
export function languagesMeant(book: Book, tags: readonly string[] = []): ReadonlySet<string> {
  if (tags.length === 0) return new Set(book.languages);
  return new Set(
    tags.map((tag) => {
      const language = matchLanguage(book, tag);
      if (language === undefined) throw unknownId("language", tag, book.languages);
      return language;
    }),
  );
}
