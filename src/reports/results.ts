import { printPosition } from "../source/position.ts";
import { type CaseResult, type SuiteResults } from "../suites/run.ts";
import { countFindings, printFindings } from "./findings.ts";
import { printWhy } from "./heard.ts";
import { shorten, wrap } from "./layout.ts";
import type { Paint } from "./paint.ts";

/** Results of suites for a terminal: a line for each suite, and all about each failure. */
export function printResults(
  { suites, passed, failed, problems }: SuiteResults,
  paint: Paint,
  isWhole = false,
): string {
  const lines: string[] = [];
  if (problems.length > 0) {
    lines.push(printFindings(problems, paint), "", countFindings(problems), "");
  }
  for (const { suite, file, cases } of suites) {
    const failures = cases.filter((result) => !result.passed);
    const mark = failures.length === 0 ? paint.good("✓") : paint.bad("✗");
    const count =
      failures.length === 0
        ? `${cases.length} passed`
        : `${failures.length} of ${cases.length} failed`;
    lines.push(`${mark} ${paint.strong(suite)}  ${count}  ${paint.quiet(file)}`);
    for (const failure of failures) lines.push("", ...printFailure(failure, paint, isWhole), "");
  }
  const total = `${passed} passed, ${failed} failed`;
  lines.push("", failed === 0 ? paint.good(total) : paint.bad(total));
  return lines.join("\n");
}

function printFailure(result: CaseResult, paint: Paint, isWhole: boolean): string[] {
  if (result.passed) return [];
  const { phrase, position, failures, why, at, language } = result;
  const where = at === undefined ? language : `${language}, at ${at}`;
  const lines = [
    `  ${paint.bad("✗")} “${shorten(phrase, 70)}” ${paint.quiet(`(${where})`)}`,
    paint.quiet(`    case  ${printPosition(position)}`),
  ];
  for (const { about, expected, actual } of failures) {
    lines.push(`    ${paint.strong(about)}`);
    lines.push(paint.good(`      expected  ${wrap(expected, 16).trimStart()}`));
    lines.push(paint.bad(`      actual    ${wrap(actual, 16).trimStart()}`));
  }
  const told = (why ? printWhy(why, paint, isWhole) : []).map((line) =>
    line === "" ? "" : `  ${line}`,
  );
  return [...lines, ...told];
}
