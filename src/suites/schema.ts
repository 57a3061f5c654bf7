import * as z from "zod/mini";
import { faultForm } from "./faults.ts";
import { saidSchema, statesSchema } from "../document/shapes.ts";

/* The shape of a suite file, which is also what its JSON Schema is made from. */

const outcomes = [
  "act",
  "confirm",
  "code",
  "offer",
  "ask",
  "answer",
  "unsure",
  "refuse",
  "unknown",
] as const;
const text = z.string({ error: "write a text" });

/** Amounts to add: `{ wheel-lamp: { brightness: -20 } }`. */
const nudgesSchema = z.record(
  z.string(),
  z.record(z.string(), z.number({ error: "write the amount to add" })),
  { error: "write a map from device to amounts: { wheel-lamp: { brightness: -20 } }" },
);

const clock = z
  .string()
  .check(z.regex(/^(?:[01]\d|2[0-3]):[0-5]\d$/, "write a time such as 18:30"));

const moment = z
  .string()
  .check(
    z.regex(
      /^(?:(?:\d{4}-\d{2}-\d{2}T)?\d{2}:\d{2}|(?:.+ (?:before|after) )?(?:sunrise|sunset|dawn|dusk))$/,
      "write 18:30, 2026-03-02T18:30 or sunset",
    ),
  );

const whenSchema = z.strictObject(
  {
    in: z.optional(text),
    at: z.optional(moment),
    for: z.optional(text),
    until: z.optional(moment),
  },
  { error: 'write a map such as { in: 10m } or { at: "18:30", for: 1h }' },
);

const effect = {
  intent: z.optional(text),
  set: z.optional(statesSchema),
  nudge: z.optional(nudgesSchema),
  scale: z.optional(nudgesSchema),
  call: z.optional(z.record(z.string(), text, { error: "write a map from device to action" })),
  when: z.optional(whenSchema),
  slots: z.optional(
    z.record(z.string(), z.union([z.string(), z.number(), z.boolean()]), {
      error: "write a map from slot to value",
    }),
  ),
};

const commandsSchema = z.array(
  z.strictObject(effect, { error: "write a map such as { set: { kiln-vent: { speed: 60 } } }" }),
  { error: "write a list with one map for each command" },
);

const toldAdvice = 'write a map from person to what they are told: { mara: "*closed*" }';
const saidAdvice = 'write a map from where to what is said there: { kiln-shelf: "*closed*" }';
const sentAdvice = 'write a map from place to what is sent there: { "mqtt:oxbow/firing": over }';

/** A line of the log, with the time of day that it has to be of. */
const logSchema = z.union(
  [text, z.strictObject({ line: text, time: z.optional(clock), within: z.optional(text) })],
  { error: 'write a line of the log, or { line: "close-up starts*", time: "18:30", within: 1m }' },
);

const expectSchema = z.union(
  [
    text,
    commandsSchema,
    z.strictObject(
      {
        ...effect,
        also: z.optional(
          z.literal("anything", { error: "write anything, or leave it out: nothing else is done" }),
        ),
        outcome: z.optional(z.enum(outcomes, { error: `write one of ${outcomes.join(", ")}` })),
        commands: z.optional(commandsSchema),
        asks: z.optional(text),
        reply: z.optional(text),
        reason: z.optional(text),
        home: z.optional(statesSchema),
        routine: z.optional(text),
        branch: z.optional(z.union([text, z.array(text)])),
        said: z.optional(z.record(z.string(), text, { error: saidAdvice })),
        about: z.optional(z.union([text, z.array(text)])),
        told: z.optional(z.record(z.string(), text, { error: toldAdvice })),
        sent: z.optional(z.record(z.string(), text, { error: sentAdvice })),
        log: z.optional(z.union([logSchema, z.array(logSchema)])),
      },
      { error: "write a map such as { set: { kiln-vent: { speed: 60 } } }" },
    ),
  ],
  {
    error: `write one of ${outcomes.join(", ")}, same as "…", or a map such as { set: { kiln-vent: { speed: 60 } } }`,
  },
);

/** Where, when and how a case is said; a setup is this under a name. */
const setting = {
  at: z.optional(text),
  language: z.optional(text),
  time: z.optional(
    z
      .string()
      .check(
        z.regex(
          /^\d{4}-\d{2}-\d{2}T\d{2}:\d{2}(?::\d{2})?$/,
          "write a time such as 2026-03-02T18:05",
        ),
      ),
  ),
  given: z.optional(statesSchema),
};

