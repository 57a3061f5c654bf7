import { packFor, packs } from "../language/packs.ts";
import { vocabularyIds } from "../language/vocabulary.ts";
import { type Finding, compareFindings } from "../source/finding.ts";
import { type Context, type Entry, contextOf, report, reportUnknown } from "./context.ts";
import { readDevice, readKind } from "./devices.ts";
import { type Document, type Source, readDocument, writtenKeys } from "./document.ts";
import { readIntent } from "./intents.ts";
import { applyVoiceRules, barDoubted } from "./guards.ts";
import { type Kind, kinds } from "./kinds.ts";
import type {
  Device,
  Fragment,
  Group,
  Intent,
  KindNoun,
  NamedColour,
  Person,
  Phrasebook,
  Room,
  Routine,
  SpokenPattern,
  Voicepoint,
  Zone,
} from "./model.ts";
import { type Nest, openNests } from "./nesting.ts";
import { readRoutine } from "./routines.ts";
import { breakCircles, dropTooLarge } from "./references.ts";
import { readNames, readPatterns, saidTexts } from "./said.ts";
import { type KindDefinition, type PhrasebookDefinition, phrasebookSchema } from "./schema.ts";
import { validate } from "./validate.ts";
import { vocabularyFor } from "./vocabulary.ts";

interface File {
  document: Document;
  content: PhrasebookDefinition;
}

/**
 * Reads the files of a phrasebook into one checked model. Never throws: every problem is a
 * finding, and what can be used is.
 *
 * @param found What is wrong about files and folders that could not be read.
 */
export function readSources(
  sources: readonly Source[],
  found: readonly Finding[] = [],
): Phrasebook {
  const context = contextOf({ languages: ["en"], kinds: new Map(Object.entries(kinds)) });
  context.findings.push(...found);
  // What could not be read at all may hold any guard.
  for (const { severity, at } of found) {
    if (severity === "error") context.doubts.add({ of: "everything" }, at);
  }
  const files: File[] = [];
  let isPartial = found.some(({ severity }) => severity === "error");
  for (const source of sources) {
    const document = readDocument(source, context.findings);
    isPartial ||= document.broken;
    for (const path of document.lost) context.doubts.left(document, path);
    const content = validate(phrasebookSchema, document, context.findings, (path) => {
      context.doubts.left(document, path);
    });
    if (content) files.push({ document, content });
  }
  const name = single(context, files, "phrasebook") ?? "Home";
  context.languages = readLanguages(context, files);

  const kindEntries = section(context, files, "kinds");
  context.kinds = readKinds(context, kindEntries);
  const roomEntries = section(context, files, "rooms");
  const roomIds = idsOf(files, "rooms");
  const rooms = mapOf(roomEntries, (entry): Room => {
    const { id, value, at } = entry;
    return { type: "room", id, names: readNames(context, entry, value), at };
  });
  const zones = readZones(context, files, roomIds);
  const voicepoints = mapOf(section(context, files, "voicepoints"), (entry): Voicepoint => {
    const { id, value, document, path, at } = entry;
    if (!roomIds.has(value.room)) {
      reportUnknown(context, document.at([...path, "room"]), "room", value.room, roomIds);
    }
    return { id, room: value.room, at };
  });
  const devices = mapOf(section(context, files, "devices"), (entry): Device | undefined =>
    readDevice(context, entry, roomIds),
  );
  const groups = readGroups(context, files, devices);
  applyVoiceRules(context, files, devices, { rooms, zones, groups });
  barDoubted(context, devices, { rooms, zones, groups });
  reportSharedIds(context, [rooms, zones, devices, groups]);

  const fragments = new Map<string, Fragment>();
  for (const entry of section(context, files, "fragments")) {
    const { id, value, document, path, at } = entry;
    const patterns = readPatterns(context, document, path, value);
    fragments.set(id, { name: id, patterns, at });
  }
  breakCircles(context, fragments);
  for (const fragment of fragments.values()) {
    const patterns = dropTooLarge(context, fragment.patterns, fragments, () => false);
    fragments.set(fragment.name, { ...fragment, patterns });
  }

  const home = { devices, groups, rooms, zones };
  const ids = {
    routines: idsOf(files, "routines"),
    people: idsOf(files, "people"),
    voicepoints: idsOf(files, "voicepoints"),
  };
  const vocabulary = readVocabulary(context, files, home);
  const own = mapOf(section(context, files, "intents"), (entry): Intent => {
    const shipped = vocabulary.get(entry.id);
    const { adds, replaces } = entry.value;
    if (shipped && !adds && !replaces) {
      const message = `"${entry.id}" is an intent that comes with Calm Phrase`;
      const fix = "write replaces: true to take its place, or adds: true to add patterns to it";
      report(context, "defined-twice", entry.at, message, fix);
    }
    if (adds && !shipped) {
      const what = "intent to add to";
      reportUnknown(context, entry.at, what, entry.id, vocabulary.keys());
    }
    return readIntent(context, entry, home, fragments, ids, adds ? shipped : undefined);
  });
  const intents = new Map([...vocabulary, ...own]);
  const routines = mapOf(section(context, files, "routines"), (entry): Routine => {
    const { routine, intent } = readRoutine(context, entry, home, fragments, ids);
    const taken = intents.get(entry.id);
    if (taken) {
      const message = `"${entry.id}" is the id of an intent as well`;
      const fix = "give one of them another id";
      report(context, "defined-twice", entry.at, message, fix, { also: [taken.at] });
    } else if (intent) intents.set(entry.id, intent);
    return routine;
  });
  const colours = files.flatMap(({ document, content }) =>
    Object.entries(content.colours ?? {}).flatMap(([value, said]): NamedColour[] =>
      saidTexts(context, document, ["colours", value], said).map(({ text, language }) => {
        return { value, text, language };
      }),
    ),
  );
  const people = mapOf(section(context, files, "people"), ({ id, value, at }): Person => {
    return { id, name: value.name ?? id, at };
  });

  return {
    name,
    languages: context.languages,
    address: readAddress(context, files),
    rooms,
    zones,
    voicepoints,
    devices,
    groups,
    fragments,
    intents,
    routines,
    people,
    colours,
    ...readPlace(context, files),
    ...readCode(files),
    kinds: context.kinds,
    kindNouns: kindEntries.flatMap((entry) => readNouns(context, entry)),
    // What is not there may stand in the part that could not be read.
    problems: context.findings
      .filter(
        ({ rule, at }) => !isPartial || !follows.has(rule) || found.some((each) => each.at === at),
      )
      .sort(compareFindings),
  };
}

