import type { Finding, Severity } from "../source/finding.ts";
import { nearest } from "../source/nearest.ts";
import type { Position } from "../source/position.ts";
import type { Document, Path } from "./document.ts";
import { type Doubts, createDoubts } from "./doubts.ts";
import type { Kind } from "./kinds.ts";

/** What the readers of the sections share while a phrasebook is read. */
export interface Context {
  findings: Finding[];
  languages: readonly string[];
  /** Kinds that ship and kinds of this phrasebook. */
  kinds: ReadonlyMap<string, Kind>;
  /** What is being read: what was written for the home, or what comes with Calm Phrase. */
  origin: "phrasebook" | "vocabulary";
  /** Mistakes in what decides on guards. */
  doubts: Doubts;
}

/** What readers share that read something beside a phrasebook, against it. */
export function contextOf({ languages, kinds }: Pick<Context, "languages" | "kinds">): Context {
  return { findings: [], languages, kinds, origin: "phrasebook", doubts: createDoubts() };
}

/** One entry of a section, with where it stands. */
export interface Entry<T> {
  id: string;
  value: T;
  document: Document;
  path: Path;
  at: Position;
}

export function report(
  context: Context,
  rule: string,
  at: Position,
  message: string,
  fix?: string,
  more: { severity?: Severity; also?: Position[] } = {},
): void {
  const { severity = "error", also } = more;
  context.findings.push({
    rule,
    severity,
    message,
    ...(fix === undefined ? {} : { fix }),
    at,
    ...(also === undefined ? {} : { also }),
  });
}

/** Reports an id that stands for nothing, with the nearest one that does. */
export function reportUnknown(
  context: Context,
  at: Position,
  what: string,
  id: string,
  known: Iterable<string>,
): void {
  const ids = [...known];
  const near = nearest(id, ids);
  const list = ids.length > 8 ? `${ids.slice(0, 8).join(", ")} …` : ids.join(", ");
  const fix =
    ids.length === 0 ? `define a ${what} first` : near ? `write ${near}` : `write one of ${list}`;
  report(context, "unknown-reference", at, `there is no ${what} "${id}"`, fix);
}
