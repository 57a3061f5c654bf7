import * as z from "zod/mini";
import { phrasebookSchema } from "../phrasebook/schema/phrasebook.ts";
import {
  comparisonForm,
  findingsForm,
  heardForm,
  recordForm,
  resultsForm,
  sayableForm,
  takenForm,
  timelineForm,
} from "./json-forms.ts";
import { alikesForm, mishearingsForm, slipsForm, studyForm } from "./sound-forms.ts";
import { daySchema, outcomes, suiteSchema } from "../suites/schema.ts";

/** Files that people write, and what commands print as JSON. */
export type JsonSchemaName =
  | "phrasebook"
  | "suite"
  | "day"
  | "heard"
  | "findings"
  | "results"
  | "record"
  | "comparison"
  | "sayable"
  | "timeline"
  | "taken"
  | "mishearings"
  | "alikes"
  | "slips"
  | "study";

/** JSON Schemas (draft 2020-12) of the files that people write and of what commands print, by name. */
export function jsonSchemas(): Record<JsonSchemaName, object> {
  return {
    phrasebook: { title: "Calm Phrase phrasebook", ...schemaOf(phrasebookSchema) },
    day: { title: "Calm Phrase day", ...schemaOf(daySchema) },
    suite: { title: "Calm Phrase suite", ...schemaOf(suiteSchema) },
    heard: { title: "calm-phrase hear --json", ...schemaOf(heardForm) },
    findings: { title: "calm-phrase check --json", ...schemaOf(findingsForm) },
    results: { title: "calm-phrase test --json", ...schemaOf(resultsForm) },
    record: { title: "calm-phrase compare --to", ...schemaOf(recordForm) },
    comparison: { title: "calm-phrase compare --json", ...schemaOf(comparisonForm) },
    sayable: { title: "calm-phrase sayable --json", ...schemaOf(sayableForm) },
    timeline: { title: "calm-phrase run --json", ...schemaOf(timelineForm) },
    taken: { title: "calm-phrase import --json", ...schemaOf(takenForm) },
    mishearings: { title: "calm-phrase mishear --json", ...schemaOf(mishearingsForm) },
    alikes: { title: "calm-phrase mishear --names --json", ...schemaOf(alikesForm) },
    slips: { title: "calm-phrase mishear --open --json", ...schemaOf(slipsForm) },
    study: { title: "calm-phrase heard --json", ...schemaOf(studyForm) },
  };
}

interface JsonSchema {
  type?: string | string[];
  pattern?: string;
  anyOf?: JsonSchema[];
  oneOf?: JsonSchema[];
  items?: JsonSchema;
  properties?: Record<string, JsonSchema>;
  additionalProperties?: JsonSchema | boolean;
  $defs?: Record<string, JsonSchema>;
}

function schemaOf(schema: z.ZodMiniType): object {
  const made = z.toJSONSchema(schema, {
    unrepresentable: "any",
    override: ({ jsonSchema }) => {
      // Functions are for definitions in TypeScript; a file has no place for them.
      const options = jsonSchema.anyOf?.filter((option) => Object.keys(option).length > 0);
      if (options) jsonSchema.anyOf = options;
    },
  });
  // eslint-disable-next-line no-restricted-syntax -- the library leaves open what it has made
  complete(made as JsonSchema, "");
  return made;
}

/** Completes a schema and those in it. `key` is the key that its value stands under. */
function complete(schema: JsonSchema, key: string): void {
  const { type, properties = {}, $defs = {}, anyOf = [], oneOf = [], items } = schema;
  const { additionalProperties } = schema;
  for (const [name, each] of Object.entries(properties)) complete(each, name);
  for (const each of Object.values($defs)) complete(each, key);
  // Where something is told is a topic or a path, and looks like nothing else.
  const isPlace = anyOf.some((option) => Object.hasOwn(option.properties ?? {}, "from"));
  for (const each of [...anyOf, ...oneOf]) complete(each, isPlace ? "" : key);
  if (items) complete(items, key);
  if (typeof additionalProperties === "object") complete(additionalProperties, "");
  if (Array.isArray(type)) {
    // Strict readers ask for a schema for each type.
    delete schema.type;
    schema.anyOf = type.map((each) => ({ type: each }));
  }
  if (type !== "string") return;
  if (schema.pattern === plainDate) schema.pattern = `^${date}$`;
  else if (schema.pattern === undefined && Object.hasOwn(forms, key))
    schema.pattern = forms[key] ?? "";
}

const duration = String.raw`(?:\d+(?:\.\d+)?d)?\s*(?:\d+(?:\.\d+)?h)?\s*(?:\d+(?:\.\d+)?m)?\s*(?:\d+(?:\.\d+)?s)?`;
const length = String.raw`^(?=\s*\d)\s*${duration}\s*$`;
const date = String.raw`\d{4}-(?:0[1-9]|1[0-2])-(?:0[1-9]|[12]\d|3[01])`;
const days = "monday|tuesday|wednesday|thursday|friday|saturday|sunday";

/**
 * What texts look like that are read further once a file has its shape, by the key that they stand
 * under, so that an editor knows as much of them as a check does.
 */
const forms: Readonly<Record<string, string>> = {
  wait: String.raw`^(?:\$[\p{L}\p{N}_-]+|(?=\s*\d)\s*${duration}\s*)$`,
  lasting: length,
  rest: length,
  within: length,
  in: length,
  for: length,
  sun: "^(?:.+ (?:before|after) )?(?:sunrise|sunset|dawn|dusk|noon)$",
  presence: String.raw`^\s*\S+\s+(?:home|away)\s*$`,
  repeat: `^(?:daily|weekdays|weekends|(?:RRULE:)?FREQ=(?:DAILY|WEEKLY|MONTHLY|YEARLY)(?:;.*)?|(?:RRULE:)?[A-Z]+=.*;FREQ=.*|${days}|${days.replace(/\b\w/gu, (letter) => letter.toUpperCase())})$`,
  expect: `^(?:${outcomes.join("|")}|same as ".+")$`,
};

/** Dates stand under keys that other texts do as well, and show by their own pattern. */
const plainDate = String.raw`^\d{4}-\d{2}-\d{2}$`;
