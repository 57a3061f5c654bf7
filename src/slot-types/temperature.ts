import * as z from "zod/mini";
import type { Cursor } from "../document/cursor.ts";
import type { LanguagePack } from "../language/pack.ts";
import { type SpeechUnits, temperatureUnits } from "../model/units.ts";
import type { TemperatureDefinition } from "./definition.ts";
import { readChoices } from "./choices.ts";
import {
  checkRange,
  decimal,
  quantityShape,
  quantitySlot,
  recogniseQuantity,
  unitWords,
  withUnit,
} from "./quantities.ts";
import type { SlotBase, Spoken, ValuedSlot } from "./slot.ts";

const shape = z.extend(quantityShape("temperature"), {
  unit: z.optional(z.enum(temperatureUnits)),
});

/** Degrees: of the unit that was said, or else of that which the home is spoken to in. */
export const temperature = {
  shape,
  read(cursor: Cursor<TemperatureDefinition>, base: SlotBase): ValuedSlot {
    const { value } = cursor;
    checkRange(cursor, value.minimum, value.maximum);
    const unit = value.unit ?? cursor.context.units.temperature;
    return quantitySlot(base, value, readChoices(cursor.given("values")), {
      unit,
      alike: "temperature",
      recognise(ground) {
        const { pack, home } = ground;
        return recogniseQuantity(ground, [
          { said: degrees(pack), unit: home.units.temperature },
          ...temperatureUnits.map((each) => ({ said: scaleWords(pack, each), unit: each })),
        ]);
      },
      sample: (spoken, least) => String(least ?? usual(spoken)),
      grammar: (writing) =>
        writing.define("degrees", () => {
          const { pack } = writing;
          const scales = temperatureUnits.flatMap((each) => scaleWords(pack, each));
          return withUnit(
            writing,
            decimal(writing),
            unitWords(writing, [...degrees(pack), ...scales]),
          );
        }),
    });
  },
};

function degrees({ units }: LanguagePack): string[] {
  return [...units.degrees, "°"];
}

/** "Degrees Celsius", "Celsius", "°C", "C". */
function scaleWords(pack: LanguagePack, unit: SpeechUnits["temperature"]): string[] {
  const signs = { celsius: ["°c", "c"], fahrenheit: ["°f", "f"] };
  const { [unit]: names, degrees: before } = pack.units;
  return [
    ...before.flatMap((each) => names.map((name) => `${each} ${name}`)),
    ...names,
    ...signs[unit],
  ];
}

/** A room that people feel well in. */
function usual({ home }: Spoken): number {
  return home.units.temperature === "celsius" ? 21 : 70;
}
