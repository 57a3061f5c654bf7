import { MessageFormat } from "messageformat";
import type { Reply } from "../phrasebook/model.ts";

export type ReplyVariables = Readonly<Record<string, unknown>>;

/** Replies that were parsed: a home has few, and suites have them formatted many times. */
const parsed = new Map<string, MessageFormat>();
const mostParsed = 1000;

function parse(source: string, language: string): MessageFormat {
  const key = `${language} ${source}`;
  let message = parsed.get(key);
  if (!message) {
    if (parsed.size >= mostParsed) parsed.clear();
    message = new MessageFormat(language, source, { bidiIsolation: "none" });
    parsed.set(key, message);
  }
  return message;
}

/**
 * Formats a reply: Unicode MessageFormat 2 (Unicode TR 35, part 9). A part that cannot be
 * formatted shows as its fallback, `{$name}`.
 *
 * @param language BCP 47 tag; decides plurals and number formats.
 */
export function formatReply(source: string, language: string, variables: ReplyVariables): string {
  try {
    return parse(source, language).format(variables, () => undefined);
  } catch {
    return source;
  }
}

/** The reply in a language, or in the first one that there is. */
export function replyIn(replies: ReadonlyMap<string, Reply>, language: string): Reply | undefined {
  return replies.get(language) ?? replies.values().next().value;
}
