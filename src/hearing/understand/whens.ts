import type { Recognise } from "../../automaton/chart.ts";
import type { Utterance } from "../../automaton/utterance.ts";
import type { LanguagePack } from "../../language/pack.ts";
import type { Lexicon } from "../../lexicon/lexicon.ts";
import { longestDuration } from "../../time/duration.ts";
import type { LocalTime } from "../../time/local.ts";
import type { ClockReading } from "../../slot-types/clock.ts";
import type { DateReading } from "../../slot-types/dates.ts";
import { createForms } from "../../slot-types/forms.ts";
import { settlePoint } from "../../slot-types/moments.ts";
import type { When } from "../../commands/outcome.ts";
import type { Reason } from "../../commands/reason.ts";

/** When something is to be done, as said. */
export type WhenReading =
  | { when: "in" | "for"; seconds: number }
  | { when: "at" | "until"; time: ClockReading; date?: DateReading };

/** Words of an utterance that say when. */
export interface WhenFound {
  from: number;
  end: number;
  reading: WhenReading;
}

/** Most that are looked at. */
const mostFound = 24;

/** Finds everything that may say when, anywhere in an utterance. */
export function createWhenFinder(
  { times, language }: LanguagePack,
  parts: Readonly<Record<"duration" | "time" | "date", Recognise>>,
  lexicon: Lexicon,
): (utterance: Utterance) => WhenFound[] {
  const spans = (when: "in" | "for") => ({
    said: times.when[when],
    make: (part: (name: string) => unknown): WhenReading => {
      const { value } = part("duration") as { value: number };
      return { when, seconds: value };
    },
  });
  const points = (when: "at" | "until") => ({
    said: times.when[when],
    make: (part: (name: string) => unknown): WhenReading => {
      const date = part("date") as DateReading | undefined;
      return { when, time: part("time") as ClockReading, ...(date ? { date } : {}) };
    },
  });
  const forms = [spans("in"), points("at"), spans("for"), points("until")];
  const read = createForms<WhenReading>(forms, parts, language, lexicon);
  return (utterance) => {
    const found: WhenFound[] = [];
    for (let from = 0; from < utterance.numbers.length && found.length < mostFound; from++) {
      const ends = new Set<number>();
      for (const { end, value } of read(utterance, from)) {
        if (!ends.has(end)) found.push({ from, end, reading: value });
        ends.add(end);
      }
    }
    return found;
  };
}

/** Why a when cannot be followed. */
export type WhenSettled = { ok: true; when: When } | { ok: false; reason: Reason };

/** What several whens of one command come to: one for its beginning and one for its end at most. */
export function settleWhens(
  readings: readonly WhenReading[],
  now: LocalTime | undefined,
): WhenSettled {
  const when: When = {};
  for (const reading of readings) {
    const isStart = reading.when === "in" || reading.when === "at";
    const taken = isStart ? (when.in ?? when.at) : (when.for ?? when.until);
    if (taken !== undefined) return { ok: false, reason: { reason: "times" } };
    if ("seconds" in reading) {
      if (reading.seconds <= 0 || reading.seconds > longestDuration) {
        return { ok: false, reason: { reason: "length", seconds: reading.seconds } };
      }
      if (reading.when === "in") when.in = reading.seconds;
      else when.for = reading.seconds;
    } else {
      const point = settlePoint(reading.time, reading.date, now);
      if (!point.ok) return point;
      when[reading.when] = point.text;
    }
  }
  return { ok: true, when };
}
