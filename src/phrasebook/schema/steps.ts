import * as z from "zod/mini";
import {
  type ReplyDefinition,
  type SaidDefinition,
  type StatesDefinition,
  reference,
  references,
  replySchema,
  saidSchema,
  statesSchema,
  text,
  texts,
  valueSchema,
} from "../../document/shapes.ts";
import type { Value } from "../../model/property.ts";
import type { StepInput } from "../../model/step.ts";

const stepAdvice =
  "write a step: set, nudge, toggle, call, tell, say, notify, wait, if, try, ask, run, hear or send";

export type StepsDefinition = StepDefinition | StepDefinition[];

/** One step as it is written; see docs/routines.md. */
export type StepDefinition =
  | { set: StatesDefinition }
  | { nudge: StatesDefinition }
  | { toggle: Record<string, string | string[]> }
  | { call: Record<string, string>; with?: Value | undefined }
  | {
      tell: {
        target: string;
        property?: string | undefined;
        state?: string | undefined;
        form: "value" | "whether" | "which" | "any";
      };
    }
  | { say: ReplyDefinition; at?: string | undefined }
  | { notify: string | string[]; text: ReplyDefinition; tag?: string | undefined }
  | { wait: string }
  | { if: StatesDefinition; then: StepsDefinition; else?: StepsDefinition | undefined }
  | { try: StepsDefinition; failed: StepsDefinition }
  | {
      ask: ReplyDefinition;
      answers: { hear: SaidDefinition; do?: StepsDefinition | undefined }[];
      within?: string | undefined;
      silence?: StepsDefinition | undefined;
    }
  | { run: string }
  | { hear: string; at?: string | undefined }
  | {
      send: {
        to: string;
        text?: string | undefined;
        retain?: boolean | undefined;
        method?: "GET" | "POST" | "PUT" | undefined;
      };
    };

/** Computes steps from what is known at that moment; the same input has to give the same steps. */
export type ComputeSteps = (input: StepInput) => StepsDefinition;

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
        text: z.optional(text),
        retain: z.optional(z.boolean()),
        method: z.optional(z.enum(["GET", "POST", "PUT"])),
      }),
    }),
    z.strictObject({
      tell: z.strictObject({
        target: text,
        property: z.optional(text),
        state: z.optional(text),
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
