import { dump } from "js-yaml";
import { printPosition } from "../source/position.ts";
import type { CaseResult, SuiteResults } from "../suites/results.ts";
import { titleOf } from "./title.ts";

/** Results in version 14 of the Test Anything Protocol: a line a case, with what failed as YAML under it. */
export function tapReport({ suites }: SuiteResults): string {
  const cases = suites.flatMap(({ suite, cases: all }) => all.map((each) => ({ suite, each })));
  const lines = ["TAP version 14", `1..${cases.length}`];
  for (const [index, { suite, each }] of cases.entries()) {
    const title = escaped(`${suite}: ${titleOf(each)}`);
    lines.push(`${stateOf(each)} ${index + 1} - ${title}${directiveOf(each)}`);
    if (isFailure(each)) lines.push(...diagnosticOf(each));
  }
  return `${lines.join("\n")}\n`;
}

/** A case that has to fail and does stands as one that is to do. */
function stateOf(each: CaseResult): string {
  return isFailure(each) ? "not ok" : "ok";
}

function isFailure(each: CaseResult): boolean {
  return !each.passed || each.fails !== undefined;
}

function directiveOf(each: CaseResult): string {
  if (!each.passed) return "";
  if (each.skipped !== undefined) return ` # SKIP ${escaped(each.skipped)}`;
  return each.fails === undefined ? "" : ` # TODO ${escaped(each.fails)}`;
}

function diagnosticOf(each: CaseResult): string[] {
  const { failures = [], position } = each;
  const told = {
    at: printPosition(position),
    failures: failures.map(({ about, expected, actual }) => ({ about, expected, actual })),
  };
  const text = dump(told, { lineWidth: -1 });
  return [
    "  ---",
    ...text
      .trimEnd()
      .split("\n")
      .map((line) => `  ${line}`),
    "  ...",
  ];
}

/** A text on one line, in which nothing begins a directive. */
function escaped(text: string): string {
  return text.replaceAll("\\", "\\\\").replaceAll("#", "\\#").replace(/\s+/gu, " ").trim();
}
