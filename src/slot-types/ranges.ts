import type { Value } from "../model/property.ts";
import type { SlotSettled } from "./slot.ts";

/** Times and dates are written so that they sort as text. */
interface Range {
  minimum?: string;
  maximum?: string;
}

function isWithin({ minimum, maximum }: Range, value: string): boolean {
  return (minimum === undefined || value >= minimum) && (maximum === undefined || value <= maximum);
}

/** A time or date, where the slot takes it. */
export function settleInRange(name: string, range: Range, value: string): SlotSettled {
  if (isWithin(range, value)) return { ok: true, value };
  return { ok: false, reason: { reason: "outside", slot: name, ...range, value } };
}

export function misfitOf(range: Range, value: Value): string | undefined {
  return isWithin(range, String(value)) ? undefined : "is out of its range";
}
