import type { Cursor } from "../document/cursor.ts";
import { readNames } from "../document/said.ts";
import type { Device } from "../model/home.ts";
import { type Kind, kinds } from "../model/kinds.ts";
import type { DataSchema, Value } from "../model/property.ts";
import { converted, rounded, toldUnit, unitNamed } from "../model/units.ts";
import { withArticle } from "../source/article.ts";
import { given } from "../source/given.ts";
import { nearest } from "../source/nearest.ts";
import { checkSafe, listValues, readGuards } from "./guards.ts";
import type { DataSchemaDefinition, DeviceDefinition, KindDefinition } from "./definition/home.ts";

/** Reads a device: its kind gives it properties, which it may narrow, list or add to. */
export function readDevice(
  entry: Cursor<DeviceDefinition>,
  rooms: ReadonlySet<string>,
): Device | undefined {
  const { id, value, context } = entry;
  const names = readNames(entry);
  const { room } = value;
  entry.given("room")?.refers("room", rooms);
  const kind = context.kinds.get(value.kind);
  entry.key("kind").refers("kind", context.kinds);
  if (!kind) return undefined;
  const properties = readProperties(entry, kind);
  const usual = kind.actions ?? none;
  const actions = value.actions ? [...new Set([...usual, ...value.actions])] : usual;
  return {
    type: "device",
    id,
    kind: value.kind,
    names,
    properties,
    actions,
    ...readGuards(entry, kind, { properties, actions }),
    at: entry.keyAt,
    ...(room === undefined ? {} : { room }),
  };
}

/** Reads a kind of the phrasebook's own: data in the words of Web of Things. */
export function readKind(entry: Cursor<KindDefinition>): Kind {
  const { id, value } = entry;
  for (const key of ["properties", "optional"] as const) checkSwitched(entry.given(key));
  const properties = (written: KindDefinition["properties"]): Record<string, DataSchema> =>
    Object.fromEntries(
      Object.entries(written ?? {}).map(([name, own]) => [name, merge(undefined, own)]),
    );
  const kind = { properties: properties(value.properties), optional: properties(value.optional) };
  const all = new Map([...Object.entries(kind.properties), ...Object.entries(kind.optional)]);
  checkSafe(entry, { properties: all, actions: value.actions ?? [] }, { of: "kind", id });
  return {
    ...kind,
    ...given({
      actions: value.actions,
      voice: value.voice,
      safe: value.safe && listValues(value.safe),
      safeActions: value["safe-actions"],
      bulk: value.bulk,
    }),
  };
}

/** Properties that ship as on and off, which people say of them. */
const switched: ReadonlySet<string> = new Set(
  Object.values(kinds).flatMap(({ properties, optional }) =>
    Object.entries({ ...properties, ...optional }).flatMap(([name, { enum: values }]) =>
      values?.join() === "on,off" ? name : [],
    ),
  ),
);

function checkSwitched(written: Cursor<KindDefinition["properties"]> | undefined): void {
  for (const [name, { type }] of Object.entries(written?.value ?? {})) {
    if (type !== "boolean" || !switched.has(name)) continue;
    const message = `"${name}" is on or off where it is spoken of, and not true or false`;
    written?.report("wrong-value", message, "write enum: [on, off], or give it a name of its own");
  }
}

const none: readonly string[] = [];

const ofKinds = new WeakMap<Kind, ReadonlyMap<string, DataSchema>>();

function propertiesOf(kind: Kind): ReadonlyMap<string, DataSchema> {
  let properties = ofKinds.get(kind);
  if (!properties) ofKinds.set(kind, (properties = new Map(Object.entries(kind.properties))));
  return properties;
}

