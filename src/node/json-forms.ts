import * as z from "zod/mini";
import { changeSorts } from "../comparison/compare.ts";
import { outcomes } from "../suites/schema.ts";

/*
 * What commands print with --json. Keys may be added within a version; a version is raised when one
 * goes, or comes to mean something else. Told in words in docs/json.md.
 */

const value = z.union([z.string(), z.number(), z.boolean()]);
const values = z.record(z.string(), value);
const numbers = z.record(z.string(), z.number());
const ids = z.array(z.string());

export const position = z.looseObject({ file: z.string(), line: z.number(), column: z.number() });

const finding = z.looseObject({
  rule: z.string(),
  severity: z.enum(["error", "warning", "note"]),
  message: z.string(),
  fix: z.optional(z.string()),
  at: position,
  also: z.optional(z.array(position)),
  remedy: z.optional(z.looseObject({ remedy: z.enum(["take out", "write"]) })),
  edit: z.optional(
    z.looseObject({
      file: z.string(),
      start: z.looseObject({ line: z.number(), column: z.number() }),
      end: z.looseObject({ line: z.number(), column: z.number() }),
      text: z.string(),
    }),
  ),
});

const when = z.looseObject({
  in: z.optional(z.number()),
  at: z.optional(z.string()),
  for: z.optional(z.number()),
  until: z.optional(z.string()),
});

/** Exactly one of set, nudge, scale and call. */
const effect = z.looseObject({
  device: z.string(),
  when: z.optional(when),
  set: z.optional(values),
  nudge: z.optional(numbers),
  scale: z.optional(numbers),
  call: z.optional(z.string()),
  with: z.optional(value),
});

const reason = z.looseObject({ reason: z.string() });
const skipped = z.looseObject({ device: z.string(), why: reason });

const slot = z.union([
  z.looseObject({ value, words: z.string() }),
  z.looseObject({ devices: ids, words: z.string() }),
]);

const command = z.looseObject({
  intent: z.string(),
  slots: z.record(z.string(), slot),
  effects: z.array(effect),
  skipped: z.array(skipped),
  runs: z.optional(z.string()),
  when: z.optional(when),
});

const heard = {
  version: z.literal(2),
  text: z.string(),
  language: z.string(),
  context: z.looseObject({}),
  /** The last two in a conversation. */
  outcome: z.enum([...outcomes, "cancelled", "locked"]),
  commands: z.array(command),
  about: ids,
};

const why = z.looseObject({
  words: z.array(z.looseObject({ text: z.string(), start: z.number(), end: z.number() })),
  readings: z.array(z.looseObject({ intent: z.string(), kept: z.boolean(), rule: z.string() })),
  nearest: z.array(z.looseObject({ message: z.string(), at: position })),
});

/** `calm-phrase hear`. */
export const heardForm = z.looseObject({ ...heard, reply: z.string(), why });

/** `calm-phrase check`. */
export const findingsForm = z.looseObject({
  version: z.literal(1),
  problems: z.array(finding),
  mended: z.optional(z.array(finding)),
});

/** `calm-phrase test`. */
export const resultsForm = z.looseObject({
  version: z.literal(3),
  passed: z.number(),
  failed: z.number(),
  skipped: z.number(),
  failing: z.number(),
  shard: z.optional(z.looseObject({ part: z.number(), of: z.number() })),
  problems: z.array(finding),
  suites: z.array(
    z.looseObject({
      suite: z.string(),
      file: z.string(),
      cases: z.array(
        z.looseObject({
          name: z.optional(z.string()),
          note: z.optional(z.string()),
          tags: z.optional(z.array(z.string())),
          phrase: z.string(),
          language: z.string(),
          position,
          passed: z.boolean(),
          skipped: z.optional(z.string()),
          fails: z.optional(z.string()),
          isTimed: z.optional(z.boolean()),
          log: z.optional(
            z.array(
              z.looseObject({ time: z.string(), event: z.looseObject({ event: z.string() }) }),
            ),
          ),
          failures: z.optional(
            z.array(z.looseObject({ about: z.string(), expected: z.string(), actual: z.string() })),
          ),
          heard: z.optional(z.looseObject(heard)),
          why: z.optional(why),
          suspects: z.optional(
            z.array(z.looseObject({ at: position, of: z.string(), what: z.string() })),
          ),
          mend: z.optional(z.looseObject({ at: position, change: z.string() })),
        }),
      ),
    }),
  ),
});

const caseRecord = z.looseObject({
  suite: z.string(),
  name: z.optional(z.string()),
  phrase: z.string(),
  language: z.string(),
  at: z.optional(z.string()),
  position,
  verdict: z.enum(["passed", "failed", "skipped", "failing", "open"]),
  ways: ids,
  replies: ids,
  deeds: z.array(z.looseObject({ time: z.string(), what: z.string() })),
});

/** `calm-phrase compare --to`. */
export const recordForm = z.looseObject({
  version: z.literal(1),
  homes: z.array(z.looseObject({ home: z.string(), cases: z.array(caseRecord) })),
});

/** `calm-phrase compare`. */
export const comparisonForm = z.looseObject({
  version: z.literal(1),
  homes: z.array(
    z.looseObject({
      home: z.string(),
      same: z.number(),
      changes: z.array(
        z.looseObject({
          sort: z.enum(changeSorts),
          differs: z.array(z.enum(changeSorts)),
          before: z.optional(caseRecord),
          after: z.optional(caseRecord),
        }),
      ),
    }),
  ),
});

/** `calm-phrase sayable`. */
export const sayableForm = z.looseObject({
  version: z.literal(1),
  language: z.string(),
  devices: z.array(
    z.looseObject({
      id: z.string(),
      name: z.string(),
      room: z.optional(z.string()),
      aliases: ids,
      voice: z.enum(["free", "confirm", "code", "barred"]),
      safe: ids,
      phrases: ids,
      questions: ids,
    }),
  ),
});

/** `calm-phrase run` and `calm-phrase day`. */
export const timelineForm = z.looseObject({
  version: z.literal(1),
  log: z.array(z.looseObject({ time: z.string(), event: z.looseObject({ event: z.string() }) })),
  states: z.record(z.string(), values),
});

/** `calm-phrase import`, of devices. */
export const takenForm = z.looseObject({
  version: z.literal(1),
  devices: z.record(z.string(), z.looseObject({ kind: z.string() })),
  connections: z.optional(z.record(z.string(), z.looseObject({ url: z.string() }))),
  bindings: z.optional(z.record(z.string(), z.looseObject({ over: z.string() }))),
  skipped: z.array(z.looseObject({ where: z.string(), reason: z.string() })),
});
