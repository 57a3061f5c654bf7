import type { Fault } from "../home/simulated/devices.ts";
import type { Conditions } from "../model/condition.ts";
import type { States } from "../phrasebook/states.ts";
import type { Position } from "../source/position.ts";
import type { Expectation } from "./expectation.ts";
import type { Happening } from "./happenings.ts";

/** A checked suite: utterances and what each must come to. */
export interface Suite {
  name: string;
  file: string;
  cases: readonly (Case | UnreadCase)[];
}

/** A case, or the whole suite, that cannot be read as it is written: it fails. */
export interface UnreadCase {
  phrase: string;
  position: Position;
  problem: string;
}

/** What a case is called and how it counts. */
export interface CaseFacts {
  name?: string;
  note?: string;
  tags?: readonly string[];
  /** Why it is left out of runs. */
  skip?: string;
  /** Why it has to fail for now. */
  fails?: string;
  /** Phrases that what is said must never sound like: `calm-phrase mishear` holds them apart. */
  apartFrom?: readonly string[];
}

/** One case; a pattern makes one for each of its phrases, and a table one for each row. */
export interface Case extends CaseFacts {
  /** What is said; what happens, for a case without a phrase. */
  phrase: string;
  /** What is said or happens in turn, where it is more than one phrase. */
  script?: Script;
  /** What must hold at no time. */
  never?: Conditions;
  faults: Readonly<Record<string, Fault | undefined>>;
  language: string;
  /** The voicepoint. */
  at?: string;
  /** Local time there. */
  time?: string;
  given: States;
  expect: Expectation;
  position: Position;
}

export type Script =
  | { script: "talk"; turns: readonly SuiteTurn[] }
  | { script: "after"; happenings: readonly Happening[] };

export interface SuiteTurn {
  hear: string;
  /** The voicepoint, where it is not that of the case. */
  at?: string;
  /** The language, where it is not that of the case. */
  language?: string;
  /** Seconds that pass before it. */
  wait?: number;
  /** As it is shown: an answer to the question for the code is in no report. */
  shown: string;
  expect: Expectation;
  position: Position;
}
