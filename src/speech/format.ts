import { type Message, makeMessage } from "../document/messages.ts";
import type { Reply } from "../model/spoken.ts";

export type ReplyVariables = Readonly<Record<string, unknown>>;

/** Replies that were parsed: a home has few, and suites have them formatted many times. */
const parsed = new Map<string, Message>();
const mostParsed = 1000;

function parse(source: string, language: string): Message {
  const key = `${language} ${source}`;
  let message = parsed.get(key);
  if (!message) {
    if (parsed.size >= mostParsed) parsed.clear();
    message = makeMessage(source, language);
    parsed.set(key, message);
  }
  return message;
}

/**
 * Formats a reply: Unicode MessageFormat 2 (Unicode TR 35, part 9). A part that cannot be
 * formatted is left out: nobody is told what a message is written with.
 *
 * @param language BCP 47 tag; decides plurals and number formats.
 */
export function formatReply(source: string, language: string, variables: ReplyVariables): string {
  let message: Message;
  try {
    message = parse(source, language);
  } catch {
    return "";
  }
  const missing: unknown[] = [];
  const text = message.format(variables, (error) => missing.push(error));
  if (missing.length === 0) return text;
  return message
    .formatToParts(variables, () => undefined)
    .map((part) => (part.type === "fallback" ? "" : textOf(part)))
    .join("")
    .replace(/ {2,}/gu, " ")
    .trim();
}

/** The reply in a language, or in the first one that there is. */
export function replyIn(replies: ReadonlyMap<string, Reply>, language: string): Reply | undefined {
  return replies.get(language) ?? replies.values().next().value;
}

/** The text of a part, which may have parts of its own. */
function textOf(part: object): string {
  if ("value" in part) return String(part.value);
  if (!("parts" in part) || !Array.isArray(part.parts)) return "";
  return part.parts
    .map((each: unknown) => (typeof each === "object" && each ? textOf(each) : ""))
    .join("");
}
