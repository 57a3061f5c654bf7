import { entityOf } from "../model/members.ts";
import type { Book } from "../book/book.ts";
import type { Path, SourceText } from "../document/document.ts";
import { nodeAt } from "../document/nodes.ts";
import { startOf } from "../document/yaml.ts";
import { type Parsed, type Stretch, insideOf, parseText, stretchOf } from "./texts.ts";

export type EntitySort =
  | "room"
  | "zone"
  | "voicepoint"
  | "device"
  | "group"
  | "person"
  | "kind"
  | "fragment"
  | "intent"
  | "routine"
  | "setup"
  | "connection"
  | "address"
  | "slot"
  | "property"
  | "action";

/** Something that has an id and is spoken of elsewhere. */
export interface Entity {
  sort: EntitySort;
  id: string;
  /** Of a slot its intent or routine; of a property or an action its device. */
  of?: string;
}

/** The section of files in which each sort of thing is written, by its id. */
export const sections = {
  room: "rooms",
  zone: "zones",
  voicepoint: "voicepoints",
  device: "devices",
  group: "groups",
  person: "people",
  kind: "kinds",
  fragment: "fragments",
  intent: "intents",
  routine: "routines",
  setup: "setups",
  connection: "connections",
  address: "addresses",
} as const;

type SectionSort = keyof typeof sections;

function isSectionSort(sort: string): sort is SectionSort {
  return Object.hasOwn(sections, sort);
}

export function sameEntity(one: Entity, other: Entity): boolean {
  return one.sort === other.sort && one.id === other.id && one.of === other.of;
}

/** What a word in a finding stands for where its own word is another. */
const calls: Readonly<Record<string, EntitySort>> = {
  "target slot": "slot",
  "intent to add to": "intent",
  "intent of the vocabulary": "intent",
};

/** What an id stands for that is written as something: `room`, `device or group`, `property of lamp`. */
export function entityNamed(
  book: Book,
  { what, id, path }: { what: string; id: string; path: Path },
): Entity | undefined {
  const [sort = "", of] = what.split(" of ");
  const owner = ownerAt(path);
  if ((sort === "property" || sort === "action") && of !== undefined) return { sort, id, of };
  if (sort === "property" || sort === "action") {
    return owner?.section === "devices" ? { sort, id, of: owner.id } : undefined;
  }
  const called = calls[what] ?? sort;
  if (called === "slot") return owner && { sort: "slot", id, of: of ?? owner.id };
  const thing = entityOf(book, id);
  const isThing = ["room", "zone", "group", "device or group", "device", "button"].includes(called);
  if (isThing) return thing && { sort: thing.type, id };
  return isSectionSort(called) ? { sort: called, id } : undefined;
}

/** The section and the entry in which a path leads. */
export function ownerAt([section, id]: Path): { section: string; id: string } | undefined {
  return section === undefined || id === undefined
    ? undefined
    : { section: String(section), id: String(id) };
}

/** The thing whose id is the key at the end of a path. */
export function definedAt(path: Path): Entity | undefined {
  const [section, id, part, inner] = path.map(String);
  if (section === undefined || id === undefined) return undefined;
  // What is asked as a source is a device to all else.
  const written = section === "sources" ? "devices" : section;
  const found = Object.entries(sections).find(([, name]) => name === written)?.[0];
  if (path.length === 2) return found && isSectionSort(found) ? { sort: found, id } : undefined;
  if (path.length !== 4 || inner === undefined) return undefined;
  if (part === "slots" && (section === "intents" || section === "routines")) {
    return { sort: "slot", id: inner, of: id };
  }
  return part === "properties" && section === "devices"
    ? { sort: "property", id: inner, of: id }
    : undefined;
}

/** The paths under which something may be written. */
function pathsTo(book: Book, { sort, id, of = "" }: Entity): Path[] {
  if (sort === "device") return ["devices", "sources"].map((section) => [section, id]);
  if (isSectionSort(sort)) return [[sections[sort], id]];
  if (sort === "slot") {
    return [
      ["intents", of, "slots", id],
      ["routines", of, "slots", id],
    ];
  }
  const kind = book.devices.get(of)?.kind ?? "";
  if (sort === "action") return [["kinds", kind, "actions"]];
  return [
    ["devices", of, "properties", id],
    ["kinds", kind, "properties", id],
    ["kinds", kind, "optional", id],
  ];
}

/** Where something is written, in any of some files: the key that is its id. */
export function definitionsOf(
  { book, files }: { book: Book; files: readonly SourceText[] },
  entity: Entity,
): Stretch[] {
  const paths = pathsTo(book, entity);
  return files.flatMap((file) => {
    const text = parseText(file);
    return paths.flatMap((path) => keyAt(text, path) ?? []);
  });
}

/** The key at the end of a path, where it is written. */
function keyAt(file: Parsed, path: Path): Stretch | undefined {
  const { root } = file;
  const parent = root && nodeAt(root, path.slice(0, -1).map(String));
  if (parent?.type !== "map") return undefined;
  const entry = parent.entries.find(({ text }) => text === String(path.at(-1)));
  if (!entry || startOf(entry.key) < 0) return undefined;
  return stretchOf(file, ...insideOf(file, entry.key));
}
