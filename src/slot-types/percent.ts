import type { Cursor } from "../document/cursor.ts";
import { readChoices } from "./choices.ts";
import type { QuantityDefinition } from "./definition.ts";
import {
  checkRange,
  hundred,
  quantityShape,
  quantitySlot,
  recogniseQuantity,
  withUnit,
} from "./quantities.ts";
import type { SlotBase, ValuedSlot } from "./slot.ts";

const shape = quantityShape("percent");

/** A number of hundredths; "half" is 50. */
export const percent = {
  shape,
  read(cursor: Cursor<QuantityDefinition>, base: SlotBase): ValuedSlot {
    const { value } = cursor;
    checkRange(cursor, value.minimum, value.maximum);
    return quantitySlot(base, value, readChoices(cursor.given("values")), {
      unit: "percent",
      alike: "percent",
      recognise: (ground) => recogniseQuantity(ground, ground.pack.units.percent, { whole: 100 }),
      sample: (_, least = 40) => `${least} %`,
      grammar: (writing) =>
        writing.define("percent", () =>
          withUnit(hundred(writing), writing.said(writing.pack.units.percent)),
        ),
    });
  },
};
