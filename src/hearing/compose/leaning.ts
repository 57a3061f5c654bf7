import { devicesAbout } from "./about.ts";
import type { Reading } from "../understand/evaluate.ts";
import { apartChoices } from "./apart.ts";
import { isHour } from "./hours.ts";
import { type Command, type Parting, whensOf } from "./parting.ts";
import type { WhenReading } from "../understand/whens.ts";
import type { Understood } from "../understand/understand.ts";
import { type Stretch, joined, nameless, pick } from "../understand/stretch.ts";

/** "… and the wheel lamp": what was said before, of something else, or not of it: "… but leave the lamp". */
export function asBefore(
  { utterance, aparts, joiners, read, readingOf, leftIn, closed }: Parting,
  said: Stretch,
  before: Command,
): Command | undefined {
  const leaves = leftIn(said);
  const stretch = closed(leaves ?? said);
  const reading = readingOf(before.understood);
  const targets = reading?.fillings.filter((filling) => filling.reading.read === "target") ?? [];
  const [target] = targets;
  if (!reading || !target || targets.length !== 1 || target.from < 0) return undefined;
  const left = apartChoices(aparts, joiners, stretch)[0] ?? [];
  const earlier = before.understood.utterance;
  const understood = read(
    joined([
      pick(earlier, { from: 0, end: target.from }, []),
      pick(utterance, stretch, left),
      pick(earlier, { from: target.end, end: earlier.words.length }, []),
    ]),
    { aparts: left },
  );
  const isSame = understood && readingOf(understood)?.intent === reading.intent;
  if (!isSame) return undefined;
  return { understood, whens: whensOf(left), ...(leaves && { isLeft: true }) };
}

/** "The heating in the loft to twenty, and in the shop to eighteen": the same of the same elsewhere, to another value. */
export function asAlso(
  { utterance, aparts, joiners, read, readingOf }: Parting,
  stretch: Stretch,
  before: Command,
): Command | undefined {
  const reading = readingOf(before.understood);
  const [target, more] =
    reading?.fillings.filter((filling) => filling.reading.read === "target") ?? [];
  if (!reading || !target || more || target.from < 0) return undefined;
  const earlier = before.understood.utterance;
  for (const left of [[], ...apartChoices(aparts, joiners, stretch)]) {
    for (let end = target.from + 1; end <= target.end; end++) {
      const words = [pick(earlier, { from: 0, end }, []), pick(utterance, stretch, left)];
      const understood = read(joined(words), { aparts: left });
      if (!understood) continue;
      const also = readingOf(understood);
      if (also?.intent !== reading.intent || also.meaning.result !== "do") continue;
      if (!shareProperty(also, reading)) return { understood, whens: whensOf(left) };
    }
  }
  return undefined;
}

/** "… and at ten percent": something else of what was spoken of before. */
export function asMore(
  { utterance, aparts, it, read, readingOf }: Parting,
  stretch: Stretch,
  before: readonly Command[],
): Command | undefined {
  const last = before.at(-1);
  const earlier = last && readingOf(last.understood);
  if (earlier?.meaning.result !== "do" || earlier.path.freeWords > 0) return undefined;
  const words = pick(utterance, stretch, []);
  const about = devicesAbout(earlier);
  const understood = read(joined([nameless(it, words), words]), { it: about });
  const reading = understood && readingOf(understood);
  if (!understood || !reading || !isOf(reading, about)) return undefined;
  // "And down at nine" says when. One word stands for what was named.
  if (isHour(reading, { utterance, aparts }, { from: stretch.from - 1, end: stretch.end }))
    return undefined;
  // What is off has nothing more: "off in ten" is no tenth.
  if (isTurnedOff(earlier)) return undefined;
  // One property cannot be two things at once.
  const all = before.map((command) => readingOf(command.understood));
  const isFree = all.every((each) => each && !shareProperty(each, reading));
  return isFree ? { understood, whens: last?.whens ?? [] } : undefined;
}

