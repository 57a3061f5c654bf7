import type { Position } from "./position.ts";

export type Severity = "error" | "warning" | "note";

/** Something that a person should know about a phrasebook or a suite, and what to do about it. */
export interface Finding {
  /** Name of the rule that found it, such as `unknown-key`. */
  rule: string;
  severity: Severity;
  /** What is wrong, in one sentence. */
  message: string;
  /** What to write instead. */
  fix?: string;
  at: Position;
  /** What mends it and changes nothing else, where that is known. */
  remedy?: Remedy;
  /** Other places that belong to it: the first definition of a thing defined twice, say. */
  also?: Position[];
}

/** What is done to what stands at the place of a finding. */
export type Remedy =
  /** The item or entry is taken out, and what would be left empty with it. */
  | { remedy: "take out" }
  /** The key or text is written otherwise. */
  | { remedy: "write"; text: string };

/** Orders findings by file, then by place in the file. */
export function compareFindings(a: Finding, b: Finding): number {
  if (a.at.file !== b.at.file) return a.at.file < b.at.file ? -1 : 1;
  return a.at.line - b.at.line || a.at.column - b.at.column;
}
