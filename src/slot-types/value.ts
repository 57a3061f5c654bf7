import * as z from "zod/mini";
import type { Cursor } from "../document/cursor.ts";
import { reference, valueSchema } from "../document/shapes.ts";
import { agreeing } from "../language/agreement.ts";
import { isKnown } from "../model/known.ts";
import { nothingToSay, phrase } from "../pattern/build.ts";
import { given } from "../source/given.ts";
import { ownOf } from "../source/own.ts";
import { need } from "./need.ts";
import { recognisePhrases } from "./phrases.ts";
import { type SlotBase, type Spoken, type ValuedSlot, settleAsSaid, valueRead } from "./slot.ts";

const shape = z.strictObject({
  type: z.literal("value"),
  property: reference,
  default: z.optional(valueSchema),
  ...need,
});

/** The values that devices which speech knows of list for a property, and what is said for each. */
function listed(property: string, { home, pack }: Spoken): Map<string, readonly string[]> {
  const values = new Map<string, readonly string[]>();
  for (const device of home.devices.values()) {
    const { enum: own = [] } = device.properties.get(property) ?? {};
    if (own.length === 0 || !isKnown(device)) continue;
    for (const value of own)
      values.set(value, ownOf(ownOf(pack.values, property) ?? {}, value) ?? [value]);
  }
  return values;
}

/** A value that devices of this home list for a property: a mode, a source, a program. */
export const value = {
  shape,
  read(cursor: Cursor<z.output<typeof shape>>, base: SlotBase): ValuedSlot {
    const { property } = cursor.value;
    return {
      ...base,
      fills: "value",
      family: "value",
      alike: `value ${property}`,
      ...given({ default: cursor.value.default }),
      recognise(ground) {
        const phrases = [...listed(property, ground)].flatMap(([each, said]) =>
          said
            .flatMap((text) => agreeing(text, ground.pack))
            .map((text) => ({ said: text, value: valueRead(each) })),
        );
        return recognisePhrases(phrases, ground);
      },
      settle: settleAsSaid,
      misfit: () => undefined,
      samples(spoken) {
        const all = [...listed(property, spoken)];
        const [, said] = all.find(([each]) => each !== "off") ?? all[0] ?? [];
        return (said ?? []).slice(0, 1).map(phrase);
      },
      grammar: (writing) =>
        writing.define(`value-${property}`, () => {
          const said = [...listed(property, writing).values()].flat();
          return writing.said(said) ?? nothingToSay;
        }),
    };
  },
};
