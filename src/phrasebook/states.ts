import type { Cursor } from "../document/cursor.ts";
import type { StatesDefinition } from "../document/shapes.ts";
import { type Conditions, parseCondition } from "../model/condition.ts";
import type { Device } from "../model/home.ts";
import { type DataSchema, type Value, checkValue, isValue } from "../model/property.ts";
import { membersOf } from "../source/border.ts";
import { allowed, checkWritten, explain, knownProperty } from "./written.ts";

/** States of devices, each value as given. */
export type States = ReadonlyMap<string, Readonly<Record<string, Value>>>;

type Devices = ReadonlyMap<string, Device>;

/** Reads the states that a home is given, read-only properties included. */
export function readStates(cursor: Cursor<StatesDefinition> | undefined, devices: Devices): States {
  return readEach(cursor, devices, (written, schema) =>
    checkWritten(written, schema) ? written.value : undefined,
  );
}

/** States given in code, whatever their types: what no device has is left out. */
export function readGivenStates(
  states: Readonly<Record<string, unknown>>,
  devices: Devices,
): States {
  const known = new Map<string, Record<string, Value>>();
  for (const [id, values] of Object.entries(states)) {
    const properties = devices.get(id)?.properties;
    if (!properties) continue;
    const state: Record<string, Value> = {};
    for (const [name, value] of Object.entries(membersOf(values))) {
      const schema = properties.get(name);
      if (schema && isValue(value) && checkValue(schema, value).ok) state[name] = value;
    }
    known.set(id, state);
  }
  return known;
}

/** Reads conditions on the states of devices. */
export function readConditions(
  cursor: Cursor<StatesDefinition> | undefined,
  devices: Devices,
): Conditions {
  return readEach(cursor, devices, (written, schema) => {
    const parsed = parseCondition(schema, written.value);
    if (parsed.ok) return parsed.condition;
    const { problem } = parsed;
    const why = problem.problem === "form" ? problem.message : explain(written.id, problem);
    written.report("wrong-condition", why, allowed(schema));
    return undefined;
  });
}

function readEach<T>(
  cursor: Cursor<StatesDefinition> | undefined,
  devices: Devices,
  read: (written: Cursor<Value>, schema: DataSchema) => T | undefined,
): Map<string, Record<string, T>> {
  const found = new Map<string, Record<string, T>>();
  for (const properties of cursor?.entries() ?? []) {
    const { id } = properties;
    const device = devices.get(id);
    properties.refers("device", devices, { on: "key" });
    if (!device) continue;
    const values: Record<string, T> = {};
    for (const written of properties.entries()) {
      const schema = knownProperty(written, device);
      const value = schema && read(written, schema);
      if (value !== undefined) values[written.id] = value;
    }
    found.set(id, values);
  }
  return found;
}