/** One turn of a talk. */
const turnSchema = z.strictObject(
  {
    wait: z.optional(text),
    at: z.optional(text),
    language: z.optional(text),
    hear: text,
    expect: expectSchema,
  },
  { error: 'write a turn: { hear: "yes", expect: act }' },
);

const faultsSchema = z.record(
  z.string(),
  z
    .string()
    .check(z.regex(faultForm, "write offline, fails once, fails, slow 5s, rounds to 25, or none")),
  { error: "write a map from device to how it misbehaves: { kiln-vent: offline }" },
);

/** Something that happens, at once or when a time of day comes, and time that passes after it. */
const happeningSchema = z.strictObject(
  {
    time: z.optional(clock),
    at: z.optional(text),
    hear: z.optional(text),
    run: z.optional(text),
    set: z.optional(statesSchema),
    press: z.optional(text),
    presence: z.optional(text),
    faults: z.optional(faultsSchema),
    wait: z.optional(text),
  },
  { error: "write what happens: { wait: 25m }" },
);

const textsSchema = z.union([text, z.array(text)], { error: "write a text, or a list of texts" });

/** What any case may have. */
const common = {
  name: z.optional(text),
  note: z.optional(text),
  tags: z.optional(textsSchema),
  skip: z.optional(z.string({ error: "write why it is left out" })),
  fails: z.optional(z.string({ error: "write why it has to fail" })),
  setup: z.optional(textsSchema),
  "apart-from": z.optional(textsSchema),
  faults: z.optional(faultsSchema),
  ...setting,
};

const spokenSchema = z.strictObject({ hear: saidSchema, expect: expectSchema, ...common });
const talkSchema = z.strictObject({
  talk: z.array(turnSchema, { error: "write a list of turns" }),
  ...common,
});
const afterSchema = z.strictObject({
  after: z.union([happeningSchema, z.array(happeningSchema)]),
  expect: expectSchema,
  ...common,
});

const caseAdvice = { error: "write a case: { hear: open the gate, expect: unknown }" };

/** One case, once the columns of its table are filled in. */
export const caseSchema = z.union([spokenSchema, talkSchema, afterSchema], caseAdvice);

const rowSchema = z.record(z.string(), z.union([z.string(), z.number(), z.boolean()]), {
  error: "write a map from column to value: { thing: kiln vent, speed: 60 }",
});

/** A case for each row of a table, whose columns stand in it as `$column`. */
const tableSchema = z.strictObject({
  rows: z.union([text, z.array(rowSchema)], {
    error: "write a list of rows, or the name of a .csv file beside the suite",
  }),
  ...Object.fromEntries(
    ["hear", "talk", "after", "expect", ...Object.keys(common)].map((key) => [
      key,
      z.optional(z.unknown()),
    ]),
  ),
});

/** One suite file. */
export const suiteSchema = z.strictObject(
  {
    suite: text,
    tags: z.optional(textsSchema),
    setup: z.optional(textsSchema),
    ...setting,
    setups: z.optional(
      z.record(z.string(), z.strictObject({ ...setting, faults: z.optional(faultsSchema) }), {
        error: "write a map from name to setup: { evening: { time: 2026-03-02T18:05 } }",
      }),
    ),
    never: z.optional(statesSchema),
    cases: z.array(z.union([spokenSchema, talkSchema, afterSchema, tableSchema], caseAdvice), {
      error: "write a list of cases",
    }),
  },
  { error: "write a map with suite and cases" },
);

/** A day that is played through: `*.day.yaml`. */
export const daySchema = z.strictObject(
  {
    day: text,
    date: z.optional(
      z.string().check(z.regex(/^\d{4}-\d{2}-\d{2}$/, "write a date such as 2026-03-02")),
    ),
    at: z.optional(text),
    language: z.optional(text),
    given: z.optional(statesSchema),
    away: z.optional(z.array(text, { error: "write a list of people: [mara]" })),
    faults: z.optional(faultsSchema),
    happenings: z.array(happeningSchema, { error: "write a list of what happens" }),
  },
  { error: "write a map with day and happenings" },
);

export type LogDefinition = z.input<typeof logSchema>;
export type SuiteDefinition = z.input<typeof suiteSchema>;
export type CaseDefinition = z.input<typeof caseSchema>;
export type TableDefinition = z.input<typeof tableSchema>;
export type HappeningDefinition = z.input<typeof happeningSchema>;
export type CommandDefinition = z.input<typeof commandsSchema>[number];
export type ExpectDefinition = z.input<typeof expectSchema>;
export type ExpectedOutcome = (typeof outcomes)[number];
export { outcomes };
export type DayDefinition = z.input<typeof daySchema>;
