import type { Recognise } from "../../automaton/chart.ts";
import type { Utterance } from "../../automaton/utterance.ts";
import { wordsOf } from "../../language/words.ts";
import { longestDuration } from "../../time/duration.ts";
import { durationUnits, spokenSunEvents } from "../../language/times.ts";
import type { Location } from "../../model/home.ts";
import { type LocalTime, parseLocal } from "../../time/local.ts";
import { type SunPoint, printSun } from "../../time/sun.ts";
import { type ClockReading, type PartOfDay, clockIn, partsOfDay } from "../../slot-types/time.ts";
import type { DateReading } from "../../slot-types/date.ts";
import { type Form, createForms } from "../../slot-types/forms.ts";
import { recognisePhrases } from "../../slot-types/phrases.ts";
import type { Said } from "../../language/vocabulary.ts";
import type { Ground } from "../../slot-types/slot.ts";
import { given } from "../../source/given.ts";
import { settlePoint } from "../../slot-types/moments.ts";
import type { When } from "../../commands/outcome.ts";
import type { Reason } from "../../model/reason.ts";

/** When something is to be done, as said. */
export type WhenReading =
  | { when: "in" | "for"; seconds: number }
  | { when: "at" | "until"; time: ClockReading; date?: DateReading }
  | { when: "at" | "until"; sun: SunPoint };

/** Words of an utterance that say when. */
export interface WhenFound {
  from: number;
  end: number;
  /** One, or a beginning and an end: "from two to four". */
  readings: readonly WhenReading[];
}

interface WhenParts {
  duration: number;
  /** Whole minutes that are said without their unit: "in ten". */
  minutes: number;
  /** One of a unit of a clock, in seconds: "hour" of "for the next hour". */
  unit: number;
  time: ClockReading;
  /** A bare hour of the afternoon, where a language says only hours of the morning so. */
  hour: ClockReading;
  /** Where something ends that begins at a time. */
  end: ClockReading;
  date: Day;
}

/** A day as said, and perhaps a part of it: "tomorrow morning". */
interface Day {
  date: DateReading;
  part?: PartOfDay;
}

/** Most that are looked at. */
const mostFound = 24;

/** Finds everything that may say when, anywhere in an utterance. */
export function createWhenFinder(ground: Ground): (utterance: Utterance) => WhenFound[] {
  const { when: said } = ground.pack.times;
  const lengths = (when: "in" | "for"): Form<WhenParts, WhenReading> => ({
    said: said[when],
    make({ duration, unit }) {
      const seconds = duration ?? unit;
      return seconds === undefined ? undefined : { when, seconds };
    },
  });
  const minutes: Form<WhenParts, WhenReading> = {
    said: said.minutes ?? [],
    make: ({ minutes: count }) =>
      count === undefined ? undefined : { when: "in", seconds: count * durationUnits.minute },
  };
  const points = (when: "at" | "until"): Form<WhenParts, WhenReading> => ({
    said: said[when],
    make: (read) => pointOf(when, read),
  });
  const ofDayIn = (said: Said): Form<WhenParts, WhenReading> => ({
    said,
    make(read) {
      const point = pointOf("at", read);
      return point?.time.isOfDay ? point : undefined;
    },
  });
  // The part of the day says by itself that a time is meant.
  const ofDay = ofDayIn(["$time [$date]", "$date $time"]);
  const forms = [
    lengths("in"),
    minutes,
    points("at"),
    ofDayIn(said.ofDay ?? []),
    lengths("for"),
    points("until"),
    shifted(said.before, -1),
    shifted(said.after, 1),
    ...ofSun(ground),
  ];
  const span: Form<WhenParts, WhenReading[]> = {
    said: said.span,
    make({ hour, time = hour, end, date }) {
      if (!time || !end) return undefined;
      const start = pointOf("at", date ? { time, date } : { time });
      const stop = pointOf("until", { time: end });
      return start && stop ? [start, stop] : undefined;
    },
  };
  const parts = {
    duration: ground.durations(),
    minutes: minutesReader(ground),
    unit: unitReader(ground),
    time: ground.clocks(),
    hour: hourReader(ground),
    end: ground.clocks(),
    date: dayReader(ground),
  };
  const readPlain = createForms<WhenParts, WhenReading>(forms, parts, ground);
  const readSpan = createForms<WhenParts, WhenReading[]>([span], parts, ground);
  const readOfDay = createForms<WhenParts, WhenReading>([ofDay], parts, ground);
  const ofDays = wordsOfDay(ground);
  return (utterance) => {
    const found: WhenFound[] = [];
    // Few utterances say a part of the day, and only words tell where it begins.
    const isOfDay = utterance.texts.some((text) => ofDays.has(text));
    const read = (whole: Utterance, from: number) =>
      isOfDay ? [...readPlain(whole, from), ...readOfDay(whole, from)] : readPlain(whole, from);
    const { texts } = utterance;
    // "À quatre-vingts" is at no four.
    const cutsNumber = (from: number, end: number): boolean =>
      texts.slice(from, end).some((_, at) => {
        return ground.numbers(texts, from + at).some((number) => number.end > end);
      });
    for (let from = 0; from < texts.length && found.length < mostFound; from++) {
      const ends = new Set<number>();
      const readings = read(utterance, from).map(({ end, value }) => ({ end, value: [value] }));
      // "From two to four" is no two minutes to four.
      for (const { end, value } of [...readSpan(utterance, from), ...readings]) {
        if (!ends.has(end) && !cutsNumber(from, end)) found.push({ from, end, readings: value });
        ends.add(end);
      }
    }
    return found;
  };
}

