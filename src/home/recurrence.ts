import { RRule } from "rrule";
import { parseUntil, partsOf } from "../phrasebook/recurrence.ts";

/** Milliseconds of a day. */
const dayLength = 86_400_000;

/** Where a rule begins that does not say so, a Monday, in days of Unix time. */
const start = Date.UTC(2001, 0, 1) / dayLength;

const known = new Map<string, ReadonlySet<string>>();

/** The days of a rule in one year; worked out once, since a rule is asked about day by day. */
export function datesOf(rule: string, year: number): ReadonlySet<string> {
  const key = `${year} ${rule}`;
  let dates = known.get(key);
  if (!dates) known.set(key, (dates = new Set(datesIn(rule, year))));
  return dates;
}

function datesIn(rule: string, year: number): string[] {
  const parts = partsOf(rule);
  const until = parseUntil(parts.get("UNTIL") ?? "")?.date ?? "9999";
  const count = Number(parts.get("COUNT") ?? Infinity);
  // Times of day are the trigger's, and ends are told by days.
  for (const name of ["UNTIL", "COUNT", "BYHOUR", "BYMINUTE", "BYSECOND"]) parts.delete(name);
  const bare = [...parts].map((part) => part.join("=")).join(";");
  let before = 0;
  for (let other = 2001; count < Infinity && other < year && before < count; other++) {
    before += countIn(bare, other);
  }
  const left = Math.max(0, count - before);
  return datesWithoutEnd(bare, year)
    .slice(0, left)
    .filter((date) => date <= until);
}

const counts = new Map<string, number>();

function countIn(rule: string, year: number): number {
  const key = `${year} ${rule}`;
  let count = counts.get(key);
  if (count === undefined) counts.set(key, (count = datesWithoutEnd(rule, year).length));
  return count;
}

/**
 * The days of a rule in a year, worked out for a year of the same calendar near the end of time: a
 * rule that never comes is looked for until then, and no further.
 */
function datesWithoutEnd(rule: string, year: number): string[] {
  const alike = yearLike(year);
  const from = startIn(rule, year, alike);
  if (from === undefined) return [];
  const { origOptions } = RRule.fromString(`RRULE:${rule}`);
  const [first, last] = [new Date(Date.UTC(alike, 0, 1)), new Date(Date.UTC(alike, 11, 31))];
  return new RRule({ ...origOptions, dtstart: from, until: last })
    .between(first, last, true)
    .map((day) => `${year}${day.toISOString().slice(4, 10)}`);
}

/** A year late in time whose days are those of another: as long, and beginning on its weekday. */
function yearLike(year: number): number {
  const isAlike = (other: number): boolean =>
    isLeap(other) === isLeap(year) &&
    new Date(Date.UTC(other, 0, 1)).getUTCDay() === new Date(Date.UTC(year, 0, 1)).getUTCDay();
  let alike = lastYear;
  while (!isAlike(alike)) alike--;
  return alike;
}

/** The last year but one that the package counts to, so that its last week is counted as well. */
const lastYear = 9998;

function isLeap(year: number): boolean {
  return new Date(Date.UTC(year, 1, 29)).getUTCMonth() === 1;
}

/** Where a rule has to begin so that its intervals fall as they do from its true beginning. */
function startIn(rule: string, year: number, alike: number): Date | undefined {
  const parts = partsOf(rule);
  const interval = Number(parts.get("INTERVAL") ?? 1);
  const january = Date.UTC(year, 0, 1) / dayLength;
  const there = Date.UTC(alike, 0, 1) / dayLength;
  const since = january - start;
  switch (parts.get("FREQ")) {
    case "DAILY":
      return new Date((there - modulo(since, interval)) * dayLength);
    case "WEEKLY": {
      const monday = modulo(since, 7);
      const weeks = modulo((since - monday) / 7, interval);
      return new Date((there - monday - weeks * 7) * dayLength);
    }
    case "MONTHLY":
      return new Date(Date.UTC(alike, -modulo((year - 2001) * 12, interval), 1));
    default:
      return modulo(year - 2001, interval) === 0 ? new Date(there * dayLength) : undefined;
  }
}

function modulo(value: number, by: number): number {
  return ((value % by) + by) % by;
}
