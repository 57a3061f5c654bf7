import { parseDuration, printDuration } from "./duration.ts";

/** What the sun does in the course of a day. */
export const sunEvents = ["sunrise", "sunset", "dawn", "dusk", "noon"] as const;

export type SunEvent = (typeof sunEvents)[number];

/** A moment told by the sun. */
export interface SunPoint {
  event: SunEvent;
  /** Seconds after it; before it when negative. */
  offset: number;
}

/** Reads a moment of the sun: `sunset`, `20 minutes after sunset`, `1h before sunrise`. */
export function parseSun(text: string): SunPoint | undefined {
  const found = /^(?:(.+) (before|after) )?(\w+)$/.exec(text.trim());
  const event = sunEvents.find((each) => each === found?.[3]);
  const length = found?.[1] === undefined ? 0 : spelledDuration(found[1]);
  if (event === undefined || length === undefined) return undefined;
  return { event, offset: found?.[2] === "before" ? -length : length };
}

/** Writes a moment of the sun as it is read: `20m after sunset`. */
export function printSun({ event, offset }: SunPoint): string {
  if (offset === 0) return event;
  return `${printDuration(Math.abs(offset))} ${offset < 0 ? "before" : "after"} ${event}`;
}

/** "20 minutes", "1 hour", or a duration as it is written elsewhere. */
function spelledDuration(text: string): number | undefined {
  const found = /^(\d+(?:\.\d+)?)\s*(second|minute|hour)s?$/.exec(text.trim());
  const sizes: Readonly<Record<string, number>> = { second: 1, minute: 60, hour: 3600 };
  return found ? Number(found[1]) * (sizes[found[2] ?? ""] ?? 1) : parseDuration(text);
}
