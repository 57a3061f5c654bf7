import { getPosition, getTimes } from "suncalc";
import { type Book, asBook } from "../book/book.ts";
import type { Days, Trigger } from "../model/trigger.ts";
import type { Location } from "../model/home.ts";
import { parseUntil, partsOf } from "../phrasebook/recurrence.ts";
import type { SunPoint } from "../time/sun.ts";
import { given } from "../source/given.ts";
import { isDate, laterDate, printClock, weekdayOf } from "../time/local.ts";
import { datesOf } from "./recurrence.ts";
import { instantOf, localOf } from "./zone.ts";

export type ClockTrigger = Extract<Trigger, { trigger: "time" | "sun" }>;

/** When a trigger fires, wherever it is written. */
type Firing =
  | Omit<Extract<ClockTrigger, { trigger: "time" }>, "at">
  | Omit<Extract<ClockTrigger, { trigger: "sun" }>, "at">;

/** Days that are looked ahead: a rule may name one day in four years. */
const farthest = 1500;

/**
 * The first instant after another at which a trigger fires, in seconds of Unix time; undefined when
 * there is none in the next four years, or no sun that day.
 */
export function nextFiring(
  trigger: Firing,
  after: number,
  zone: string,
  place: Location | undefined,
): number | undefined {
  let date = localOf(after, zone).slice(0, 10);
  // The sun's offset can carry yesterday's event into today.
  date = laterDate(date, -1);
  for (let day = 0; day < farthest; day++, date = laterDate(date, 1)) {
    if (!isDay(trigger.days, date)) continue;
    const instant = instantOn(trigger, date, zone, place);
    if (instant === undefined || instant <= after) continue;
    return instant > lastInstant(trigger.days, zone) ? undefined : instant;
  }
  return undefined;
}

/** The first instant after another that a moment of the sun comes, in seconds of Unix time. */
export function nextOfSun(
  point: SunPoint,
  after: number,
  zone: string,
  place: Location | undefined,
): number | undefined {
  return nextFiring({ trigger: "sun", ...point, days: { days: "every" } }, after, zone, place);
}

/** When the sun rises and sets in a day, as local times; left out where it does not. */
export interface Daylight {
  /** `06:32`. */
  sunrise?: string;
  sunset?: string;
}

/**
 * The light of a day in a home, `2026-03-02`; nothing where nobody wrote where the home is.
 *
 * @throws WrongUse for what is no phrasebook.
 */
export function daylightOf(of: Book, date: string): Daylight {
  const { place } = asBook(of);
  const clockOf = (event: "sunrise" | "sunset"): string | undefined => {
    if (!place || typeof date !== "string" || !isDate(date)) return undefined;
    const days: Days = { days: "every" };
    const trigger = { trigger: "sun", event, offset: 0, days } as const;
    const instant = instantOn(trigger, date, place.timezone, place);
    return instant === undefined ? undefined : localOf(instant, place.timezone).slice(11, 16);
  };
  return given({ sunrise: clockOf("sunrise"), sunset: clockOf("sunset") });
}

function instantOn(
  trigger: Firing,
  date: string,
  zone: string,
  place: Location | undefined,
): number | undefined {
  if (trigger.trigger === "time") return instantOf(`${date}T${printClock(trigger.clock)}`, zone);
  if (!place) return undefined;
  const event = trigger.event === "noon" ? "solarNoon" : trigger.event;
  const noon = new Date(instantOf(`${date}T12:00`, zone) * 1000);
  const { latitude, longitude } = place;
  const at = getTimes(noon, latitude, longitude)[event];
  if (!at || !Number.isFinite(at.getTime())) return undefined;
  // Near the poles there are days without a sunrise, and times that are none.
  const wanted = heights[trigger.event];
  const height = getPosition(at, latitude, longitude).altitude;
  if (wanted !== undefined && Math.abs(height - wanted) > heightTolerance) return undefined;
  return Math.round(at.getTime() / 1000) + trigger.offset;
}

/** How high the sun stands at its events, in degrees. */
const heights: Readonly<Record<string, number>> = {
  sunrise: -0.833,
  sunset: -0.833,
  dawn: -6,
  dusk: -6,
};
/** Degrees by which a height may be off, which is told as it looks through the air. */
const heightTolerance = 1.5;

/** The instant at which a rule ends that says so; what fires later does not. */
function lastInstant(days: Days, zone: string): number {
  if (days.days !== "rule") return Infinity;
  const until = parseUntil(partsOf(days.rule).get("UNTIL") ?? "");
  if (until?.time === undefined) return Infinity;
  return instantOf(`${until.date}T${until.time}`, until.isUtc ? "UTC" : zone);
}

function isDay(days: Days, date: string): boolean {
  switch (days.days) {
    case "every":
      return true;
    case "weekdays":
      return days.weekdays.includes(weekdayOf(date));
    case "dates":
      return days.dates.includes(date);
    case "rule":
      return datesOf(days.rule, Number(date.slice(0, 4))).has(date);
  }
}
