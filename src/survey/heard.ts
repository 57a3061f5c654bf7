import { thingsOf } from "../model/members.ts";
import type { Heard } from "../commands/outcome.ts";
import { spokenNames } from "../model/names.ts";
import type { Book } from "../book/book.ts";
import type { Intent } from "../phrasebook/model.ts";
import type { SpokenPattern } from "../model/spoken.ts";
import { samplePhrases } from "./sample.ts";

/** A pattern, and the intent that it belongs to. */
export interface Owned {
  intent: Intent;
  pattern: SpokenPattern;
}

/** The patterns that were written for a home, each with its intent. */
export function ownPatterns(book: Book): Owned[] {
  return [...book.intents.values()].flatMap((intent) =>
    intent.patterns
      .filter(({ origin }) => origin === "phrasebook")
      .map((pattern) => ({ intent, pattern })),
  );
}

/** Phrases of a pattern with everyday values in its slots, and what each is heard as; lazy. */
export function* hearSamples(
  book: Book,
  intent: Intent,
  pattern: SpokenPattern,
  most: number,
): Generator<{ phrase: string; heard: Heard }> {
  const { language } = pattern;
  let tried = 0;
  for (const phrase of samplePhrases(book, intent, pattern, namesOf(book, language))) {
    if (tried++ >= most) return;
    yield { phrase, heard: book.hear(phrase, { language, time: "2026-01-05T09:00" }) };
  }
}

/** One name for each kind of thing that a target can name, so that every target is tried. */
function namesOf(book: Book, language: string): string[] {
  const first = book.languages[0] ?? language;
  const byKind = new Map<string, string>();
  for (const entity of thingsOf(book)) {
    const sort = entity.type === "device" ? `device ${entity.kind}` : entity.type;
    const name = spokenNames(entity, language, first)[0]?.text;
    if (name !== undefined && !byKind.has(sort)) byKind.set(sort, name);
  }
  return [...byKind.values()];
}
