import { plainly } from "../document/validate.ts";
import { given } from "../source/given.ts";
import { membersOf, textOf } from "../source/border.ts";
import { type Kind, kinds } from "../model/kinds.ts";
import type { DataSchema } from "../model/property.ts";
import { deviceSchema } from "../phrasebook/schema/home.ts";
import type { DataSchemaDefinition, DeviceDefinition } from "../phrasebook/definition/home.ts";
import * as z from "zod/mini";
import type { SaidDefinition } from "../document/shapes.ts";
import type { Binding, Connection } from "../model/outside.ts";
import type { BindingDefinition, ConnectionDefinition } from "../phrasebook/definition/outside.ts";
import { bindingSchema, connectionSchema } from "../phrasebook/schema/outside.ts";
import { type Reached, bindingDefinition, formsOf, reachedBy } from "./forms.ts";
import { type SkippedPart, type Taken, idFrom } from "./taken.ts";

/*
 * Devices as Thing Descriptions, W3C Web of Things (WoT) Thing Description 1.1. What a phrasebook
 * says and a Thing Description has no word for stands under our own prefix, `calm:`.
 */

const context = "https://www.w3.org/2022/wot/td/v1.1";
const ownContext = { calm: "urn:calm-phrase:terms#" };
/** The vocabularies of forms over HTTP and MQTT. */
const formContext = {
  htv: "http://www.w3.org/2011/http#",
  mqv: "http://www.example.org/mqtt-binding#",
};

/** A Thing Description, of which only what concerns a phrasebook is typed. */
export type ThingDescription = Readonly<Record<string, unknown>>;

/** Members of a Thing Description (section 5.3.1.1) that a phrasebook has a use for. */
const usedMembers: ReadonlySet<string> = new Set([
  ...["@context", "@type", "id", "title", "titles", "properties", "actions", "base"],
  ...["security", "securityDefinitions"],
  ...["calm:kind", "calm:room", "calm:name", "calm:aliases", "calm:voice", "calm:safe"],
  ...["calm:safe-actions", "calm:bulk"],
  ...["calm:properties", "calm:actions", "calm:binding", "calm:connections"],
]);

/** What a phrasebook knows of a device beside what is written of it. */
export interface KnownDevice {
  /** Its kind, where that is one of the phrasebook's own. */
  kind?: Kind | undefined;
  /** How it is reached, and over what. */
  reached?: { binding: Binding; connection: Connection } | undefined;
}

/**
 * Writes one device as a Thing Description.
 *
 * @param known What the phrasebook knows of it besides.
 */
export function thingFromDevice(
  id: string,
  device: DeviceDefinition,
  { kind: own, reached }: KnownDevice = {},
): ThingDescription {
  const { kind, room, name, aliases, voice, safe, bulk, properties, actions } = device;
  const forms = reached && formsOf(reached.binding, reached.connection);
  const orElse = (all: readonly unknown[] | undefined, href: string): readonly unknown[] =>
    all && all.length > 0 ? all : [{ href }];
  const shipped = own ?? (Object.hasOwn(kinds, kind) ? kinds[kind] : undefined);
  const listed = Array.isArray(properties)
    ? Object.fromEntries(properties.map((each) => [each, null]))
    : (properties ?? {});
  const all = { ...shipped?.properties, ...pick(shipped?.optional ?? {}, Object.keys(listed)) };
  const names = new Set([...Object.keys(all), ...Object.keys(listed)]);
  return {
    "@context": [context, reached ? { ...ownContext, ...formContext } : ownContext],
    // Relative forms need something to be relative to.
    base: `https://home.invalid/${id}/`,
    id: `urn:calm-phrase:device:${id}`,
    title: firstText(name) ?? id.replaceAll("-", " "),
    ...titles(name),
    securityDefinitions: { none: { scheme: "nosec" } },
    security: "none",
    properties: Object.fromEntries(
      [...names].map((each) => [
        each,
        {
          ...affordance(all[each]),
          ...affordance(listed[each] ?? undefined),
          forms: orElse(forms?.property(each), `properties/${each}`),
        },
      ]),
    ),
    actions: Object.fromEntries(
      [...(shipped?.actions ?? []), ...(actions ?? [])].map((each) => [
        each,
        { forms: orElse(forms?.action(each), `actions/${each}`) },
      ]),
    ),
    "calm:kind": kind,
    ...given({ "calm:room": room }),
    ...given({ "calm:name": name }),
    ...given({ "calm:aliases": aliases }),
    ...given({ "calm:voice": voice }),
    ...given({ "calm:safe": safe }),
    ...given({ "calm:safe-actions": device["safe-actions"] }),
    ...given({ "calm:bulk": bulk }),
    ...given({ "calm:properties": properties }),
    ...given({ "calm:actions": actions }),
    ...(reached && {
      "calm:binding": bindingDefinition(reached.binding),
      "calm:connections": connectionDefinition(reached.connection),
    }),
  };
}

