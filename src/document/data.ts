import type { Path } from "./document.ts";

/** A copy of data in which what is at a path is otherwise: `change` makes the parent anew. */
function copied(
  value: unknown,
  path: Path,
  change: (entries: [string, unknown][], key: string) => [string, unknown][],
): unknown {
  const [key, ...rest] = path;
  if (typeof value !== "object" || value === null || key === undefined) return value;
  const entries = Object.entries(value).map(([name, each]): [string, unknown] => [name, each]);
  const next =
    rest.length === 0
      ? change(entries, String(key))
      : entries.map(([name, each]): [string, unknown] => [
          name,
          name === String(key) ? copied(each, rest, change) : each,
        ]);
  return Array.isArray(value) ? next.map(([, each]) => each) : Object.fromEntries(next);
}

/** A copy of data without what is at a path. */
export function without(value: unknown, path: Path): unknown {
  return copied(value, path, (entries, key) => entries.filter(([name]) => name !== key));
}

/** A copy of data in which the key at the end of a path is another. */
export function renamed(value: unknown, path: Path, to: string): unknown {
  return copied(value, path, (entries, key) =>
    entries.map(([name, each]) => [name === key ? to : name, each]),
  );
}

/** A copy of data with something else at a path. */
export function replaced(value: unknown, path: Path, by: unknown): unknown {
  if (path.length === 0) return by;
  return copied(value, path, (entries, key) =>
    entries.map(([name, each]) => [name, name === key ? by : each]),
  );
}

/** Whether two values say the same, in whatever order their keys are; nothing is null. */
export function sameData(one: unknown, other: unknown): boolean {
  return JSON.stringify(sorted(one)) === JSON.stringify(sorted(other));
}

function sorted(value: unknown): unknown {
  if (Array.isArray(value)) return value.map(sorted);
  if (typeof value !== "object" || value === null) return value ?? null;
  const entries = Object.entries(value).map(([key, each]: [string, unknown]) => {
    return [key, sorted(each)] as const;
  });
  return Object.fromEntries(entries.sort(([a], [b]) => (a < b ? -1 : 1)));
}
