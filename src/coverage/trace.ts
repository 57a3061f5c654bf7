import { type Book, asBook, watched } from "../book/book.ts";
import type { Witness } from "../model/witness.ts";
import { given } from "../source/given.ts";
import type { Suites } from "../suites/read.ts";
import type { CaseResult, SuiteResults } from "../suites/results.ts";
import type { CaseRun } from "../suites/run-case.ts";
import { type RunOptions, runObserved } from "../suites/run.ts";
import type { Case, UnreadCase } from "../suites/suite.ts";
import { mendOf } from "./mends.ts";
import type { Part } from "./parts.ts";
import { createSuspecting } from "./suspects.ts";
import { createTracer } from "./tracer.ts";

/** Failures for which a change is looked for that would mend them. */
const mostMended = 100;

/**
 * Runs suites, and tells for each case that fails where in the phrasebook it may come from: what took
 * part in cases that fail and in few that pass, what was to do what did not happen, and what is
 * nearest to words that nothing understood.
 *
 * @throws WrongUse as `runSuites` does.
 */
export function traceSuites(of: Book, suites: Suites, options: RunOptions = {}): SuiteResults {
  return traceWith(asBook(of), suites, options, {});
}

/** Who else is told what comes to be used, and what took part in each case. */
export interface TraceWatch {
  also?: Witness;
  onTouched?: (result: CaseResult, parts: ReadonlySet<Part>) => void;
}

/** The same, where somebody else looks on. */
export function traceWith(
  book: Book,
  suites: Suites,
  options: RunOptions,
  { also, onTouched }: TraceWatch,
): SuiteResults {
  const tracer = createTracer(book);
  const heard = watched(book, also ? both(tracer.witness, also) : tracer.witness);
  const failed = new Map<CaseRun["result"], Failed>();
  const results = runObserved({ book, heard, onRun: observe }, suites, options);
  function observe(each: Case | UnreadCase, { result }: CaseRun): void {
    const touched = tracer.take(result.passed);
    onTouched?.(result, touched);
    if (!result.passed) failed.set(result, { each, touched });
  }
  const suspectsOf = createSuspecting(book, tracer);
  let mended = 0;
  return {
    ...results,
    suites: results.suites.map((suite) => ({
      ...suite,
      cases: suite.cases.map((result) => {
        const known = failed.get(result);
        if (result.passed || !known) return result;
        const { each, touched } = known;
        const isMended = "problem" in each || mended >= mostMended;
        if (!isMended) mended++;
        return {
          ...result,
          suspects: suspectsOf(result, touched),
          ...given({ mend: isMended ? undefined : mendOf(book, each, result, touched) }),
        };
      }),
    })),
  };
}

/** A case that failed, and what took part in it. */
interface Failed {
  each: Case | UnreadCase;
  touched: ReadonlySet<Part>;
}

function both(one: Witness, other: Witness): Witness {
  return {
    used(part, way) {
      one.used(part, way);
      other.used(part, way);
    },
    said(pattern, leaves) {
      one.said(pattern, leaves);
      other.said(pattern, leaves);
    },
  };
}
