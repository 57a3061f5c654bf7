import { membersOf, textsOf } from "../source/border.ts";
import { WrongUse } from "../source/wrong-use.ts";
import { caseKey } from "./results.ts";
import type { Case, Suite, UnreadCase } from "./suite.ts";

/** Which cases of suites are meant; all where nothing is told. */
export interface Selection {
  /** Parts of names of suites or cases, in any case: each case that has one of them. */
  only?: readonly string[];
  /** Tags of which a case has one. */
  tags?: readonly string[];
  /** Languages, as `de` or `de-DE`. */
  languages?: readonly string[];
  /** Keys of cases, as `caseKey` makes them. */
  keys?: readonly string[];
  /** One part of all: `{ part: 2, of: 4 }`. */
  shard?: { part: number; of: number };
}

/** The cases that are meant, in the order written. */
export interface Choice {
  suites: readonly { suite: Suite; cases: Suite["cases"] }[];
  cases: Suite["cases"];
}

/**
 * A selection as somebody passes it who need not have read its type.
 *
 * @throws WrongUse for a part that there is not.
 */
export function readSelection(given: unknown): Selection {
  const { only, tags, languages, keys, shard } = membersOf(given);
  const selection: Selection = {};
  if (only !== undefined) selection.only = textsOf(only);
  if (tags !== undefined) selection.tags = textsOf(tags);
  if (languages !== undefined) selection.languages = textsOf(languages);
  if (keys !== undefined) selection.keys = textsOf(keys);
  if (shard !== undefined) {
    const { part, of } = membersOf(shard);
    if (!isCount(part) || !isCount(of) || part > of) {
      throw new WrongUse("shard is one part of some: { part: 1, of: 4 }");
    }
    selection.shard = { part, of };
  }
  return selection;
}

function isCount(value: unknown): value is number {
  return typeof value === "number" && Number.isInteger(value) && value > 0;
}

/** Chooses cases; what cannot be read is always among them, since nobody knows what it was to be. */
export function chooseCases(suites: readonly Suite[], selection: Selection): Choice {
  const isMeant = createTest(selection);
  const { shard } = selection;
  let place = 0;
  const chosen = suites.map((suite) => {
    const cases = suite.cases.filter((each) => isMeant(suite, each));
    const own = cases.filter(() => !shard || place++ % shard.of === shard.part - 1);
    return { suite, cases: own };
  });
  const kept = chosen.filter(({ cases }) => cases.length > 0);
  return { suites: kept, cases: kept.flatMap(({ cases }) => cases) };
}

function createTest({
  only,
  tags,
  languages,
  keys,
}: Selection): (suite: Suite, each: Case | UnreadCase) => boolean {
  const parts = only?.map((part) => part.toLowerCase());
  const known = keys && new Set(keys);
  const isNamed = (name: string): boolean =>
    parts?.some((part) => name.toLowerCase().includes(part)) ?? true;
  return (suite, each) => {
    if ("problem" in each) return isNamed(suite.name);
    if (!isNamed(suite.name) && !isNamed(each.name ?? "")) return false;
    if (tags && !tags.some((tag) => each.tags?.includes(tag))) return false;
    const isSpoken = (tag: string): boolean =>
      each.language.toLowerCase() === tag.toLowerCase() ||
      each.language.toLowerCase().startsWith(`${tag.toLowerCase()}-`);
    if (languages && !languages.some(isSpoken)) return false;
    return known === undefined || known.has(caseKey(each));
  };
}
