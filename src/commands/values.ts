import type { ValueReference } from "../model/step.ts";
import type { State, Value } from "../model/property.ts";
import { type Slots, filledBy } from "./outcome.ts";

/** What values in steps are worked out with. */
export interface Known {
  slots: Slots;
  state: (device: string) => State;
  /** The unit of a property. */
  unitOf?: (device: string, property: string) => string | undefined;
  /** A number of a slot or a state as it is where it goes, which may count in another unit. */
  inUnit?: (value: number, from: Measured) => number;
}

/** What a number is measured in. */
export interface Measured {
  unit: string | undefined;
  /** Whether it is how much more or less, and not how much. */
  isDifference: boolean;
}

/** What a value in a step comes to; undefined when a part of it is not known or is no number. */
export function valueOf(
  reference: ValueReference,
  known: Known,
  isDifference = false,
): Value | undefined {
  const inUnit = (value: Value | undefined, unit: string | undefined): Value | undefined =>
    typeof value === "number" && known.inUnit ? known.inUnit(value, { unit, isDifference }) : value;
  switch (reference.refer) {
    case "value":
      return reference.value;
    case "first":
      return reference.values[0];
    case "slot": {
      const filled = filledBy(known.slots, reference.slot);
      return filled && "value" in filled ? inUnit(filled.value, filled.unit) : undefined;
    }
    case "state": {
      const { device, property } = reference;
      return inUnit(known.state(device)[property], known.unitOf?.(device, property));
    }
    case "sum": {
      const { operator } = reference;
      const isMore = operator === "plus" || operator === "minus";
      const left = valueOf(reference.left, known, isDifference);
      // What is added to a measure is how much more it is; a plain number measures nothing.
      const isAdded = isMore && reference.left.refer !== "value";
      const right = valueOf(reference.right, known, isDifference || isAdded);
      if (typeof left !== "number" || typeof right !== "number") return undefined;
      const results = {
        plus: left + right,
        minus: left - right,
        times: left * right,
        "at least": Math.max(left, right),
        "at most": Math.min(left, right),
      };
      return Number(results[operator].toPrecision(12));
    }
  }
}

/** What was said as a part of a whole: 0.5 for "half". */
export function partOf(reference: ValueReference, { slots }: Known): number | undefined {
  const filled = reference.refer === "slot" ? filledBy(slots, reference.slot) : undefined;
  return filled && "value" in filled ? filled.part : undefined;
}
