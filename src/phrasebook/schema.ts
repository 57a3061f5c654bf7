import * as z from "zod/mini";
import { kinds } from "./kinds.ts";

/*
 * The shape of a phrasebook as it is written: one definition for YAML files, for definePhrasebook
 * and for the JSON Schema that editors use. The text of each `error` is the advice that a person
 * gets when something else stands there.
 */

const text = z.string({ error: "write a text" });
const texts = z.array(text, { error: "write a list of texts" });

const saidAdvice = "write one text, a list of texts, or a map from language to text or list";

/** Anything said: one text, a list for the first language, or a map from language to either. */
export const saidSchema = z.union([text, texts, z.record(z.string(), z.union([text, texts]))], {
  error: saidAdvice,
});

/** A reply: one text, or one for each language. A list would leave open which one is said. */
const replySchema = z.union([text, z.record(z.string(), text)], {
  error: "write one text, or a map from language to one text",
});

const idAdvice = "ids are lower-case letters, digits and hyphens, such as kiln-vent";
const id = z.string().check(z.regex(/^[\p{Ll}\p{Lo}\p{N}]+(?:-[\p{Ll}\p{Lo}\p{N}]+)*$/u, idAdvice));

const reference = z.string({ error: "write an id" });
const references = z.array(reference, { error: "write a list of ids: [one, two]" });

/** A section maps ids to entries. */
function section<Entry extends z.ZodMiniType>(entry: Entry) {
  return z.optional(z.record(id, entry, { error: "write a map from ids to what they are" }));
}

/** A section of which an entry with nothing to say may be left empty. */
function looseSection<Entry extends z.ZodMiniType>(entry: Entry) {
  return section(z.nullable(entry));
}

const valueSchema = z.union([z.string(), z.number(), z.boolean()], {
  error: "write a text, a number, true or false",
});

/** States of devices: `{ plinth-spots: { power: on } }`. */
export const statesSchema = z.record(
  z.string(),
  z.record(z.string(), valueSchema, { error: "write a map from property to value" }),
  { error: "write a map from device to its properties: { plinth-spots: { power: on } }" },
);

const named = { name: z.optional(saidSchema), aliases: z.optional(saidSchema) };

const roomSchema = z.strictObject(named, { error: "write a map: { aliases: [firing room] }" });

const zoneSchema = z.strictObject(
  { ...named, rooms: z.optional(references), zones: z.optional(references) },
  { error: "write a map with rooms: { rooms: [kiln-room] }" },
);

const voicepointSchema = z.strictObject(
  { room: reference },
  { error: "write a map with a room: { room: kiln-room }" },
);

const positive = z.number().check(z.gt(0, "write a number above 0"));

