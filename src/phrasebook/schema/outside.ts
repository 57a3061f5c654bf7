import * as z from "zod/mini";
import {
  positive,
  reference,
  references,
  replySchema,
  text,
  texts,
  valueSchema,
} from "../../document/shapes.ts";
import { dataSchema, named } from "./home.ts";
import { tokenRights } from "../../model/outside.ts";

const headers = z.optional(
  z.record(z.string(), text, { error: "write a map from header to text" }),
);

export const connectionSchema = z.strictObject(
  { url: text, login: z.optional(text) },
  { error: 'write a map with a url: { url: "mqtt://127.0.0.1:1883" }' },
);

const orderSchema = z.union(
  [
    text,
    z.strictObject({
      to: text,
      method: z.optional(z.enum(["GET", "POST", "PUT", "PATCH", "DELETE"])),
      headers,
      text: z.optional(text),
      json: z.optional(z.unknown()),
      retain: z.optional(z.boolean()),
      quality: z.optional(z.union([z.literal(0), z.literal(1), z.literal(2)])),
    }),
  ],
  { error: 'write where to: "shop/$device/$property/set", or a map with to' },
);

const listening = {
  from: text,
  at: z.optional(text),
  headers,
  every: z.optional(text),
};

const reportSchema = z.union([text, z.strictObject(listening)], {
  error: 'write where from: "shop/$device/$property", or a map with from',
});

const propertySchema = z.strictObject({
  order: z.optional(z.union([orderSchema, z.literal(false)])),
  report: z.optional(z.union([reportSchema, z.literal(false)])),
  values: z.optional(z.record(z.string(), valueSchema)),
  scale: z.optional(z.number()),
  offset: z.optional(z.number()),
  step: z.optional(positive),
  unit: z.optional(text),
  colour: z.optional(z.enum(["hex", "list", "members"])),
  moves: z.optional(z.boolean()),
});

const aliveSchema = z.union([text, z.strictObject({ ...listening, is: z.optional(valueSchema) })]);

export const bindingSchema = z.strictObject(
  {
    devices: z.union([reference, references]),
    over: reference,
    alive: z.optional(aliveSchema),
    order: z.optional(orderSchema),
    report: z.optional(reportSchema),
    properties: z.optional(z.record(z.string(), z.nullable(propertySchema))),
    pressed: z.optional(reportSchema),
    actions: z.optional(z.union([text, z.record(z.string(), orderSchema)])),
    within: z.optional(text),
    tries: z.optional(z.int().check(z.gte(1), z.lte(10))),
  },
  { error: "write a map: { devices: [kiln-vent], over: broker, order: shop/$device/set }" },
);

export const contactSchema = z.strictObject(
  {
    over: reference,
    presence: z.optional(aliveSchema),
    notify: z.optional(orderSchema),
  },
  { error: "write a map: { over: broker, presence: shop/mara/place, notify: shop/mara/news }" },
);

export const sourceSchema = z.strictObject(
  {
    ...named,
    tells: z.record(z.string(), z.nullable(dataSchema)),
    reply: z.optional(replySchema),
    over: z.optional(reference),
    report: z.optional(reportSchema),
    within: z.optional(text),
  },
  { error: "write a map with what it tells: { tells: { sky: { type: string } } }" },
);

/** A SHA-256 in hexadecimal. */
const hash = z
  .string()
  .check(
    z.regex(/^sha256:[0-9a-f]{64}$/, "write sha256: and 64 digits, as calm-phrase live prints it"),
  );

export const addressSchema = z.strictObject(
  {
    runs: reference,
    slots: z.optional(references),
    with: z.optional(z.record(z.string(), valueSchema)),
    guard: z.optional(
      z.enum(["free", "confirm", "code"], { error: "write one of free, confirm, code" }),
    ),
    keys: z.optional(z.record(z.string(), hash)),
  },
  { error: "write a map with what it runs: { runs: close-up }" },
);

export const doorsSchema = z.strictObject(
  {
    host: z.optional(text),
    port: z.optional(z.int().check(z.gte(1), z.lte(65535))),
    tls: z.optional(z.strictObject({ certificate: text, key: text })),
    plain: z.optional(text),
    hosts: z.optional(texts),
    origins: z.optional(texts),
    tokens: z.optional(
      z.record(
        z.string(),
        z.union([hash, z.strictObject({ hash, may: z.optional(z.array(z.enum(tokenRights))) })]),
      ),
    ),
    voice: z.optional(z.strictObject({ over: reference, hear: text, say: text })),
    page: z.optional(z.boolean()),
  },
  { error: "write a map: { port: 8437, tokens: { phone: sha256:… } }" },
);
