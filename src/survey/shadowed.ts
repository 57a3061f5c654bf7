import type { Book } from "../book/book.ts";
import { intentOf } from "../commands/outcome.ts";
import type { Intent } from "../phrasebook/model.ts";
import type { SpokenPattern } from "../model/spoken.ts";
import type { Finding } from "../source/finding.ts";
import { hearSamples, ownPatterns } from "./heard.ts";

/** Phrases of one pattern that are tried. */
const mostTried = 30;

/**
 * Phrases of the phrasebook that a command of the vocabulary also means, with another effect. The
 * phrasebook wins; whoever says it may have meant the other.
 */
export function checkTaken(book: Book): Finding[] {
  return ownPatterns(book).flatMap(({ intent, pattern }) => checkPattern(book, intent, pattern));
}

function checkPattern(book: Book, intent: Intent, pattern: SpokenPattern): Finding[] {
  const { language, at } = pattern;
  for (const { phrase, heard } of hearSamples(book, intent, pattern, mostTried)) {
    if (heard.outcome !== "act" || intentOf(heard) !== intent.id || heard.commands.length > 1)
      continue;
    const { readings } = book.why(heard);
    const does = readings.find(({ kept }) => kept)?.does;
    const other = readings.find(
      (reading) => !reading.kept && reading.does !== undefined && reading.does !== does,
    );
    if (!other || book.intents.get(other.intent)?.patterns[0]?.origin !== "vocabulary") continue;
    return [
      {
        rule: "phrase-taken",
        severity: "warning",
        message: `"${phrase}" (${language}) is ${intent.id} here: ${does ?? "nothing"}; without it, it would be ${other.intent}: ${other.does ?? ""}`,
        fix: `say it another way, or write vocabulary: { without: [${other.intent}] } if nobody needs that`,
        at,
      },
    ];
  }
  return [];
}
