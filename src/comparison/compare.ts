import { madeOf } from "../source/wrong-use.ts";
import type { CaseRecord, HomeRecord, RunRecord } from "./record.ts";

/** Raised when the JSON form of comparisons changes in a way that a reader must know of. */
export const comparisonVersion = 1;

/** What is otherwise than it was, in one home or in several. */
export interface Comparison {
  version: typeof comparisonVersion;
  homes: readonly HomeComparison[];
}

export interface HomeComparison {
  home: string;
  /** Cases that came to just the same. */
  same: number;
  changes: readonly CaseChange[];
}

/** What changed most about a case, the gravest first. */
export const changeSorts = [
  "fails",
  "passes",
  "verdict",
  "deed",
  "way",
  "reply",
  "timing",
  "new",
  "gone",
] as const;

/**
 * - `fails`: it did not fail, and does now; `passes`: it failed, and passes now
 * - `verdict`: it counts otherwise: it is left out now, or has to fail
 * - `deed`: it comes to something else
 * - `way`: it comes to the same by another intent or pattern
 * - `reply`: it is answered in other words
 * - `timing`: the same is done at other times, or in another order
 * - `new`: there was no such case; `gone`: there is none any more
 */
export type ChangeSort = (typeof changeSorts)[number];

/** A case that is not as it was. */
export interface CaseChange {
  sort: ChangeSort;
  /** All that differs, of what is told of a case. */
  differs: readonly ChangeSort[];
  before?: CaseRecord;
  after?: CaseRecord;
}

/**
 * Tells what is otherwise in records than it was in earlier ones. Homes belong together by their
 * names, one and one whatever they are called, and cases by their suites, names, phrases, languages
 * and voicepoints, wherever they stand.
 */
export function compareRecords(before: RunRecord, after: RunRecord): Comparison {
  return madeOf("record", () => {
    const homes = pairs(before.homes, after.homes).map(([was, is]) => compareHome(was, is));
    return { version: comparisonVersion, homes };
  });
}

type Pair<T> = readonly [T | undefined, T | undefined];

function pairs(before: readonly HomeRecord[], after: readonly HomeRecord[]): Pair<HomeRecord>[] {
  if (before.length === 1 && after.length === 1) return [[before[0], after[0]]];
  return pairBy(before, after, ({ home }) => home);
}

/** What belongs together: in the order of what is there now, then what is gone. */
function pairBy<T>(before: readonly T[], after: readonly T[], keyOf: (of: T) => string): Pair<T>[] {
  const left = keyed(before, keyOf);
  const paired = [...keyed(after, keyOf)].map(([key, is]): Pair<T> => {
    const was = left.get(key);
    left.delete(key);
    return [was, is];
  });
  return [...paired, ...[...left.values()].map((was): Pair<T> => [was, undefined])];
}

/** By their keys; of several that are alike, each further one has its number in its key. */
function keyed<T>(all: readonly T[], keyOf: (of: T) => string): Map<string, T> {
  const counts = new Map<string, number>();
  return new Map(
    all.map((each) => {
      const key = keyOf(each);
      const count = (counts.get(key) ?? 0) + 1;
      counts.set(key, count);
      return [count === 1 ? key : `${key} ${count}`, each];
    }),
  );
}

/** What tells a case from others in another version, where it may stand elsewhere. */
function keyOfCase({ suite, name = "", phrase, language, at = "" }: CaseRecord): string {
  return JSON.stringify([suite, name, phrase, language, at]);
}

function compareHome(
  before: HomeRecord | undefined,
  after: HomeRecord | undefined,
): HomeComparison {
  const changes: CaseChange[] = [];
  let same = 0;
  for (const [was, is] of pairBy(before?.cases ?? [], after?.cases ?? [], keyOfCase)) {
    const change = changeOf(was, is);
    if (change) changes.push(change);
    else same++;
  }
  const order = (change: CaseChange): number => changeSorts.indexOf(change.sort);
  changes.sort((a, b) => order(a) - order(b));
  return { home: (after ?? before)?.home ?? ".", same, changes };
}

function changeOf(
  before: CaseRecord | undefined,
  after: CaseRecord | undefined,
): CaseChange | undefined {
  if (!before) return after && { sort: "new", differs: ["new"], after };
  if (!after) return { sort: "gone", differs: ["gone"], before };
  const differs = differencesOf(before, after);
  const [sort] = differs;
  return sort && { sort, differs, before, after };
}

/** All that differs between two records of a case, in the order of `changeSorts`. */
function differencesOf(before: CaseRecord, after: CaseRecord): ChangeSort[] {
  const [was, is] = [before.verdict, after.verdict];
  const differs: ChangeSort[] = [];
  if (was !== is) {
    differs.push(
      is === "failed" ? "fails" : was === "failed" && is === "passed" ? "passes" : "verdict",
    );
  }
  // What was not run came to nothing that could be compared.
  if (was === "skipped" || is === "skipped") return differs;
  const isDone = isSame(deedsOf(before).sort(), deedsOf(after).sort());
  if (!isDone) differs.push("deed");
  if (!isSame(before.ways, after.ways)) differs.push("way");
  if (!isSame(before.replies, after.replies)) differs.push("reply");
  if (isDone && !isSame(timesOf(before), timesOf(after))) differs.push("timing");
  return differs;
}

function deedsOf({ deeds }: CaseRecord): string[] {
  return deeds.map(({ what }) => what);
}

function timesOf({ deeds }: CaseRecord): string[] {
  return deeds.map(({ time, what }) => `${time} ${what}`);
}

function isSame(one: readonly string[], other: readonly string[]): boolean {
  return one.length === other.length && one.every((each, index) => each === other[index]);
}
