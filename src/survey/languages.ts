import { thingsOf } from "../model/members.ts";
import type { Book } from "../book/book.ts";
import type { Finding } from "../source/finding.ts";

/** Ids that are listed of what is missing. */
const mostListed = 12;

/** What a home has no words for in one of its languages: one finding a language, with the list. */
export function checkLanguages(book: Book): Finding[] {
  const [first, ...others] = book.languages;
  return others.flatMap((language) => [
    ...missingNames(book, language, first ?? language),
    ...missingPatterns(book, language),
  ]);
}

/** What has no name in a language goes by its names in the first one. */
function missingNames(book: Book, language: string, first: string): Finding[] {
  const missing = thingsOf(book).filter(
    ({ names }) => !names.some((name) => name.language === language),
  );
  const [one] = missing;
  if (!one) return [];
  const go = missing.length === 1 ? "goes by its name" : "go by their names";
  return [
    {
      rule: "missing-name",
      severity: "note",
      message: `${listed(missing)} ${missing.length === 1 ? "has" : "have"} no name in ${language}, and ${go} in ${first}`,
      fix: `write aliases: { ${language.split("-")[0] ?? language}: … }`,
      at: one.at,
    },
  ];
}

/** Intents and routines that can be said in one language and not in another. */
function missingPatterns(book: Book, language: string): Finding[] {
  const missing = [...book.intents.values()].filter(({ patterns }) => {
    const own = patterns.filter(({ origin }) => origin === "phrasebook");
    return own.length > 0 && !patterns.some((pattern) => pattern.language === language);
  });
  const [one] = missing;
  if (!one) return [];
  return [
    {
      rule: "missing-pattern",
      severity: "warning",
      message: `nobody can say ${listed(missing)} in ${language}`,
      fix: `write patterns: { ${language.split("-")[0] ?? language}: … }`,
      at: one.at,
    },
  ];
}

function listed(things: readonly { id: string }[]): string {
  const ids = things.slice(0, mostListed).map(({ id }) => id);
  const more = things.length - ids.length;
  return ids.join(", ") + (more > 0 ? ` and ${more} more` : "");
}
