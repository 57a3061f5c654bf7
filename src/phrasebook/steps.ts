import { stateWords } from "../language/vocabulary.ts";
import type { Position } from "../source/position.ts";
import { type Context, report, reportUnknown } from "./context.ts";
import type { Document, Path } from "./document.ts";
import type {
  Device,
  Group,
  Order,
  Room,
  Slot,
  Step,
  TargetReference,
  ValueReference,
  Zone,
} from "./model.ts";
import type { Value } from "./property.ts";
import type { IntentDefinition, StatesDefinition, StepDefinition } from "./schema.ts";
import { checkWritten, settableProperty } from "./written.ts";

/** What steps and states may speak of. */
export interface Home {
  devices: ReadonlyMap<string, Device>;
  groups: ReadonlyMap<string, Group>;
  rooms: ReadonlyMap<string, Room>;
  zones: ReadonlyMap<string, Zone>;
}

/** The slots that steps may use, and the names of those that could not be read. */
export interface KnownSlots {
  slots: ReadonlyMap<string, Slot>;
  unread: ReadonlySet<string>;
}

/** Reads the steps of an intent, holding each value against the device that it is meant for. */
export function readSteps(
  context: Context,
  document: Document,
  path: Path,
  steps: NonNullable<IntentDefinition["do"]>,
  home: Home,
  known: KnownSlots,
): Step[] {
  const list = Array.isArray(steps) ? steps : [steps];
  const reading: Reading = { context, document, home, known };
  return list.flatMap((step, index): Step[] => {
    const under = Array.isArray(steps) ? [...path, index] : path;
    const at = document.at(under);
    if ("set" in step) {
      const orders = readStates(reading, [...under, "set"], step.set, readSet);
      return [{ step: "order", orders, at }];
    }
    if ("nudge" in step) {
      const orders = readStates(reading, [...under, "nudge"], step.nudge, readNudge);
      return [{ step: "order", orders, at }];
    }
    if ("call" in step) return [{ step: "order", orders: readCalls(reading, under, step), at }];
    return readTell(reading, [...under, "tell"], step.tell, at);
  });
}

/** What reading a step needs to know. */
interface Reading {
  context: Context;
  document: Document;
  home: Home;
  known: KnownSlots;
}

type ReadOrder = (
  reading: Reading,
  place: Path,
  target: TargetReference,
  property: string,
  written: Value,
) => Order | undefined;

function readStates(
  reading: Reading,
  path: Path,
  states: StatesDefinition,
  read: ReadOrder,
): Order[] {
  return Object.entries(states).flatMap(([key, properties]): Order[] => {
    const under = [...path, key];
    const target = readTarget(reading, under, key);
    if (!target) return [];
    return Object.entries(properties).flatMap(([property, written]): Order[] => {
      const order = read(reading, [...under, property], target, property, written);
      return order ? [order] : [];
    });
  });
}

const readSet: ReadOrder = (reading, place, target, property, written) => {
  const { context, document, home, known } = reading;
  const order = { order: "set", target, property, at: document.atKey(place) } as const;
  const device = target.refer === "device" ? home.devices.get(target.id) : undefined;
  const schema = device && settableProperty(context, document, place, device, property);
  if (device && !schema) return undefined;
  const value = readValue(context, document, place, written, known);
  if (!value) return undefined;
  if (schema && value.refer === "value") {
    if (!checkWritten(context, document, place, schema, value.value)) return undefined;
  }
  return { ...order, value };
};

const readNudge: ReadOrder = (reading, place, target, property, written) => {
  const { context, document, home, known } = reading;
  const at = document.atKey(place);
  if (target.refer === "device") {
    const device = home.devices.get(target.id);
    if (!settableProperty(context, document, place, device, property)) return undefined;
  }
  const isNegative = typeof written === "string" && written.startsWith("-$");
  const value = isNegative ? written.slice(1) : written;
  const by = readValue(context, document, place, value, known);
  if (!by) return undefined;
  if (by.refer === "value" && typeof by.value !== "number") {
    const message = `${property} is nudged by a number, not by "${by.value}"`;
    report(context, "wrong-value", document.at(place), message, "write 10, -10 or $amount");
    return undefined;
  }
  return { order: "nudge", target, property, by, factor: isNegative ? -1 : 1, at };
};

