import type { Rule } from "../automaton/network.ts";
import { type NumberReader, numberReader } from "../language/numbers.ts";
import type { Lexicon } from "../lexicon/lexicon.ts";
import { later } from "../source/later.ts";
import { createDateReader } from "./date.ts";
import { createDurationReader } from "./duration.ts";
import { createOrdinalReader } from "./ordinal.ts";
import type { Ground, Spoken } from "./slot.ts";
import { createClockReader } from "./time.ts";

/** What the recognisers of one language in one home share. */
export function createGround(spoken: Spoken, lexicon: Lexicon, refer: Rule["refer"]): Ground {
  const { pack } = spoken;
  // A thousand number words take a while to spell out, and many homes are never told one.
  const reader = later(() => numberReader(pack));
  // All sorts of value ask for the numbers at one place of one utterance.
  let last: { words: readonly string[]; read: ReturnType<NumberReader>[] } | undefined;
  const numbers: NumberReader = (words, from) => {
    if (last?.words !== words) last = { words, read: [] };
    return (last.read[from] ??= reader()(words, from));
  };
  const ordinals = later(() => createOrdinalReader(pack, lexicon));
  return {
    ...spoken,
    lexicon,
    refer,
    numbers,
    ordinals,
    durations: later(() => createDurationReader(pack, numbers, lexicon)),
    clocks: later(() => createClockReader(pack, numbers, lexicon)),
    dates: later(() => createDateReader(pack, numbers, ordinals(), lexicon)),
  };
}
