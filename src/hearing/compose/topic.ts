import { apartChoices } from "./apart.ts";
import { type Command, type Parting, whensOf } from "./parting.ts";
import { type Stretch, joined, pick } from "../understand/stretch.ts";

/** Most words of what is spoken of first. */
const mostWords = 6;

/**
 * "The kettle, turn it off": what a command is about is named before it, and in it is only pointed to. What points
 * is a pronoun, or an article as one, in whose place the name makes it a command.
 */
export function asTopic(
  { utterance, aparts, joiners, speaksOfIt, read, readingOf }: Parting,
  { from, end }: Stretch,
): Command | undefined {
  const at = joiners.find((joiner) => joiner.from === joiner.end)?.from;
  if (at === undefined || at - from > mostWords) return undefined;
  const topic = pick(utterance, { from, end: at }, []);
  const length = topic.words.length;
  for (const left of [[], ...apartChoices(aparts, joiners, { from: at, end })]) {
    const rest = pick(utterance, { from: at, end }, left);
    for (const [place, isSmall] of rest.small.entries()) {
      if (!isSmall && !speaksOfIt(pick(rest, { from: place, end: place + 1 }, []))) continue;
      const words = joined([
        pick(rest, { from: 0, end: place }, []),
        topic,
        pick(rest, { from: place + 1, end: rest.words.length }, []),
      ]);
      const understood = read(words, { aparts: left });
      const reading = understood && readingOf(understood);
      if (!reading || reading.path.freeWords > 0) continue;
      const [target, more] = reading.fillings.filter((each) => each.reading.read === "target");
      if (!target || more || target.from < place || target.end !== place + length) continue;
      const isWhole = words.small.slice(place, target.from).every((each) => each);
      if (isWhole) return { understood, whens: whensOf(left) };
    }
  }
  return undefined;
}
