import type { Pattern } from "../pattern/tree.ts";
import type { Position } from "../source/position.ts";
import type { Path } from "./document.ts";

/** Ids that stand for something where one is written. */
export type Known = ReadonlyMap<string, unknown> | ReadonlySet<string> | readonly string[];

/** Where something is written; worked out when asked for. */
export interface Place {
  readonly path: Path;
  readonly at: Position;
  readonly keyAt: Position;
}

/** What a reader came to know about a place while it read: told to those who help to write there. */
export type Sighting =
  | {
      sees: "reference";
      /** What it is to be, in the words of a finding: `room`, `property of lamp`. */
      what: string;
      /** As written, whether it stands for something or not. */
      id: string;
      known: Known;
      place: Place;
      /** Whether it is the key there, and not the value. */
      isKey: boolean;
    }
  | {
      sees: "value";
      /** The property that it is of. */
      what: string;
      /** Values that are listed for it; none where it is a number or a text. */
      known: readonly string[];
      /** What may be written, in words. */
      allowed: string;
      place: Place;
    }
  | {
      sees: "pattern";
      text: string;
      language: string;
      /** Undefined where it cannot be read. */
      tree: Pattern | undefined;
      place: Place;
    }
  | {
      sees: "name";
      text: string;
      language: string;
      place: Place;
    };

/** Tells of each sighting. */
export type Watcher = (sighting: Sighting) => void;

export function isAmong(known: Known, id: string): boolean {
  return "has" in known ? known.has(id) : known.includes(id);
}

/** Their ids, in the order written. */
export function idsAmong(known: Known): string[] {
  return "has" in known ? [...known.keys()] : [...known];
}
