import { lackOf } from "../commands/ability.ts";
import { devicesNamed, entityOf } from "../model/members.ts";
import type { Address } from "../model/outside.ts";
import { type Value, isValue } from "../model/property.ts";
import { tellReason } from "../model/reason.ts";
import type { Phrasebook } from "../phrasebook/model.ts";
import type { Slot } from "../slot-types/slot.ts";
import { membersOf, shown, textsOf } from "../source/border.ts";
import { noSlots } from "./begin.ts";
import { type Cause, unspoken } from "./cause.ts";
import type { Code } from "./conversation/code.ts";
import type { Performed } from "./scene.ts";

/** What a caller gives beside the id of an address. */
export interface CallInput {
  /** Values for its slots; for a target the ids of devices, groups, rooms or zones. */
  slots?: Readonly<Record<string, unknown>> | undefined;
  /** Whether it is meant, where the address asks for that. */
  confirm?: boolean | undefined;
  /** The spoken code, in digits, where it asks for that. */
  code?: string | undefined;
}

/** What a call came to. */
export type Called =
  | { called: true; performed: Performed }
  | { called: false; why: "unknown" | "slots" | "confirm" | "code" | "locked"; what: string };

/** What an address sets off, once its guard is answered. */
export interface Calling {
  runs: string;
  slots: Readonly<Record<string, Value | readonly string[]>>;
  cause: Cause;
}

/** Holds a call against its address: what is to run, or why nothing is. */
export function readCall(
  book: Phrasebook,
  code: Code,
  id: string,
  input: CallInput,
): Calling | Extract<Called, { called: false }> {
  const address = book.addresses.get(id);
  if (!address) return { called: false, why: "unknown", what: `there is no address ${shown(id)}` };
  const slots = readSlots(book, address, input.slots);
  if (typeof slots === "string") return { called: false, why: "slots", what: slots };
  if (address.guard === "confirm" && input.confirm !== true) {
    return { called: false, why: "confirm", what: `${id} is called with confirm: true` };
  }
  if (address.guard === "code") {
    const tried = code.try([input.code?.replace(/\D/g, "") ?? ""]);
    if (tried === "wrong") return { called: false, why: "code", what: `${id} needs the code` };
    if (tried === "locked") {
      return {
        called: false,
        why: "locked",
        what: "too many wrong codes: none is taken for a while",
      };
    }
  }
  return { runs: address.runs, slots, cause: causeOf(book, address) };
}

/**
 * An address does all that its steps say. What the caller chooses is held to the guards of devices, as
 * far as the guard of the address is one.
 */
function causeOf(book: Phrasebook, { runs, slots, guard }: Address): Cause {
  const known = slotsOf(book, runs);
  const isChosen = slots.some((name) => known.get(name)?.fills === "target");
  return isChosen ? { grant: guard } : unspoken;
}

function slotsOf({ intents, routines }: Phrasebook, id: string): ReadonlyMap<string, Slot> {
  return (routines.get(id) ?? intents.get(id) ?? noSlots).slots;
}

function readSlots(
  book: Phrasebook,
  { id, runs, slots, fixed }: Address,
  written: unknown,
): Calling["slots"] | string {
  const known = slotsOf(book, runs);
  const read: Record<string, Value | readonly string[]> = { ...fixed };
  const passed = membersOf(written);
  for (const name of Object.keys(passed)) {
    if (!slots.includes(name)) return `${id} takes no ${shown(name)}`;
  }
  for (const name of slots) {
    const slot = known.get(name);
    const value = passed[name];
    if (!slot) continue;
    if (value === undefined) {
      if ("default" in slot || slot.optional) continue;
      return `${id} needs ${name}`;
    }
    const misfit = slot.fills === "target" ? misfitOf(book, slot, value) : valueMisfit(slot, value);
    if (misfit !== undefined) return `${name} ${misfit}`;
    read[name] = isValue(value) && slot.fills !== "target" ? value : idsIn(value);
  }
  return read;
}

const idsIn = (value: unknown): string[] => (typeof value === "string" ? [value] : textsOf(value));

function valueMisfit(slot: Slot, value: unknown): string | undefined {
  if (!isValue(value)) return `cannot be ${shown(value)}`;
  if (slot.fills === "value") return slot.misfit(value);
  return typeof value === "string" ? undefined : "is a text";
}

/** Why a caller cannot choose something for a target. */
function misfitOf(
  book: Phrasebook,
  slot: Extract<Slot, { fills: "target" }>,
  value: unknown,
): string | undefined {
  const ids = idsIn(value);
  if (ids.length === 0) return "is a list of ids";
  for (const id of ids) {
    const entity = entityOf(book, id);
    if (!entity) return `cannot be ${shown(id)}, which there is not`;
    if (slot.sort && entity.type !== slot.sort) return `cannot be ${id}, which is no ${slot.sort}`;
  }
  for (const device of devicesNamed(book, ids)) {
    const lack = lackOf(device, { slot });
    if (lack) return `cannot be ${tellReason({ reason: "unable", id: device.id, lack })}`;
  }
  return undefined;
}
