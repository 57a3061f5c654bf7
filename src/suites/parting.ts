import type { SourceText } from "../document/document.ts";
import { type SuiteResult, type SuiteResults, countResults } from "./results.ts";

/** Which of the cases of a suite are read, as they stand in it: from a share of them to another, 0 to 1. */
export interface Share {
  from: number;
  to: number;
}

/** Some of what is to be run: the sources that it takes, and which cases of each. */
export interface RunPart {
  sources: readonly SourceText[];
  shares: ReadonlyMap<string, Share>;
}

/**
 * Parts what is to be run by the length of its text, so that each part reads what it runs and little
 * more: whole suites, and of those at its ends some of their cases.
 */
export function partSuites(sources: readonly SourceText[], part: number, of: number): RunPart {
  const isTable = ({ path }: SourceText): boolean => /\.csv$/iu.test(path);
  const total = sources.reduce((sum, each) => sum + (isTable(each) ? 0 : each.text.length), 0);
  const [begin, end] = [(total * (part - 1)) / of, (total * part) / of];
  const shares = new Map<string, Share>();
  const own: SourceText[] = [];
  let start = 0;
  for (const source of sources) {
    if (isTable(source)) {
      own.push(source);
      continue;
    }
    const { path, text } = source;
    // What is empty has to be told of once.
    const length = Math.max(1, text.length);
    const share = { from: within((begin - start) / length), to: within((end - start) / length) };
    start += text.length;
    shares.set(path, share);
    // A setup may stand in any suite.
    if (share.from < share.to || /\bsetups\b/u.test(text)) own.push(source);
  }
  return { sources: own, shares };
}

function within(share: number): number {
  return Math.min(1, Math.max(0, share));
}

/** Results of the parts of a run, in their order, as those of one. */
export function joinParts(parts: readonly SuiteResults[]): SuiteResults {
  const suites = new Map<string, SuiteResult>();
  for (const each of parts.flatMap((part) => part.suites)) {
    const before = suites.get(each.file);
    suites.set(each.file, before ? { ...each, cases: [...before.cases, ...each.cases] } : each);
  }
  const problems = new Map(
    parts.flatMap((part) => part.problems.map((each) => [JSON.stringify(each), each] as const)),
  );
  return countResults([...suites.values()], [...problems.values()]);
}
