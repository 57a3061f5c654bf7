import type { Context } from "../document/context.ts";
import { Cursor } from "../document/cursor.ts";
import { type Document, writtenKeys } from "../document/document.ts";
import type { PhrasebookDefinition } from "./definition/phrasebook.ts";

/** One file of a phrasebook, as far as it could be read. */
export interface File {
  document: Document;
  content: PhrasebookDefinition;
}

type SectionName =
  | "rooms"
  | "zones"
  | "voicepoints"
  | "devices"
  | "groups"
  | "people"
  | "kinds"
  | "fragments"
  | "intents"
  | "routines"
  | "connections"
  | "addresses";

/** The top of each file. */
export function topsOf(
  context: Context,
  files: readonly File[],
): readonly Cursor<PhrasebookDefinition>[] {
  return files.map(({ document, content }) => new Cursor(content, { context, document }));
}

/** A section that is one value for the whole phrasebook: a second one is a finding. */
export function single<
  Key extends "phrasebook" | "languages" | "place" | "units" | "code" | "doors",
>(
  tops: readonly Cursor<PhrasebookDefinition>[],
  key: Key,
): Cursor<NonNullable<PhrasebookDefinition[Key]>> | undefined {
  const [first, ...others] = tops.flatMap((top) => top.given(key) ?? []);
  for (const other of others) {
    const also = first ? [first.keyAt] : [];
    const message = `"${key}" is written twice`;
    other.report("defined-twice", message, "keep one of them", { also, at: other.keyAt });
  }
  return first;
}

type Section<Entry> = (
  top: Cursor<PhrasebookDefinition>,
) => Cursor<Record<string, Entry>> | undefined;

/** The entries of a section over all files; the first of two with one id counts. */
export function section<Entry>(
  tops: readonly Cursor<PhrasebookDefinition>[],
  pick: Section<Entry>,
): Cursor<Entry>[] {
  const found = new Map<string, Cursor<Entry>>();
  for (const part of tops.flatMap((top) => pick(top) ?? [])) {
    for (const entry of part.entries()) {
      const { id } = entry;
      const first = found.get(id);
      if (first && replaces(entry.value)) {
        // What replaces another has said so, whichever of the two is read first.
        found.delete(id);
      } else if (first && !replaces(first.value)) {
        const message = `"${id}" is defined twice under ${part.id}`;
        const fix = "give one of them another id, or join what they say";
        entry.report("defined-twice", message, fix, { also: [first.keyAt], at: entry.keyAt });
        entry.doubt();
        continue;
      } else if (first) {
        continue;
      }
      found.set(id, entry);
    }
  }
  return [...found.values()];
}

/** The same where an entry may be left empty, and says nothing then. */
export function looseSection<Entry extends object>(
  tops: readonly Cursor<PhrasebookDefinition>[],
  pick: Section<Entry | null>,
  empty: Entry,
): Cursor<Entry>[] {
  return section(tops, pick).map((entry) => entry.as(entry.value ?? empty));
}

function replaces(value: unknown): boolean {
  return (
    typeof value === "object" && value !== null && "replaces" in value && value.replaces === true
  );
}

/** Ids as written, those of entries that could not be read included: they are no unknown names. */
export function idsOf(files: readonly File[], name: SectionName): Set<string> {
  return new Set(files.flatMap(({ document }) => writtenKeys(document, [name])));
}

/** What entries are read as, by their ids; what cannot be read is left out. */
export function mapOf<Value, Out>(
  entries: readonly Cursor<Value>[],
  read: (entry: Cursor<Value>) => Out | undefined,
): Map<string, Out> {
  const map = new Map<string, Out>();
  for (const entry of entries) {
    const value = read(entry);
    if (value !== undefined) map.set(entry.id, value);
  }
  return map;
}