/** What the sun does as a time: "at sunset", "half an hour before sunset". */
function ofSun({ pack: { times } }: Ground): Form<WhenParts, WhenReading>[] {
  return spokenSunEvents.flatMap((event): Form<WhenParts, WhenReading>[] => {
    const words = times.sun?.[event];
    if (!words) return [];
    const { at, until, before, after } = words;
    const shifted = (sign: number) => (parts: Partial<WhenParts>) =>
      parts.duration === undefined
        ? undefined
        : ({ when: "at", sun: { event, offset: sign * parts.duration } } as const);
    return [
      { said: at, make: () => ({ when: "at", sun: { event, offset: 0 } }) },
      { said: until, make: () => ({ when: "until", sun: { event, offset: 0 } }) },
      { said: before, make: shifted(-1) },
      { said: after, make: shifted(1) },
    ];
  });
}

function pointOf(
  when: "at" | "until",
  { time, date }: Partial<WhenParts>,
): Extract<WhenReading, { time: unknown }> | undefined {
  if (!time) return undefined;
  const clock = date?.part ? clockIn(date.part, time) : time;
  return { when, time: clock, ...given({ date: date?.date }) };
}

/** So long before or after a time of the clock: "ten minutes before midnight". */
function shifted(said: Said, sign: 1 | -1): Form<WhenParts, WhenReading> {
  return {
    said,
    make({ duration, ...read }) {
      const point = pointOf("at", read);
      const minutes = (duration ?? 0) / durationUnits.minute;
      if (!point || !Number.isInteger(minutes)) return undefined;
      const shift = sign * minutes + point.time.minutes;
      const day = 24 * 60;
      return { ...point, time: { ...point.time, minutes: ((shift % day) + day) % day } };
    },
  };
}

/** Reads the name of one second, minute or hour. */
function unitReader(ground: Ground): Recognise<number> {
  const names = (["second", "minute", "hour"] as const).flatMap((unit) =>
    ground.pack.times.units[unit].slice(0, 1).map((said) => ({ said, value: durationUnits[unit] })),
  );
  return recognisePhrases(names, ground);
}

function minutesReader({ numbers }: Ground): Recognise<number> {
  return ({ texts }, from) =>
    numbers(texts, from).filter(({ value }) => Number.isInteger(value) && value > 0 && value < 60);
}

function hourReader({ numbers }: Ground): Recognise<ClockReading> {
  return ({ texts }, from) =>
    numbers(texts, from)
      .filter(({ value }) => Number.isInteger(value) && value > 12 && value < 24)
      .map(({ end, value }) => ({ end, value: { minutes: value * 60, open: false } }));
}

/** Reads a day, and a part of one. */
function dayReader(ground: Ground): Recognise<Day> {
  const days: Recognise<Day> = (utterance, from) =>
    ground
      .dates()(utterance, from)
      .map(({ end, value }) => ({ end, value: { date: value } }));
  const inPart = createForms(
    partsOfDay.map((part): Form<{ date: DateReading }, Day> => {
      const tomorrow: DateReading = { date: "ahead", days: 1 };
      return {
        said: ground.pack.times.partOf[part],
        make: ({ date = tomorrow }) => ({ date, part }),
      };
    }),
    { date: ground.dates() },
    ground,
  );
  return (utterance, from) => [...days(utterance, from), ...inPart(utterance, from)];
}

/** Words that say a part of the day, and nothing else of a time. */
function wordsOfDay({ pack }: Ground): ReadonlySet<string> {
  const { partOf, when } = pack.times;
  const others = new Set(wordsOf(Object.values(when).flat(), pack));
  const said = partsOfDay.flatMap((part) => [...pack.times[part], ...partOf[part]]);
  const all = wordsOf(said, pack);
  return new Set(all.filter((word) => !others.has(word) && !pack.small.includes(word)));
}

/** Why a when cannot be followed. */
export type WhenSettled = { ok: true; when: When } | { ok: false; reason: Reason };

/** What several whens of one command come to: one for its beginning and one for its end at most. */
export function settleWhens(
  readings: readonly WhenReading[],
  { now, place }: { now: LocalTime | undefined; place: Location | undefined },
): WhenSettled {
  const when: When = {};
  const start = readings.flatMap((reading) => startOf(reading, now))[0] ?? now;
  for (const reading of readings) {
    const isStart = isBeginning(reading);
    const taken = isStart ? (when.in ?? when.at) : (when.for ?? when.until);
    if (taken !== undefined) return { ok: false, reason: { reason: "times" } };
    if ("seconds" in reading) {
      if (reading.seconds <= 0 || reading.seconds > longestDuration) {
        return { ok: false, reason: { reason: "length", seconds: reading.seconds } };
      }
      if (reading.when === "in") when.in = reading.seconds;
      else when.for = reading.seconds;
    } else if ("sun" in reading) {
      if (!place) return { ok: false, reason: { reason: "sun" } };
      when[reading.when] = printSun(reading.sun);
    } else {
      const point = settlePoint(reading.time, reading.date, isStart ? now : start);
      if (!point.ok) return point;
      when[reading.when] = point.text;
    }
  }
  return { ok: true, when };
}

function isBeginning({ when }: WhenReading): boolean {
  return when === "in" || when === "at";
}

/** The time at which something begins, if it is one of the clock: "from five till eleven" ends after that. */
function startOf(reading: WhenReading, now: LocalTime | undefined): LocalTime[] {
  if (!("time" in reading) || !isBeginning(reading)) return [];
  const point = settlePoint(reading.time, reading.date, now);
  const start = point.ok ? parseLocal(point.text) : undefined;
  return start ? [start] : [];
}
