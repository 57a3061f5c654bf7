import type { Cursor } from "../document/cursor.ts";
import { readChoices } from "./choices.ts";
import type { QuantityDefinition } from "./definition.ts";
import {
  checkRange,
  decimal,
  quantityShape,
  quantitySlot,
  recogniseQuantity,
  withUnit,
} from "./quantities.ts";
import type { SlotBase, ValuedSlot } from "./slot.ts";

const shape = quantityShape("temperature");

/** Degrees Celsius. */
export const temperature = {
  shape,
  read(cursor: Cursor<QuantityDefinition>, base: SlotBase): ValuedSlot {
    const { value } = cursor;
    checkRange(cursor, value.minimum, value.maximum);
    return quantitySlot(base, value, readChoices(cursor.given("values")), {
      unit: "celsius",
      alike: "temperature",
      recognise: (ground) => recogniseQuantity(ground, ground.pack.units.celsius),
      sample: (_, least = 21) => String(least),
      grammar: (writing) =>
        writing.define("degrees", () =>
          withUnit(decimal(writing), writing.said(writing.pack.units.celsius)),
        ),
    });
  },
};
