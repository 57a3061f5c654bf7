import * as z from "zod/mini";
import type { Cursor } from "../document/cursor.ts";
import type { LanguagePack } from "../language/pack.ts";
import { type Said, type StateWord, doingWords, stateWords } from "../language/vocabulary.ts";
import { nothingToSay, phrase } from "../pattern/build.ts";
import type { StateDefinition } from "./definition.ts";
import { need } from "./need.ts";
import { recognisePhrases } from "./phrases.ts";
import { type SlotBase, type ValuedSlot, settleAsSaid, valueRead } from "./slot.ts";

/** A word for a state that devices can be asked about: "open", "on"; or a verb for one: "runs". */
export const state = {
  shape: z.strictObject({
    type: z.literal("state"),
    verbs: z.optional(z.boolean({ error: "write true or false" })),
    ...need,
  }),
  read({ value: { verbs = false } }: Cursor<StateDefinition>, base: SlotBase): ValuedSlot {
    const said = ({ states, doing }: LanguagePack): (readonly [StateWord, Said])[] =>
      verbs
        ? doingWords.map((word) => [word, doing[word]])
        : stateWords.map((word) => [word, states[word]]);
    return {
      ...base,
      fills: "value",
      family: "state",
      alike: verbs ? "state verb" : "state",
      recognise(ground) {
        const phrases = said(ground.pack).flatMap(([word, all]) =>
          all.map((each) => ({ said: each, value: valueRead(word) })),
        );
        return recognisePhrases(phrases, ground);
      },
      settle: settleAsSaid,
      misfit: (value) =>
        (verbs ? doingWords : stateWords).some((word) => word === value)
          ? undefined
          : "is no word for a state",
      samples: ({ pack }) => said(pack).flatMap(([, all]) => all.slice(0, 1).map(phrase)),
      grammar: (writing) =>
        writing.define(verbs ? "state-verb" : "state", () => {
          return writing.said(said(writing.pack).flatMap(([, all]) => all)) ?? nothingToSay;
        }),
    };
  },
};
