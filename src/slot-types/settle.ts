import type { ChoiceSlot, NumberSlot, Slot } from "../phrasebook/model.ts";
import { type Value, type ValueProblem, checkValue } from "../phrasebook/property.ts";
import { slotUnit } from "../phrasebook/slots.ts";
import type { LocalTime } from "../time/local.ts";
import { settleClock, settleDate } from "./moments.ts";
import type { Reason } from "../commands/reason.ts";
import type { SlotReading } from "./slots.ts";

export type SlotSettled = { ok: true; value: Value } | { ok: false; reason: Reason };

/** The value that words in a slot stand for, held against what the slot takes. */
export function settleSlot(
  slot: Slot,
  reading: Exclude<SlotReading, { read: "target" }>,
  now: LocalTime | undefined,
): SlotSettled {
  switch (reading.read) {
    case "state":
      return { ok: true, value: reading.state };
    case "time":
      return inRange(slot, settleClock(reading.time, now));
    case "date": {
      const date = settleDate(reading.date, now);
      return date.ok ? inRange(slot, date.text) : date;
    }
    case "number":
    case "value": {
      const problem = "values" in slot ? numberProblem(slot, reading.value) : undefined;
      return problem === undefined
        ? { ok: true, value: reading.value }
        : {
            ok: false,
            reason: { reason: "value", property: slot.name, problem },
          };
    }
  }
}

/** Times and dates are written so that they sort as text. */
function inRange(slot: Slot, value: string): SlotSettled {
  if (slot.type !== "time" && slot.type !== "date") return { ok: true, value };
  const { minimum, maximum, name } = slot;
  const isBefore = minimum !== undefined && value < minimum;
  if (!isBefore && (maximum === undefined || value <= maximum)) return { ok: true, value };
  const range = {
    ...(minimum === undefined ? {} : { minimum }),
    ...(maximum === undefined ? {} : { maximum }),
  };
  return { ok: false, reason: { reason: "outside", slot: name, ...range, value } };
}

function numberProblem(slot: NumberSlot | ChoiceSlot, value: Value): ValueProblem | undefined {
  if (slot.type === "choice") return undefined;
  const { minimum, maximum, step, type } = slot;
  const isWhole = type === "integer";
  if (minimum === undefined && maximum === undefined && step === undefined && !isWhole) {
    return undefined;
  }
  const unit = slotUnit(slot);
  const check = checkValue(
    {
      type: isWhole ? "integer" : "number",
      default: 0,
      ...(minimum === undefined ? {} : { minimum }),
      ...(maximum === undefined ? {} : { maximum }),
      ...(step === undefined ? {} : { multipleOf: step }),
      ...(unit === undefined ? {} : { unit }),
    },
    value,
  );
  return check.ok ? undefined : check.problem;
}
