import { longestDuration, parseDuration, printDuration } from "../time/duration.ts";
import type { Cursor } from "./cursor.ts";

/** Seconds of a duration as it is written; what is none, or too long to wait for, is reported. */
export function readLength(cursor: Cursor<string>): number | undefined {
  const { value: written } = cursor;
  const seconds = parseDuration(written);
  if (seconds !== undefined && seconds <= longestDuration) return seconds;
  const message =
    seconds === undefined
      ? `"${written}" is no duration`
      : `"${written}" is longer than ${printDuration(longestDuration)}, the most that can be waited for`;
  cursor.report("wrong-value", message, "write a duration such as 10m, 1h 30m or 45s");
  return undefined;
}
