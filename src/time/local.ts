/** Milliseconds of a day in UTC, where all days are alike. */
const dayLength = 86_400_000;

/** A date and time of day as a clock on the wall shows them, without a time zone. */
export interface LocalTime {
  /** ISO 8601 calendar date, `2026-03-02`. */
  date: string;
  /** Seconds since the day began. */
  seconds: number;
}

const dateAndTime = /^(\d{4}-\d{2}-\d{2})[T ](\d{2}):(\d{2})(?::(\d{2}))?$/;

/** Reads `2026-03-02T18:05`, with or without seconds. */
export function parseLocal(text: string): LocalTime | undefined {
  const found = dateAndTime.exec(text.trim());
  const date = found?.[1];
  if (date === undefined || !isDate(date)) return undefined;
  const [hours, minutes, seconds] = [
    Number(found?.[2]),
    Number(found?.[3]),
    Number(found?.[4] ?? 0),
  ];
  if (hours > 23 || minutes > 59 || seconds > 59) return undefined;
  return { date, seconds: hours * 3600 + minutes * 60 + seconds };
}

/** Writes a local time as ISO 8601, with seconds only where there are some. */
export function printLocal({ date, seconds }: LocalTime): string {
  return `${date}T${printClock(seconds)}`;
}

/** Writes a time of day: `18:05`, `18:05:30`. */
export function printClock(seconds: number): string {
  const two = (value: number): string => String(value).padStart(2, "0");
  const text = `${two(Math.floor(seconds / 3600))}:${two(Math.floor(seconds / 60) % 60)}`;
  return seconds % 60 === 0 ? text : `${text}:${two(seconds % 60)}`;
}

/** Reads a time of day, `18:05`, as seconds since the day began. */
export function parseClock(text: string): number | undefined {
  const found = /^(\d{2}):(\d{2})$/.exec(text.trim());
  if (!found) return undefined;
  const [hours, minutes] = [Number(found[1]), Number(found[2])];
  return hours > 23 || minutes > 59 ? undefined : hours * 3600 + minutes * 60;
}

/** A calendar date as ISO 8601, whether the calendar has it or not. */
export function dateText(year: number, month: number, day: number): string {
  const two = (value: number): string => String(value).padStart(2, "0");
  return `${year}-${two(month)}-${two(day)}`;
}

/** Milliseconds from 1970-01-01 to a date, both at midnight in UTC; NaN for what is no date. */
function dayOf(date: string): number {
  return Date.parse(`${date}T00:00:00Z`);
}

function textOf(day: number): string {
  return new Date(day).toISOString().slice(0, 10);
}

/** Whether a text is a date that the calendar has. */
export function isDate(text: unknown): boolean {
  if (typeof text !== "string" || !/^\d{4}-\d{2}-\d{2}$/.test(text)) return false;
  const day = dayOf(text);
  return !Number.isNaN(day) && textOf(day) === text;
}

/** The date some days later, or before when negative. */
export function laterDate(date: string, days: number): string {
  return textOf(dayOf(date) + days * dayLength);
}

/** From 1 for Monday to 7 for Sunday, as in ISO 8601. */
export function weekdayOf(date: string): number {
  return new Date(dayOf(date)).getUTCDay() || 7;
}

/** Whole days from one date to another; negative for an earlier one. */
export function daysBetween(from: string, to: string): number {
  return Math.round((dayOf(to) - dayOf(from)) / dayLength);
}
