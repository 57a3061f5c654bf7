import type { Heard, HeardCommand } from "../commands/outcome.ts";

/**
 * Whether what is done differs from what was meant in a number alone: "forty" for "fourteen". A suite says few of the
 * numbers that people do, so that what happens with one may happen in every phrase that has one.
 */
export function differsInNumber(meant: Heard, taken: Heard): boolean {
  const those = taken.commands;
  return (
    meant.commands.length === those.length &&
    meant.commands.every((command, at) => {
      const other = those[at];
      return other !== undefined && withoutNumbers(command) === withoutNumbers(other);
    })
  );
}

/** What a command is without the numbers in it, for comparison. */
function withoutNumbers({ intent, slots, when = {} }: HeardCommand): string {
  const parts = Object.entries(slots).map(([name, slot]) => {
    if ("devices" in slot) return [name, ...slot.devices];
    return [name, typeof slot.value === "number" ? "number" : slot.value];
  });
  return JSON.stringify([intent, parts, Object.keys(when)]);
}
