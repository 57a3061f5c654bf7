import * as z from "zod/mini";
import { valueSchema } from "../document/shapes.ts";
import type { State, Value } from "../model/property.ts";
import { WrongUse } from "../source/wrong-use.ts";
import type { Change } from "./scene.ts";

/*
 * What a home is, as plain data to be kept and gone on from: what it was when nothing was on its way, and
 * all that came in since, in order. What comes in at the same times to the same home comes to the same, so
 * that timers, steps that wait and open questions are there again.
 */

/** What a home is when nothing is on its way. Instants are in seconds of Unix time. */
export interface Rest {
  time: number;
  /** Of devices that are not as they start. */
  states: Record<string, State>;
  /** What properties were before they were off. */
  lastOn: Record<string, State>;
  /** Who is not at home. */
  away: string[];
  /** When routines last did all that they do. */
  rested: Record<string, number>;
  /** State triggers whose states hold. */
  held: string[];
  /** What conversations remember, by session. */
  memories: Record<string, KeptMemory>;
  /** Wrong codes in a row, and until when none is taken. */
  code: { wrong: number; lockedUntil?: number | undefined };
}

/** What a conversation remembers. */
export interface KeptMemory {
  it: string[];
  last?: { text: string; answered: KeptAnswers } | undefined;
  undo: Change[];
}

/** What was said in answer to questions about a command, and what "it" was. */
export interface KeptAnswers {
  chosen?: string | undefined;
  said?: Record<string, string> | undefined;
  it?: string[] | undefined;
}

/** Something that came in to a home. */
export type Received = {
  /** Seconds of Unix time. */
  time: number;
  /** The order to a device, by its number, while which it came in. */
  during?: number | undefined;
} & (
  | {
      input: "say";
      session: string;
      at?: string | undefined;
      language?: string | undefined;
      text: string;
      /** Whether it was the code; its digits are not kept. */
      code?: boolean | undefined;
    }
  | { input: "perform"; heard: unknown }
  | { input: "run"; routine: string; slots?: Record<string, Value | string[]> | undefined }
  | {
      input: "call";
      address: string;
      slots?: Record<string, Value | string[]> | undefined;
      confirm?: boolean | undefined;
      /** Whether the code that came with it was right; its digits are not kept. */
      code?: boolean | undefined;
    }
  | { input: "report"; device: string; values: State }
  | { input: "press"; button: string }
  | { input: "presence"; person: string; is: "home" | "away" }
  /** What a device made of an order, by its number. */
  | { input: "answer"; order: number; result: unknown }
  /** An order, by its number, that was handed to a driver. */
  | { input: "sent"; order: number }
  /** The home was stopped before this. */
  | { input: "interrupted" }
  /** A timer that came due. */
  | { input: "due"; timer: string }
);

/** A home as plain data: `openHome(book, { from: snapshot, … })` goes on from it. */
export interface HomeSnapshot {
  version: 1;
  /** What it was when nothing was on its way. */
  rest: Rest;
  /** What came in since. */
  since: Received[];
}

const state = z.record(z.string(), valueSchema);
const states = z.record(z.string(), state);
const words = z.optional(z.string());

const change = z.object({
  device: z.string(),
  property: z.string(),
  from: valueSchema,
  to: valueSchema,
});

const answered = z.object({
  chosen: words,
  said: z.optional(z.record(z.string(), z.string())),
  it: z.optional(z.array(z.string())),
});

const memory = z.object({
  it: z.array(z.string()),
  last: z.optional(z.object({ text: z.string(), answered })),
  undo: z.array(change),
});

const restSchema = z.object({
  time: z.number(),
  states,
  lastOn: states,
  away: z.array(z.string()),
  rested: z.record(z.string(), z.number()),
  held: z.array(z.string()),
  memories: z.record(z.string(), memory),
  code: z.object({ wrong: z.number(), lockedUntil: z.optional(z.number()) }),
});

const base = { time: z.number(), during: z.optional(z.number()) };
const slots = z.record(z.string(), z.union([valueSchema, z.array(z.string())]));
const device = z.string();

const receivedSchema = z.discriminatedUnion("input", [
  z.object({
    ...base,
    input: z.literal("say"),
    session: z.string(),
    at: words,
    language: words,
    text: z.string(),
    code: z.optional(z.boolean()),
  }),
  z.object({ ...base, input: z.literal("perform"), heard: z.unknown() }),
  z.object({ ...base, input: z.literal("run"), routine: z.string(), slots: z.optional(slots) }),
  z.object({
    ...base,
    input: z.literal("call"),
    address: z.string(),
    slots: z.optional(slots),
    confirm: z.optional(z.boolean()),
    code: z.optional(z.boolean()),
  }),
  z.object({ ...base, input: z.literal("report"), device, values: state }),
  z.object({ ...base, input: z.literal("press"), button: z.string() }),
  z.object({
    ...base,
    input: z.literal("presence"),
    person: z.string(),
    is: z.enum(["home", "away"]),
  }),
  z.object({ ...base, input: z.literal("answer"), order: z.number(), result: z.unknown() }),
  z.object({ ...base, input: z.literal("sent"), order: z.number() }),
  z.object({ ...base, input: z.literal("interrupted") }),
  z.object({ ...base, input: z.literal("due"), timer: z.string() }),
]);

const snapshotSchema: z.ZodMiniType<HomeSnapshot> = z.object({
  version: z.literal(1),
  rest: restSchema,
  since: z.array(receivedSchema),
});

/** Whether something that came in can be read again: a home passes over what is of no use to it. */
export function canBeKept(received: Received): boolean {
  return receivedSchema.safeParse(received).success;
}

/**
 * A snapshot as somebody kept it.
 *
 * @throws WrongUse for what is none.
 */
export function readSnapshot(snapshot: unknown): HomeSnapshot {
  const read = snapshotSchema.safeParse(snapshot);
  if (read.success) return read.data;
  throw new WrongUse("this is no snapshot of a home: pass what home.snapshot() returned");
}
