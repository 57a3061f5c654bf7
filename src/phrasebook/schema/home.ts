import * as z from "zod/mini";
import {
  positive,
  reference,
  references,
  saidSchema,
  text,
  texts,
  valueSchema,
} from "../../document/shapes.ts";
import { kinds } from "../../model/kinds.ts";

/** What has names: `{ name: kiln room, aliases: [firing room] }`. */
export const named = { name: z.optional(saidSchema), aliases: z.optional(saidSchema) };

export const roomSchema = z.strictObject(
  { ...named, outside: z.optional(z.literal(true)) },
  {
    error: "write a map: { aliases: [firing room] }",
  },
);

export const zoneSchema = z.strictObject(
  { ...named, rooms: z.optional(references), zones: z.optional(references) },
  { error: "write a map with rooms: { rooms: [kiln-room] }" },
);

export const voicepointSchema = z.strictObject(
  { room: reference },
  { error: "write a map with a room: { room: kiln-room }" },
);

export const dataSchema = z.strictObject(
  {
    type: z.optional(z.enum(["boolean", "string", "number", "integer"])),
    minimum: z.optional(z.number()),
    maximum: z.optional(z.number()),
    step: z.optional(positive),
    multipleOf: z.optional(positive),
    unit: z.optional(z.string()),
    enum: z.optional(texts),
    readOnly: z.optional(z.boolean()),
    default: z.optional(valueSchema),
  },
  { error: "write a map such as { minimum: 20, maximum: 60 }" },
);

const voiceSchema = z.enum(["free", "confirm", "code", "barred"], {
  error: "write one of free, confirm, code, barred",
});

const access = {
  voice: z.optional(voiceSchema),
  safe: z.optional(
    z.record(z.string(), z.union([valueSchema, z.array(valueSchema)]), {
      error: "write a map from property to the values that are always free: { locked: true }",
    }),
  ),
  "safe-actions": z.optional(z.array(text, { error: "write a list of actions: [stop]" })),
};

const bulkSchema = z.union([z.boolean(), z.record(z.string(), valueSchema)], {
  error: "write true, false, or the states in which it goes along: { activity: not running }",
});

export const deviceSchema = z.strictObject(
  {
    ...named,
    kind: z.string({ error: `write a kind: one of ${Object.keys(kinds).join(", ")}` }),
    room: z.optional(reference),
    ...access,
    bulk: z.optional(bulkSchema),
    actions: z.optional(texts),
    properties: z.optional(
      z.union([texts, z.record(z.string(), z.nullable(dataSchema))], {
        error: "write a list of properties, or a map from property to what it can hold",
      }),
    ),
  },
  { error: "write a map with a kind: { kind: light, room: loft }" },
);

export const groupSchema = z.strictObject(
  { ...named, members: references },
  { error: "write a map with members: { members: [plinth-spots] }" },
);

export const kindSchema = z.strictObject(
  {
    properties: z.optional(z.record(z.string(), dataSchema)),
    optional: z.optional(z.record(z.string(), dataSchema)),
    actions: z.optional(texts),
    said: z.optional(
      z.strictObject({
        one: z.optional(saidSchema),
        many: z.optional(saidSchema),
        properties: z.optional(z.record(z.string(), saidSchema)),
        values: z.optional(z.record(z.string(), z.record(z.string(), saidSchema))),
        actions: z.optional(z.record(z.string(), saidSchema)),
      }),
    ),
    ...access,
    bulk: z.optional(bulkSchema),
    replaces: z.optional(z.literal(true)),
  },
  { error: "write a map with properties: { properties: { power: { enum: [on, off] } } }" },
);

const timeZoneAdvice = "write { latitude: 52.57, longitude: 1.72, timezone: Europe/London }";

export const placeSchema = z.strictObject(
  {
    latitude: z.number().check(z.gte(-90), z.lte(90)),
    longitude: z.number().check(z.gte(-180), z.lte(180)),
    timezone: text,
  },
  { error: timeZoneAdvice },
);

export const personSchema = z.strictObject({ name: z.optional(text) });

/** A rule of access over many devices at once; every condition in it must hold. */
export const voiceRuleSchema = z.strictObject(
  {
    kind: z.optional(reference),
    room: z.optional(reference),
    zone: z.optional(reference),
    group: z.optional(reference),
    name: z.optional(text),
    ...access,
    voice: voiceSchema,
  },
  { error: "write a rule: { kind: plug, room: kiln-room, voice: barred }" },
);
