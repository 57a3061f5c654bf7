import * as z from "zod/mini";
import type { Cursor } from "../document/cursor.ts";
import { saidTexts } from "../document/said.ts";
import { saidSchema } from "../document/shapes.ts";
import { given } from "../source/given.ts";
import { readChoices } from "./choices.ts";
import {
  checkRange,
  decimal,
  quantityShape,
  quantitySlot,
  recogniseQuantity,
  withUnit,
} from "./quantities.ts";
import type { SlotBase, ValuedSlot } from "./slot.ts";

/** With a unit of its own: `unit: { en: [turn, turns] }`. */
function countShape<Type extends string>(type: Type) {
  return z.extend(quantityShape(type), { unit: z.optional(saidSchema) });
}

const shape = countShape("number");
const wholeShape = countShape("integer");

/** A number, with a unit of the phrasebook's own or without one. */
export const number = { shape, read: readNumber };

/** The same, in whole numbers. */
export const integer = { shape: wholeShape, read: readNumber };

function readNumber(
  cursor: Cursor<z.output<typeof shape | typeof wholeShape>>,
  base: SlotBase,
): ValuedSlot {
  const { value } = cursor;
  checkRange(cursor, value.minimum, value.maximum);
  const units = saidTexts(cursor.given("unit"));
  const unit = units[0]?.text;
  const isWhole = value.type === "integer";
  const unitIn = (language: string): string[] =>
    units.filter((each) => each.language === language).map(({ text }) => text);
  return quantitySlot(base, value, readChoices(cursor.given("values")), {
    isWhole,
    ...given({ unit, alike: unit === undefined ? value.type : undefined }),
    recognise: (ground) => recogniseQuantity(ground, [{ said: unitIn(ground.language) }]),
    sample: (_, least = 5) => String(least),
    grammar(writing) {
      const words = unitIn(writing.language);
      const name = words.length > 0 ? `number-${unit?.replace(/\W/gu, "") ?? ""}` : "number";
      return writing.define(name, () => withUnit(writing, decimal(writing), writing.said(words)));
    },
  });
}
