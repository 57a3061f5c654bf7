/**
 * Results of all kinds as text for a terminal, plain or painted. Each takes data that was returned, and
 * throws `WrongUse` for anything else.
 */
import { type Book, asBook } from "../book/book.ts";
import type { SoundAlike } from "../mishearing/alike.ts";
import type { Confusion } from "../mishearing/confusions.ts";
import type { HeardStudy } from "../mishearing/heard-study.ts";
import type { OpenHearing } from "../mishearing/open-hearing.ts";
import type { Remedy } from "../mishearing/remedies.ts";
import type { Comparison } from "../comparison/compare.ts";
import type { Heard } from "../commands/outcome.ts";
import type { Turn } from "../home/conversation/turns.ts";
import type { LogEntry } from "../home/log.ts";
import type { Pattern } from "../pattern/tree.ts";
import type { Finding } from "../source/finding.ts";
import { shown, textOf } from "../source/border.ts";
import { WrongUse, madeOf } from "../source/wrong-use.ts";
import type { SuiteResults } from "../suites/results.ts";
import type { SayableDevice } from "../survey/sayable.ts";
import type { Sheet } from "../survey/sheet.ts";
import * as comparisonReport from "./comparison.ts";
import * as findingsReport from "./findings.ts";
import { junitReport } from "./junit.ts";
import { markdownReport } from "./markdown.ts";
import { pageReport } from "./page.ts";
import type { Painted } from "./painted.ts";
import { type Mendable, sarifReport } from "./sarif.ts";
import { tapReport } from "./tap.ts";
import * as heardReport from "./heard.ts";
import * as studyReport from "./heard-study.ts";
import { type MishearingPage, mishearingPage } from "./mishearing-page.ts";
import * as mishearingReport from "./mishearing.ts";
import { railroadOf } from "./railroad.ts";
import { type Paint, plain } from "./paint.ts";
import * as resultsReport from "./results.ts";
import type { ResultsTelling } from "./failure.ts";
import * as sayableReport from "./sayable.ts";
import { csvSheet, markdownSheet, pageSheet } from "./sheet.ts";
import * as timelineReport from "./timeline.ts";

export { type Paint, plain };
export type { Remedied } from "./mishearing.ts";
export type { MishearingPage };
export type { Painted } from "./painted.ts";
export type { Mendable } from "./sarif.ts";
export type { ResultsTelling } from "./failure.ts";

/** Findings, each with its place, what is wrong and what to write. */
export function printFindings(findings: readonly Finding[], paint = plain): string {
  return madeOf("list of findings", () => findingsReport.printFindings(findings, paint));
}

/** What was heard and why. */
export function printHeard(book: Book, heard: Heard, paint = plain): string {
  const of = asBook(book);
  return madeOf("outcome", () => heardReport.printHeard(of, heard, paint));
}

/** A turn of a conversation, under the words that were said. */
export function printTurn(book: Book, turn: Turn, paint = plain): string {
  const of = asBook(book);
  return madeOf("turn", () => heardReport.printTurn(of, turn.heard.text, turn, paint));
}

/** Results of suites: a line for each suite, and all about each failure. */
export function printResults(
  results: SuiteResults,
  paint = plain,
  telling: ResultsTelling = {},
): string {
  return madeOf("results", () => resultsReport.printResults(results, paint, telling));
}

/** What is otherwise than it was, the gravest first, what has changed alike told once. */
export function printComparison(comparison: Comparison, paint = plain): string {
  return madeOf("comparison", () => comparisonReport.printComparison(comparison, paint));
}

/**
 * Results as JUnit XML, TAP 14, Markdown, or one HTML page that needs nothing beside it.
 *
 * @param painted Coverage of phrasebooks, which the page has painted on their files.
 */
export function reportResults(
  form: ResultsForm,
  results: SuiteResults,
  painted: readonly Painted[] = [],
): string {
  const report = textOf(form) === undefined ? undefined : reports[form];
  if (!report) {
    const forms = Object.keys(reports).join(", ");
    throw new WrongUse(`there is no report "${shown(form)}": write one of ${forms}`);
  }
  return madeOf("results", () => report(results, painted));
}

