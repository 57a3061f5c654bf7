import * as z from "zod/mini";
import { saidSchema, statesSchema } from "../phrasebook/schema.ts";

/* The shape of a suite file, which is also what its JSON Schema is made from. */

const outcomes = ["act", "confirm", "code", "answer", "unsure", "refuse", "unknown"] as const;
const text = z.string({ error: "write a text" });

/** Amounts to add: `{ wheel-lamp: { brightness: -20 } }`. */
const nudgesSchema = z.record(
  z.string(),
  z.record(z.string(), z.number({ error: "write the amount to add" })),
  { error: "write a map from device to amounts: { wheel-lamp: { brightness: -20 } }" },
);

const expectSchema = z.union(
  [
    text,
    z.strictObject(
      {
        outcome: z.optional(z.enum(outcomes, { error: `write one of ${outcomes.join(", ")}` })),
        intent: z.optional(text),
        set: z.optional(statesSchema),
        nudge: z.optional(nudgesSchema),
        call: z.optional(
          z.record(z.string(), text, { error: "write a map from device to action" }),
        ),
        reply: z.optional(text),
        reason: z.optional(text),
        home: z.optional(statesSchema),
      },
      { error: "write a map such as { set: { kiln-vent: { speed: 60 } } }" },
    ),
  ],
  {
    error: `write one of ${outcomes.join(", ")}, same as "…", or a map such as { set: { kiln-vent: { speed: 60 } } }`,
  },
);

const setting = {
  at: z.optional(text),
  language: z.optional(text),
  given: z.optional(statesSchema),
};

const caseSchema = z.strictObject(
  { hear: saidSchema, expect: expectSchema, ...setting },
  { error: "write a case: { hear: open the gate, expect: unknown }" },
);

/** One suite file. */
export const suiteSchema = z.strictObject(
  { suite: text, ...setting, cases: z.array(caseSchema, { error: "write a list of cases" }) },
  { error: "write a map with suite and cases" },
);

export type SuiteDefinition = z.input<typeof suiteSchema>;
export type CaseDefinition = z.input<typeof caseSchema>;
export type ExpectDefinition = z.input<typeof expectSchema>;
export type ExpectedOutcome = (typeof outcomes)[number];
export { outcomes };
