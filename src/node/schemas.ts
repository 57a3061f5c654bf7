import * as z from "zod/mini";
import { phrasebookSchema } from "../phrasebook/schema.ts";
import { suiteSchema } from "../suites/schema.ts";

/** JSON Schemas (draft 2020-12) of the files that people write, by name. */
export function jsonSchemas(): Record<"phrasebook" | "suite", object> {
  return {
    phrasebook: { title: "Calm Phrase phrasebook", ...z.toJSONSchema(phrasebookSchema) },
    suite: { title: "Calm Phrase suite", ...z.toJSONSchema(suiteSchema) },
  };
}