/** Reads devices from Thing Descriptions, each with the file that it stood in. */
export function devicesFromThings(given: readonly { file: string; thing: unknown }[]): Taken {
  const things = (Array.isArray(given) ? given : []).map((each: unknown) => {
    const { file, thing } = membersOf(each);
    return { file: textOf(file) ?? "thing", thing };
  });
  const devices: Record<string, DeviceDefinition> = {};
  const connections: Record<string, ConnectionDefinition> = {};
  const bindings: Record<string, BindingDefinition> = {};
  const skipped: SkippedPart[] = [];
  for (const { file, thing } of things) {
    if (!isRecord(thing)) {
      skipped.push({
        where: file,
        reason: "this is no Thing Description, which is one JSON object",
      });
      continue;
    }
    const taken = deviceFromThing(thing, file, skipped);
    if (!taken) continue;
    if (Object.hasOwn(devices, taken.id)) {
      skipped.push({ where: file, reason: `there is a thing "${taken.id}" before this one` });
    } else {
      devices[taken.id] = taken.device;
      const { reached } = taken;
      if (!reached) continue;
      bindings[taken.id] = reached.binding;
      Object.assign(connections, reached.connections);
      for (const { login } of Object.values(reached.connections)) {
        if (login === undefined) continue;
        const reason = `its login is looked for in the environment variable ${login}`;
        skipped.push({ where: `${file} security`, reason });
      }
    }
  }
  return { devices, connections, bindings, skipped };
}

function deviceFromThing(
  thing: ThingDescription,
  file: string,
  skipped: SkippedPart[],
): { id: string; device: DeviceDefinition; reached?: Reached | undefined } | undefined {
  const title = typeof thing["title"] === "string" ? thing["title"] : "";
  const urn = typeof thing["id"] === "string" ? thing["id"] : "";
  const id = idFrom(urn.startsWith("urn:calm-phrase:device:") ? urn.slice(23) : title);
  if (id === "") {
    skipped.push({ where: file, reason: "it has no title to make an id from" });
    return undefined;
  }
  for (const member of Object.keys(thing)) {
    if (usedMembers.has(member)) continue;
    skipped.push({ where: `${file} ${member}`, reason: "a phrasebook has no place for it" });
  }
  const kind = kindOf(thing);
  if (kind === undefined) {
    const reason = `nothing tells its kind: write "calm:kind" or an "@type" that is one`;
    skipped.push({ where: file, reason });
    return undefined;
  }
  const isOurs = typeof thing["calm:kind"] === "string";
  const device: Record<string, unknown> = { kind };
  for (const key of ownKeys) {
    if (thing[`calm:${key}`] !== undefined) device[key] = thing[`calm:${key}`];
  }
  if (!isOurs) Object.assign(device, foreignParts(thing, { id, kind }, file, skipped));
  const checked = deviceSchema.safeParse(device, plainly);
  if (checked.success) {
    const reached = isOurs
      ? ownReach(thing)
      : reachedBy({ id, thing, asOnOff: onOffOf(kind, thing) });
    return { id, device: checked.data, ...given({ reached }) };
  }
  const [issue] = checked.error.issues;
  const reason = `${issue?.path.join(".") ?? ""}: ${issue?.message ?? "it is no device"}`;
  skipped.push({ where: file, reason });
  return undefined;
}

/** How a device is reached, as our own export wrote it. */
function ownReach(thing: ThingDescription): Reached | undefined {
  const binding = bindingSchema.safeParse(thing["calm:binding"]);
  const connections = connectionsSchema.safeParse(thing["calm:connections"]);
  return binding.success && connections.success
    ? { binding: binding.data, connections: connections.data }
    : undefined;
}

const connectionsSchema = z.record(z.string(), connectionSchema);

/** Properties that are truth values there, and on or off here. */
function onOffOf(kind: string, thing: ThingDescription): Set<string> {
  const properties = Object.entries(membersOf(thing["properties"]));
  return new Set(
    properties.flatMap(([name, schema]) => (asPower(kind, name, membersOf(schema)) ? name : [])),
  );
}

function connectionDefinition({
  id,
  url,
  login,
}: Connection): Record<string, ConnectionDefinition> {
  return { [id]: { url, ...given({ login }) } };
}

/** Keys of a device that stand in a Thing Description under our own prefix. */
const ownKeys = [
  ...["room", "name", "aliases", "voice", "safe", "safe-actions", "bulk", "properties", "actions"],
];

