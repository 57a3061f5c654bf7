import * as z from "zod/mini";
import { phrasebookSchema } from "../phrasebook/schema.ts";
import { daySchema, suiteSchema } from "../suites/schema.ts";

/** JSON Schemas (draft 2020-12) of the files that people write, by name. */
export function jsonSchemas(): Record<"phrasebook" | "suite" | "day", object> {
  return {
    phrasebook: { title: "Calm Phrase phrasebook", ...schemaOf(phrasebookSchema) },
    day: { title: "Calm Phrase day", ...schemaOf(daySchema) },
    suite: { title: "Calm Phrase suite", ...schemaOf(suiteSchema) },
  };
}

function schemaOf(schema: z.ZodMiniType): object {
  return z.toJSONSchema(schema, {
    unrepresentable: "any",
    override: ({ jsonSchema }) => {
      // Functions are for definitions in TypeScript; a file has no place for them.
      const options = jsonSchema.anyOf?.filter((option) => Object.keys(option).length > 0);
      if (options) jsonSchema.anyOf = options;
    },
  });
}
