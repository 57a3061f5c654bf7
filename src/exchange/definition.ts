import { printCondition } from "../model/condition.ts";
import type { Kind } from "../model/kinds.ts";
import type { Device } from "../model/home.ts";
import type { DataSchema } from "../model/property.ts";
import type { DataSchemaDefinition, DeviceDefinition } from "../phrasebook/definition/home.ts";
import { given } from "../source/given.ts";

/** A device as it would be written in a phrasebook: what its kind says already is left out. */
export function definitionOf(device: Device, kind: Kind | undefined): DeviceDefinition {
  const { id, room, voice, safe, actions, isVoiceWritten, safeActions, bulk } = device;
  const name = said(device, false);
  const isMadeFromId =
    device.names.length > 0 &&
    device.names.every((each) => each.alias || each.text === id.replaceAll("-", " "));
  const aliases = said(device, true);
  const properties = ownProperties(device, kind);
  const more = actions.filter((action) => !kind?.actions?.includes(action));
  const isSafeOwn = JSON.stringify(safe) !== JSON.stringify(kind?.safe ?? {});
  return {
    kind: device.kind,
    ...given({ room }),
    ...(name && !isMadeFromId ? { name } : {}),
    ...(aliases ? { aliases } : {}),
    ...(Object.keys(properties).length > 0 ? { properties } : {}),
    ...(more.length > 0 ? { actions: more } : {}),
    ...(isVoiceWritten ? { voice } : {}),
    ...(isSafeOwn ? { safe: lists(safe) } : {}),
    ...(safeActions.length > 0 && isVoiceWritten ? { "safe-actions": [...safeActions] } : {}),
    ...(isBulkOwn(bulk, kind) ? { bulk: writeBulk(bulk) } : {}),
  };
}

/** Whether a device goes along with bulk commands otherwise than its kind does. */
function isBulkOwn(bulk: Device["bulk"], kind: Kind | undefined): boolean {
  return JSON.stringify(writeBulk(bulk)) !== JSON.stringify(kind?.bulk ?? true);
}

function writeBulk(bulk: Device["bulk"]): NonNullable<DeviceDefinition["bulk"]> {
  if (typeof bulk === "boolean") return bulk;
  return Object.fromEntries(
    Object.entries(bulk).map(([name, condition]) => [name, printCondition(condition)]),
  );
}

function lists(safe: Device["safe"]): NonNullable<DeviceDefinition["safe"]> {
  return Object.fromEntries(Object.entries(safe).map(([name, values]) => [name, [...values]]));
}

function said({ names }: Device, alias: boolean): Record<string, string | string[]> | undefined {
  const byLanguage: Record<string, string | string[]> = {};
  for (const name of names) {
    if (name.alias !== alias) continue;
    const before = byLanguage[name.language];
    byLanguage[name.language] = before === undefined ? name.text : [before, name.text].flat();
  }
  return Object.keys(byLanguage).length > 0 ? byLanguage : undefined;
}

/** Properties that the kind does not have, or has otherwise. */
function ownProperties(
  { properties }: Device,
  kind: Kind | undefined,
): Record<string, DataSchemaDefinition | null> {
  const own: Record<string, DataSchemaDefinition | null> = {};
  for (const [name, schema] of properties) {
    const shipped = kind?.properties[name];
    const optional = kind?.optional?.[name];
    if (shipped && isSame(shipped, schema)) continue;
    own[name] = optional && isSame(optional, schema) ? null : written(schema);
  }
  return own;
}

function isSame(a: DataSchema, b: DataSchema): boolean {
  const sorted = (schema: DataSchema): string => JSON.stringify(Object.entries(schema).sort());
  return sorted(a) === sorted(b);
}

/** A schema in the words of a phrasebook. What a colour looks like follows from the kind. */
function written({ multipleOf, format, enum: choices, ...rest }: DataSchema): DataSchemaDefinition {
  return {
    ...rest,
    ...(format === undefined && choices ? { enum: [...choices] } : {}),
    ...given({ step: multipleOf }),
  };
}
