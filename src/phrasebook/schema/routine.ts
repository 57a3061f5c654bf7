import * as z from "zod/mini";
import {
  clock,
  date,
  reference,
  replySchema,
  saidSchema,
  statesSchema,
  text,
  texts,
} from "../../document/shapes.ts";
import { slotSchema } from "../../slot-types/types.ts";
import { named } from "./home.ts";
import { doSchema } from "./steps.ts";

const triggerAdvice = "write a trigger: phrase, time, sun, state, presence or press";

const triggerSchema = z.union(
  [
    z.strictObject({ phrase: saidSchema }),
    z.strictObject({
      time: clock,
      repeat: z.optional(z.union([text, texts])),
      date: z.optional(z.union([date, z.array(date)])),
    }),
    z.strictObject({ sun: text, repeat: z.optional(z.union([text, texts])) }),
    z.strictObject({ state: statesSchema, lasting: z.optional(text) }),
    z.strictObject({ presence: text }),
    z.strictObject({ press: reference }),
  ],
  { error: triggerAdvice },
);

export const routineSchema = z.strictObject(
  {
    ...named,
    triggers: z.optional(z.array(triggerSchema, { error: "write a list of triggers" })),
    slots: z.optional(z.record(z.string(), slotSchema)),
    if: z.optional(statesSchema),
    enabled: z.optional(z.boolean()),
    overlap: z.optional(
      z.enum(["skip", "queue", "restart", "together"], {
        error: "write one of skip, queue, restart, together",
      }),
    ),
    interrupted: z.optional(
      z.enum(["resume", "tell", "repeat"], { error: "write one of resume, tell, repeat" }),
    ),
    rest: z.optional(text),
    trusted: z.optional(z.boolean()),
    "reply-at": z.optional(text),
    moment: z.optional(replySchema),
    do: doSchema,
    reply: z.optional(replySchema),
    failed: z.optional(replySchema),
    replaces: z.optional(z.literal(true)),
  },
  { error: 'write a map with steps: { triggers: [{ time: "18:30" }], do: [{ wait: 5s }] }' },
);
