import * as z from "zod/mini";
import { replySchema } from "../document/shapes.ts";

/** Whether a slot has to be said, and what is asked back when it is not. */
export const need = { optional: z.optional(z.literal(true)), ask: z.optional(replySchema) };
