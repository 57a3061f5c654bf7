import type { Path } from "./document.ts";

/** What stands at a path in plain data; undefined where nothing does. */
export function valueAt(root: unknown, path: Path): unknown {
  let value = root;
  for (const key of path) {
    if (typeof value !== "object" || value === null || !Object.hasOwn(value, key)) return undefined;
    value = Reflect.get(value, key);
  }
  return value;
}
