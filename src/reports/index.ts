/**
 * Results of all kinds as text for a terminal, plain or painted. Each takes data that was returned, and
 * throws `WrongUse` for anything else.
 */
import { type Book, asBook } from "../book/book.ts";
import type { Heard } from "../commands/outcome.ts";
import type { Turn } from "../home/conversation/turns.ts";
import type { LogEntry } from "../home/log.ts";
import type { Finding } from "../source/finding.ts";
import { madeOf } from "../source/wrong-use.ts";
import type { SuiteResults } from "../suites/run.ts";
import type { SayableDevice } from "../survey/sayable.ts";
import * as findingsReport from "./findings.ts";
import * as heardReport from "./heard.ts";
import { type Paint, plain } from "./paint.ts";
import * as resultsReport from "./results.ts";
import * as sayableReport from "./sayable.ts";
import * as timelineReport from "./timeline.ts";

export { type Paint, plain };

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
export function printResults(results: SuiteResults, paint = plain): string {
  return madeOf("results", () => resultsReport.printResults(results, paint));
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
