import type { OrderMessage } from "calm-phrase";

/** The text of a message, with a value in the device's own form in it. */
export function bodyOf({ body }: Pick<OrderMessage, "body">, value: unknown): string {
  if ("text" in body) {
    return body.text.replaceAll("$value", () => asText(value));
  }
  return JSON.stringify(withValue(body.json, value));
}

function asText(value: unknown): string {
  if (value === undefined) return "";
  return typeof value === "string" ? value : JSON.stringify(value);
}

/** A JSON value in which `$value` is a value, and stands for it within texts. */
function withValue(json: unknown, value: unknown): unknown {
  if (json === "$value") return value ?? null;
  if (typeof json === "string") return json.replaceAll("$value", () => asText(value));
  if (Array.isArray(json)) return json.map((each) => withValue(each, value));
  if (typeof json !== "object" || json === null) return json;
  return Object.fromEntries(
    Object.entries(json).map(([key, each]) => [key, withValue(each, value)]),
  );
}