const reports: Record<
  "junit" | "tap" | "markdown" | "html",
  (results: SuiteResults, painted: readonly Painted[]) => string
> = {
  junit: junitReport,
  tap: tapReport,
  markdown: markdownReport,
  html: pageReport,
};

/** Forms that results can be written in. */
export type ResultsForm = keyof typeof reports;

/**
 * Findings as a log of SARIF 2.1.0.
 *
 * @param version The version of Calm Phrase, as the log tells it.
 */
export function reportFindings(findings: readonly Mendable[], version: string): string {
  return madeOf("list of findings", () => sarifReport(findings, version));
}

/**
 * A pattern as a railroad diagram: an SVG image that stands alone, in the colour of the text around it.
 *
 * @param title What it is a picture of, for those who do not see it.
 */
export function drawPattern(pattern: Pattern, title: string): string {
  return madeOf("pattern", () => railroadOf(pattern, textOf(title) ?? ""));
}

/** A sheet of what can be said, room by room; in the first language of the home when left out. */
export function printSayable(
  book: Book,
  devices: readonly SayableDevice[],
  language = asBook(book).languages[0] ?? "en",
  paint = plain,
): string {
  const of = asBook(book);
  return madeOf("list of what can be said", () =>
    sayableReport.printSayable(of, devices, language, paint),
  );
}

/** What happened in a home, line by line. */
export function printTimeline(name: string, log: readonly LogEntry[], paint = plain): string {
  return madeOf("log", () => timelineReport.printTimeline(name, log, paint));
}

/** What phrases are taken for by a recogniser that is held to what can be said, the worst first. */
export function printMishearings(found: Omit<MishearingPage, "alikes">, paint = plain): string {
  return madeOf("list of what is misheard", () => {
    const { mishearings, confusions } = found;
    return mishearingReport.printMishearings(mishearings, confusions, paint);
  });
}

/** The same with a map of names by sound, as one HTML page that needs nothing beside it. */
export function reportMishearings(page: MishearingPage): string {
  return madeOf("list of what is misheard", () => mishearingPage(page));
}

/** Names that sound alike, the nearest first. */
export function printSoundAlikes(alikes: readonly SoundAlike[], paint = plain): string {
  return madeOf("list of names that sound alike", () =>
    mishearingReport.printSoundAlikes(alikes, paint),
  );
}

/** What slips of an open recogniser come to. */
export function printSlips(hearings: readonly OpenHearing[], paint = plain): string {
  return madeOf("list of slips", () => mishearingReport.printSlips(hearings, paint));
}

/** What a live system heard: what is otherwise now, and what was not understood, with what to add. */
export function printHeardStudy(study: HeardStudy, paint = plain): string {
  return madeOf("study of what was heard", () => studyReport.printHeardStudy(study, paint));
}

/** The words that are taken for others, in a line. */
export function describeConfusion(confusion: Pick<Confusion, "spoken" | "taken">): string {
  return madeOf("confusion", () => mishearingReport.describeConfusion(confusion));
}

/** What helps against a confusion, and what is left then, in a line. */
export function describeRemedy(remedy: Remedy): string {
  return madeOf("remedy", () => mishearingReport.describeRemedy(remedy));
}

/** The sheet for those who live in a home, as Markdown, one HTML page for paper, or a table. */
export function reportSheet(form: SheetForm, sheet: Sheet): string {
  const report = textOf(form) === undefined ? undefined : sheets[form];
  if (!report) {
    const forms = Object.keys(sheets).join(", ");
    throw new WrongUse(`there is no sheet "${shown(form)}": write one of ${forms}`);
  }
  return madeOf("sheet", () => report(sheet));
}

const sheets: Record<"markdown" | "html" | "csv", (sheet: Sheet) => string> = {
  markdown: markdownSheet,
  html: pageSheet,
  csv: csvSheet,
};

/** Forms that a sheet can be written in. */
export type SheetForm = keyof typeof sheets;
