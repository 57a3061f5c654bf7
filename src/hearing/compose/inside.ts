import { asMore } from "./leaning.ts";
import type { Command, Parting } from "./parting.ts";
import { type Stretch, joined, pick } from "../understand/stretch.ts";

/** Most words that something is added in. */
const longest = 5;

/** "The lamp with eighty percent on": what adds something to a command stands within it. */
export function asInside(parting: Parting, all: Stretch): readonly Command[] | undefined {
  const { utterance, joiners, read, readingOf } = parting;
  for (const { from, end, leans } of joiners) {
    if (!leans || from !== end || from <= all.from) continue;
    const most = Math.min(all.end - 1, from + longest);
    for (let last = from + 2; last <= most; last++) {
      const around = [
        { from: all.from, end: from },
        { from: last, end: all.end },
      ].map((stretch) => pick(utterance, stretch, []));
      const understood = read(joined(around));
      const reading = understood && readingOf(understood);
      if (!understood || reading?.meaning.result !== "do") continue;
      // "To a soft pink" is no other level.
      if (reading.fillings.some((each) => each.slot.fills === "value" && each.from >= 0)) continue;
      const command: Command = { understood, whens: [] };
      const more = asMore(parting, { from, end: last }, [command]);
      if (more) return [command, more];
    }
  }
  return undefined;
}
