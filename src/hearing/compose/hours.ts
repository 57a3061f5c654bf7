import type { Filling } from "../understand/fillings.ts";
import type { Reading } from "../understand/evaluate.ts";
import type { Stretch } from "../understand/stretch.ts";
import type { Apart } from "./apart.ts";

/** Whether a share is so small a number that it may be an hour of the clock. */
export function saysHour(reading: Reading): boolean {
  return !isByAmount(reading) && reading.fillings.some(mayBeHour);
}

/**
 * Whether what is read of a stretch, but for what is `left` out of it, has an hour for a share.
 *
 * "Close the blind at nine" says when, and not that nine percent be left: a number without a unit, for a share,
 * that ends words that say a time of the clock.
 */
export function isHour(
  reading: Reading,
  aparts: readonly Apart[],
  stretch: Stretch,
  left: readonly Stretch[] = [],
): boolean {
  if (!saysHour(reading)) return false;
  const clocks = aparts.filter(({ whens = [] }) => whens.some((when) => "time" in when));
  const kept: number[] = [];
  for (let at = stretch.from; at < stretch.end; at++) {
    if (!left.some(({ from, end }) => at >= from && at < end)) kept.push(at);
  }
  return reading.fillings.some(
    (filling) =>
      mayBeHour(filling) &&
      clocks.some(
        ({ from, end }) => from < (kept[filling.from] ?? 0) && end - 1 === kept[filling.end - 1],
      ),
  );
}

/** Whether it is said by how much, as "um zehn lauter" is; what opens and closes does so by hours alone. */
function isByAmount({ meaning }: Reading): boolean {
  if (meaning.result !== "do") return false;
  return meaning.effects.some((effect) => "nudge" in effect && !("position" in effect.nudge));
}

function mayBeHour({ slot, reading }: Filling): boolean {
  if (slot.fills !== "value" || slot.unit !== "percent" || reading.read !== "value") return false;
  const { value } = reading;
  return typeof value === "number" && Number.isInteger(value) && value > 0 && value <= 12;
}
