import * as z from "zod/mini";
import { references, saidSchema, text } from "../../document/shapes.ts";
import { temperatureUnits } from "../../model/units.ts";
import {
  deviceSchema,
  groupSchema,
  kindSchema,
  personSchema,
  placeSchema,
  roomSchema,
  voicepointSchema,
  voiceRuleSchema,
  zoneSchema,
} from "./home.ts";
import { intentSchema } from "./intent.ts";
import {
  addressSchema,
  bindingSchema,
  connectionSchema,
  contactSchema,
  doorsSchema,
  sourceSchema,
} from "./outside.ts";
import { routineSchema } from "./routine.ts";

/*
 * The shape of a phrasebook as it is written: one definition for YAML files, for definePhrasebook
 * and for the JSON Schema that editors use.
 */

export const idAdvice = "ids are lower-case letters, digits and hyphens, such as kiln-vent";
/** What may be an id. */
export const idForm = /^[\p{Ll}\p{Lo}\p{N}]+(?:-[\p{Ll}\p{Lo}\p{N}]+)*$/u;
const id = z.string().check(z.regex(idForm, idAdvice));

/** A section maps ids to entries. */
function section<Entry extends z.ZodMiniType>(entry: Entry) {
  return z.optional(z.record(id, entry, { error: "write a map from ids to what they are" }));
}

/** A section of which an entry with nothing to say may be left empty. */
function looseSection<Entry extends z.ZodMiniType>(entry: Entry) {
  return section(z.nullable(entry));
}

const vocabularySchema = z.strictObject(
  {
    without: z.optional(references),
    with: z.optional(z.array(z.enum(["wishes"]), { error: "write [wishes]" })),
    offers: z.optional(z.boolean()),
  },
  { error: "write what to leave out: { without: [colour-to] }, or to add: { with: [wishes] }" },
);

const unitsSchema = z.strictObject(
  { temperature: z.optional(z.enum(temperatureUnits)) },
  { error: "write a map: { temperature: fahrenheit }" },
);

const checksSchema = z.record(z.string(), z.enum(["off", "note", "warning", "error"]), {
  error: "write a map from rule to off, note, warning or error: { missing-name: off }",
});

/** One file of a phrasebook. */
export const phrasebookSchema = z.strictObject(
  {
    phrasebook: z.optional(text),
    languages: z.optional(z.array(text, { error: "write a list of language tags: [en-GB]" })),
    address: z.optional(saidSchema),
    place: z.optional(placeSchema),
    units: z.optional(unitsSchema),
    checks: z.optional(checksSchema),
    code: z.optional(text),
    rooms: looseSection(roomSchema),
    zones: looseSection(zoneSchema),
    voicepoints: section(voicepointSchema),
    devices: section(deviceSchema),
    groups: section(groupSchema),
    people: looseSection(personSchema),
    kinds: looseSection(kindSchema),
    voice: z.optional(z.array(voiceRuleSchema, { error: "write a list of rules" })),
    vocabulary: z.optional(vocabularySchema),
    uses: z.optional(z.array(text, { error: "write a list of folders: [../house-style]" })),
    colours: z.optional(
      z.record(
        z.string().check(z.regex(/^#[0-9a-f]{6}$/, "write a colour as #rrggbb, in lower case")),
        saidSchema,
        { error: 'write a map from colour to its names: { "#7b3f2a": [oxbow red] }' },
      ),
    ),
    pronunciations: z.optional(
      z.record(z.string(), saidSchema, {
        error: "write a map from word to what it is said like: { raku: rah koo }",
      }),
    ),
    fragments: z.optional(z.record(z.string(), saidSchema)),
    intents: section(intentSchema),
    routines: section(routineSchema),
    sources: section(sourceSchema),
    connections: section(connectionSchema),
    bindings: section(bindingSchema),
    contacts: section(contactSchema),
    addresses: section(addressSchema),
    doors: z.optional(doorsSchema),
  },
  { error: "write a map of sections: rooms, devices, intents and so on" },
);
