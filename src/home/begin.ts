import { withDefaults } from "../commands/compute.ts";
import type { SlotValue } from "../commands/outcome.ts";
import type { Home } from "../model/home.ts";
import { devicesNamed } from "../model/members.ts";
import { type Value, isValue } from "../model/property.ts";
import type { Intent, Phrasebook, Routine } from "../phrasebook/model.ts";
import { type Cause, trusted, unspoken } from "./cause.ts";
import type { Run } from "./run.ts";

/** A run of a routine or intent, before any of its steps. */
export function newRun(book: Phrasebook, of: string, more: Partial<Run>): Run {
  const { heard } = more.cause ?? {};
  return {
    of,
    language: heard?.language ?? book.languages[0] ?? "en",
    ...(heard?.context.at === undefined ? {} : { at: heard.context.at }),
    isSpoken: false,
    isCalled: false,
    cause: unspoken,
    isTrusted: false,
    done: new Set(),
    failed: new Set(),
    skipped: new Set(),
    refused: new Set(),
    hasSpoken: false,
    depth: 0,
    ...more,
    slots: withDefaults(book.routines.get(of) ?? book.intents.get(of) ?? noSlots, more.slots ?? {}),
  };
}

/** A run as it is before any of its steps. */
export function unbegun(run: Run): Run {
  const { done, failed, skipped, refused, ...rest } = run;
  return {
    ...rest,
    done: new Set(done),
    failed: new Set(failed),
    skipped: new Set(skipped),
    refused: new Set(refused),
  };
}

/** A trusted routine does all that its steps say, whatever set it off. */
export function trustIn(
  routine: Pick<Routine, "trusted"> | undefined,
  cause: Cause,
): Pick<Run, "cause" | "isTrusted"> {
  const isTrusted = routine?.trusted === true;
  return { isTrusted, cause: isTrusted ? trusted(cause) : cause };
}

/** Values for slots, as what runs has them. */
export function slotsFrom(
  home: Home,
  { slots: known }: Pick<Intent, "slots">,
  given: Readonly<Record<string, Value | readonly string[]>>,
): Record<string, SlotValue> {
  const slots: Record<string, SlotValue> = {};
  for (const [name, value] of Object.entries(given)) {
    const ids = typeof value === "string" || typeof value === "object" ? [value].flat() : [];
    if (known.get(name)?.fills === "target") {
      slots[name] = { devices: devicesNamed(home, ids).map(({ id }) => id), words: "" };
    } else if (isValue(value)) slots[name] = { value, words: "" };
  }
  return slots;
}

export const noSlots: Pick<Intent, "slots"> = { slots: new Map() };
