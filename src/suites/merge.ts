import { WrongUse, madeOf } from "../source/wrong-use.ts";
import { type CaseResult, type SuiteResults, countResults } from "./results.ts";

/** A case of a suite that was run in one part of a run. */
interface Placed {
  suite: string;
  file: string;
  result: CaseResult;
}

/**
 * The results of all parts of a run as those of one: the same as if it had not been parted.
 *
 * @throws WrongUse when a part is missing or there twice.
 */
export function mergeResults(parts: readonly SuiteResults[]): SuiteResults {
  return madeOf("list of results", () => merge(parts));
}

function merge(parts: readonly SuiteResults[]): SuiteResults {
  const [first, ...others] = [...parts].sort((a, b) => (a.shard?.part ?? 0) - (b.shard?.part ?? 0));
  if (!first) throw new WrongUse("there are no results to merge");
  if (others.length === 0 && !first.shard) return first;
  const of = first.shard?.of ?? 0;
  const given = [first, ...others].map(({ shard }) => (shard?.of === of ? shard.part : 0));
  if (given.length !== of || given.some((part, index) => part !== index + 1)) {
    const told = given.map((part) => (part === 0 ? "one that is no part of them" : String(part)));
    throw new WrongUse(`these are not the parts 1 to ${of} of one run: ${told.join(", ")}`);
  }
  // Parts take cases in turn.
  const cases = [first, ...others].map(({ suites }) =>
    suites.flatMap(({ suite, file, cases: own }) =>
      own.map((result): Placed => ({ suite, file, result })),
    ),
  );
  const longest = Math.max(...cases.map(({ length }) => length));
  const suites = new Map<string, { suite: string; file: string; cases: CaseResult[] }>();
  for (let index = 0; index < longest; index++) {
    for (const part of cases) {
      const placed = part[index];
      if (!placed) continue;
      const { suite, file, result } = placed;
      const held = suites.get(file);
      if (held) held.cases.push(result);
      else suites.set(file, { suite, file, cases: [result] });
    }
  }
  return countResults([...suites.values()], first.problems);
}
