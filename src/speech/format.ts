import { type Message, makeMessage } from "../document/messages.ts";
import type { Reply } from "../model/spoken.ts";

export type ReplyVariables = Readonly<Record<string, unknown>>;

/** A reply that was parsed, and what it came to with values that it was formatted with before. */
interface Parsed {
  message: Message;
  /** What writes its numbers, where nothing in it chooses by them or says how they are written. */
  numbers: Intl.NumberFormat | undefined;
  said: Map<string, string>;
}

/** A home has few replies, and suites have them formatted many times: by language and by their texts. */
const parsed = new Map<string, Map<string, Parsed>>();
/** Most that is kept of a language. */
const mostParsed = 1000;
/** Most that is kept of what one reply came to. */
const mostSaid = 200;

function parse(source: string, language: string): Parsed {
  let sources = parsed.get(language);
  if (!sources) parsed.set(language, (sources = new Map<string, Parsed>()));
  let known = sources.get(source);
  if (!known) {
    if (sources.size >= mostParsed) sources.clear();
    // Functions and choices begin with a colon in a placeholder, or with a declaration.
    const isPlain = !/^\s*\.|\{[^}]*:/u.test(source);
    const numbers = isPlain ? numbersOf(language) : undefined;
    known = { message: makeMessage(source, language), numbers, said: new Map() };
    sources.set(source, known);
  }
  return known;
}

const formats = new Map<string, Intl.NumberFormat>();

/** How a language writes numbers; the library would make this anew for each number. */
function numbersOf(language: string): Intl.NumberFormat {
  let format = formats.get(language);
  if (!format) formats.set(language, (format = new Intl.NumberFormat(language)));
  return format;
}

/**
 * Formats a reply: Unicode MessageFormat 2 (Unicode TR 35, part 9). A part that cannot be
 * formatted is left out: nobody is told what a message is written with.
 *
 * @param language BCP 47 tag; decides plurals and number formats.
 */
export function formatReply(source: string, language: string, variables: ReplyVariables): string {
  let known: Parsed;
  try {
    known = parse(source, language);
  } catch {
    return "";
  }
  const key = keyOf(variables);
  const before = key === undefined ? undefined : known.said.get(key);
  if (before !== undefined) return before;
  const { message, numbers } = known;
  const text = format(message, numbers ? written(variables, numbers) : variables);
  if (key === undefined) return text;
  if (known.said.size >= mostSaid) known.said.clear();
  known.said.set(key, text);
  return text;
}

/** Tells plain values from all others; undefined where one is more than that. */
function keyOf(variables: ReplyVariables): string | undefined {
  let key = "";
  for (const name in variables) {
    const value = variables[name];
    if (typeof value !== "string" && typeof value !== "number") return undefined;
    key += `${name}\u0000${typeof value}\u0000${value}\u0000`;
  }
  return key;
}

/** Variables with their numbers as texts. */
function written(variables: ReplyVariables, numbers: Intl.NumberFormat): ReplyVariables {
  const made: Record<string, unknown> = {};
  for (const name in variables) {
    const value = variables[name];
    made[name] = typeof value === "number" ? numbers.format(value) : value;
  }
  return made;
}

function format(message: Message, variables: ReplyVariables): string {
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
