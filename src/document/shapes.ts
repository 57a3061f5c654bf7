import * as z from "zod/mini";
import type { Value } from "../model/property.ts";

/*
 * What is written the same way in files of every kind. The text of each `error` is the advice that a
 * person gets when something else stands there.
 */

export const text = z.string({ error: "write a text" });
export const texts = z.array(text, { error: "write a list of texts" });

/** Anything said: one text, a list for the first language, or a map from language to either. */
export const saidSchema = z.union([text, texts, z.record(z.string(), z.union([text, texts]))], {
  error: "write one text, a list of texts, or a map from language to text or list",
});

/** A reply: one text, or one for each language. A list would leave open which one is said. */
export const replySchema = z.union([text, z.record(z.string(), text)], {
  error: "write one text, or a map from language to one text",
});

export const reference = z.string({ error: "write an id" });
export const references = z.array(reference, { error: "write a list of ids: [one, two]" });

export const valueSchema = z.union([z.string(), z.number(), z.boolean()], {
  error: "write a text, a number, true or false",
});

/** States of devices: `{ plinth-spots: { power: on } }`. */
export const statesSchema = z.record(
  z.string(),
  z.record(z.string(), valueSchema, { error: "write a map from property to value" }),
  { error: "write a map from device to its properties: { plinth-spots: { power: on } }" },
);

/** Values, each with the words said for it: `33: [low, slow]`. */
export const valuesSchema = z.union([texts, z.record(z.string(), z.nullable(saidSchema))], {
  error: "write a list of values, or a map from value to the words said for it",
});

export const positive = z.number().check(z.gt(0, "write a number above 0"));

export const clock = z
  .string()
  .check(z.regex(/^(?:[01]\d|2[0-3]):[0-5]\d$/, "write a time such as 18:30"));

export const date = z
  .string()
  .check(z.regex(/^\d{4}-\d{2}-\d{2}$/, "write a date such as 2026-03-02"));

/** One text, a list for the first language, or a map from language to either. */
export type SaidDefinition = string | string[] | Record<string, string | string[]>;

/** One text, or one for each language. */
export type ReplyDefinition = string | Record<string, string>;

/** By device, and by property. */
export type StatesDefinition = Record<string, Record<string, Value>>;

/** A list of values, or the words said for each. */
export type ValuesDefinition = string[] | Record<string, SaidDefinition | null>;
