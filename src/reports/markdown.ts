import { printPosition } from "../source/position.ts";
import type { CaseFailed, CaseResult, SuiteResults } from "../suites/results.ts";
import { titleOf } from "./title.ts";

/** Results as Markdown, for a merge request or a hand-over: a table of suites, then each failure. */
export function markdownReport(results: SuiteResults): string {
  const { suites, passed, failed, skipped, failing, problems } = results;
  const counts = [
    `**${passed} passed**`,
    `**${failed} failed**`,
    ...(failing > 0 ? [`${failing} failed as they say`] : []),
    ...(skipped > 0 ? [`${skipped} left out`] : []),
  ];
  const rows = suites.map(({ suite, file, cases }) => {
    const bad = cases.filter((each) => !each.passed).length;
    return `| ${bad === 0 ? "✓" : "✗"} | ${inline(suite)} | ${cases.length} | ${bad} | ${inline(file)} |`;
  });
  const failures = suites.flatMap(({ cases }) => cases.filter(hasFailed));
  return [
    "# Suites",
    "",
    counts.join(", "),
    "",
    "|  | suite | cases | failed | file |",
    "| --- | --- | ---: | ---: | --- |",
    ...rows,
    ...(problems.length > 0 ? ["", "## Suites that cannot be read", ""] : []),
    ...problems.map(({ message, at }) => `- ${inline(message)} (${inline(printPosition(at))})`),
    ...(failures.length > 0 ? ["", "## Failures"] : []),
    ...failures.flatMap(failureOf),
    "",
  ].join("\n");
}

function hasFailed(each: CaseResult): each is CaseResult & CaseFailed {
  return !each.passed;
}

function failureOf(each: CaseResult & CaseFailed): string[] {
  return [
    "",
    `### ${inline(titleOf(each))}`,
    "",
    inline(printPosition(each.position)),
    "",
    "| about | expected | but |",
    "| --- | --- | --- |",
    ...each.failures.map(
      ({ about, expected, actual }) => `| ${about} | ${inline(expected)} | ${inline(actual)} |`,
    ),
  ];
}

/** A text in which nothing is markup. */
function inline(text: string): string {
  return text.replace(/\s+/gu, " ").replace(/[\\`*_{}[\]<>#|~]/gu, String.raw`\$&`);
}