const dataSchema = z.strictObject(
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

const groupSchema = z.strictObject(
  { ...named, members: references },
  { error: "write a map with members: { members: [plinth-spots] }" },
);

const valuesSchema = z.union([texts, z.record(z.string(), z.nullable(saidSchema))], {
  error: "write a list of values, or a map from value to the words said for it",
});

/** Whether a slot has to be said, and what is asked back when it is not. */
const need = { optional: z.optional(z.literal(true)), ask: z.optional(replySchema) };

/** A number slot may have values with words of their own: `33: [low, slow]`. */
function numberSlot<Type extends string>(type: Type) {
  return z.strictObject({
    type: z.literal(type),
    minimum: z.optional(z.number()),
    maximum: z.optional(z.number()),
    step: z.optional(positive),
    values: z.optional(valuesSchema),
    default: z.optional(z.number()),
    ...need,
  });
}

/** A number slot with a unit of its own: `unit: { en: [turn, turns] }`. */
function countSlot<Type extends string>(type: Type) {
  return z.extend(numberSlot(type), { unit: z.optional(saidSchema) });
}

const lengthAdvice = "write a duration such as 10m, 1h 30m or 45s";
const length = z.union([z.number(), z.string()], { error: lengthAdvice });

const clock = z
  .string()
  .check(z.regex(/^(?:[01]\d|2[0-3]):[0-5]\d$/, "write a time such as 18:30"));
const date = z.string().check(z.regex(/^\d{4}-\d{2}-\d{2}$/, "write a date such as 2026-03-02"));

/** A target slot, or one that takes only things of one sort. */
function targetSlot<Type extends string>(type: Type) {
  return z.strictObject({
    type: z.literal(type),
    kind: z.optional(z.union([reference, references])),
    room: z.optional(reference),
    named: z.optional(z.literal(true)),
    narrows: z.optional(reference),
    ...need,
  });
}

const slotTypes =
  "target, device, room, zone, group, routine, percent, number, integer, temperature, duration, time, date, ordinal, colour, colour-temperature, choice, value, state or text";

const slotSchema = z.discriminatedUnion(
  "type",
  [
    targetSlot("target"),
    targetSlot("device"),
    targetSlot("room"),
    targetSlot("zone"),
    targetSlot("group"),
    numberSlot("percent"),
    countSlot("number"),
    countSlot("integer"),
    numberSlot("temperature"),
    numberSlot("colour-temperature"),
    numberSlot("ordinal"),
    z.strictObject({
      type: z.literal("duration"),
      minimum: z.optional(length),
      maximum: z.optional(length),
      step: z.optional(length),
      values: z.optional(valuesSchema),
      default: z.optional(length),
      ...need,
    }),
    z.strictObject({
      type: z.literal("time"),
      minimum: z.optional(clock),
      maximum: z.optional(clock),
      default: z.optional(clock),
      ...need,
    }),
    z.strictObject({
      type: z.literal("date"),
      minimum: z.optional(date),
      maximum: z.optional(date),
      default: z.optional(date),
      ...need,
    }),
    z.strictObject({ type: z.literal("colour"), default: z.optional(z.string()), ...need }),
    z.strictObject({
      type: z.literal("value"),
      property: reference,
      default: z.optional(valueSchema),
      ...need,
    }),
    z.strictObject({ type: z.literal("routine"), ...need }),
    z.strictObject({ type: z.literal("state"), ...need }),
    z.strictObject({ type: z.literal("text"), ...need }),
    z.strictObject({
      type: z.literal("choice"),
      values: valuesSchema,
      default: z.optional(valueSchema),
      ...need,
    }),
  ],
  { error: `write a map with a type: ${slotTypes}` },
);

const stepAdvice =
  "write a step: set, nudge, toggle, call, tell, say, notify, wait, if, try, ask, run, hear or send";

type Value = string | number | boolean;
type States = Record<string, Record<string, Value>>;
type Reply = string | Record<string, string>;
type Steps = StepDefinition | StepDefinition[];

/** One step as it is written; see docs/routines.md. */
export type StepDefinition =
  | { set: States }
  | { nudge: States }
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
  | { say: Reply; at?: string | undefined }
  | { notify: string | string[]; text: Reply; tag?: string | undefined }
  | { wait: string }
  | { if: States; then: Steps; else?: Steps | undefined }
  | { try: Steps; failed: Steps }
  | {
      ask: Reply;
      answers: { hear: SaidDefinition; do?: Steps | undefined }[];
      within?: string | undefined;
      silence?: Steps | undefined;
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

/** What a function that computes steps is given. */
export interface StepInput {
  /** By slot: its value, or the ids of the devices that a target stands for. */
  slots: Readonly<Record<string, Value | readonly string[]>>;
  /** The state of a device at that moment; empty for one that does not exist. */
  state: (device: string) => Readonly<Record<string, Value>>;
  /** BCP 47 tag of the language spoken. */
  language: string;
  /** The voicepoint, where speech set it off. */
  at?: string;
  /** Local time, `2026-03-02T18:05`, if it is known. */
  time?: string;
}

/** Computes steps from what is known at that moment; the same input has to give the same steps. */
export type ComputeSteps = (input: StepInput) => Steps;

/** In TypeScript alone: a file cannot hold a function. */
const computeSchema = z.custom<ComputeSteps>((value) => typeof value === "function");

/** Steps hold steps; the type is written out because a schema cannot infer itself. */
export const stepsSchema: z.ZodMiniType<Steps, Steps> = z.lazy(() =>
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

const doSchema = z.union([z.array(stepSchema), stepSchema, computeSchema], { error: stepAdvice });

const intentSchema = z.strictObject(
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

const kindSchema = z.strictObject(
  {
    properties: z.optional(z.record(z.string(), dataSchema)),
    optional: z.optional(z.record(z.string(), dataSchema)),
    actions: z.optional(texts),
    said: z.optional(z.strictObject({ one: z.optional(saidSchema), many: z.optional(saidSchema) })),
    ...access,
    bulk: z.optional(bulkSchema),
    replaces: z.optional(z.literal(true)),
  },
  { error: "write a map with properties: { properties: { power: { enum: [on, off] } } }" },
);

const timeZoneAdvice = "write { latitude: 52.57, longitude: 1.72, timezone: Europe/London }";

const placeSchema = z.strictObject(
  {
    latitude: z.number().check(z.gte(-90), z.lte(90)),
    longitude: z.number().check(z.gte(-180), z.lte(180)),
    timezone: text,
  },
  { error: timeZoneAdvice },
);

const triggerAdvice = "write a trigger: phrase, time, sun, state, presence or press";

const triggerSchema = z.union(
  [
    z.strictObject({ phrase: saidSchema }),
    z.strictObject({
      time: clock,
      repeat: z.optional(z.union([text, texts])),
      date: z.optional(z.union([date, z.array(date)])),
    }),
    z.strictObject({ sun: text, repeat: z.optional(z.union([text, texts])) }),
    z.strictObject({ state: statesSchema, lasting: z.optional(text) }),
    z.strictObject({ presence: text }),
    z.strictObject({ press: reference }),
  ],
  { error: triggerAdvice },
);

const routineSchema = z.strictObject(
  {
    ...named,
    triggers: z.optional(z.array(triggerSchema, { error: "write a list of triggers" })),
    slots: z.optional(z.record(z.string(), slotSchema)),
    if: z.optional(statesSchema),
    enabled: z.optional(z.boolean()),
    overlap: z.optional(
      z.enum(["skip", "queue", "restart", "together"], {
        error: "write one of skip, queue, restart, together",
      }),
    ),
    rest: z.optional(text),
    trusted: z.optional(z.boolean()),
    "reply-at": z.optional(text),
    moment: z.optional(replySchema),
    do: doSchema,
    reply: z.optional(replySchema),
    failed: z.optional(replySchema),
    replaces: z.optional(z.literal(true)),
  },
  { error: 'write a map with steps: { triggers: [{ time: "18:30" }], do: [{ wait: 5s }] }' },
);

const personSchema = z.strictObject({ name: z.optional(text) });

/** A rule of access over many devices at once; every condition in it must hold. */
const voiceRuleSchema = z.strictObject(
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

const vocabularySchema = z.strictObject(
  { without: z.optional(references) },
  { error: "write what to leave out: { without: [colour-to] }, or { without: [all] }" },
);

/** One file of a phrasebook. */
export const phrasebookSchema = z.strictObject(
  {
    phrasebook: z.optional(text),
    languages: z.optional(z.array(text, { error: "write a list of language tags: [en-GB]" })),
    address: z.optional(saidSchema),
    place: z.optional(placeSchema),
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
    fragments: z.optional(z.record(z.string(), saidSchema)),
    intents: section(intentSchema),
    routines: section(routineSchema),
  },
  { error: "write a map of sections: rooms, devices, intents and so on" },
);

export type PhrasebookDefinition = z.input<typeof phrasebookSchema>;
export type SaidDefinition = z.input<typeof saidSchema>;
export type ReplyDefinition = z.input<typeof replySchema>;
export type SlotDefinition = z.input<typeof slotSchema>;
export type StatesDefinition = z.input<typeof statesSchema>;
export type DataSchemaDefinition = z.input<typeof dataSchema>;
export type DeviceDefinition = z.input<typeof deviceSchema>;
export type IntentDefinition = z.input<typeof intentSchema>;
export type KindDefinition = z.input<typeof kindSchema>;
export type VoiceRuleDefinition = z.input<typeof voiceRuleSchema>;
export type StepsDefinition = Steps;
export type RoutineDefinition = z.input<typeof routineSchema>;
export type TriggerDefinition = z.input<typeof triggerSchema>;
