import * as z from "zod/mini";
import {
  reference,
  references,
  replySchema,
  saidSchema,
  statesSchema,
  text,
  texts,
  valueSchema,
} from "../../document/shapes.ts";
import type { ComputeSteps, StepDefinition, StepsDefinition } from "../definition/steps.ts";

const stepAdvice =
  "write a step: set, nudge, toggle, call, tell, say, notify, wait, if, try, ask, run, hear or send";

/** In TypeScript alone: a file cannot hold a function. */
const computeSchema = z.custom<ComputeSteps>((value) => typeof value === "function");

/** Steps hold steps; the type is written out because a schema cannot infer itself. */
export const stepsSchema: z.ZodMiniType<StepsDefinition, StepsDefinition> = z.lazy(() =>
  z.union([z.array(stepSchema), stepSchema], { error: "write a list of steps" }),
);

const stepSchema: z.ZodMiniType<StepDefinition, StepDefinition> = z.union(
  [
    z.strictObject({ set: statesSchema }),
    z.strictObject({ nudge: statesSchema }),
    z.strictObject({
      toggle: z.record(z.string(), z.union([text, texts]), {
        error: "write a map from device to the properties to toggle: { wheel-lamp: power }",
      }),
    }),
    z.strictObject({
      call: z.record(z.string(), text, { error: "write a map from device to action" }),
      with: z.optional(valueSchema),
    }),
    z.strictObject({ say: replySchema, at: z.optional(text) }),
    z.strictObject({
      notify: z.union([reference, references]),
      text: replySchema,
      tag: z.optional(text),
    }),
    z.strictObject({ wait: text }),
    z.strictObject({
      if: statesSchema,
      then: stepsSchema,
      else: z.optional(stepsSchema),
    }),
    z.strictObject({ try: stepsSchema, failed: stepsSchema }),
    z.strictObject({
      ask: replySchema,
      answers: z.array(z.strictObject({ hear: saidSchema, do: z.optional(stepsSchema) }), {
        error: 'write a list of answers: [{ hear: "yes", do: [] }]',
      }),
      within: z.optional(text),
      silence: z.optional(stepsSchema),
    }),
    z.strictObject({ run: reference }),
    z.strictObject({ hear: text, at: z.optional(reference) }),
    z.strictObject({
      send: z.strictObject({
        to: text,
        over: z.optional(reference),
        text: z.optional(text),
        retain: z.optional(z.boolean()),
        method: z.optional(z.enum(["GET", "POST", "PUT"])),
      }),
    }),
    z.strictObject({
      tell: z.strictObject({
        target: text,
        property: z.optional(z.union([text, z.array(text)])),
        state: z.optional(text),
        is: z.optional(text),
        form: z.enum(["value", "whether", "which", "any"]),
      }),
    }),
  ],
  { error: stepAdvice },
);

/** What an intent or a routine does. */
export const doSchema = z.union([z.array(stepSchema), stepSchema, computeSchema], {
  error: stepAdvice,
});
