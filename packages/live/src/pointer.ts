/**
 * What stands at a JSON Pointer in a JSON value (RFC 6901, section 4); undefined where nothing does.
 *
 * @param pointer Empty for the whole.
 */
export function atPointer(value: unknown, pointer: string): unknown {
  if (pointer === "") return value;
  let found = value;
  for (const part of pointer.slice(1).split("/")) {
    const key = part.replaceAll("~1", "/").replaceAll("~0", "~");
    if (typeof found !== "object" || found === null || !Object.hasOwn(found, key)) return undefined;
    found = Reflect.get(found, key);
  }
  return found;
}

/** A text as the JSON value that it is, or as the text itself. */
export function jsonOrText(text: string): unknown {
  try {
    const value: unknown = JSON.parse(text);
    return value;
  } catch {
    return text;
  }
}
