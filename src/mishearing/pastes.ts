import type { Book } from "../book/book.ts";
import { withNames } from "../book/changed.ts";
import { readPhrasebook } from "../book/read.ts";
import { describeOutcome } from "../commands/describe.ts";
import type { SourceText } from "../document/document.ts";
import { readYaml } from "../document/yaml.ts";
import type { Paste } from "../hearing/near/paste.ts";
import { packOf } from "../language/packs.ts";
import { splitWords } from "../language/words.ts";
import type { Nameable } from "../model/home.ts";
import { membersOf, textsOf } from "../source/border.ts";
import { given } from "../source/given.ts";
import { failingCases } from "./failing.ts";
import type { HeardEntry } from "./heard-log.ts";

/** Something to add to a phrasebook, as it turned out when it was tried. */
export interface PasteTried extends Paste {
  /** What the phrases come to with it, each once; left out for what could not be tried here. */
  becomes?: readonly string[];
  /** Cases of the suites that fail with it and do not without. */
  failing?: number;
}

interface Sources {
  suiteSources?: readonly SourceText[];
  bookSources?: readonly SourceText[];
}

/** Makes what tries an addition on phrases that were heard, and on the suites. */
export function createPastes(book: Book, { suiteSources = [], bookSources = [] }: Sources) {
  let before: ReadonlySet<string> | undefined;
  return (paste: Paste, entries: readonly HeardEntry[]): PasteTried => {
    const changed = added(book, paste, bookSources);
    if (!changed) return paste;
    before ??= new Set(failingCases(book, suiteSources));
    const known = before;
    const becomes = entries.map(({ text, language, at, time }) =>
      describeOutcome(changed.hear(text, { language, ...given({ at, time }) })),
    );
    const failing = failingCases(changed, suiteSources).filter((key) => !known.has(key)).length;
    return { ...paste, becomes: [...new Set(becomes)], failing };
  };
}

/** The phrasebook with an addition; undefined where it takes the place of something. */
function added(
  book: Book,
  { yaml, how }: Paste,
  bookSources: readonly SourceText[],
): Book | undefined {
  const content = membersOf(readYaml(yaml).value);
  for (const section of ["devices", "groups", "rooms", "zones"] as const) {
    for (const [id, entry] of Object.entries(membersOf(content[section]))) {
      const entity = book[section].get(id);
      return entity && withAliases(book, entity, membersOf(entry)["aliases"]);
    }
  }
  if (bookSources.length === 0 || how.includes("in the place of")) return undefined;
  return readPhrasebook([...bookSources, { path: "added.yaml", text: yaml }]);
}

function withAliases(book: Book, entity: Nameable, aliases: unknown): Book {
  const [first = "en"] = book.languages;
  const byLanguage = Array.isArray(aliases) ? { [first]: aliases } : membersOf(aliases);
  const names = Object.entries(byLanguage).flatMap(([language, texts]) =>
    textsOf(texts).map((text) => {
      const words = splitWords(text, packOf(book, language)).map((word) => word.text);
      return { text, words, language, alias: true, at: entity.at };
    }),
  );
  return withNames(book, entity, [...entity.names, ...names]);
}
