import { decimal, quantityType, recogniseQuantity, withUnit } from "./quantities.ts";

/** Degrees Celsius. */
export const temperature = quantityType("temperature", {
  unit: "celsius",
  recognise: (ground) => recogniseQuantity(ground, ground.pack.units.celsius),
  sample: (_, least = 21) => String(least),
  grammar: (writing) =>
    writing.define("degrees", () =>
      withUnit(decimal(writing), writing.said(writing.pack.units.celsius)),
    ),
});
