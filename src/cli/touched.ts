import { resolve } from "node:path";
import type { Position } from "../source/position.ts";
import { type SuiteResults, caseKey } from "../suites/results.ts";

/** What cases touched when they were run last, by which a change is told that is likely to touch them. */
export interface Touched {
  /** Keeps what the phrasebook of a home was made of. */
  keepSources: (home: string, sources: readonly { path: string; text: string }[]) => void;
  /** The homes whose phrasebooks a file is part of. */
  homesOf: (path: string) => readonly string[];
  /** Paths of all files of phrasebooks. */
  files: () => readonly string[];
  /** Keeps what took part in cases of suites, in place of what was known of them; of some of them, beside it. */
  keepCases: (
    suites: SuiteResults["suites"],
    places: ReadonlyMap<string, readonly Position[]>,
    run: "all" | "some",
  ) => void;
  /** Keys of all cases that are known. */
  all: () => readonly string[];
  /** Keys of those that a new text of a file is likely to touch; undefined where that cannot be told. */
  likely: (path: string, text: string) => ReadonlySet<string> | undefined;
}

interface Known {
  words: ReadonlySet<string>;
  places: ReadonlySet<string>;
}

export function createTouched(): Touched {
  const sources = new Map<string, { path: string; text: string; homes: Set<string> }>();
  /** By the file of their suite and their keys. */
  const suites = new Map<string, Map<string, Known>>();
  const known = (): [string, Known][] => [...suites.values()].flatMap((cases) => [...cases]);
  return {
    keepSources(home, read) {
      for (const { path, text } of read) {
        const whole = resolve(path);
        const homes = sources.get(whole)?.homes ?? new Set<string>();
        sources.set(whole, { path, text, homes: homes.add(home) });
      }
    },
    homesOf: (path) => [...(sources.get(resolve(path))?.homes ?? [])],
    files: () => [...sources.keys()],
    keepCases(results, places, run) {
      for (const { file, cases } of results) {
        const before = run === "some" ? suites.get(file) : undefined;
        const all = before ?? new Map<string, Known>();
        for (const each of cases) {
          const key = caseKey(each);
          const touched = (places.get(key) ?? []).map(({ file: of, line }) => `${of}:${line}`);
          all.set(key, { words: new Set(wordsIn(each.phrase)), places: new Set(touched) });
        }
        suites.set(file, all);
      }
    },
    all: () => known().map(([key]) => key),
    likely(path, text) {
      const before = sources.get(resolve(path));
      const change = before && changeOf(before.text, text);
      if (!change) return undefined;
      const touching = (lines: readonly number[]): Set<string> => {
        const places = lines.map((line) => `${before.path}:${line}`);
        const keys = known().flatMap(([key, each]) => {
          const isPlace = places.some((place) => each.places.has(place));
          return isPlace || change.words.some((word) => each.words.has(word)) ? key : [];
        });
        return new Set(keys);
      };
      const own = touching(change.lines);
      return own.size > 0 ? own : touching(change.entry);
    },
  };
}

/** The lines of what was changed, as they were numbered, and words that are in one text alone. */
interface Change {
  lines: readonly number[];
  /** The lines of the entry that they stand in. */
  entry: readonly number[];
  words: readonly string[];
}

/** What differs between texts, and the entry that it begins in; undefined where that is no entry of a section. */
function changeOf(before: string, after: string): Change | undefined {
  const [old, now] = [before.split("\n"), after.split("\n")];
  let first = 0;
  while (first < old.length && old[first] === now[first]) first++;
  let same = 0;
  const most = Math.min(old.length, now.length) - first;
  while (same < most && old[old.length - 1 - same] === now[now.length - 1 - same]) same++;
  const [gone, come] = [old.slice(first, old.length - same), now.slice(first, now.length - same)];
  const begin = entryAt(old, Math.min(first, old.length - 1));
  if (begin === undefined) return undefined;
  const indent = indentOf(old[begin] ?? "");
  let end = Math.max(begin + 1, old.length - same);
  while (end < old.length && (isEmpty(old[end]) || indentOf(old[end] ?? "") > indent)) end++;
  const from = (start: number, count: number): number[] =>
    Array.from({ length: count }, (_, index) => start + index + 1);
  const places = { lines: from(first, gone.length), entry: from(begin, end - begin) };
  const [had, has] = [gone, come].map((each) => new Set(wordsIn(each.join("\n"))));
  const words = [...(had ?? [])].filter((word) => !has?.has(word));
  return { ...places, words: [...words, ...[...(has ?? [])].filter((word) => !had?.has(word))] };
}

/** The line at which an entry of a section begins that a line belongs to; none for a section itself. */
function entryAt(lines: readonly string[], at: number): number | undefined {
  for (let line = at; line >= 0; line--) {
    const text = lines[line];
    if (isEmpty(text)) continue;
    const indent = indentOf(text ?? "");
    if (indent === 0) return undefined;
    if (indent <= 2) return line;
  }
  return undefined;
}

function isEmpty(line: string | undefined): boolean {
  return line === undefined || /^\s*(?:#|$)/u.test(line);
}

function indentOf(line: string): number {
  return line.length - line.trimStart().length;
}

function wordsIn(text: string): string[] {
  return text.toLowerCase().match(/[\p{L}\p{N}]+/gu) ?? [];
}
