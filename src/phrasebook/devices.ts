import { nearest } from "../source/nearest.ts";
import { type Context, type Entry, report, reportUnknown } from "./context.ts";
import { checkSafe, listValues, readGuards } from "./guards.ts";
import type { Kind } from "./kinds.ts";
import type { Device } from "./model.ts";
import type { DataSchema } from "./property.ts";
import { readNames } from "./said.ts";
import type { DataSchemaDefinition, DeviceDefinition, KindDefinition } from "./schema.ts";

/** Reads a device: its kind gives it properties, which it may narrow, list or add to. */
export function readDevice(
  context: Context,
  entry: Entry<DeviceDefinition>,
  rooms: ReadonlySet<string>,
): Device | undefined {
  const { id, value, document, path, at } = entry;
  const names = readNames(context, entry, value);
  if (value.room !== undefined && !rooms.has(value.room)) {
    reportUnknown(context, document.at([...path, "room"]), "room", value.room, rooms);
  }
  const kind = context.kinds.get(value.kind);
  if (!kind) {
    reportUnknown(
      context,
      document.at([...path, "kind"]),
      "kind",
      value.kind,
      context.kinds.keys(),
    );
    return undefined;
  }
  const properties = readProperties(context, entry, kind);
  const usual = kind.actions ?? none;
  const actions = value.actions ? [...new Set([...usual, ...value.actions])] : usual;
  return {
    type: "device",
    id,
    kind: value.kind,
    names,
    properties,
    actions,
    ...readGuards(context, entry, kind, { properties, actions }),
    at,
    ...(value.room === undefined ? {} : { room: value.room }),
  };
}

/** Reads a kind of the phrasebook's own: data in the words of Web of Things. */
export function readKind(context: Context, entry: Entry<KindDefinition>): Kind {
  const { id, value } = entry;
  const properties = (written: KindDefinition["properties"]): Record<string, DataSchema> =>
    Object.fromEntries(
      Object.entries(written ?? {}).map(([name, own]) => [name, merge(undefined, own)]),
    );
  const kind = { properties: properties(value.properties), optional: properties(value.optional) };
  const all = new Map([...Object.entries(kind.properties), ...Object.entries(kind.optional)]);
  const abilities = { properties: all, actions: value.actions ?? [] };
  checkSafe(context, entry, abilities, { of: "kind", id });
  return {
    ...kind,
    ...(value.actions ? { actions: value.actions } : {}),
    ...(value.voice ? { voice: value.voice } : {}),
    ...(value.safe ? { safe: listValues(value.safe) } : {}),
    ...(value["safe-actions"] ? { safeActions: value["safe-actions"] } : {}),
    ...(value.bulk === undefined ? {} : { bulk: value.bulk }),
  };
}

const none: readonly string[] = [];

const ofKinds = new WeakMap<Kind, ReadonlyMap<string, DataSchema>>();

function propertiesOf(kind: Kind): ReadonlyMap<string, DataSchema> {
  let properties = ofKinds.get(kind);
  if (!properties) ofKinds.set(kind, (properties = new Map(Object.entries(kind.properties))));
  return properties;
}

function readProperties(
  context: Context,
  { id, value, document, path }: Entry<DeviceDefinition>,
  kind: Kind,
): ReadonlyMap<string, DataSchema> {
  // Devices that say nothing of their own share what their kind says.
  if (value.properties === undefined) return propertiesOf(kind);
  const properties = new Map(propertiesOf(kind));
  const optional = kind.optional ?? {};
  const listed: Record<string, DataSchemaDefinition | null> = Array.isArray(value.properties)
    ? Object.fromEntries(value.properties.map((name) => [name, null]))
    : value.properties;

  for (const [index, [name, own]] of Object.entries(listed).entries()) {
    const under = [...path, "properties", Array.isArray(value.properties) ? index : name];
    const base = properties.get(name) ?? optional[name];
    if (!base && own?.type === undefined && !own?.enum) {
      const known = [...properties.keys(), ...Object.keys(optional)];
      const near = nearest(name, known);
      report(
        context,
        "unknown-property",
        document.atKey(under),
        `a ${value.kind} has no property "${name}", so ${id} must say what it can hold`,
        near ? `write ${near}, or give it a type` : `give it a type: { ${name}: { type: number } }`,
      );
      continue;
    }
    properties.set(name, merge(base, own ?? {}));
  }
  return properties;
}

function merge(base: DataSchema | undefined, own: DataSchemaDefinition): DataSchema {
  const { step = own.multipleOf, type = base?.type ?? typeOf(own), ...rest } = own;
  const minimum = own.minimum ?? base?.minimum;
  const fallback = { boolean: false, string: own.enum?.[0] ?? "", number: 0, integer: 0 }[type];
  const initial = own.default ?? (own.enum ? fallback : (base?.default ?? fallback));
  const given = Object.fromEntries(Object.entries(rest).filter(([, value]) => value !== undefined));
  return {
    ...base,
    ...given,
    type,
    ...(step === undefined ? {} : { multipleOf: step }),
    // A narrowed range need not hold the kind's own starting value.
    default: typeof initial === "number" ? Math.max(initial, minimum ?? initial) : initial,
  };
}

/** The type of a property that gives none: numbers have a range or a step, texts a list. */
function typeOf(own: DataSchemaDefinition): DataSchema["type"] {
  if (own.enum) return "string";
  const isNumber = [own.minimum, own.maximum, own.step].some((bound) => bound !== undefined);
  return isNumber || typeof own.default === "number" ? "number" : "string";
}
