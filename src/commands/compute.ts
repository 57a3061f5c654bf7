import type { Intent, Routine } from "../phrasebook/model.ts";
import type { Step } from "../model/step.ts";
import type { StepInput } from "../model/step.ts";
import type { Value } from "../model/property.ts";
import { converted, isMeasured } from "../model/units.ts";
import type { Slot } from "../slot-types/slot.ts";
import { given } from "../source/given.ts";
import type { SlotValue, Slots, ValueSlot } from "./outcome.ts";

/** What is known beside slots when steps are computed. */
export type ComputeContext = Omit<StepInput, "slots">;

export type Computed = { ok: true; steps: readonly Step[] } | { ok: false; problem: string };

/**
 * The steps of an intent or routine: as written, or as its function computes them. It is given the
 * value of each slot, and for a target the ids of its devices.
 */
export function stepsOf(
  { steps, compute, slots: declared }: Pick<Intent | Routine, "steps" | "compute" | "slots">,
  slots: Slots,
  context: ComputeContext,
): Computed {
  if (!compute) return { ok: true, steps };
  const values = Object.entries(withDefaults({ slots: declared }, slots)).map(([name, slot]) => {
    return [
      name,
      "devices" in slot ? [...slot.devices] : valueFor(declared.get(name), slot),
    ] as const;
  });
  return compute({ ...context, slots: Object.fromEntries(values) });
}

/** Slots with what those stand for that nobody says anything for. */
export function withDefaults(
  of: Pick<Intent | Routine, "slots">,
  slots: Slots,
): Record<string, SlotValue> {
  return addDefaults(of, { ...slots });
}

/** Adds to slots what those stand for that nobody says anything for. */
export function addDefaults(
  { slots: declared }: Pick<Intent | Routine, "slots">,
  filled: Record<string, SlotValue>,
): Record<string, SlotValue> {
  for (const slot of declared.values()) {
    const value = slot.fills === "value" ? slot.default : undefined;
    if (value === undefined || Object.hasOwn(filled, slot.name)) continue;
    filled[slot.name] = { value, words: "", ...given({ unit: unitOf(slot) }) };
  }
  return filled;
}

/** The unit of a slot's values, where there are others of its quantity. */
export function unitOf(slot: Slot | undefined): string | undefined {
  const unit = slot?.fills === "value" ? slot.unit : undefined;
  return isMeasured(unit) ? unit : undefined;
}

/** What a function is given: the value in the unit of the slot. */
function valueFor(slot: Slot | undefined, { value, unit }: ValueSlot): Value {
  if (typeof value !== "number") return value;
  return converted(value, unit, unitOf(slot)) ?? value;
}
