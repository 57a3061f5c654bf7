import * as z from "zod/mini";
import type { SlotBase, TextSlot } from "./slot.ts";
import { need } from "./need.ts";

/** Free words. */
export const text = {
  shape: z.strictObject({ type: z.literal("text"), ...need }),
  read: (base: SlotBase): TextSlot => ({ ...base, fills: "words" }),
};
