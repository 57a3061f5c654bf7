import type { Command, Parting } from "./parting.ts";
import { type Understood, anyReading, clearReading } from "../understand/understand.ts";
import { type Stretch, pick } from "../understand/stretch.ts";

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
 * Words as a command that is about nothing. "Pause it" where nothing was spoken of is what "pause" alone is. What needs a thing to be named is said of
 * nothing then, so that "turn it off" is still refused.
 */
export function asUnpointed(
  { utterance, speaksOfIt, read }: Parting,
  whole: Understood | undefined,
  all: Stretch,
): Command | undefined {
  if (!whole || !isAboutNothing(whole)) return undefined;
  for (let { from } = all; from < all.end; from++) {
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
