import type { Cursor } from "../document/cursor.ts";
import { sequence } from "../pattern/build.ts";
import { readChoices } from "./choices.ts";
import type { QuantityDefinition } from "./definition.ts";
import {
  checkRange,
  quantityShape,
  quantitySlot,
  recogniseQuantity,
  spelled,
} from "./quantities.ts";
import type { SlotBase, ValuedSlot } from "./slot.ts";

const shape = quantityShape("colour-temperature");

/** Kelvin; a small number is one only with its unit. */
export const colourTemperature = {
  shape,
  read(cursor: Cursor<QuantityDefinition>, base: SlotBase): ValuedSlot {
    const { value } = cursor;
    checkRange(cursor, value.minimum, value.maximum);
    return quantitySlot(base, value, readChoices(cursor.given("values")), {
      unit: "kelvin",
      alike: "colour-temperature",
      recognise: (ground) =>
        recogniseQuantity(ground, ground.pack.units.kelvin, { bareFrom: 1000 }),
      sample: (_, least = 3000) => `${least} K`,
      grammar: (writing) =>
        writing.define("kelvin", () =>
          sequence(spelled(writing, 1000, 9900, 100), writing.said(writing.pack.units.kelvin)),
        ),
    });
  },
};
