import * as z from "zod/mini";
import { spokenNames } from "../model/names.ts";
import { nothingToSay, phrase } from "../pattern/build.ts";
import { need } from "./need.ts";
import { recognisePhrases } from "./phrases.ts";
import { type SlotBase, type Spoken, type ValuedSlot, settleAsSaid, valueRead } from "./slot.ts";

/** What routines are called; one that is not enabled does not exist for speech. */
function called({ home, language }: Spoken): { said: string; id: string }[] {
  return [...home.routines.values()].flatMap((routine) =>
    routine.enabled
      ? spokenNames(routine, language, home.languages[0] ?? language).map(({ text }) => {
          return { said: text, id: routine.id };
        })
      : [],
  );
}

/** A routine by one of its names; its value is the id. */
export const routine = {
  shape: z.strictObject({ type: z.literal("routine"), ...need }),
  read: (base: SlotBase): ValuedSlot => ({
    ...base,
    fills: "value",
    family: "routine",
    alike: "routine",
    recognise(ground) {
      const phrases = called(ground).map(({ said, id }) => ({ said, value: valueRead(id) }));
      return recognisePhrases(phrases, ground);
    },
    settle: settleAsSaid,
    misfit: () => undefined,
    samples(spoken) {
      const first = new Map(
        called(spoken)
          .reverse()
          .map(({ said, id }) => [id, said]),
      );
      return [...first.values()].reverse().map(phrase);
    },
    grammar: (writing) =>
      writing.define(
        "routine",
        () => writing.said(called(writing).map(({ said }) => said)) ?? nothingToSay,
      ),
  }),
};
