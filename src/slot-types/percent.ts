import { hundred, quantityType, recogniseQuantity, withUnit } from "./quantities.ts";

/** A number of hundredths; "half" is 50. */
export const percent = quantityType("percent", {
  unit: "percent",
  recognise: (ground) =>
    recogniseQuantity(ground, [{ said: ground.pack.units.percent }], { whole: 100 }),
  sample: (_, least = 40) => `${least} %`,
  grammar: (writing) =>
    writing.define("percent", () =>
      withUnit(hundred(writing), writing.said(writing.pack.units.percent)),
    ),
});
