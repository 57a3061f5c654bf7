import * as z from "zod/mini";
import type { Recognise } from "../automaton/chart.ts";
import type { Cursor } from "../document/cursor.ts";
import { reference, valueSchema } from "../document/shapes.ts";
import type { OwnSlotType } from "../model/own-slot-type.ts";
import { isValue } from "../model/property.ts";
import { nothingToSay, phrase } from "../pattern/build.ts";
import { given } from "../source/given.ts";
import { membersOf } from "../source/border.ts";
import { need } from "./need.ts";
import {
  type SlotBase,
  type ValueReading,
  type ValuedSlot,
  settleAsSaid,
  valueRead,
} from "./slot.ts";

const shape = z.strictObject({
  type: z.literal("own"),
  of: reference,
  default: z.optional(valueSchema),
  ...need,
});

/** Words that an application itself makes a value of. */
export const own = {
  shape,
  read(cursor: Cursor<z.output<typeof shape>>, base: SlotBase): ValuedSlot {
    const { of, default: start } = cursor.value;
    const { slotTypes } = cursor.context;
    const type = slotTypes.find(({ name }) => name === of);
    const names = slotTypes.map(({ name }) => name);
    cursor.key("of").refers("slot type of the application", names);
    return {
      ...base,
      fills: "value",
      family: `own ${of}`,
      alike: `own ${of}`,
      ...given({ default: start }),
      recognise: ({ pack }) => (type ? recogniseOwn(type, pack.language) : () => []),
      settle: settleAsSaid,
      misfit: () => undefined,
      samples: ({ pack }) => (type ? textsOf(() => type.samples(pack.language)).map(phrase) : []),
      grammar: ({ pack, define, parsed, said }) =>
        define(`own-${of.replace(/\W/gu, "")}`, () => {
          if (type?.phrases) return parsed(textsOf(() => type.phrases?.(pack.language)));
          return (type && said(textsOf(() => type.samples(pack.language)))) ?? nothingToSay;
        }),
    };
  },
};

/** Functions of an application may fail, or find what is none: then nothing was found. */
function recogniseOwn(type: OwnSlotType, language: string): Recognise<ValueReading> {
  return ({ texts }, from) =>
    listOf(() => type.recognise(texts, from, language)).flatMap((found) => {
      const { end, value } = membersOf(found);
      const isEnd = Number.isInteger(end) && Number(end) > from && Number(end) <= texts.length;
      return isEnd && isValue(value) ? [{ end: Number(end), value: valueRead(value) }] : [];
    });
}

function textsOf(make: () => unknown): string[] {
  return listOf(make).filter((text) => typeof text === "string");
}

function listOf(make: () => unknown): unknown[] {
  try {
    const made = make();
    return Array.isArray(made) ? made : [];
  } catch {
    return [];
  }
}