/** Rules whose findings may follow from a part that could not be read. */
const follows: ReadonlySet<string> = new Set([
  "unknown-reference",
  "rule-idle",
  "unknown-language",
]);

function readLanguages(context: Context, files: readonly File[]): string[] {
  const written = single(context, files, "languages");
  const file = files.find(({ content }) => content.languages);
  const languages = (written ?? []).filter((tag, index) => {
    if (packFor(tag)) return true;
    const known = packs.map(({ language }) => language).join(", ");
    const at = file?.document.at(["languages", index]) ?? { file: "", line: 1, column: 1 };
    report(
      context,
      "unknown-language",
      at,
      `Calm Phrase does not speak "${tag}"`,
      `write one of ${known}`,
    );
    return false;
  });
  return languages.length > 0 ? languages : ["en"];
}

function readAddress(context: Context, files: readonly File[]): SpokenPattern[] {
  return files.flatMap(({ document, content }) =>
    readPatterns(context, document, ["address"], content.address),
  );
}

function readPlace(context: Context, files: readonly File[]): Pick<Phrasebook, "place"> {
  const file = files.find(({ content }) => content.place);
  const place = file?.content.place;
  if (!place) return {};
  try {
    new Intl.DateTimeFormat("en", { timeZone: place.timezone });
    return { place };
  } catch {
    const at = file.document.at(["place", "timezone"]);
    const message = `"${place.timezone}" is no time zone`;
    report(context, "wrong-value", at, message, "write an IANA name such as Europe/London");
    return {};
  }
}

function readCode(files: readonly File[]): Pick<Phrasebook, "code"> {
  const code = files.find(({ content }) => content.code !== undefined)?.content.code;
  return code === undefined ? {} : { code };
}

