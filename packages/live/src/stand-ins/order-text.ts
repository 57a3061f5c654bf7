import type { OrderMessage } from "calm-phrase";
import { jsonOrText } from "../pointer.ts";

/** The value in a message that was written by its body; undefined where there is none. */
export function valueIn(body: OrderMessage["body"], text: string): unknown {
  if ("text" in body) {
    const [before = "", after = ""] = body.text.split("$value");
    if (!text.startsWith(before) || !text.endsWith(after)) return undefined;
    return jsonOrText(text.slice(before.length, text.length - after.length));
  }
  return within(body.json, jsonOrText(text));
}

function within(written: unknown, told: unknown): unknown {
  if (written === "$value") return told;
  if (typeof written === "string" && typeof told === "string" && written.includes("$value")) {
    return valueIn({ text: written }, told);
  }
  if (typeof written !== "object" || written === null) return undefined;
  if (typeof told !== "object" || told === null) return undefined;
  for (const [key, part] of Object.entries(written)) {
    const found = within(part, Reflect.get(told, key));
    if (found !== undefined) return found;
  }
  return undefined;
}
