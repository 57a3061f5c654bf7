import { printPosition } from "../source/position.ts";
import type { CaseFailed, CaseResult, SuiteResult, SuiteResults } from "../suites/results.ts";
import { type ResultsTelling, printFailure } from "./failure.ts";
import { countFindings, printFindings } from "./findings.ts";
import type { Paint } from "./paint.ts";

/** Results of suites for a terminal: a line for each suite, and all about each failure. */
export function printResults(
  results: SuiteResults,
  paint: Paint,
  telling: ResultsTelling = {},
): string {
  const { suites, problems } = results;
  const lines: string[] = [];
  if (problems.length > 0) {
    lines.push(printFindings(problems, paint), "", countFindings(problems), "");
  }
  for (const suite of suites) {
    lines.push(printSuite(suite, paint));
    for (const each of suite.cases) {
      const told = each.passed ? printCounted(each, paint) : failureLines(each, paint, telling);
      lines.push(...told);
    }
  }
  lines.push("", printCounts(results, paint));
  return lines.join("\n");
}

/** How many cases came to what. */
export function printCounts(
  { passed, failed, skipped, failing }: Omit<SuiteResults, "version" | "suites" | "problems">,
  paint: Paint,
): string {
  const counts = [
    `${passed} passed`,
    `${failed} failed`,
    ...(failing > 0 ? [`${failing} failed as they say`] : []),
    ...(skipped > 0 ? [`${skipped} left out`] : []),
  ];
  return (failed === 0 ? paint.good : paint.bad)(counts.join(", "));
}

function printSuite({ suite, file, cases }: SuiteResult, paint: Paint): string {
  const failures = cases.filter((result) => !result.passed);
  const mark = failures.length === 0 ? paint.good("✓") : paint.bad("✗");
  const run = cases.filter((result) => !(result.passed && result.skipped !== undefined));
  const count =
    failures.length === 0 ? `${run.length} passed` : `${failures.length} of ${run.length} failed`;
  return `${mark} ${paint.strong(suite)}  ${count}  ${paint.quiet(file)}`;
}

function failureLines(
  each: CaseResult & CaseFailed,
  paint: Paint,
  telling: ResultsTelling,
): string[] {
  return ["", ...printFailure(each, paint, telling), ""];
}

/** A case that counts apart from those that pass, with its reason. */
function printCounted(each: CaseResult, paint: Paint): string[] {
  if (!each.passed) return [];
  const reason = each.skipped ?? each.fails;
  if (reason === undefined) return [];
  const what = each.skipped === undefined ? "fails as it says" : "left out";
  const title = each.name ?? `“${each.phrase}”`;
  const place = paint.quiet(printPosition(each.position));
  return [`  ${paint.warn("–")} ${title}  ${what}: ${reason}  ${place}`];
}
