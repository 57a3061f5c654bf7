import type { OrderMessage } from "calm-phrase";

/** What `$value` in a message stands for, in the form of who takes it, and `$tag` in one to people. */
export interface Filling {
  value?: unknown;
  tag?: string;
}

/** The text of a message with what its words stand for. */
export function bodyOf({ body }: Pick<OrderMessage, "body">, filling: Filling): string {
  return "text" in body
    ? filledText(body.text, filling)
    : JSON.stringify(filled(body.json, filling));
}

/** A text in which no word is looked for in what another stood for. */
function filledText(text: string, { value, tag }: Filling): string {
  return text.replace(/\$(?:value|tag)/g, (word) => asText(word === "$value" ? value : tag));
}

/** A value as the text that stands for it. */
export function asText(value: unknown): string {
  if (value === undefined) return "";
  return typeof value === "string" ? value : JSON.stringify(value);
}

/** A JSON value in which a word alone is what it stands for, and within texts its text. */
function filled(json: unknown, filling: Filling): unknown {
  if (json === "$value") return filling.value ?? null;
  if (json === "$tag") return filling.tag ?? null;
  if (typeof json === "string") return filledText(json, filling);
  if (Array.isArray(json)) return json.map((each) => filled(each, filling));
  if (typeof json !== "object" || json === null) return json;
  return Object.fromEntries(
    Object.entries(json).map(([key, each]) => [key, filled(each, filling)]),
  );
}
