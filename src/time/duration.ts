const units = [
  ["d", 86_400],
  ["h", 3600],
  ["m", 60],
  ["s", 1],
] as const;

const written =
  /^(?:(\d+(?:\.\d+)?)d)?\s*(?:(\d+(?:\.\d+)?)h)?\s*(?:(\d+(?:\.\d+)?)m)?\s*(?:(\d+(?:\.\d+)?)s)?$/;

/** The longest that something waits or lasts, in seconds: a year. */
export const longestDuration = 366 * 86_400;

/**
 * Reads a duration as it is written in a phrasebook: `10m`, `1h 30m`, `5s`, `2d`.
 *
 * @returns Seconds, or undefined when it is no duration.
 */
export function parseDuration(text: string): number | undefined {
  const found = written.exec(text.trim());
  if (!found || text.trim() === "") return undefined;
  return units.reduce(
    (sum, [, seconds], index) => sum + Number(found[index + 1] ?? 0) * seconds,
    0,
  );
}

/** Writes seconds as a phrasebook does: `1h 30m`. */
export function printDuration(seconds: number): string {
  let left = seconds;
  const parts: string[] = [];
  for (const [sign, size] of units) {
    const count = sign === "s" ? Number(left.toFixed(3)) : Math.floor(left / size);
    left -= count * size;
    if (count > 0) parts.push(`${count}${sign}`);
  }
  return parts.length > 0 ? parts.join(" ") : "0s";
}
