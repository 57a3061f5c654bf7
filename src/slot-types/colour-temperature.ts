import { sequence } from "../pattern/build.ts";
import { quantityType, recogniseQuantity, spelled, unitWords } from "./quantities.ts";

/** Kelvin; a small number is one only with its unit. */
export const colourTemperature = quantityType("colour-temperature", {
  unit: "kelvin",
  recognise: (ground) =>
    recogniseQuantity(ground, [{ said: ground.pack.units.kelvin }], { bareFrom: 1000 }),
  sample: (_, least = 3000) => `${least} K`,
  grammar: (writing) =>
    writing.define("kelvin", () =>
      sequence(spelled(writing, 1000, 9900, 100), unitWords(writing, writing.pack.units.kelvin)),
    ),
});
