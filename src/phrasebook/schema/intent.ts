import * as z from "zod/mini";
import { replySchema, saidSchema } from "../../document/shapes.ts";
import { slotSchema } from "../../slot-types/types.ts";
import { doSchema } from "./steps.ts";

export const intentSchema = z.strictObject(
  {
    patterns: saidSchema,
    slots: z.optional(z.record(z.string(), slotSchema)),
    do: z.optional(doSchema),
    reply: z.optional(replySchema),
    failed: z.optional(replySchema),
    replaces: z.optional(z.literal(true)),
    adds: z.optional(z.literal(true)),
  },
  { error: 'write a map with patterns: { patterns: ["extractor to $level"] }' },
);
