import type { Cursor } from "../document/cursor.ts";
import { readLength } from "../document/lengths.ts";
import type { Alive, Listening, OrderMessage } from "../model/outside.ts";
import { given } from "../source/given.ts";
import type { AliveDefinition, OrderDefinition, ReportDefinition } from "./definition/outside.ts";

/** What is written of a message, or of where something is told. */
export type Told = ReportDefinition | OrderDefinition | string | false;

/** Tells what stands for nothing in it, of the words that stand for something. */
export function checkWords(part: Cursor<Told>, words: readonly string[]): void {
  const { value } = part;
  const texts = typeof value === "string" ? [value] : textsIn(value);
  for (const whole of new Set(texts.flatMap((text) => text.match(/\$[a-z]+/g) ?? []))) {
    if (words.includes(whole.slice(1))) continue;
    const fix = `write ${words.map((each) => `$${each}`).join(" or ")}`;
    part.report("wrong-value", `${whole} stands for nothing here`, fix);
  }
  if (typeof value !== "object" || !("at" in value)) return;
  const { at = "" } = value;
  if (at === "" || at.startsWith("/")) return;
  const fix = `write /${at.replaceAll(".", "/")}`;
  part.report("wrong-value", `"${at}" is no JSON Pointer, which begins with /`, fix);
}

function textsIn(value: unknown): string[] {
  if (typeof value === "string") return [value];
  if (typeof value !== "object" || value === null) return [];
  return Object.entries(value).flatMap(([key, each]) => [key, ...textsIn(each)]);
}

type Words = Readonly<Record<string, string>>;

/** A message, with the ids that its words stand for. */
export function readOrder(
  cursor: Cursor<OrderDefinition | string>,
  words: Words,
  usual: OrderMessage["method"],
): OrderMessage {
  const written = typeof cursor.value === "string" ? { to: cursor.value } : cursor.value;
  const { to, method = usual, headers = {}, text, json, retain = false, quality = 1 } = written;
  const inside = (value: string): string => filled(value, words);
  const plain = text ?? ("action" in words ? "" : "$value");
  return {
    to: inside(to),
    method,
    headers: filledAll(headers, inside),
    body: json === undefined ? { text: inside(plain) } : { json: within(json, inside) },
    retain,
    quality,
  };
}

/** Where something is told. */
export function readListening(cursor: Cursor<ReportDefinition | string>, words: Words): Listening {
  const written = typeof cursor.value === "string" ? { from: cursor.value } : cursor.value;
  const { from, at = "", headers = {} } = written;
  const inside = (value: string): string => filled(value, words);
  const every = cursor.as(written).given("every");
  return {
    from: inside(from),
    pointer: inside(at),
    headers: filledAll(headers, inside),
    ...given({ every: every && readLength(every) }),
  };
}

/** Where something tells that it is there, and what it says then. */
export function readAlive(
  cursor: Cursor<AliveDefinition | string>,
  words: Words,
  usual: Alive["is"],
): Alive {
  const { value } = cursor;
  const is = typeof value === "string" ? undefined : value.is;
  return { ...readListening(cursor, words), is: is ?? usual };
}

/** A text with the ids that its words stand for; `$value` stays where there is one. */
function filled(text: string, words: Words): string {
  return text.replace(/\$([a-z]+)/g, (whole, word: string) => words[word] ?? whole);
}

function filledAll(
  headers: Readonly<Record<string, string>>,
  inside: (text: string) => string,
): Record<string, string> {
  return Object.fromEntries(Object.entries(headers).map(([name, text]) => [name, inside(text)]));
}

/** A JSON value with the same done to every text in it. */
function within(json: unknown, inside: (text: string) => string): unknown {
  if (typeof json === "string") return inside(json);
  if (Array.isArray(json)) return json.map((each) => within(each, inside));
  if (typeof json !== "object" || json === null) return json;
  return Object.fromEntries(
    Object.entries(json).map(([key, value]) => [inside(key), within(value, inside)]),
  );
}