/** "… and off at eleven": what was spoken of before in another state, at another time. */
export function asLater(
  { utterance, aparts, joiners, it, read, readingOf }: Parting,
  stretch: Stretch,
  before: Command,
): Command | undefined {
  const earlier = readingOf(before.understood);
  if (earlier?.meaning.result !== "do" || earlier.path.freeWords > 0) return undefined;
  const about = devicesAbout(earlier);
  for (const left of apartChoices(aparts, joiners, stretch)) {
    const whens = whensOf(left);
    if (whens.length === 0 || left.some(({ isCut }) => isCut)) continue;
    const words = pick(utterance, stretch, left);
    const understood = read(joined([nameless(it, words), words]), { it: about, aparts: left });
    const reading = understood && readingOf(understood);
    if (understood && reading && isOf(reading, about)) return { understood, whens };
  }
  return undefined;
}

/**
 * "The fan on for an hour and then off": what comes once a while is over ends it. Both commands, of which the
 * latter has its time from the former.
 *
 * @param said The words as a command by themselves, if they are one.
 */
export function asAfter(
  { utterance, it, read, readingOf }: Parting,
  stretch: Stretch,
  before: Command,
  said: Command | undefined,
): [Command, Command] | undefined {
  const [lasting, more] = before.whens;
  const then = lasting && !more ? afterwards(lasting) : undefined;
  const earlier = readingOf(before.understood);
  if (!then || !earlier || (said?.whens.length ?? 0) > 0) return undefined;
  const about = devicesAbout(earlier);
  const words = pick(utterance, stretch, []);
  const ended = (each: Understood | undefined): Understood | undefined => {
    const reading = each && readingOf(each);
    return reading && isOf(reading, about) && isSetAnew(earlier, reading) ? each : undefined;
  };
  const understood =
    ended(said?.understood) ??
    ended(read(joined([nameless(it, words), words]), { it: about })) ??
    ended(read(joined([words, nameless(it, words, "end")]), { it: about }));
  if (!understood) return undefined;
  return [
    { ...before, whens: [] },
    { understood, whens: [then] },
  ];
}

/** When what lasts is over. */
function afterwards(lasting: WhenReading): WhenReading | undefined {
  if (lasting.when === "for") return { ...lasting, when: "in" };
  if (lasting.when === "until") return { ...lasting, when: "at" };
  return undefined;
}

/** Whether the same properties of the same devices are set again. */
function isSetAnew(one: Reading, other: Reading): boolean {
  const isSet = ({ meaning }: Reading): boolean =>
    meaning.result === "do" && meaning.effects.every((effect) => "set" in effect);
  const [first, second] = [propertiesSet(one), propertiesSet(other)];
  return isSet(one) && isSet(other) && [...first].sort().join() === [...second].sort().join();
}

/** Whether something is done to what was spoken of, and to nothing else. */
function isOf({ meaning }: Reading, about: readonly string[]): boolean {
  return meaning.result === "do" && meaning.effects.every(({ device }) => about.includes(device));
}

function isTurnedOff({ meaning }: Reading): boolean {
  if (meaning.result !== "do") return false;
  return meaning.effects.some(
    (effect) => "set" in effect && Object.values(effect.set).includes("off"),
  );
}

function shareProperty(one: Reading, other: Reading): boolean {
  const first = new Set(propertiesSet(one));
  return propertiesSet(other).some((property) => first.has(property));
}

function propertiesSet({ meaning }: Reading): string[] {
  if (meaning.result !== "do") return [];
  return meaning.effects.flatMap((effect) => {
    const written =
      "set" in effect
        ? effect.set
        : "nudge" in effect
          ? effect.nudge
          : "scale" in effect
            ? effect.scale
            : {};
    return Object.keys(written).map((property) => `${effect.device} ${property}`);
  });
}
