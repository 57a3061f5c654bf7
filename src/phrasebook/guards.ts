import type { Cursor } from "../document/cursor.ts";
import type { Reach } from "../document/doubts.ts";
import { type Condition, parseCondition } from "../model/condition.ts";
import type { Device } from "../model/home.ts";
import { type Kind, type VoiceAccess, isStricter } from "../model/kinds.ts";
import { type DataSchema, type Value, checkValue } from "../model/property.ts";
import type { DeviceDefinition, KindDefinition } from "./definition/home.ts";
import { allowed, explain } from "./written.ts";

/** What speech may do with a device. */
export type Guards = Pick<Device, "voice" | "safe" | "safeActions" | "isVoiceWritten" | "bulk">;

type Written = Pick<DeviceDefinition, "voice" | "safe" | "safe-actions" | "bulk">;

const nothingSafe: Guards["safe"] = {};
const noAction: Guards["safeActions"] = [];

/** Reads what a device says of its guards, over what its kind says. */
export function readGuards(
  entry: Cursor<Written>,
  kind: Kind,
  { properties, actions }: Pick<Device, "properties" | "actions">,
): Guards {
  const { id, value } = entry;
  if (value.safe ?? value["safe-actions"]) {
    checkSafe(entry, { properties, actions }, { of: "device", id });
  }
  return {
    voice: value.voice ?? kind.voice ?? "free",
    safe: value.safe ? listValues(value.safe) : (kind.safe ?? nothingSafe),
    safeActions: safeActions(value["safe-actions"], value.voice, kind),
    isVoiceWritten: value.voice !== undefined,
    bulk: readBulk(entry, value.bulk ?? kind.bulk ?? true, properties),
  };
}

/** One value may stand for a list of one. */
export function listValues(
  safe: NonNullable<DeviceDefinition["safe"]>,
): Record<string, readonly Value[]> {
  return Object.fromEntries(
    Object.entries(safe).map(([name, values]) => [name, Array.isArray(values) ? values : [values]]),
  );
}

/** What a kind lets be done freely was thought of for its own guard, and not for a stricter one. */
export function safeActions(
  written: readonly string[] | undefined,
  voice: VoiceAccess | undefined,
  kind: Kind | undefined,
): readonly string[] {
  const usual = kind?.voice ?? "free";
  const isMilder = voice === undefined || !isStricter(voice, usual);
  return written ?? (isMilder ? (kind?.safeActions ?? noAction) : noAction);
}

/** What is always free has to be something that there is, and less than all that there is. */
export function checkSafe(
  entry: Cursor<Pick<Written, "safe" | "safe-actions">>,
  {
    properties,
    actions,
  }: { properties: ReadonlyMap<string, DataSchema>; actions: readonly string[] },
  doubt: Reach,
): void {
  const { doubts } = entry.context;
  for (const cursor of entry.given("safe")?.entries() ?? []) {
    const { id: property, keyAt } = cursor;
    const schema = properties.get(property);
    cursor.refers("property", properties, { on: "key" });
    if (!schema) {
      doubts.add(doubt, keyAt);
      continue;
    }
    const values = [cursor.value].flat();
    for (const each of values) {
      const check = checkValue(schema, each);
      if (check.ok) continue;
      doubts.add(doubt, cursor.at);
      cursor.report("wrong-value", explain(property, check.problem), allowed(schema));
    }
    const all = schema.type === "boolean" ? [true, false] : schema.enum;
    if (all?.every((each) => values.includes(each)) !== true) continue;
    const message = `every value of ${property} is safe, so nothing guards it`;
    const fix = "leave out those that make the home less safe";
    cursor.report("unguarded", message, fix, { severity: "warning", at: keyAt });
  }
  for (const action of entry.given("safe-actions")?.items() ?? []) {
    if (!action.refers("action", actions)) doubts.add(doubt, action.at);
  }
}

function readBulk(
  entry: Cursor<Written>,
  bulk: NonNullable<KindDefinition["bulk"]>,
  properties: ReadonlyMap<string, DataSchema>,
): Guards["bulk"] {
  if (typeof bulk === "boolean") return bulk;
  const { id, value, context } = entry;
  const conditions: Record<string, Condition> = {};
  for (const cursor of entry.key("bulk").as(bulk).entries()) {
    const { id: property, value: written, keyAt } = cursor;
    const schema = properties.get(property);
    const parsed = schema && parseCondition(schema, written);
    if (parsed?.ok) conditions[property] = parsed.condition;
    // What the kind says and the device has no property for is never so.
    else if (!schema && value.bulk === undefined) return false;
    else {
      context.doubts.add({ of: "device", id }, keyAt);
      cursor.refers("property", properties, { on: "key" });
      if (schema) {
        const message = `"${written}" is no condition on ${property}`;
        cursor.report("wrong-condition", message, allowed(schema));
      }
    }
  }
  return conditions;
}
