import { planIntent } from "../../commands/plan.ts";
import { given } from "../../source/given.ts";
import type { Reading } from "../understand/evaluate.ts";
import { namesPlaces } from "../understand/fillings.ts";
import { type Stretch, pick } from "../understand/stretch.ts";
import { type Understood, anyReading, clearReading, isOpen } from "../understand/understand.ts";
import { devicesAbout } from "./about.ts";
import { type Apart, apartChoices } from "./apart.ts";
import { isBetter, isOwn } from "./better.ts";
import { isHour, saysTime } from "./hours.ts";
import { asLasting } from "./lasting.ts";
import { type Command, type Parting, whensOf } from "./parting.ts";

/** A stretch as one command: with all of its words, or with those left out that stand apart. */
export function asOne(parting: Parting, stretch: Stretch, before?: Command): Command | undefined {
  const { utterance, aparts, joiners, read, readingOf } = parting;
  const earlier = before && readingOf(before.understood);
  const it = earlier && devicesAbout(earlier);
  // Of equals the first, which leaves out the fewest.
  let chosen: Command | undefined;
  let hour: Command | undefined;
  for (const left of [[], ...apartChoices(aparts, joiners, stretch)]) {
    const words = pick(utterance, stretch, left);
    const first = read(words, { it, aparts: left });
    const follows = first && isUnsaid(readingOf(first));
    const second = follows && it ? read(words, { it, aparts: left, follows }) : undefined;
    const isMore = second && clearReading(second) !== undefined;
    const plain = isMore ? second : first;
    const alike =
      plain && earlier && isOpen(plain) && areOfPlaces([anyReading(plain), earlier])
        ? read(words, { it, aparts: left, alongside: earlier.intent.id })
        : undefined;
    const there = plain && it && asThere(parting, plain, { of: it, left });
    const understood = there ?? alike ?? plain;
    const reading = understood && readingOf(understood);
    if (!reading) continue;
    // Without a part that only narrows what is named, it is the same hour.
    if (left.every(({ whens }) => whens === undefined) && isHour(reading, parting, stretch, left)) {
      // "A las nueve" is no nine of anything.
      const isDoubtful = saysTime(reading, words) || undefined;
      hour ??= { understood, whens: [], isHour: true, ...given({ isDoubtful }) };
      continue;
    }
    // "The chandelier on, and louder" may well mean something else than what is near; "and play some jazz" says what.
    const isElsewhere = second !== undefined && !isMore && !saysChoice(reading);
    const isDoubtful = isElsewhere || left.some(({ isCut }) => isCut) || undefined;
    const isNarrowed = left.some(({ narrowing }) => narrowing) || undefined;
    const also = given({ isDoubtful, isNarrowed });
    const command: Command = { understood, whens: whensOf(left), ...also };
    if (!chosen || isBetter(readingOf, [command], [chosen])) chosen = command;
    // Nothing is better than all of the words by the phrasebook's own pattern.
    if (chosen === command && isOwn(reading) && reading.path.freeWords === 0) break;
  }
  // "The lamp half an hour" is no "lamp to one half" while it may be on for so long.
  return chosen && !chosen.isDoubtful ? chosen : (asLasting(parting, stretch) ?? chosen ?? hour);
}

/** "The star lamp in the nursery on, and close the blind": of several the one in the room that was spoken of. */
function asThere(
  { read, readingOf, roomOf }: Parting,
  { ranked, utterance }: Understood,
  { of, left }: { of: readonly string[]; left: readonly Apart[] },
): Understood | undefined {
  const isUnsure = ranked.some(({ kept, reading }) => kept && reading.meaning.result === "choices");
  const [room, more] = new Set(of.map(roomOf));
  if (!isUnsure || room === undefined || more !== undefined) return undefined;
  const there = read(utterance, { it: of, aparts: left, room });
  return there && readingOf(there)?.meaning.result === "do" ? there : undefined;
}

/** Whether one of the values that a property has by name is said. */
function saysChoice({ fillings }: Reading): boolean {
  return fillings.some(({ slot }) => slot.fills === "value" && slot.family === "value");
}

/** Whether nothing is named in a command that is about something. */
function isUnsaid(reading: Reading | undefined): true | undefined {
  if (reading?.pattern.origin !== "vocabulary") return undefined;
  const isNamed = reading.fillings.some((filling) => filling.reading.read === "target");
  return !isNamed && planIntent(reading.intent).targets.size > 0 ? true : undefined;
}

/** Whether rooms or zones are named, and no things of one sort. */
export function areOfPlaces(readings: readonly (Reading | undefined)[]): boolean {
  return readings.every((reading) => reading !== undefined && namesPlaces(reading.fillings));
}
