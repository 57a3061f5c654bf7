import { Temporal } from "temporal-polyfill";

/**
 * The instant of a local time in a time zone, in seconds of Unix time. A time that clocks pass over
 * is taken by the hour that was skipped, later; of one that comes twice it is the first.
 */
export function instantOf(local: string, zone: string): number {
  const { epochMilliseconds } = Temporal.PlainDateTime.from(local).toZonedDateTime(zone);
  return epochMilliseconds / 1000;
}

/** The local time of an instant, `2026-03-02T18:05:00`. */
export function localOf(instant: number, zone: string): string {
  return Temporal.Instant.fromEpochMilliseconds(Math.round(instant * 1000))
    .toZonedDateTimeISO(zone)
    .toPlainDateTime()
    .toString({ smallestUnit: "second" });
}
