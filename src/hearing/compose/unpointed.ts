import type { Command, Parting } from "./parting.ts";
import { type Understood, anyReading, clearReading } from "../understand/understand.ts";
import { pick } from "../understand/stretch.ts";

/** Whether a command is about what was spoken of last, and nothing was. */
function isAboutNothing(whole: Understood): boolean {
  const meaning = anyReading(whole)?.meaning;
  return (
    meaning?.result === "unfit" &&
    meaning.reason.reason === "nowhere" &&
    meaning.reason.said === "it"
  );
}

/**
 * "Pause it" where nothing was spoken of is what "pause" alone is. What needs a thing to be named is said of
 * nothing then, so that "turn it off" is still refused.
 */
export function asUnpointed(
  { utterance, speaksOfIt, read }: Parting,
  whole: Understood,
): Command | undefined {
  if (!isAboutNothing(whole)) return undefined;
  const all = { from: 0, end: utterance.words.length };
  for (let from = 0; from < all.end; from++) {
    const pointing = { from, end: from + 1 };
    if (!speaksOfIt(pick(utterance, pointing, []))) continue;
    const understood = read(pick(utterance, all, [pointing]));
    const reading = understood && clearReading(understood);
    if (!understood || reading?.path.freeWords !== 0) continue;
    if (reading.meaning.result === "do") {
      return { understood, whens: [] };
    }
  }
  return undefined;
}
