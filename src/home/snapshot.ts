import * as z from "zod/mini";
import { valueSchema } from "../document/shapes.ts";
import { WrongUse } from "../source/wrong-use.ts";

/*
 * What a home is, as plain data to be kept and gone on from: what it was when nothing was on its way, and
 * all that came in since, in order. What comes in at the same times to the same home comes to the same, so
 * that timers, steps that wait and open questions are there again.
 */

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

const restSchema = z.object({
  /** Seconds of Unix time. */
  time: z.number(),
  /** Of devices that are not as they start. */
  states,
  /** What properties were before they were off. */
  lastOn: states,
  /** Who is not at home. */
  away: z.array(z.string()),
  /** When routines last did all that they do, in seconds of Unix time. */
  rested: z.record(z.string(), z.number()),
  /** State triggers whose states hold. */
  held: z.array(z.string()),
  /** What conversations remember, by session. */
  memories: z.record(
    z.string(),
    z.object({
      it: z.array(z.string()),
      last: z.optional(z.object({ text: z.string(), answered })),
      undo: z.array(change),
    }),
  ),
  /** Wrong codes in a row, and until when none is taken, in seconds of Unix time. */
  code: z.object({ wrong: z.number(), lockedUntil: z.optional(z.number()) }),
});

/** What a home is when nothing is on its way. */
export type Rest = z.output<typeof restSchema>;

const base = {
  /** Seconds of Unix time. */
  time: z.number(),
  /** The order to a device, by its number, while which it came in. */
  during: z.optional(z.number()),
};

const inputSchema = z.discriminatedUnion("input", [
  z.object({
    ...base,
    input: z.literal("say"),
    session: z.string(),
    at: words,
    language: words,
    text: z.string(),
    /** Whether it was the code; its digits are not kept. */
    code: z.optional(z.boolean()),
  }),
  z.object({ ...base, input: z.literal("perform"), heard: z.unknown() }),
  z.object({
    ...base,
    input: z.literal("run"),
    routine: z.string(),
    slots: z.optional(z.record(z.string(), z.union([valueSchema, z.array(z.string())]))),
  }),
  z.object({ ...base, input: z.literal("report"), device: z.string(), values: state }),
  z.object({ ...base, input: z.literal("press"), button: z.string() }),
  z.object({
    ...base,
    input: z.literal("presence"),
    person: z.string(),
    is: z.enum(["home", "away"]),
  }),
  /** What a device made of an order, by its number. */
  z.object({ ...base, input: z.literal("answer"), order: z.number(), result: z.unknown() }),
  /** A timer that came due. */
  z.object({ ...base, input: z.literal("due"), timer: z.string() }),
]);

/** Something that came in to a home. */
export type HomeInput = z.output<typeof inputSchema>;

const snapshotSchema = z.object({
  version: z.literal(1),
  rest: restSchema,
  since: z.array(inputSchema),
});

/** A home as plain data: `openHome(book, { from: snapshot, … })` goes on from it. */
export interface HomeSnapshot {
  version: 1;
  /** What it was when nothing was on its way. */
  rest: Rest;
  /** What came in since. */
  since: HomeInput[];
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
