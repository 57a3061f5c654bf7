import type { Reason } from "../model/reason.ts";
import {
  type LocalTime,
  dateText,
  isDate,
  laterDate,
  printClock,
  printLocal,
  weekdayOf,
} from "../time/local.ts";
import type { ClockReading } from "./time.ts";
import type { DateReading } from "./date.ts";

const minute = 60;
const halfDay = 12 * 60;

/** What a time or date comes to, or why it comes to nothing. */
export type Settled = { ok: true; text: string } | { ok: false; reason: Reason };

const unknownDay: Settled = { ok: false, reason: { reason: "day" } };

/**
 * A time of day as `HH:MM`. One that is open is the next of the two to come; where it is not known
 * what time it is, it is as said, before noon.
 */
export function settleClock({ minutes, open }: ClockReading, now: LocalTime | undefined): string {
  if (!open || !now) return printClock(minutes * minute);
  return printClock(nextOf(minutes, now.seconds) * minute);
}

/** The first of a time and the same twelve hours later that comes after some seconds of the day. */
function nextOf(minutes: number, seconds: number): number {
  const early = minutes % halfDay;
  if (early * minute > seconds) return early;
  return (early + halfDay) * minute > seconds ? early + halfDay : early;
}

/** A date as ISO 8601: the next such day from today on; a weekday is never today. */
export function settleDate(reading: DateReading, now: LocalTime | undefined): Settled {
  const at = (text: string): Settled => ({ ok: true, text });
  if (reading.date === "day" && reading.year !== undefined) {
    return at(dateText(reading.year, reading.month, reading.day));
  }
  if (!now) return unknownDay;
  const today = now.date;
  switch (reading.date) {
    case "ahead":
      return at(laterDate(today, reading.days));
    case "weekday":
      return at(laterDate(today, ((reading.weekday - weekdayOf(today) + 6) % 7) + 1));
    case "day": {
      // The 29th of February may be up to eight years ahead.
      for (let year = Number(today.slice(0, 4)); ; year++) {
        const date = dateText(year, reading.month, reading.day);
        if (isDate(date) && date >= today) return at(date);
      }
    }
  }
}

/**
 * A time on a day, as `2026-03-02T18:30`; without a day the next one to come, or `HH:MM` where it
 * is not known what time it is.
 */
export function settlePoint(
  time: ClockReading,
  date: DateReading | undefined,
  now: LocalTime | undefined,
): Settled {
  if (!date) {
    const clock = settleClock(time, now);
    if (!now) return { ok: true, text: clock };
    const isPast = clock <= printClock(now.seconds).slice(0, 5);
    return { ok: true, text: `${isPast ? laterDate(now.date, 1) : now.date}T${clock}` };
  }
  const day = settleDate(date, now);
  if (!day.ok) return day;
  const isToday = now?.date === day.text;
  const text = `${day.text}T${settleClock(time, isToday ? now : undefined)}`;
  if (now && text <= printLocal(now)) return { ok: false, reason: { reason: "past", time: text } };
  return { ok: true, text };
}
