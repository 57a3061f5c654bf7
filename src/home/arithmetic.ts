import type { SlotValue } from "../hearing/outcome.ts";
import type { ValueReference } from "../phrasebook/model.ts";
import type { State, Value } from "../phrasebook/property.ts";

/** What a value in a step comes to; undefined when a part of it is not known or is no number. */
export function valueOf(
  reference: ValueReference,
  slots: Readonly<Record<string, SlotValue>>,
  state: (device: string) => State,
): Value | undefined {
  switch (reference.refer) {
    case "value":
      return reference.value;
    case "slot":
      return slots[reference.slot]?.value;
    case "state":
      return state(reference.device)[reference.property];
    case "sum": {
      const left = valueOf(reference.left, slots, state);
      const right = valueOf(reference.right, slots, state);
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
