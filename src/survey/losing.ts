import type { Book } from "../book/book.ts";
import { intentOf } from "../commands/outcome.ts";
import type { Intent } from "../phrasebook/model.ts";
import type { SpokenPattern } from "../model/spoken.ts";
import type { Finding } from "../source/finding.ts";
import { printPosition } from "../source/position.ts";
import { hearSamples, ownPatterns } from "./heard.ts";

/** Phrases of one pattern that are tried. */
const mostTried = 200;

/**
 * Patterns that can never win: of all of their phrases, each is heard as something else. Phrases
 * have everyday values in their slots; where a pattern makes more than are tried, none that was
 * tried is heard by it.
 */
export function checkLosing(book: Book): Finding[] {
  return ownPatterns(book).flatMap(({ intent, pattern }) => checkPattern(book, intent, pattern));
}

function checkPattern(book: Book, intent: Intent, pattern: SpokenPattern): Finding[] {
  let tried = 0;
  let winner: { intent: string; at: string; phrase: string } | undefined;
  for (const { phrase, heard } of hearSamples(book, intent, pattern, mostTried)) {
    tried++;
    if (heard.outcome !== "refuse" && intentOf(heard) === intent.id) return [];
    const { readings } = book.why(heard);
    // What cannot be done, or cannot be told from another, was understood by it all the same.
    if (readings.some((each) => each.kept && each.intent === intent.id)) return [];
    const [best] = readings;
    if (best && heard.outcome !== "unknown") {
      winner ??= { intent: best.intent, at: printPosition(best.at), phrase };
    }
  }
  if (tried === 0 || !winner) return [];
  const scope = tried >= mostTried ? `none of ${mostTried} phrases tried` : "none of its phrases";
  return [
    {
      rule: "pattern-loses",
      severity: "warning",
      message: `${scope} is heard by the pattern: "${winner.phrase}" is ${winner.intent} (${winner.at})`,
      fix: "say more in this pattern, or remove it",
      at: pattern.at,
    },
  ];
}
