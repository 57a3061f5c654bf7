import { type Heard, grant } from "../commands/outcome.ts";
import type { StatesOf } from "../commands/states.ts";
import type { Phrasebook } from "../phrasebook/model.ts";
import { membersOf } from "../source/border.ts";
import { WrongUse } from "../source/wrong-use.ts";
import { hearUtterance } from "./hear.ts";

/**
 * What a phrasebook heard, however it came back: a copy, or out of JSON. The words are heard once
 * more, in the states of the home and in those that it starts with, so that what was written by
 * hand, changed since, or heard by another phrasebook is told from what this one would do.
 *
 * @throws WrongUse for anything else.
 */
export function heardBy(book: Phrasebook, given: unknown, states: StatesOf): Heard {
  const { text, language, context, granted } = membersOf(given);
  if (typeof text === "string" && typeof language === "string") {
    const spoken = { ...membersOf(context), language };
    for (const known of [{ states }, {}]) {
      const heard = hearUtterance(book, text, { ...spoken, ...known });
      const own = granted === undefined ? heard : grant(heard);
      if (isSame(own, given)) return own;
    }
  }
  const message = "a home performs only what its own phrasebook heard: pass on what hear returned";
  throw new WrongUse(message, "not-heard-here");
}

/** Whether two values hold the same, whatever the order of their keys; what JSON drops is nothing. */
function isSame(one: unknown, other: unknown, depth = 0): boolean {
  if (one === other) return true;
  if (typeof one !== "object" || typeof other !== "object" || !one || !other) return false;
  if (Array.isArray(one) !== Array.isArray(other) || depth > deepest) return false;
  const [mine, others] = [membersOf(one), membersOf(other)];
  const keys = new Set([...Object.keys(mine), ...Object.keys(others)]);
  return [...keys].every((key) => isSame(mine[key], others[key], depth + 1));
}

/** Deepest that outcomes hold one another. */
const deepest = 20;