/** A section that is one value for the whole phrasebook: a second one is a finding. */
function single<Key extends "phrasebook" | "languages">(
  context: Context,
  files: readonly File[],
  key: Key,
): PhrasebookDefinition[Key] {
  const written = files.filter(({ content }) => content[key] !== undefined);
  const [first, ...others] = written;
  for (const other of others) {
    const at = other.document.atKey([key]);
    const also = first ? [first.document.atKey([key])] : [];
    const fix = "keep one of them";
    report(context, "defined-twice", at, `"${key}" is written twice`, fix, { also });
  }
  return first?.content[key];
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
  | "routines";
type EntryOf<Name extends SectionName> = NonNullable<
  NonNullable<PhrasebookDefinition[Name]>[string]
>;

/** The entries of a section over all files; the first of two with one id counts. */
function section<Name extends SectionName>(
  context: Context,
  files: readonly File[],
  name: Name,
): Entry<EntryOf<Name>>[] {
  const found = new Map<string, Entry<EntryOf<Name>>>();
  for (const { document, content } of files) {
    for (const [id, value] of Object.entries(content[name] ?? {})) {
      const path = [name, id];
      const at = document.atKey(path);
      const first = found.get(id);
      if (first && replaces(value)) {
        // What replaces another has said so, whichever of the two is read first.
        found.delete(id);
      } else if (first && !replaces(first.value)) {
        const message = `"${id}" is defined twice under ${name}`;
        const fix = "give one of them another id, or join what they say";
        report(context, "defined-twice", at, message, fix, { also: [first.at] });
        context.doubts.left(document, path);
        continue;
      } else if (first) {
        continue;
      }
      found.set(id, { id, value: (value ?? {}) as EntryOf<Name>, document, path, at });
    }
  }
  return [...found.values()];
}

function replaces(value: unknown): boolean {
  return (
    typeof value === "object" && value !== null && "replaces" in value && value.replaces === true
  );
}

/** The intents that come with Calm Phrase, as far as this home has use for them. */
function readVocabulary(
  context: Context,
  files: readonly File[],
  home: Parameters<typeof readIntent>[2],
): Map<string, Intent> {
  const without = new Set<string>();
  for (const { document, content } of files) {
    content.vocabulary?.without?.forEach((id, index) => {
      without.add(id);
      if (id === "all" || vocabularyIds.some((known) => known === id)) return;
      const at = document.at(["vocabulary", "without", index]);
      reportUnknown(context, at, "intent of the vocabulary", id, vocabularyIds);
    });
  }
  const spoken = [...new Set(context.languages.flatMap((tag) => packFor(tag) ?? []))];
  const definition = vocabularyFor(
    spoken,
    { devices: home.devices.values(), hasRoutines: idsOf(files, "routines").size > 0 },
    without,
  );
  const document = readDocument({ path: "vocabulary", definition }, context.findings);
  const shipped: Context = { ...context, origin: "vocabulary" };
  return mapOf(section(shipped, [{ document, content: definition }], "intents"), (entry) =>
    readIntent(shipped, entry, home, new Map(), noIds),
  );
}

/** The vocabulary's steps speak of slots alone. */
const noIds = {
  routines: new Set<string>(),
  people: new Set<string>(),
  voicepoints: new Set<string>(),
};

function readKinds(context: Context, entries: readonly Entry<KindDefinition>[]): Map<string, Kind> {
  const known = new Map(Object.entries(kinds));
  for (const entry of entries) {
    const { id, value, at } = entry;
    if (known.has(id) && value.replaces !== true) {
      const fix = "write replaces: true, or give it another id";
      report(context, "defined-twice", at, `"${id}" is a kind that comes with Calm Phrase`, fix);
      context.doubts.add({ of: "kind", id }, at);
    }
    known.set(id, readKind(context, entry));
  }
  return known;
}

/** The words for devices of a kind; its id where none are written. */
function readNouns(
  context: Context,
  { id, value, document, path }: Entry<KindDefinition>,
): KindNoun[] {
  const read = (key: "one" | "many"): KindNoun[] =>
    saidTexts(context, document, [...path, "said", key], value.said?.[key]).map(
      ({ text, language }) => ({ kind: id, many: key === "many", text, language }),
    );
  const nouns = [...read("one"), ...read("many")];
  const language = context.languages[0] ?? "en";
  return nouns.length > 0
    ? nouns
    : [{ kind: id, many: false, text: id.replaceAll("-", " "), language }];
}

/** Ids as written, those of entries that could not be read included: they are no unknown names. */
function idsOf(files: readonly File[], name: SectionName): Set<string> {
  return new Set(files.flatMap(({ document }) => writtenKeys(document, [name])));
}

function mapOf<In extends { id: string }, Out>(
  entries: readonly In[],
  read: (entry: In) => Out | undefined,
): Map<string, Out> {
  const map = new Map<string, Out>();
  for (const entry of entries) {
    const value = read(entry);
    if (value !== undefined) map.set(entry.id, value);
  }
  return map;
}

function checkIds(
  context: Context,
  { document, path }: Entry<unknown>,
  key: string,
  ids: readonly string[],
  what: string,
  known: ReadonlySet<string>,
): string[] {
  return ids.filter((id, index) => {
    if (known.has(id)) return true;
    reportUnknown(context, document.at([...path, key, index]), what, id, known);
    context.doubts.left(document, [...path, key, index]);
    return false;
  });
}

/** Zones, each with the rooms of the zones in it. */
function readZones(
  context: Context,
  files: readonly File[],
  roomIds: ReadonlySet<string>,
): Map<string, Zone> {
  const ids = idsOf(files, "zones");
  const nests = new Map<string, Nest>();
  const zones = mapOf(section(context, files, "zones"), (entry): Zone => {
    const { id, value, at } = entry;
    const rooms = checkIds(context, entry, "rooms", value.rooms ?? [], "room", roomIds);
    const inner = checkIds(context, entry, "zones", value.zones ?? [], "zone", ids);
    nests.set(id, { at, inner, own: rooms });
    return { type: "zone", id, names: readNames(context, entry, value), rooms, at };
  });
  const fix = "take one of them out of the other's zones";
  const opened = openNests(context, "zones", nests, fix);
  for (const zone of zones.values()) {
    const rooms = opened.get(zone.id);
    if (rooms) zones.set(zone.id, { ...zone, rooms });
    else context.doubts.add({ of: "zone", id: zone.id }, zone.at);
  }
  return zones;
}

/** Groups, each with the devices of the groups in it; what goes in a circle is left out. */
function readGroups(
  context: Context,
  files: readonly File[],
  devices: ReadonlyMap<string, Device>,
): Map<string, Group> {
  const entries = section(context, files, "groups");
  if (entries.length === 0) return new Map();
  const known = new Set([...idsOf(files, "devices"), ...idsOf(files, "groups")]);
  const nests = new Map<string, Nest>();
  const groups = mapOf(entries, (entry): Group => {
    const { id, value, at } = entry;
    const members = checkIds(context, entry, "members", value.members, "device or group", known);
    const own = members.filter((member) => devices.has(member));
    nests.set(id, { at, inner: members.filter((member) => !devices.has(member)), own });
    return { type: "group", id, names: readNames(context, entry, value), devices: own, at };
  });
  const fix = "take one of them out of the other's members";
  const opened = openNests(context, "groups", nests, fix);
  for (const group of groups.values()) {
    const held = opened.get(group.id);
    if (!held) context.doubts.add({ of: "group", id: group.id }, group.at);
    if (held) groups.set(group.id, { ...group, devices: held });
    else groups.delete(group.id);
  }
  return groups;
}

/** Steps name devices, groups, rooms and zones by id alone, so no two of these may share one. */
function reportSharedIds(
  context: Context,
  maps: readonly ReadonlyMap<string, { type: string; at: Entry<unknown>["at"] }>[],
): void {
  for (const [index, map] of maps.entries()) {
    const before = maps.slice(0, index);
    for (const [id, entry] of map) {
      const first = before.find((other) => other.has(id))?.get(id);
      if (!first) continue;
      const message = `the ${entry.type} "${id}" has the id of a ${first.type}`;
      const fix = `give it another id, and name: ${id.replaceAll("-", " ")}`;
      report(context, "defined-twice", entry.at, message, fix, { also: [first.at] });
    }
  }
}
