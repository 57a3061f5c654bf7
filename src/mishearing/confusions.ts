import { textsOf } from "../source/border.ts";
import { given } from "../source/given.ts";
import { madeOf } from "../source/wrong-use.ts";
import type { Mishearing, TakenFor } from "./mishearings.ts";

/** Words that are taken for others, in however many phrases. */
export interface Confusion {
  /** The words in which the phrases differ; empty where words are only lost or made up. */
  spoken: string;
  taken: string;
  language: string;
  /** The worst that comes of it, and how near that is. */
  verdict: TakenFor["verdict"];
  distance: number;
  risk: number;
  why?: string;
  /** The phrases in which it happens, the worst first. */
  cases: readonly { mishearing: Mishearing; taken: TakenFor }[];
}

/** Puts together what is confused in the same words, the worst first. */
export function confusionsIn(mishearings: readonly Mishearing[]): Confusion[] {
  return madeOf("list of what is misheard", () => gather(mishearings));
}

function gather(mishearings: readonly Mishearing[]): Confusion[] {
  const groups = new Map<string, Confusion["cases"][number][]>();
  for (const mishearing of mishearings) {
    for (const taken of mishearing.taken) {
      const [one, other] = difference(mishearing.spoken.words, taken.phrase);
      const key = JSON.stringify([mishearing.spoken.language, one, other]);
      const group = groups.get(key);
      const each = { mishearing, taken };
      if (group) group.push(each);
      else groups.set(key, [each]);
    }
  }
  // What is two confusions at once says nothing new.
  const isJoint = (key: string): boolean => {
    const [language, one, other] = partsOf(key);
    const [spoken, taken] = [one.split(" … "), other.split(" … ")];
    return (
      spoken.length > 1 &&
      spoken.every((part, at) => groups.has(JSON.stringify([language, part, taken[at] ?? ""])))
    );
  };
  const single = [...groups].flatMap(([key, group]) => (isJoint(key) ? [] : [group]));
  return single
    .flatMap((group): Confusion[] => {
      const cases = group.sort((one, other) => other.taken.risk - one.taken.risk);
      const [worst] = cases;
      if (!worst) return [];
      const { mishearing, taken: of } = worst;
      const [spoken, taken] = difference(mishearing.spoken.words, of.phrase);
      const { verdict, distance, risk, why } = of;
      const { language } = mishearing.spoken;
      return [{ spoken, taken, language, verdict, distance, risk, ...given({ why }), cases }];
    })
    .sort((one, other) => other.risk - one.risk || other.cases.length - one.cases.length);
}

function partsOf(key: string): [language: string, spoken: string, taken: string] {
  const parts: unknown = JSON.parse(key);
  const [language = "", spoken = "", taken = ""] = textsOf(parts);
  return [language, spoken, taken];
}

/** The words in which two phrases differ, those at several places apart by "…". */
export function difference(one: string, other: string): [string, string] {
  const [first, second] = [one.split(" "), other.split(" ")];
  const parts: [string[], string[]][] = [[[], []]];
  let [i, j] = [0, 0];
  for (const [at, to] of commonWords(first, second)) {
    parts.at(-1)?.[0].push(...first.slice(i, at));
    parts.at(-1)?.[1].push(...second.slice(j, to));
    [i, j] = [at + 1, to + 1];
    if (parts.at(-1)?.some((words) => words.length > 0)) parts.push([[], []]);
  }
  parts.at(-1)?.[0].push(...first.slice(i));
  parts.at(-1)?.[1].push(...second.slice(j));
  // "pm" and "p m" are no difference to the ear.
  const told = parts.filter(([some, others]) => some.join("") !== others.join(""));
  const joined = (side: 0 | 1): string => told.map((part) => part[side].join(" ")).join(" … ");
  return [joined(0), joined(1)];
}

/** Indexes of the words of a longest common subsequence (J. W. Hunt and M. D. McIlroy, 1976). */
function commonWords(first: readonly string[], second: readonly string[]): [number, number][] {
  const lengths = Array.from({ length: first.length + 1 }, () =>
    new Array<number>(second.length + 1).fill(0),
  );
  const at = (i: number, j: number): number => lengths[i]?.[j] ?? 0;
  for (let i = first.length - 1; i >= 0; i--) {
    for (let j = second.length - 1; j >= 0; j--) {
      const row = lengths[i];
      if (!row) continue;
      row[j] = first[i] === second[j] ? at(i + 1, j + 1) + 1 : Math.max(at(i + 1, j), at(i, j + 1));
    }
  }
  const common: [number, number][] = [];
  for (let i = 0, j = 0; i < first.length && j < second.length;) {
    if (first[i] === second[j]) common.push([i++, j++]);
    else if (at(i + 1, j) >= at(i, j + 1)) i++;
    else j++;
  }
  return common;
}
