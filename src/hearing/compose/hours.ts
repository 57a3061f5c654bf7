import type { Utterance } from "../../automaton/utterance.ts";
import type { Filling } from "../understand/fillings.ts";
import type { Reading } from "../understand/evaluate.ts";
import type { Stretch } from "../understand/stretch.ts";
import type { Parting } from "./parting.ts";

/** Whether a value is a number that may be an hour of the clock. */
export function saysHour(reading: Reading, utterance: Utterance): boolean {
  return !isByAmount(reading) && (reading.fillings.some(mayBeHour) || saysTime(reading, utterance));
}

/**
 * Whether what is read of a stretch, but for what is `left` out of it, has an hour for a share.
 *
 * "Close the blind at nine" says when, and not that nine percent be left: a number without a unit, for a share,
 * that ends words that say a time of the clock.
 */
export function isHour(
  reading: Reading,
  { utterance, aparts }: Pick<Parting, "utterance" | "aparts">,
  stretch: Stretch,
  left: readonly Stretch[] = [],
): boolean {
  if (isByAmount(reading)) return false;
  const clocks = aparts.filter(({ whens = [] }) => whens.some((when) => "time" in when));
  const kept: number[] = [];
  for (let at = stretch.from; at < stretch.end; at++) {
    if (!left.some(({ from, end }) => at >= from && at < end)) kept.push(at);
  }
  return reading.fillings.some((filling) => {
    const from = kept[filling.from] ?? 0;
    const said = { ...filling, from };
    return (
      (mayBeHour(filling) || hasArticle(said, utterance)) &&
      clocks.some((clock) => clock.from < from && clock.end - 1 === kept[filling.end - 1])
    );
  });
}

/** Whether a number is an hour of the clock, and nothing else. */
export function saysTime({ fillings }: Reading, utterance: Utterance): boolean {
  return fillings.some((filling) => hasArticle(filling, utterance));
}

/** "Hasta las nueve": an article before a bare number makes an hour of it. */
function hasArticle({ slot, from, reading }: Filling, { small }: Utterance): boolean {
  if (slot.fills !== "value" || reading.read !== "value" || typeof reading.value !== "number") {
    return false;
  }
  return small[from - 1] === true;
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
