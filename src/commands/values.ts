import type { ValueReference } from "../model/step.ts";
import type { State, Value } from "../model/property.ts";
import { type Slots, filledBy, valueBy } from "./outcome.ts";

/** What values in steps are worked out with. */
export interface Known {
  slots: Slots;
  state: (device: string) => State;
}

/** What a value in a step comes to; undefined when a part of it is not known or is no number. */
export function valueOf(reference: ValueReference, known: Known): Value | undefined {
  switch (reference.refer) {
    case "value":
      return reference.value;
    case "first":
      return reference.values[0];
    case "slot":
      return valueBy(known.slots, reference.slot);
    case "state":
      return known.state(reference.device)[reference.property];
    case "sum": {
      const left = valueOf(reference.left, known);
      const right = valueOf(reference.right, known);
      if (typeof left !== "number" || typeof right !== "number") return undefined;
      const results = {
        plus: left + right,
        minus: left - right,
        times: left * right,
        "at least": Math.max(left, right),
        "at most": Math.min(left, right),
      };
      return Number(results[reference.operator].toPrecision(12));
    }
  }
}

/** What was said as a part of a whole: 0.5 for "half". */
export function partOf(reference: ValueReference, { slots }: Known): number | undefined {
  const filled = reference.refer === "slot" ? filledBy(slots, reference.slot) : undefined;
  return filled && "value" in filled ? filled.part : undefined;
}
