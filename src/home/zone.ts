import { Temporal } from "temporal-polyfill";

/**
 * The instant of a local time in a time zone, in seconds of Unix time. A time that clocks pass over
 * is taken by the hour that was skipped, later; of one that comes twice it is the first.
 */
export function instantOf(local: string, zone: string): number {
  const { epochMilliseconds } = Temporal.PlainDateTime.from(local).toZonedDateTime(zone);
  return epochMilliseconds / 1000;
}

/** From one change of a zone's clocks to the next, in milliseconds of Unix time. */
interface Span {
  from: number;
  until: number;
  /** Milliseconds that its clocks are ahead of UTC. */
  ahead: number;
}

/** The span last asked about in each zone: what is asked next is most often in it. */
const spans = new Map<string, Span>();

/** The local time of an instant, `2026-03-02T18:05:00`. */
export function localOf(instant: number, zone: string): string {
  const time = Math.round(instant * 1000);
  const known = spans.get(zone);
  const span = known && known.from <= time && time < known.until ? known : spanAt(time, zone);
  if (span !== known) spans.set(zone, span);
  return new Date(time + span.ahead).toISOString().slice(0, "2026-03-02T18:05:00".length);
}

function spanAt(time: number, zone: string): Span {
  const there = Temporal.Instant.fromEpochMilliseconds(time).toZonedDateTimeISO(zone);
  const next = there.getTimeZoneTransition("next");
  // A change that is now began what is now.
  const last = there.add({ milliseconds: 1 }).getTimeZoneTransition("previous");
  return {
    from: last?.epochMilliseconds ?? -Infinity,
    until: next?.epochMilliseconds ?? Infinity,
    ahead: there.offsetNanoseconds / 1_000_000,
  };
}
