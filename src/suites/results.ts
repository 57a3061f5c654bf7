import type { Heard } from "../commands/outcome.ts";
import type { Why } from "../hearing/explain/why.ts";
import type { LogEntry } from "../home/log.ts";
import type { Finding } from "../source/finding.ts";
import { type Position, printPosition } from "../source/position.ts";
import { madeOf } from "../source/wrong-use.ts";
import type { Failure } from "./judge.ts";

/** Raised when the JSON form of results changes in a way that a reader must know of. */
export const resultsVersion = 3;

/** What running suites came to. */
export interface SuiteResults {
  version: typeof resultsVersion;
  suites: readonly SuiteResult[];
  /** Cases that came to what is expected of them. */
  passed: number;
  /** Cases that failed, those that could not be read among them. */
  failed: number;
  /** Cases that were left out, as they say. */
  skipped: number;
  /** Cases that failed as they say they do. */
  failing: number;
  /** What is wrong with the suite files themselves. */
  problems: readonly Finding[];
  /** The part of all cases that this is, where it is one. */
  shard?: { part: number; of: number };
}

export interface SuiteResult {
  suite: string;
  file: string;
  cases: readonly CaseResult[];
}

export type CaseResult = CaseBase & (CasePassed | CaseFailed);

export interface CaseBase {
  name?: string;
  note?: string;
  tags?: readonly string[];
  phrase: string;
  language: string;
  at?: string;
  position: Position;
}

export interface CasePassed {
  passed: true;
  /** Why it was left out, where it was. */
  skipped?: string;
  /** Why it has to fail, where it has to and did, and how it did. */
  fails?: string;
  failures?: readonly Failure[];
}

export interface CaseFailed {
  passed: false;
  failures: readonly Failure[];
  /** What was heard, and why; left out where the case cannot be read. */
  heard?: Heard;
  why?: Why;
  /** Whether the case is of things that happen over time, so that its log tells most. */
  isTimed?: true;
  /** All that happened. */
  log?: readonly LogEntry[];
  /** Where in the phrasebook it may come from, the likeliest first; only where runs are traced. */
  suspects?: readonly Suspect[];
  /** The smallest change that would make it pass, where one is known. */
  mend?: Mend;
}

/** A change to a phrasebook, and where. */
export interface Mend {
  at: Position;
  change: string;
}

/** A place of a phrasebook that a failure may come from. */
export interface Suspect {
  at: Position;
  /** The id of the intent, routine, device or place that it belongs to. */
  of: string;
  /** What it is of it; empty for the whole. */
  what: string;
}

/** What tells a case from every other: its place, its language and what is said. */
export function caseKey(of: CaseBase): string {
  return madeOf("case", () => `${printPosition(of.position)} ${of.language} ${of.phrase}`);
}

/** How a case counts. */
export type Verdict = "passed" | "failed" | "skipped" | "failing";

export function verdictOf(result: CaseResult): Verdict {
  if (!result.passed) return "failed";
  if (result.skipped !== undefined) return "skipped";
  return result.fails === undefined ? "passed" : "failing";
}

/** Results with their counts. */
export function countResults(
  suites: readonly SuiteResult[],
  problems: readonly Finding[],
): SuiteResults {
  const counts = { passed: 0, failed: 0, skipped: 0, failing: 0 };
  for (const { cases } of suites) {
    for (const each of cases) counts[verdictOf(each)]++;
  }
  return { version: resultsVersion, suites, ...counts, problems };
}
