import * as z from "zod/mini";
import type { Cursor } from "../document/cursor.ts";
import type { Value } from "../model/property.ts";
import { given } from "../source/given.ts";
import type { MomentDefinition } from "./definition.ts";
import { need } from "./need.ts";
import { checkRange } from "./quantities.ts";
import type { SlotBase, SlotSettled, ValuedSlot } from "./slot.ts";

/** How a slot for times or dates is written, which sort as text. */
export function momentShape<Type extends string>(type: Type, moment: z.ZodMiniString) {
  return z.strictObject({
    type: z.literal(type),
    minimum: z.optional(moment),
    maximum: z.optional(moment),
    default: z.optional(moment),
    ...need,
  });
}

/** What is peculiar to a time or a date. */
export interface Moment extends Pick<ValuedSlot, "recognise" | "samples" | "grammar"> {
  family: "time" | "date";
  /** What words come to, before it is held against the range. */
  settle: (...of: Parameters<ValuedSlot["settle"]>) => SlotSettled;
}

/** A slot for times or dates within a range. */
export function momentSlot(
  cursor: Cursor<MomentDefinition>,
  base: SlotBase,
  { family, settle, ...moment }: Moment,
): ValuedSlot {
  const { minimum, maximum, default: start } = cursor.value;
  checkRange(cursor, minimum, maximum);
  const range = given({ minimum, maximum });
  return {
    ...base,
    fills: "value",
    family,
    alike: family,
    ...given({ default: start }),
    limits: range,
    ...moment,
    settle(reading, now) {
      const settled = settle(reading, now);
      if (!settled.ok || isWithin(range, settled.value)) return settled;
      const { value } = settled;
      return {
        ok: false,
        reason: { reason: "outside", slot: base.name, ...range, value: String(value) },
      };
    },
    misfit(value) {
      if (typeof value !== "string" || !forms[family].test(value)) return `is no ${family}`;
      return isWithin(range, value) ? undefined : "is out of its range";
    },
  };
}

const forms = { time: /^\d{2}:\d{2}$/, date: /^\d{4}-\d{2}-\d{2}$/ };

interface Range {
  minimum?: string;
  maximum?: string;
}

function isWithin({ minimum, maximum }: Range, value: Value): boolean {
  const text = String(value);
  return (minimum === undefined || text >= minimum) && (maximum === undefined || text <= maximum);
}