function readValue(
  context: Context,
  document: Document,
  place: Path,
  written: Value,
  { slots, unread }: KnownSlots,
): ValueReference | undefined {
  const slot = typeof written === "string" ? slotName(written) : undefined;
  if (slot === undefined) return { refer: "value", value: written };
  if (slots.has(slot)) return { refer: "slot", slot };
  if (!unread.has(slot)) reportUnknown(context, document.at(place), "slot", slot, slots.keys());
  return undefined;
}

function readCalls(
  reading: Reading,
  path: Path,
  step: Extract<StepDefinition, { call: unknown }>,
): Order[] {
  const { context, document, home, known } = reading;
  const input =
    step.with === undefined
      ? undefined
      : readValue(context, document, [...path, "with"], step.with, known);
  return Object.entries(step.call).flatMap(([key, action]): Order[] => {
    const place = [...path, "call", key];
    const target = readTarget(reading, place, key);
    if (!target) return [];
    const device = target.refer === "device" ? home.devices.get(target.id) : undefined;
    if (device && !device.actions.includes(action)) {
      const what = `action of ${device.id}`;
      reportUnknown(context, document.at(place), what, action, device.actions);
      return [];
    }
    const at = document.atKey(place);
    return [{ order: "call", target, action, at, ...(input ? { input } : {}) }];
  });
}

function readTell(
  reading: Reading,
  path: Path,
  written: Extract<StepDefinition, { tell: unknown }>["tell"],
  at: Position,
): Step[] {
  const { context, document } = reading;
  const target = readTarget(reading, [...path, "target"], written.target);
  if (!target) return [];
  const base = { step: "tell", target, at } as const;
  if (written.form === "value") {
    if (written.property !== undefined) {
      const slot = slotName(written.property);
      const property = slot === undefined ? written.property : { slot };
      return [{ ...base, form: "value", property }];
    }
    report(context, "missing-key", document.at(path), '"property" is missing', "write a property");
    return [];
  }
  const slot = slotName(written.state ?? "");
  const word = stateWords.find((each) => each === written.state);
  const state = slot === undefined ? word : { slot };
  if (state !== undefined) return [{ ...base, form: written.form, state }];
  const fix = `write one of ${stateWords.join(", ")}`;
  report(context, "wrong-value", document.at(path), "there is no state to ask about", fix);
  return [];
}

/** `$level` names a slot; every other text is a value. */
function slotName(text: string): string | undefined {
  return /^\$([\p{L}\p{N}_-]+)$/u.exec(text)?.[1];
}

function readTarget(
  { context, document, home, known }: Reading,
  path: Path,
  key: string,
): TargetReference | undefined {
  const slot = slotName(key);
  const at = document.atKey(path);
  if (slot) {
    if (known.slots.get(slot)?.type === "target") return { refer: "slot", slot };
    if (known.unread.has(slot)) return undefined;
    const targets = [...known.slots.values()].filter(({ type }) => type === "target");
    const names = targets.map(({ name }) => name);
    reportUnknown(context, at, "target slot", slot, names);
    return undefined;
  }
  if (home.devices.has(key)) return { refer: "device", id: key };
  if (home.groups.has(key)) return { refer: "group", id: key };
  if (home.rooms.has(key)) return { refer: "room", id: key };
  if (home.zones.has(key)) return { refer: "zone", id: key };
  const ids = [home.devices, home.groups, home.rooms, home.zones].flatMap((map) => [...map.keys()]);
  reportUnknown(context, at, "device or group", key, ids);
  return undefined;
}
