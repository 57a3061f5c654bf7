import { type Context, report, reportUnknown } from "./context.ts";
import type { Document, Path } from "./document.ts";
import { type Condition, parseCondition } from "./condition.ts";
import type { Device, Group, Room, Setting, Slot, Step, TargetReference, Zone } from "./model.ts";
import { type DataSchema, type Value, checkValue, explainValueProblem } from "./property.ts";
import type { IntentDefinition, StatesDefinition } from "./schema.ts";

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
  return list.map((step, index) => {
    const under = Array.isArray(steps) ? [...path, index] : path;
    const settings = readSettings(context, document, [...under, "set"], step.set, home, known);
    return { step: "set", settings, at: document.at(under) };
  });
}

function readSettings(
  context: Context,
  document: Document,
  path: Path,
  states: StatesDefinition,
  home: Home,
  known: KnownSlots,
): Setting[] {
  return Object.entries(states).flatMap(([key, properties]): Setting[] => {
    const under = [...path, key];
    const target = readTarget(context, document, under, key, home, known);
    if (!target) return [];
    return Object.entries(properties).flatMap(([property, written]): Setting[] => {
      const place = [...under, property];
      const at = document.atKey(place);
      const setting = { target, property, at };
      const slot = typeof written === "string" && slotName(written);
      if (slot) {
        if (known.unread.has(slot)) return [];
        if (!known.slots.has(slot)) {
          reportUnknown(context, document.at(place), "slot", slot, known.slots.keys());
          return [];
        }
        if (target.refer === "device") {
          settableProperty(context, document, place, home.devices.get(target.id), property);
        }
        return [{ ...setting, value: { refer: "slot", slot } }];
      }
      if (target.refer === "device") {
        const device = home.devices.get(target.id);
        const schema = settableProperty(context, document, place, device, property);
        if (!schema || !checkWritten(context, document, place, schema, written)) return [];
      }
      return [{ ...setting, value: { refer: "value", value: written } }];
    });
  });
}

/** `$level` names a slot; every other text is a value. */
function slotName(text: string): string | undefined {
  return /^\$([\p{L}\p{N}_-]+)$/u.exec(text)?.[1];
}

function readTarget(
  context: Context,
  document: Document,
  path: Path,
  key: string,
  home: Home,
  known: KnownSlots,
): TargetReference | undefined {
  const slot = slotName(key);
  const at = document.atKey(path);
  if (slot) {
    if (known.slots.get(slot)?.type === "target") return { refer: "slot", slot };
    if (known.unread.has(slot)) return undefined;
    const targets = [...known.slots.values()].filter(({ type }) => type === "target");
    reportUnknown(
      context,
      at,
      "target slot",
      slot,
      targets.map(({ name }) => name),
    );
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

function knownProperty(
  context: Context,
  document: Document,
  path: Path,
  device: Device | undefined,
  property: string,
): DataSchema | undefined {
  const schema = device?.properties.get(property);
  if (device && !schema) {
    const what = `property of ${device.id}`;
    reportUnknown(context, document.atKey(path), what, property, device.properties.keys());
  }
  return schema;
}

function settableProperty(
  context: Context,
  document: Document,
  path: Path,
  device: Device | undefined,
  property: string,
): DataSchema | undefined {
  const schema = knownProperty(context, document, path, device, property);
  if (!schema?.readOnly) return schema;
  report(
    context,
    "read-only",
    document.atKey(path),
    `the ${property} of ${device?.id ?? "it"} can be read but not set`,
    "set a property that the device lets you set",
  );
  return undefined;
}

function checkWritten(
  context: Context,
  document: Document,
  path: Path,
  schema: DataSchema,
  written: Value,
): boolean {
  const check = checkValue(schema, written);
  if (check.ok) return true;
  const property = String(path.at(-1));
  const why = explainValueProblem(check.problem);
  report(context, "wrong-value", document.at(path), `${property} ${why}`, allowed(schema));
  return false;
}

function allowed(schema: DataSchema): string {
  if (schema.enum) return `write one of ${schema.enum.join(", ")}`;
  if (schema.type === "boolean") return "write true or false";
  const { minimum, maximum, multipleOf } = schema;
  const step = multipleOf === undefined ? "" : ` in steps of ${multipleOf}`;
  if (minimum === undefined || maximum === undefined) return `write a ${schema.type}${step}`;
  return `write a number from ${minimum} to ${maximum}${step}`;
}

/** States of devices, each value as given. */
export type States = ReadonlyMap<string, Readonly<Record<string, Value>>>;

/** Reads the states that a home is given, read-only properties included. */
export function readStates(
  context: Context,
  document: Document,
  path: Path,
  states: StatesDefinition,
  devices: ReadonlyMap<string, Device>,
): States {
  return readEach(context, document, path, states, devices, (schema, written, place) =>
    checkWritten(context, document, place, schema, written) ? written : undefined,
  );
}

/** States given in code: what no device has is left out. */
export function readGivenStates(
  states: Readonly<Record<string, Readonly<Record<string, Value>>>>,
  devices: ReadonlyMap<string, Device>,
): States {
  const known = new Map<string, Record<string, Value>>();
  for (const [id, values] of Object.entries(states)) {
    const properties = devices.get(id)?.properties;
    if (!properties) continue;
    const entries = Object.entries(values).filter(([name, value]) => {
      const schema = properties.get(name);
      return schema !== undefined && checkValue(schema, value).ok;
    });
    known.set(id, Object.fromEntries(entries));
  }
  return known;
}

/** What is expected of the states of devices. */
export type Conditions = ReadonlyMap<string, Readonly<Record<string, Condition>>>;

/** Reads conditions on the states of devices. */
export function readConditions(
  context: Context,
  document: Document,
  path: Path,
  states: StatesDefinition,
  devices: ReadonlyMap<string, Device>,
): Conditions {
  return readEach(context, document, path, states, devices, (schema, written, place) => {
    const parsed = parseCondition(schema, written);
    if (parsed.ok) return parsed.condition;
    const { problem } = parsed;
    const why =
      problem.problem === "form"
        ? problem.message
        : `${String(place.at(-1))} ${explainValueProblem(problem)}`;
    report(context, "wrong-condition", document.at(place), why, allowed(schema));
    return undefined;
  });
}

function readEach<T>(
  context: Context,
  document: Document,
  path: Path,
  states: StatesDefinition,
  devices: ReadonlyMap<string, Device>,
  read: (schema: DataSchema, written: Value, place: Path) => T | undefined,
): Map<string, Record<string, T>> {
  const found = new Map<string, Record<string, T>>();
  for (const [id, properties] of Object.entries(states)) {
    const device = devices.get(id);
    if (!device) {
      reportUnknown(context, document.atKey([...path, id]), "device", id, devices.keys());
      continue;
    }
    const values: Record<string, T> = {};
    for (const [property, written] of Object.entries(properties)) {
      const place = [...path, id, property];
      const schema = knownProperty(context, document, place, device, property);
      const value = schema && read(schema, written, place);
      if (value !== undefined) values[property] = value;
    }
    found.set(id, values);
  }
  return found;
}
