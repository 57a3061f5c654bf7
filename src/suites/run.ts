import { type Book, asBook } from "../book/book.ts";
import { membersOf } from "../source/border.ts";
import { WrongUse } from "../source/wrong-use.ts";
import { type Suites, asSuites } from "./read.ts";
import { type CaseResult, type SuiteResults, countResults } from "./results.ts";
import { type CaseRun, type HomeMaker, runCase } from "./run-case.ts";
import { type Selection, chooseCases, readSelection } from "./select.ts";
import { shuffled } from "./shuffle.ts";
import type { Case, UnreadCase } from "./suite.ts";

export interface RunOptions extends Selection {
  /** Cases that fail before the run ends; all are run when left out. */
  bail?: number;
  /** Runs the cases in an order drawn from this seed; what they come to is told in the order written. */
  shuffle?: number;
  /**
   * Makes the home of each case, in place of a simulated one: one of an application's own, whose calls
   * end at once.
   */
  homes?: HomeMaker;
  /** Told after each case, which came to what. */
  onCase?: (result: CaseResult, done: number, all: number) => void;
}

/**
 * Runs suites. Every case starts from a fresh home, so that any order comes to the same.
 *
 * @throws WrongUse for suites that `readSuites` did not read with this phrasebook, and for options that
 * cannot be meant.
 */
export function runSuites(of: Book, read: Suites, options: RunOptions = {}): SuiteResults {
  const book = asBook(of);
  return runObserved({ book, heard: book }, read, options);
}

/** A phrasebook whose suites are run, and who looks on. */
export interface Observed {
  /** The one that suites were read with. */
  book: Book;
  /** The same, with a witness. */
  heard: Book;
  /** Told after each case, in the order run. */
  onRun?: (each: Case | UnreadCase, run: CaseRun) => void;
}

/** Runs suites of a phrasebook while somebody looks on. */
export function runObserved(
  { book, heard, onRun }: Observed,
  read: Suites,
  options: RunOptions,
): SuiteResults {
  const { suites, problems } = asSuites(book, read);
  const { bail, shuffle, onCase, homes } = membersOf(options);
  if (homes !== undefined && typeof homes !== "function") {
    throw new WrongUse("homes is a function that makes the home of a case", "wrong-option");
  }
  const tell = typeof onCase === "function" ? onCase : undefined;
  const most = countOf("bail", bail, 1) ?? Infinity;
  const seed = countOf("shuffle", shuffle, 0);
  const selection = readSelection(options);
  const chosen = chooseCases(suites, selection);
  const order = seed === undefined ? chosen.cases : shuffled(chosen.cases, seed);
  const results = new Map<Case | UnreadCase, CaseResult>();
  let failed = 0;
  for (const each of order) {
    if (failed >= most) break;
    const run = runCase(heard, each, homes === undefined ? undefined : options.homes);
    const { result } = run;
    onRun?.(each, run);
    results.set(each, result);
    if (!result.passed) failed++;
    if (tell) Reflect.apply(tell, undefined, [result, results.size, order.length]);
  }
  const each = chosen.suites.map(({ suite, cases }) => ({
    suite: suite.name,
    file: suite.file,
    cases: cases.flatMap((one) => results.get(one) ?? []),
  }));
  const { shard } = selection;
  return { ...countResults(each, problems), ...(shard && { shard }) };
}

function countOf(name: string, given: unknown, least: number): number | undefined {
  if (given === undefined) return undefined;
  if (typeof given === "number" && Number.isInteger(given) && given >= least) return given;
  throw new WrongUse(`${name} is a whole number, ${least} or more`);
}
