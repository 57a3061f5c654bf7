import type { CaseResult } from "../suites/results.ts";
import { shorten } from "./layout.ts";
import type { Paint } from "./paint.ts";

/** What a case is called in reports: its name where it has one, beside what is said. */
export function titleOf({ name, phrase, language, at }: CaseResult): string {
  const said = name === undefined ? phrase : `${name}: ${phrase}`;
  return `${said} (${at === undefined ? language : `${language}, at ${at}`})`;
}

/** The same for a terminal: its name, what is said, and where. */
export function paintedTitle(
  { name, phrase, language, at }: Pick<CaseResult, "name" | "phrase" | "language" | "at">,
  paint: Paint,
): string {
  const said = `“${shorten(phrase, 70)}”`;
  const where = at === undefined ? language : `${language}, at ${at}`;
  const title = name === undefined ? said : `${paint.strong(name)}  ${said}`;
  return `${title} ${paint.quiet(`(${where})`)}`;
}

/** Why a case failed, a line for each expectation. */
export function failureText({ failures = [] }: CaseResult): string {
  return failures
    .map(
      ({ about, expected, actual }) => `${about}\n  expected: ${expected}\n  but:      ${actual}`,
    )
    .join("\n");
}
