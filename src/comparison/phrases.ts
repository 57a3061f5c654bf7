import { type Book, asBook } from "../book/book.ts";
import type { SourceText } from "../document/document.ts";
import { matchLanguage } from "../language/packs.ts";
import type { Finding } from "../source/finding.ts";
import { given } from "../source/given.ts";
import { WrongUse, madeOf } from "../source/wrong-use.ts";
import type { Case } from "../suites/suite.ts";

/** Phrases of which nothing is expected, each as a case that is said in a fresh home. */
export interface Phrases {
  /** What the list is called. */
  list: string;
  cases: readonly Case[];
  /** What is wrong with it. */
  problems: readonly Finding[];
}

/**
 * Reads a plain list of what a house says: a phrase a line, after it, each after a tab, the voicepoint
 * and the language, where these are told. Empty lines and those that begin with `#` say nothing.
 */
export function readPhrases(of: Book, source: SourceText): Phrases {
  const book = asBook(of);
  return madeOf("list of phrases", () => {
    const problems: Finding[] = [];
    const cases = source.text.split(/\r?\n/u).flatMap((line, index): Case[] => {
      const [said = "", at = "", tag = ""] = line.split("\t").map((part) => part.trim());
      if (said === "" || said.startsWith("#")) return [];
      const position = { file: source.path, line: index + 1, column: 1 };
      const language = tag === "" ? book.languages[0] : matchLanguage(book, tag);
      const report = (what: string, name: string, known: Iterable<string>): Case[] => {
        const message = `there is no ${what} "${name}"`;
        const fix = `write one of ${[...known].join(", ")}`;
        problems.push({ rule: "unknown-reference", severity: "error", message, fix, at: position });
        return [];
      };
      if (language === undefined) return report("language", tag, book.languages);
      if (at !== "" && !book.voicepoints.has(at)) {
        return report("voicepoint", at, book.voicepoints.keys());
      }
      return [
        {
          phrase: said,
          language,
          ...given({ at: at === "" ? undefined : at }),
          position,
          faults: {},
          given: new Map(),
          expect: {},
        },
      ];
    });
    const phrases: Phrases = { list: source.path, cases, problems };
    known.add(phrases);
    return phrases;
  });
}

/** The lists that were read. */
const known = new WeakSet<object>();

function isPhrases(phrases: unknown): phrases is Phrases {
  return typeof phrases === "object" && phrases !== null && known.has(phrases);
}

/**
 * Phrases as somebody passes them who need not have read their type.
 *
 * @throws WrongUse for anything else.
 */
export function asPhrases(phrases: unknown): Phrases {
  if (isPhrases(phrases)) return phrases;
  throw new WrongUse("pass the phrases that readPhrases read");
}
