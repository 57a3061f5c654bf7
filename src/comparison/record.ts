import type { Position } from "../source/position.ts";
import { madeOf } from "../source/wrong-use.ts";
import type { Verdict } from "../suites/results.ts";

/** Raised when the JSON form of records changes in a way that a reader must know of. */
export const recordVersion = 1;

/** What the phrases of homes came to, kept to be compared with what they come to later. */
export interface RunRecord {
  version: typeof recordVersion;
  homes: readonly HomeRecord[];
}

export interface HomeRecord {
  /** What the home is called among others. */
  home: string;
  cases: readonly CaseRecord[];
}

/** What one case came to, or one phrase of which nothing is expected. */
export interface CaseRecord {
  /** The suite or list that it stands in. */
  suite: string;
  name?: string;
  phrase: string;
  language: string;
  at?: string;
  position: Position;
  /** How it counts; `open` where nothing is expected. */
  verdict: Verdict | "open";
  /** How it was understood: the intent and pattern of each command, in the order said. */
  ways: readonly string[];
  /** What was answered. */
  replies: readonly string[];
  /** What it came to and all that happened in the home, in turn. */
  deeds: readonly RecordedDeed[];
}

export interface RecordedDeed {
  /** Local time of the home, `2026-03-02T18:05:00`. */
  time: string;
  what: string;
}

/** Records of several homes as one. */
export function joinRecords(records: readonly RunRecord[]): RunRecord {
  return madeOf("list of records", () => {
    return { version: recordVersion, homes: records.flatMap(({ homes }) => homes) };
  });
}
