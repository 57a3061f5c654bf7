import type { CaseResult } from "../suites/results.ts";

/** What a case is called in reports: its name where it has one, beside what is said. */
export function titleOf({ name, phrase, language, at }: CaseResult): string {
  const said = name === undefined ? phrase : `${name}: ${phrase}`;
  return `${said} (${at === undefined ? language : `${language}, at ${at}`})`;
}

/** Why a case failed, a line for each expectation. */
export function failureText({ failures = [] }: CaseResult): string {
  return failures
    .map(
      ({ about, expected, actual }) => `${about}\n  expected: ${expected}\n  but:      ${actual}`,
    )
    .join("\n");
}
