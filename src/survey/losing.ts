import type { Book } from "../home/book.ts";
import { spokenNames } from "../hearing/names.ts";
import type { Intent, SpokenPattern } from "../phrasebook/model.ts";
import type { Finding } from "../source/finding.ts";
import { printPosition } from "../source/position.ts";
import { samplePhrases } from "./sample.ts";

/** Phrases of one pattern that are tried. */
const mostTried = 200;

/**
 * Patterns that can never win: of all of their phrases, each is heard as something else. Phrases
 * have everyday values in their slots; where a pattern makes more than are tried, none that was
 * tried is heard by it.
 */
export function checkLosing(book: Book): Finding[] {
  return [...book.intents.values()].flatMap((intent) =>
    intent.patterns
      .filter(({ origin }) => origin === "phrasebook")
      .flatMap((pattern) => checkPattern(book, intent, pattern)),
  );
}

function checkPattern(book: Book, intent: Intent, pattern: SpokenPattern): Finding[] {
  const { language, at } = pattern;
  let tried = 0;
  let winner: { intent: string; at: string; phrase: string } | undefined;
  for (const phrase of samplePhrases(
    book,
    intent,
    pattern,
    nameSamples(book, language),
    language,
  )) {
    if (tried >= mostTried) break;
    tried++;
    const heard = book.hear(phrase, { language, time: "2026-01-05T09:00" });
    if ("intent" in heard && heard.intent === intent.id) return [];
    const { readings } = heard.why;
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
      at,
    },
  ];
}

/** One name for each kind of thing that a target can name, so that every target is tried. */
export function nameSamples(book: Book, language: string): string[] {
  const first = book.languages[0] ?? language;
  const byKind = new Map<string, string>();
  const entities = [book.devices, book.groups, book.rooms, book.zones].flatMap((map) => [
    ...map.values(),
  ]);
  for (const entity of entities) {
    const sort = entity.type === "device" ? `device ${entity.kind}` : entity.type;
    const name = spokenNames(entity, language, first)[0]?.text;
    if (name !== undefined && !byKind.has(sort)) byKind.set(sort, name);
  }
  return [...byKind.values()];
}
