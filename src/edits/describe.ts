import type { Book } from "../book/book.ts";
import { devicesOf, entityOf } from "../model/members.ts";
import { type DataSchema } from "../model/property.ts";
import { allowed } from "../phrasebook/written.ts";
import type { Entity } from "./entities.ts";

/** What is told of something: in one line, and more. */
export interface Told {
  title: string;
  lines: readonly string[];
}

/** Tells of something with an id what it is, in words of those who write it. */
export function describeEntity(book: Book, { sort, id, of = "" }: Entity): Told {
  switch (sort) {
    case "device":
      return describeDevice(book, id);
    case "room":
    case "zone":
    case "group":
      return describePlace(book, sort, id);
    case "voicepoint":
      return told(`voicepoint in ${book.voicepoints.get(id)?.room ?? "no room"}`);
    case "connection":
      return told(`connection to ${book.connections.get(id)?.url ?? id}`);
    case "address":
      return told(`address that runs ${book.addresses.get(id)?.runs ?? "nothing"}`);
    case "person":
      return told(`person: ${book.people.get(id)?.name ?? id}`);
    case "kind": {
      const kind = book.kinds.get(id);
      const properties = Object.keys({ ...kind?.properties, ...kind?.optional });
      const actions = kind?.actions ?? [];
      return told(`kind of device`, [
        list("has", properties),
        list("does", actions),
        kind?.voice === undefined ? "" : `voice: ${kind.voice}`,
      ]);
    }
    case "fragment": {
      const patterns = book.fragments.get(id)?.patterns ?? [];
      return told(
        "fragment",
        patterns.map(({ text, language }) => `${language}: ${text}`),
      );
    }
    case "intent":
    case "routine":
      return describeIntent(book, sort, id);
    case "slot": {
      const slot = (book.intents.get(of) ?? book.routines.get(of))?.slots.get(id);
      return told(slot ? `slot of type ${slot.type}` : "slot");
    }
    case "property": {
      const schema = book.devices.get(of)?.properties.get(id);
      return told(`property of ${of}`, schema ? describeProperty(schema) : []);
    }
    case "action":
      return told(`action of ${of}`);
    case "setup":
      return told("setup of suites");
  }
}

function told(title: string, lines: readonly string[] = []): Told {
  return { title, lines: lines.filter((line) => line !== "") };
}

function list(what: string, all: readonly string[]): string {
  return all.length === 0 ? "" : `${what} ${all.join(", ")}`;
}

function describeDevice(book: Book, id: string): Told {
  const device = book.devices.get(id);
  if (!device) return told("device");
  const { kind, room, names, properties, actions, voice } = device;
  const place = room === undefined ? "" : ` in ${room}`;
  return told(`${kind}${place}`, [
    list(
      "said",
      names.map(({ text }) => `“${text}”`),
    ),
    list("has", [...properties.keys()]),
    list("does", actions),
    voice === "free" ? "" : `voice: ${voice}`,
  ]);
}

function describePlace(book: Book, sort: string, id: string): Told {
  const entity = entityOf(book, id);
  if (!entity) return told(sort);
  const devices = devicesOf(book, entity).map((device) => device.id);
  return told(sort, [
    list(
      "said",
      entity.names.map(({ text }) => `“${text}”`),
    ),
    list("holds", devices),
  ]);
}

function describeIntent(book: Book, sort: "intent" | "routine", id: string): Told {
  const intent = book.intents.get(id);
  const triggers = book.routines.get(id)?.triggers.length ?? 0;
  const patterns = intent?.patterns ?? [];
  return told(sort, [
    ...patterns.slice(0, mostPatterns).map(({ text, language }) => `${language}: ${text}`),
    patterns.length > mostPatterns ? `and ${patterns.length - mostPatterns} more` : "",
    triggers > 0 ? `triggers beside phrases: ${triggers}` : "",
  ]);
}

const mostPatterns = 4;

function describeProperty(schema: DataSchema): string[] {
  const { unit, readOnly } = schema;
  return [
    allowed(schema),
    unit === undefined ? "" : `in ${unit}`,
    readOnly ? "can be read and not set" : "",
  ];
}