function readProperties(
  entry: Cursor<DeviceDefinition>,
  kind: Kind,
): ReadonlyMap<string, DataSchema> {
  // Devices that say nothing of their own share what their kind says.
  if (entry.value.properties === undefined) return propertiesOf(kind);
  const properties = new Map(propertiesOf(kind));
  const optional = kind.optional ?? {};
  for (const [name, own] of listed(entry)) {
    const base = properties.get(name) ?? optional[name];
    const { value } = own;
    if (!base && value?.type === undefined && !value?.enum) {
      const near = nearest(name, [...properties.keys(), ...Object.keys(optional)]);
      const message = `${withArticle(entry.value.kind)} has no property "${name}", so ${entry.id} must say what it can hold`;
      const type = `give it a type: { ${name}: { type: number } }`;
      const fix = near ? `write ${near}, or give it a type` : type;
      own.report("unknown-property", message, fix, { at: own.keyAt });
      continue;
    }
    checkUnit(own, base);
    properties.set(name, merge(base, value ?? {}));
  }
  return properties;
}

/** Reports limits of which nobody can tell what they count: people there speak in another unit. */
function checkUnit(own: Cursor<DataSchemaDefinition | null>, base: DataSchema | undefined): void {
  const { value, context } = own;
  if (!base || !value || value.unit !== undefined) return;
  const said = toldUnit(base.unit, context.units);
  const { minimum, maximum, step, default: start } = value;
  const isPlain = [minimum, maximum, step, start].every((each) => each === undefined);
  if (base.unit !== "celsius" || said === base.unit || isPlain) return;
  const message = `${own.id} is in celsius unless it says so, and this home is spoken to in ${said ?? ""}`;
  own.report("unit-unsaid", message, `write unit: ${said ?? ""}, or unit: celsius`);
}

/** The properties that a device lists, by their names, each with what is said of it. */
function listed(
  entry: Cursor<DeviceDefinition>,
): (readonly [string, Cursor<DataSchemaDefinition | null>])[] {
  const written = entry.key("properties");
  const { value = [] } = written;
  return Array.isArray(value)
    ? written
        .as(value)
        .items()
        .map((name) => [name.value, name.as(null)] as const)
    : written
        .as(value)
        .entries()
        .map((own) => [own.id, own] as const);
}

function merge(kind: DataSchema | undefined, own: DataSchemaDefinition): DataSchema {
  const unit = own.unit === undefined ? kind?.unit : unitNamed(own.unit);
  const base = kind && inUnit(kind, unit);
  const { step = own.multipleOf, type = base?.type ?? typeOf(own), ...rest } = own;
  const minimum = own.minimum ?? base?.minimum;
  const fallback = { boolean: false, string: own.enum?.[0] ?? "", number: 0, integer: 0 }[type];
  const initial = own.default ?? (own.enum ? fallback : (base?.default ?? fallback));
  return {
    ...base,
    ...given({ ...rest, unit }),
    type,
    ...given({ multipleOf: step ?? base?.multipleOf }),
    // A narrowed range need not hold the kind's own starting value.
    default: typeof initial === "number" ? Math.max(initial, minimum ?? initial) : initial,
  };
}

/** What a kind says of a property, for a device that counts in another unit; it has no step then. */
function inUnit(schema: DataSchema, unit: string | undefined): DataSchema {
  const into = (value: Value | undefined): number | undefined => {
    const other = typeof value === "number" ? converted(value, schema.unit, unit) : undefined;
    return other === undefined ? undefined : rounded(other, unit);
  };
  const start = into(schema.default);
  if (start === undefined) return schema;
  const ends = [into(schema.minimum), into(schema.maximum)] as const;
  // Some units count the other way.
  const isReversed = (ends[0] ?? -Infinity) > (ends[1] ?? Infinity);
  const [minimum, maximum] = isReversed ? ends.toReversed() : ends;
  const { type, enum: values, format, readOnly } = schema;
  return { type, default: start, ...given({ minimum, maximum, enum: values, format, readOnly }) };
}

/** The type of a property that gives none: numbers have a range or a step, texts a list. */
function typeOf(own: DataSchemaDefinition): DataSchema["type"] {
  if (own.enum) return "string";
  const isNumber = [own.minimum, own.maximum, own.step].some((bound) => bound !== undefined);
  return isNumber || typeof own.default === "number" ? "number" : "string";
}
