import type { Cursor } from "../document/cursor.ts";
import type { StatesDefinition } from "../document/shapes.ts";
import type { Device } from "../model/home.ts";
import { type Value, otherValue } from "../model/property.ts";
import type { Order, TargetReference } from "../model/step.ts";
import { given } from "../source/given.ts";
import type { StepDefinition } from "./definition/steps.ts";
import type { SlotScope } from "./scope.ts";
import { readTarget, readValue } from "./step-values.ts";
import { checkWritten, settableProperty } from "./written.ts";

/** Reads one order, of the property that is the key of what is written. */
type ReadOrder = (
  cursor: Cursor<Value>,
  target: TargetReference,
  scope: SlotScope,
) => Order | undefined;

export function readSets(cursor: Cursor<StatesDefinition>, scope: SlotScope): Order[] {
  return readEach(cursor, scope, readSet);
}

export function readNudges(cursor: Cursor<StatesDefinition>, scope: SlotScope): Order[] {
  return readEach(cursor, scope, readNudge);
}

/** A property, or several, of each target: there is nothing to say of what it becomes. */
export function readToggles(
  cursor: Cursor<Record<string, string | string[]>>,
  scope: SlotScope,
): Order[] {
  const states = Object.entries(cursor.value).map(([key, properties]) => {
    return [key, Object.fromEntries([properties].flat().map((name) => [name, true]))] as const;
  });
  return readEach(cursor.as(Object.fromEntries(states)), scope, readToggle);
}

function readEach(cursor: Cursor<StatesDefinition>, scope: SlotScope, read: ReadOrder): Order[] {
  return cursor.entries().flatMap((properties): Order[] => {
    const target = readTarget(properties, properties.id, scope);
    if (!target) return [];
    return properties.entries().flatMap((written) => read(written, target, scope) ?? []);
  });
}

function deviceOf(target: TargetReference, { home }: SlotScope): Device | undefined {
  return target.refer === "device" ? home.devices.get(target.id) : undefined;
}

const readSet: ReadOrder = (cursor, target, scope) => {
  const device = deviceOf(target, scope);
  const schema = device && settableProperty(cursor, device);
  if (device && !schema) return undefined;
  const value = readValue(cursor, scope);
  if (!value) return undefined;
  if (schema && value.refer === "value" && !checkWritten(cursor.as(value.value), schema)) {
    return undefined;
  }
  return { order: "set", target, property: cursor.id, at: cursor.keyAt, value };
};

const readNudge: ReadOrder = (cursor, target, scope) => {
  const { id: property, value: written, keyAt: at } = cursor;
  const device = deviceOf(target, scope);
  if (device && !settableProperty(cursor, device)) return undefined;
  const isNegative = typeof written === "string" && written.startsWith("-$");
  const by = readValue(isNegative ? cursor.as(written.slice(1)) : cursor, scope);
  if (!by) return undefined;
  if (by.refer === "value" && typeof by.value !== "number") {
    const message = `${property} is nudged by a number, not by "${by.value}"`;
    cursor.report("wrong-value", message, "write 10, -10 or $amount");
    return undefined;
  }
  return { order: "nudge", target, property, by, factor: isNegative ? -1 : 1, at };
};

/** A property with two values can be toggled. */
const readToggle: ReadOrder = (cursor, target, scope) => {
  const { id: property } = cursor;
  const device = deviceOf(target, scope);
  const schema = device && settableProperty(cursor, device);
  if (device && !schema) return undefined;
  if (schema && otherValue(schema, schema.default) === undefined) {
    const fix = "set it, or toggle a property with two values";
    cursor.report("wrong-value", `${property} has no other value`, fix);
    return undefined;
  }
  return { order: "toggle", target, property, at: cursor.keyAt };
};

export function readCalls(
  step: Cursor<Extract<StepDefinition, { call: unknown }>>,
  scope: SlotScope,
): Order[] {
  const written = step.given("with");
  const input = written && readValue(written, scope);
  return step
    .key("call")
    .entries()
    .flatMap((call): Order[] => {
      const { id, value: action, keyAt: at } = call;
      const target = readTarget(call, id, scope);
      if (!target) return [];
      const device = deviceOf(target, scope);
      if (device && !call.refers(`action of ${device.id}`, device.actions)) return [];
      return [{ order: "call", target, action, at, ...given({ input }) }];
    });
}
