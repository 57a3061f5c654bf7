import * as z from "zod/mini";
import { stateWords } from "../language/vocabulary.ts";
import { nothingToSay, phrase } from "../pattern/build.ts";
import { need } from "./need.ts";
import { recognisePhrases } from "./phrases.ts";
import { type SlotBase, type ValuedSlot, settleAsSaid, valueRead } from "./slot.ts";

/** A word for a state that devices can be asked about: "open", "on". */
export const state = {
  shape: z.strictObject({ type: z.literal("state"), ...need }),
  read: (base: SlotBase): ValuedSlot => ({
    ...base,
    fills: "value",
    family: "state",
    alike: "state",
    recognise(ground) {
      const { states } = ground.pack;
      const phrases = stateWords.flatMap((word) =>
        states[word].map((said) => ({ said, value: valueRead(word) })),
      );
      return recognisePhrases(phrases, ground);
    },
    settle: settleAsSaid,
    misfit: () => undefined,
    samples: ({ pack }) => stateWords.flatMap((word) => pack.states[word].slice(0, 1).map(phrase)),
    grammar: ({ pack, said, define }) =>
      define("state", () => said(stateWords.flatMap((word) => pack.states[word])) ?? nothingToSay),
  }),
};
