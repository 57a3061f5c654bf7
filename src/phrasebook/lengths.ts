import { longestDuration, parseDuration, printDuration } from "../time/duration.ts";
import { type Context, report } from "./context.ts";
import type { Document, Path } from "./document.ts";

/** Seconds of a duration as it is written; what is none, or too long to wait for, is reported. */
export function readLength(
  context: Context,
  document: Document,
  path: Path,
  written: string,
): number | undefined {
  const seconds = parseDuration(written);
  if (seconds !== undefined && seconds <= longestDuration) return seconds;
  const message =
    seconds === undefined
      ? `"${written}" is no duration`
      : `"${written}" is longer than ${printDuration(longestDuration)}, the most that can be waited for`;
  const fix = "write a duration such as 10m, 1h 30m or 45s";
  report(context, "wrong-value", document.at(path), message, fix);
  return undefined;
}
