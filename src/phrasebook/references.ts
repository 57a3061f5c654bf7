import { referencesOf } from "../pattern/references.ts";
import { patternSize } from "../pattern/size.ts";
import type { Pattern } from "../pattern/tree.ts";
import type { Position } from "../source/position.ts";
import type { Cursor } from "../document/cursor.ts";
import type { Fragment, SpokenPattern } from "../model/spoken.ts";

/** Names that fragments use and no fragment has are left to the intents, whose slots they may be. */
function fragmentUses(fragment: Fragment, fragments: ReadonlyMap<string, Fragment>): string[] {
  const names = fragment.patterns.flatMap(({ tree }) => referencesOf(tree)).map(({ name }) => name);
  return [...new Set(names)].filter((name) => fragments.has(name));
}

/**
 * Reports fragments that lead back to themselves and takes them out: a pattern is a finite piece
 * of writing, and recursion would ask for a pushdown automaton that no speech recogniser shares.
 */
export function breakCircles(cursor: Cursor<unknown>, fragments: Map<string, Fragment>): void {
  const done = new Set<string>();
  const visit = (name: string, trail: string[]): void => {
    const start = trail.indexOf(name);
    const fragment = fragments.get(name);
    if (start >= 0 && fragment) {
      const circle = [...trail.slice(start), name].map((each) => `$${each}`).join(" → ");
      const fix = "write out one of them so that the circle ends";
      const at = fragment.at;
      cursor.report("pattern-circle", `fragments go in a circle: ${circle}`, fix, { at });
      for (const each of trail.slice(start)) fragments.delete(each);
      return;
    }
    if (!fragment || done.has(name)) return;
    if (trail.length >= deepest) {
      const fix = "write some of them out where they are used";
      const message = `fragments refer to fragments more than ${deepest} deep`;
      cursor.report("pattern-size", message, fix, { at: fragment.at });
      fragments.delete(name);
      return;
    }
    for (const used of fragmentUses(fragment, fragments)) visit(used, [...trail, name]);
    done.add(name);
  };
  for (const name of [...fragments.keys()]) visit(name, []);
}

/** Deepest that fragments may refer to fragments. */
const deepest = 30;
/** Most places for a word in one pattern, its fragments written out and its repeats unrolled. */
const mostPlaces = 1000;

/** Reports patterns whose automaton would be too large, and leaves them out. */
export function dropTooLarge(
  cursor: Cursor<unknown>,
  patterns: readonly SpokenPattern[],
  fragments: ReadonlyMap<string, Fragment>,
  own: (name: string) => boolean,
): SpokenPattern[] {
  const sizes = new Map<string, Map<string, number>>();
  return patterns.filter((pattern) => {
    if (pattern.origin === "vocabulary") return true;
    const known = sizes.get(pattern.language) ?? new Map<string, number>();
    sizes.set(pattern.language, known);
    const resolve = (name: string): Pattern | undefined =>
      own(name) ? undefined : fragmentTree(fragments.get(name), pattern.language);
    if (patternSize(pattern.tree, resolve, known) <= mostPlaces) return true;
    const message = `written out, the pattern has more than ${mostPlaces} places for a word`;
    const fix = "repeat less, or split it into several patterns";
    cursor.report("pattern-size", message, fix, { at: pattern.at });
    return false;
  });
}

/** What a fragment stands for in a language: its patterns there as alternatives. */
export function fragmentTree(
  fragment: Fragment | undefined,
  language: string,
): Pattern | undefined {
  const trees = (fragment?.patterns ?? [])
    .filter((pattern) => pattern.language === language)
    .map(({ tree }) => tree);
  const [only] = trees;
  if (!only || trees.length === 1) return only;
  return { type: "choice", options: trees.map((pattern) => ({ pattern })), span: only.span };
}

/** Names that a pattern reaches through fragments and that are not fragments: its slots. */
export function slotsReached(
  patterns: readonly SpokenPattern[],
  fragments: ReadonlyMap<string, Fragment>,
  own: (name: string) => boolean,
): Map<string, { pattern: SpokenPattern; offset: number; direct: boolean }> {
  const reached = new Map<string, { pattern: SpokenPattern; offset: number; direct: boolean }>();
  const seen = new Set<string>();
  const visit = (pattern: SpokenPattern, top: SpokenPattern, direct: boolean): void => {
    for (const { name, span } of referencesOf(pattern.tree)) {
      const fragment = own(name) ? undefined : fragments.get(name);
      if (!fragment) {
        if (!reached.has(name)) reached.set(name, { pattern: top, offset: span[0], direct });
      } else if (!seen.has(name)) {
        seen.add(name);
        for (const inner of fragment.patterns) visit(inner, top, false);
      }
    }
  };
  for (const pattern of patterns) visit(pattern, pattern, true);
  return reached;
}

/** Where a character of a pattern stands, given where its text starts. */
export function offsetPosition(at: Position, offset: number): Position {
  return at.line === 0 ? at : { ...at, column: at.column + offset };
}
