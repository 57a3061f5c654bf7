import * as z from "zod/mini";
import type { Cursor } from "../document/cursor.ts";
import { valueSchema, valuesSchema } from "../document/shapes.ts";
import { choice as oneOf } from "../pattern/build.ts";
import { given } from "../source/given.ts";
import { choicePatterns, readChoices, recogniseChoices } from "./choices.ts";
import { need } from "./need.ts";
import { type SlotBase, type ValuedSlot, settleAsSaid } from "./slot.ts";

const shape = z.strictObject({
  type: z.literal("choice"),
  values: valuesSchema,
  default: z.optional(valueSchema),
  ...need,
});

/** One of a list of values, each with the words said for it. */
export const choice = {
  shape,
  read(cursor: Cursor<z.output<typeof shape>>, base: SlotBase): ValuedSlot {
    const values = readChoices(cursor.key("values"));
    return {
      ...base,
      fills: "value",
      family: "choice",
      values,
      ...given({ default: cursor.value.default }),
      recognise: (ground) => recogniseChoices(values, ground),
      settle: settleAsSaid,
      misfit: (value) =>
        values.some((each) => each.value === value) ? undefined : "is none of its values",
      samples: ({ language }) => choicePatterns(values, language),
      grammar: ({ owner, language, define, led }) =>
        define(`choice-${owner}`, () => oneOf(choicePatterns(values, language).map(led))),
    };
  },
};
