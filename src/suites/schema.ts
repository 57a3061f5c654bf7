import * as z from "zod/mini";
import { saidSchema, statesSchema } from "../phrasebook/schema.ts";

/* The shape of a suite file, which is also what its JSON Schema is made from. */

const outcomes = [
  "act",
  "confirm",
  "code",
  "ask",
  "answer",
  "unsure",
  "refuse",
  "unknown",
] as const;
const text = z.string({ error: "write a text" });

/** Amounts to add: `{ wheel-lamp: { brightness: -20 } }`. */
const nudgesSchema = z.record(
  z.string(),
  z.record(z.string(), z.number({ error: "write the amount to add" })),
  { error: "write a map from device to amounts: { wheel-lamp: { brightness: -20 } }" },
);

const moment = z
  .string()
  .check(z.regex(/^(?:\d{4}-\d{2}-\d{2}T)?\d{2}:\d{2}$/, "write 18:30 or 2026-03-02T18:30"));

const whenSchema = z.strictObject(
  {
    in: z.optional(text),
    at: z.optional(moment),
    for: z.optional(text),
    until: z.optional(moment),
  },
  { error: 'write a map such as { in: 10m } or { at: "18:30", for: 1h }' },
);

const effect = {
  intent: z.optional(text),
  set: z.optional(statesSchema),
  nudge: z.optional(nudgesSchema),
  scale: z.optional(nudgesSchema),
  call: z.optional(z.record(z.string(), text, { error: "write a map from device to action" })),
  when: z.optional(whenSchema),
  slots: z.optional(
    z.record(z.string(), z.union([z.string(), z.number(), z.boolean()]), {
      error: "write a map from slot to value",
    }),
  ),
};

const commandsSchema = z.array(
  z.strictObject(effect, { error: "write a map such as { set: { kiln-vent: { speed: 60 } } }" }),
  { error: "write a list with one map for each command" },
);

const expectSchema = z.union(
  [
    text,
    commandsSchema,
    z.strictObject(
      {
        ...effect,
        outcome: z.optional(z.enum(outcomes, { error: `write one of ${outcomes.join(", ")}` })),
        commands: z.optional(commandsSchema),
        asks: z.optional(text),
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
  time: z.optional(
    z
      .string()
      .check(
        z.regex(
          /^\d{4}-\d{2}-\d{2}T\d{2}:\d{2}(?::\d{2})?$/,
          "write a time such as 2026-03-02T18:05",
        ),
      ),
  ),
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
export type CommandDefinition = z.input<typeof commandsSchema>[number];
export type ExpectDefinition = z.input<typeof expectSchema>;
export type ExpectedOutcome = (typeof outcomes)[number];
export { outcomes };
