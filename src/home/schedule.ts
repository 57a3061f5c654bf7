import { RRule } from "rrule";
import { getTimes } from "suncalc";
import type { Days, Location, Trigger } from "../phrasebook/model.ts";
import { laterDate, printClock, weekdayOf } from "../time/local.ts";
import { instantOf, localOf } from "./zone.ts";

export type ClockTrigger = Extract<Trigger, { trigger: "time" | "sun" }>;

/** Days that are looked ahead: a rule may name one day in four years. */
const farthest = 1500;

/**
 * The first instant after another at which a trigger fires, in seconds of Unix time; undefined when
 * there is none in the next four years, or no sun that day.
 */
export function nextFiring(
  trigger: ClockTrigger,
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
    if (instant !== undefined && instant > after) return instant;
  }
  return undefined;
}

function instantOn(
  trigger: ClockTrigger,
  date: string,
  zone: string,
  place: Location | undefined,
): number | undefined {
  if (trigger.trigger === "time") return instantOf(`${date}T${printClock(trigger.clock)}`, zone);
  if (!place) return undefined;
  const event = trigger.event === "noon" ? "solarNoon" : trigger.event;
  const noon = new Date(instantOf(`${date}T12:00`, zone) * 1000);
  const at = getTimes(noon, place.latitude, place.longitude)[event];
  // Near the poles there are days without a sunrise.
  if (!at || !Number.isFinite(at.getTime())) return undefined;
  return Math.round(at.getTime() / 1000) + trigger.offset;
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
      return datesOf(days.rule, date.slice(0, 4)).has(date);
  }
}

/** Where a rule begins that does not say so: a Monday. */
const ruleStart = "20010101T000000Z";

const known = new Map<string, ReadonlySet<string>>();

/** The days of a rule in one year; worked out once, since a rule is asked about day by day. */
function datesOf(rule: string, year: string): ReadonlySet<string> {
  const key = `${year} ${rule}`;
  let dates = known.get(key);
  if (!dates) {
    const parsed = RRule.fromString(`DTSTART:${ruleStart}\nRRULE:${rule}`);
    const [from, to] = [new Date(`${year}-01-01T00:00:00Z`), new Date(`${year}-12-31T00:00:00Z`)];
    dates = new Set(parsed.between(from, to, true).map((day) => day.toISOString().slice(0, 10)));
    known.set(key, dates);
  }
  return dates;
}
