import { shown } from "./border.ts";
import { nearest } from "./nearest.ts";

/** What was wrong about a call. */
export type WrongUseCode =
  | "unknown-id"
  | "wrong-duration"
  | "wrong-time"
  | "not-heard-here"
  | "no-such-file"
  | "wrong-option";

/** Wrong use in code or at the command line: a message for people, and a code for programs. */
export class WrongUse extends Error {
  override readonly name = "WrongUse";
  readonly code: WrongUseCode;

  constructor(message: string, code: WrongUseCode = "wrong-option") {
    super(message);
    this.code = code;
  }
}

/**
 * What a function makes of data from outside, which need not be what its type says.
 *
 * @throws WrongUse for anything else.
 */
export function madeOf<T>(what: string, make: () => T): T {
  try {
    return make();
  } catch (error) {
    // What says itself what is wrong is told as it says so.
    if (error instanceof WrongUse) throw error;
    throw new WrongUse(`this is no ${what}`);
  }
}

/** Names that are listed; the rest are left out. */
const mostListed = 8;

/** An id that stands for nothing, with what there is. */
export function unknownId(what: string, id: unknown, known: Iterable<string>): WrongUse {
  const ids = [...known];
  const near = typeof id === "string" ? nearest(id, ids) : undefined;
  const list = ids.slice(0, mostListed).join(", ") + (ids.length > mostListed ? " …" : "");
  const fix = ids.length === 0 ? `there are none` : `write ${near ?? `one of ${list}`}`;
  return new WrongUse(`there is no ${what} ${shown(id)}: ${fix}`, "unknown-id");
}
