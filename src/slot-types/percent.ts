import { choice } from "../pattern/build.ts";
import {
  fraction,
  hundred,
  quantityType,
  recogniseQuantity,
  unitWords,
  withUnit,
} from "./quantities.ts";

/** A number of hundredths; "half" is 50. */
export const percent = quantityType("percent", {
  unit: "percent",
  recognise: (ground) =>
    recogniseQuantity(ground, [{ said: ground.pack.units.percent }], { whole: 100 }),
  sample: (_, least = 40) => `${least} %`,
  grammar: (writing) =>
    writing.define("percent", () =>
      choice([
        withUnit(writing, hundred(writing), unitWords(writing, writing.pack.units.percent)),
        fraction(writing),
      ]),
    ),
});
