import type { Cursor } from "../document/cursor.ts";
import type { Home } from "../model/home.ts";
import { thingIds } from "../model/members.ts";
import type { Value } from "../model/property.ts";
import { type TargetReference, type ValueReference, operators } from "../model/step.ts";
import type { SlotScope } from "./scope.ts";

/** `$glaze-sensor.humidity` is what a property is at that moment. */
const stateForm = /^\$([\p{L}\p{N}_-]+)\.([\p{L}\p{N}_-]+)$/u;

/** `$glaze-sensor.humidity plus 5`; of several operators the last one joins all before it. */
const sumForm = /^(\$.+) (plus|minus|times|at least|at most) (\$[^ ]+|-?[\d.]+)$/;

/** `$first(last, auto, heat)`: the first of these that a device can have, or what it was last. */
const firstForm = /^\$first\((.+)\)$/u;

/** `$level` names a slot; every other text is a value. */
export function slotName(text: string): string | undefined {
  return /^\$([\p{L}\p{N}_-]+)$/u.exec(text)?.[1];
}

/** A value as a step gives it: itself, a slot, a state, or a sum of these. */
export function readValue(cursor: Cursor<Value>, scope: SlotScope): ValueReference | undefined {
  const { value: written } = cursor;
  if (typeof written !== "string") return { refer: "value", value: written };
  const sum = sumForm.exec(written);
  if (sum) {
    const [, leftText = "", operator, rightText = ""] = sum;
    const part = (text: string): ValueReference | undefined => {
      const number = Number(text);
      return readValue(cursor.as(Number.isFinite(number) ? number : text), scope);
    };
    const [left, right] = [part(leftText), part(rightText)];
    const known = operators.find((each) => each === operator);
    return left && right && known ? { refer: "sum", operator: known, left, right } : undefined;
  }
  const [, first] = firstForm.exec(written) ?? [];
  if (first !== undefined) {
    const all = first.split(/\s*,\s*/u);
    const [value = "", ...others] = all.filter((each) => each !== "last");
    const isLast = all.includes("last") ? { isLast: true as const } : {};
    return { refer: "first", values: [value, ...others], ...isLast };
  }
  const state = stateForm.exec(written);
  if (state) {
    const [, id = "", property = ""] = state;
    const { devices } = scope.home;
    if (!cursor.refers("device", devices, { id })) return undefined;
    const known = cursor.refers(`property of ${id}`, devices.get(id)?.properties ?? [], {
      id: property,
    });
    return known ? { refer: "state", device: id, property } : undefined;
  }
  const slot = slotName(written);
  if (slot === undefined) return { refer: "value", value: written };
  if (scope.unread.has(slot)) return undefined;
  return cursor.refers("slot", scope.slots, { id: slot }) ? { refer: "slot", slot } : undefined;
}

/** `workshop except kiln-vent and racks`. */
const exceptForm = /^(\S+)(?:\s+except\s+(\S.*))?$/u;

/** What a step is about: a device, group, room or zone, or a slot. */
export function readTarget(
  cursor: Cursor<unknown>,
  written: string,
  scope: SlotScope,
): TargetReference | undefined {
  const { home, slots, unread } = scope;
  const slot = slotName(written);
  if (slot) {
    if (unread.has(slot)) return undefined;
    const targets = [...slots.values()].filter(({ fills }) => fills === "target");
    const names = targets.map(({ name }) => name);
    return cursor.refers("target slot", names, { id: slot, on: "key" })
      ? { refer: "slot", slot }
      : undefined;
  }
  const [, id = "", without = ""] = exceptForm.exec(written) ?? [];
  const except = without === "" ? [] : without.split(/\s*,\s*|\s+and\s+/u);
  const isThere = (each: string): boolean => {
    const known = sortOf(home, each) === undefined ? thingIds(home) : [each];
    return cursor.refers("device or group", known, { id: each, on: "key" });
  };
  if (id === "") {
    cursor.refers("device or group", thingIds(home), { id: written, on: "key" });
    return undefined;
  }
  const refer = sortOf(home, id);
  if (![id, ...except].every(isThere) || refer === undefined) return undefined;
  return except.length > 0 ? { refer, id, except } : { refer, id };
}

function sortOf(home: Home, id: string): Exclude<TargetReference["refer"], "slot"> | undefined {
  if (home.devices.has(id)) return "device";
  if (home.groups.has(id)) return "group";
  if (home.rooms.has(id)) return "room";
  return home.zones.has(id) ? "zone" : undefined;
}
