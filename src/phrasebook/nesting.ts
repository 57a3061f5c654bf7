import type { Position } from "../source/position.ts";
import type { Cursor } from "../document/cursor.ts";

/** Deepest that things of a sort may hold things of their sort. */
const deepest = 30;

/** Something that holds things of its own sort, and others. */
export interface Nest {
  at: Position;
  /** Ids of the things of its sort that it holds. */
  inner: readonly string[];
  /** What else it holds. */
  own: readonly string[];
}

/**
 * What each thing holds once the things in it are opened up, each once. A thing that holds itself,
 * by whatever way, or that is nested too deep, is reported with the way and left out.
 *
 * @param what What the things are called, in the plural.
 */
export function openNests(
  cursor: Cursor<unknown>,
  what: string,
  nests: ReadonlyMap<string, Nest>,
  fix: string,
): Map<string, readonly string[]> {
  const opened = new Map<string, readonly string[]>();
  const broken = new Set<string>();
  const open = (id: string, trail: readonly string[]): readonly string[] => {
    const nest = nests.get(id);
    const known = opened.get(id);
    if (!nest || known || broken.has(id)) return known ?? [];
    const start = trail.indexOf(id);
    if (start >= 0) {
      const way = [...trail.slice(start), id].join(" → ");
      const rule = `${what.slice(0, -1)}-circle`;
      cursor.report(rule, `${what} go in a circle: ${way}`, fix, { at: nest.at });
      for (const each of trail.slice(start)) broken.add(each);
      return [];
    }
    if (trail.length >= deepest) {
      const message = `${what} hold ${what} more than ${deepest} deep`;
      cursor.report(`${what.slice(0, -1)}-depth`, message, fix, { at: nest.at });
      broken.add(id);
      return [];
    }
    const all = new Set(nest.own);
    for (const inner of nest.inner) for (const each of open(inner, [...trail, id])) all.add(each);
    if (!broken.has(id)) opened.set(id, [...all]);
    return [...all];
  };
  for (const id of nests.keys()) open(id, []);
  return opened;
}