/** Its own word for the kind, or a type whose last part is the name of a kind. */
function kindOf(thing: ThingDescription): string | undefined {
  if (typeof thing["calm:kind"] === "string") return thing["calm:kind"];
  const types = [thing["@type"]].flat().filter((type): type is string => typeof type === "string");
  const words = types.map((type) => type.split(/[:#/]/).at(-1)?.toLowerCase() ?? "");
  return words.find((word) => Object.hasOwn(kinds, word));
}

/** Names and properties of a Thing Description that was not written by Calm Phrase. */
function foreignParts(
  thing: ThingDescription,
  { id, kind }: { id: string; kind: string },
  file: string,
  skipped: SkippedPart[],
): Record<string, unknown> {
  const parts: Record<string, unknown> = {};
  const titles = isRecord(thing["titles"]) ? thing["titles"] : undefined;
  if (titles) parts["name"] = titles;
  else if (thing["title"] !== id.replaceAll("-", " ")) parts["name"] = thing["title"];
  const own: Record<string, DataSchemaDefinition | null> = {};
  const properties = isRecord(thing["properties"]) ? thing["properties"] : {};
  const where = (...path: string[]): string => `${file} ${path.join(".")}`;
  for (const [name, schema] of Object.entries(properties)) {
    if (isRecord(schema)) tellLeft(schema, usedTerms, where("properties", name), skipped);
    const read = isRecord(schema) ? (asPower(kind, name, schema) ?? readSchema(schema)) : undefined;
    const isKnown = Object.hasOwn(kinds[kind]?.properties ?? {}, name);
    if (read) own[name] = read;
    else if (!isKnown) {
      const reason = "its type is none that a property can have";
      skipped.push({ where: `${file} properties.${name}`, reason });
    }
  }
  if (Object.keys(own).length > 0) parts["properties"] = own;
  const affordances = isRecord(thing["actions"]) ? thing["actions"] : {};
  for (const [name, action] of Object.entries(affordances)) {
    if (isRecord(action)) tellLeft(action, usedActionTerms, where("actions", name), skipped);
  }
  const actions = Object.keys(affordances);
  const more = actions.filter((action) => !kinds[kind]?.actions?.includes(action));
  if (more.length > 0) parts["actions"] = more;
  return parts;
}

/** Terms of a property (sections 5.3.1.3 and 5.3.2) that a phrasebook uses, or has no need of. */
const usedTerms: ReadonlySet<string> = new Set([
  ...["type", "minimum", "maximum", "multipleOf", "unit", "enum", "readOnly", "default", "forms"],
  ...["title", "titles", "description", "descriptions", "observable", "@type", "calm:format"],
]);
const usedActionTerms: ReadonlySet<string> = new Set([
  ...["title", "titles", "description", "descriptions", "forms", "@type", "safe", "idempotent"],
]);

/** Tells the terms of an affordance that are not taken, since what they say is lost. */
function tellLeft(
  affordance: Readonly<Record<string, unknown>>,
  used: ReadonlySet<string>,
  where: string,
  skipped: SkippedPart[],
): void {
  for (const term of Object.keys(affordance)) {
    // False is what each of these is when it is not written (section 5.4).
    if (used.has(term) || affordance[term] === false) continue;
    skipped.push({ where: `${where}.${term}`, reason: "a phrasebook has no place for it" });
  }
}

/** On and off of a light are a truth value for many: what its kind has for it stays. */
function asPower(
  kind: string,
  name: string,
  { type, readOnly = false }: Readonly<Record<string, unknown>>,
): DataSchemaDefinition | undefined {
  const own = kinds[kind]?.properties[name];
  if (type !== "boolean" || own?.enum?.join() !== "on,off") return undefined;
  return { enum: [...own.enum], ...(readOnly === true ? { readOnly } : {}) };
}

const types: ReadonlySet<string> = new Set(["boolean", "string", "number", "integer"]);

function readSchema(schema: Readonly<Record<string, unknown>>): DataSchemaDefinition | undefined {
  if (!types.has(String(schema["type"]))) return undefined;
  const read: Record<string, unknown> = { type: schema["type"] };
  for (const key of ["minimum", "maximum", "unit", "enum", "readOnly", "default"]) {
    if (schema[key] !== undefined) read[key] = schema[key];
  }
  if (schema["multipleOf"] !== undefined) read["step"] = schema["multipleOf"];
  return read;
}

/** A property as a data schema (section 5.3.2): the words are the same but for the step. */
function affordance(
  schema: DataSchema | DataSchemaDefinition | undefined,
): Record<string, unknown> {
  if (!schema) return {};
  const { step, format, ...rest }: Readonly<Record<string, unknown>> = { ...schema };
  return { ...rest, ...given({ multipleOf: step, "calm:format": format }) };
}

function pick<T>(from: Readonly<Record<string, T>>, keys: readonly string[]): Record<string, T> {
  return Object.fromEntries(Object.entries(from).filter(([key]) => keys.includes(key)));
}

function firstText(said: SaidDefinition | undefined): string | undefined {
  if (said === undefined || typeof said === "string") return said;
  const [first] = Array.isArray(said) ? said : Object.values(said);
  return typeof first === "string" ? first : first?.[0];
}

/** Titles by language (section 5.3.1.1), where names are written by language. */
function titles(said: SaidDefinition | undefined): Record<string, unknown> {
  if (said === undefined || typeof said === "string" || Array.isArray(said)) return {};
  const byLanguage = Object.entries(said).map(([tag, text]) => [tag, firstText(text)] as const);
  return { titles: Object.fromEntries(byLanguage) };
}

function isRecord(value: unknown): value is Record<string, unknown> {
  return typeof value === "object" && value !== null && !Array.isArray(value);
}
