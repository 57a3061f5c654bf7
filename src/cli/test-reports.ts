import { lcovReport } from "../reports/lcov.ts";
import { type Painted, reportResults } from "../reports/index.ts";
import type { Paint } from "../reports/paint.ts";
import type { ResultsTelling } from "../reports/failure.ts";
import { printCounts, printResults } from "../reports/results.ts";
import type { Finding } from "../source/finding.ts";
import type { SuiteResults } from "../suites/results.ts";
import { writeOut } from "./files.ts";
import type { ReportForm } from "./values.ts";

/** What testing one home came to. */
export interface HomeResults {
  home: string;
  results: SuiteResults;
  /** What the cases touched, and the files to paint it on. */
  painted?: Painted;
  /** What is wrong with its phrasebook. */
  problems: readonly Finding[];
}

/** A report that is asked for, and the file that it goes to. */
export interface ReportWanted {
  form: ReportForm;
  path: string;
}

function written(form: ReportForm, results: SuiteResults, painted: readonly Painted[]): string {
  if (form === "json") return `${JSON.stringify(results, null, 2)}\n`;
  if (form === "lcov") {
    return lcovReport({ parts: painted.flatMap(({ coverage }) => coverage.parts) });
  }
  return reportResults(form, results, painted);
}

/** Writes each report that is asked for. */
export async function writeReports(
  wanted: readonly ReportWanted[],
  results: SuiteResults,
  painted: readonly Painted[],
): Promise<void> {
  for (const { form, path } of wanted) {
    await writeOut(path, written(form, results, painted));
  }
}

/** What homes came to: one in full, many with a line each and their failures after it. */
export function printHomes(
  { tested, results: all }: { tested: readonly HomeResults[]; results: SuiteResults },
  paint: Paint,
  telling: ResultsTelling,
): string {
  const [only, more] = tested;
  if (only && !more) return printResults(only.results, paint, telling);
  const width = Math.max(...tested.map(({ home }) => home.length));
  const lines = tested.map(({ home, results, problems }) => {
    const isBroken = problems.some(({ severity }) => severity === "error");
    const isBad = results.failed > 0 || isBroken;
    const mark = isBad ? paint.bad("✗") : paint.good("✓");
    const broken = isBroken ? paint.bad(", and its phrasebook has errors") : "";
    return `${mark} ${paint.strong(home.padEnd(width))}  ${printCounts(results, paint)}${broken}`;
  });
  const failures = tested
    .filter(({ results }) => results.failed > 0 || results.problems.length > 0)
    .flatMap(({ home, results }) => [
      "",
      paint.strong(home),
      printResults(results, paint, telling),
    ]);
  return [...lines, ...failures, "", `${tested.length} homes: ${printCounts(all, paint)}`].join(
    "\n",
  );
}
