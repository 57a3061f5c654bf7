import { type Conditions, parseCondition } from "./condition.ts";
import { type Context, report, reportUnknown } from "./context.ts";
import type { Document, Path } from "./document.ts";
import type { Device } from "./model.ts";
import { membersOf } from "../source/border.ts";
import {
  type DataSchema,
  type Value,
  checkValue,
  explainValueProblem,
  isValue,
} from "./property.ts";
import type { StatesDefinition } from "./schema.ts";
import { allowed, checkWritten, knownProperty } from "./written.ts";

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

/** States given in code, whatever their types: what no device has is left out. */
export function readGivenStates(
  states: Readonly<Record<string, unknown>>,
  devices: ReadonlyMap<string, Device>,
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
