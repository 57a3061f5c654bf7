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
  /** The worst of its cases, and more the more there are: what is said more often is misheard more often. */
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
      const { spoken: one, taken: other } = taken.differs;
      const key = JSON.stringify([mishearing.spoken.language, one, other]);
      const group = groups.get(key);
      const each = { mishearing, taken };
      if (group) group.push(each);
      else groups.set(key, [each]);
    }
  }
  /** How many of the phrases of a language have a number that may be taken for another. */
  const sayNumbers = new Map<string, number>();
  for (const { spoken, taken } of mishearings) {
    if (!taken.some(({ isOfNumber }) => isOfNumber)) continue;
    sayNumbers.set(spoken.language, (sayNumbers.get(spoken.language) ?? 0) + 1);
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
      const { verdict, distance, why, differs } = of;
      const { language } = mishearing.spoken;
      // A suite says few of the numbers that people do.
      const said = of.isOfNumber ? (sayNumbers.get(language) ?? 0) : 0;
      const count = Math.max(cases.length, said);
      const risk = of.risk * (1 + Math.log(count) / 2);
      return [{ ...differs, language, verdict, distance, risk, ...given({ why }), cases }];
    })
    .sort((one, other) => other.risk - one.risk);
}

function partsOf(key: string): [language: string, spoken: string, taken: string] {
  const parts: unknown = JSON.parse(key);
  const [language = "", spoken = "", taken = ""] = textsOf(parts);
  return [language, spoken, taken];
}
