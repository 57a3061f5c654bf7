import { type Utterance, pausesIn } from "../../automaton/utterance.ts";
import type { Engine } from "../understand/engine.ts";
import { createRemarks } from "./remarks.ts";
import { namesAny } from "./joiners.ts";
import type { Composition } from "./parting.ts";
import { isToDo } from "./repaired.ts";
import { pick } from "../understand/stretch.ts";

/** Most words that stand between two pauses within a command. */
const longest = 4;

/** A command with an address or a few other words within it, between pauses: "could you, Joss, turn it off". */
export function inserted(
  engine: Engine,
  utterance: Utterance,
  composed: (words: Utterance) => Composition,
): Composition | undefined {
  const pauses = pausesIn(utterance);
  if (pauses.length < 2 || !namesAny(engine, utterance)) return undefined;
  const remarks = createRemarks(engine, utterance);
  const count = utterance.words.length;
  for (const [index, from] of pauses.entries()) {
    const end = pauses[index + 1];
    if (end === undefined || end - from > longest || !remarks.is({ from, end })) continue;
    const composition = composed(pick(utterance, { from: 0, end: count }, [{ from, end }]));
    if (isToDo(composition)) return composition;
  }
  return undefined;
}
