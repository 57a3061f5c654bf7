import type { Context } from "../document/context.ts";
import { contextOf } from "../document/context.ts";
import { Cursor } from "../document/cursor.ts";
import type { Watcher } from "../document/sightings.ts";
import { type Document, type Source, readDocument } from "../document/document.ts";
import { readPatterns, saidTexts } from "../document/said.ts";
import { holdsGuard } from "../document/doubts.ts";
import { validate } from "../document/validate.ts";
import { type Packs, packFor } from "../language/packs.ts";
import type { Home, KindNoun, NamedColour, Person } from "../model/home.ts";
import { type Kind, kinds } from "../model/kinds.ts";
import type { OwnSlotType } from "../model/own-slot-type.ts";
import type { Fragment } from "../model/spoken.ts";
import { unitsOfRegion } from "../model/units.ts";
import { type Finding, compareFindings } from "../source/finding.ts";
import { isSlipOf } from "../source/nearest.ts";
import { given } from "../source/given.ts";
import { readAddress, readDoors } from "./addresses.ts";
import { readBindings, readConnection } from "./bindings.ts";
import { readContact } from "./contacts.ts";
import { readDevice, readKind } from "./devices.ts";
import { withOwnWords } from "./own-words.ts";
import { readIntent } from "./intents.ts";
import type { Intent, Phrasebook, Routine } from "./model.ts";
import { readGroups, readRooms, readVoicepoints, readZones, reportSharedIds } from "./places.ts";
import { breakCircles, dropTooLarge } from "./references.ts";
import { readPronunciations } from "./pronunciations.ts";
import { readRoutine } from "./routines.ts";
import type { KindDefinition } from "./definition/home.ts";
import type { SourceOfNewsDefinition } from "./definition/outside.ts";
import type { PhrasebookDefinition } from "./definition/phrasebook.ts";
import { phrasebookSchema } from "./schema/phrasebook.ts";
import type { Scope } from "./scope.ts";
import { type File, idsOf, looseSection, mapOf, section, single, topsOf } from "./sections.ts";
import { askingFor, bindingOfSource, readSource, sourceKind } from "./sources.ts";
import { readVocabulary } from "./vocabulary.ts";
import { applyVoiceRules, barDoubted } from "./voice-rules.ts";

/** What a phrasebook may be written with beside what is in its files. */
export interface Knowledge {
  /** The languages that homes may speak. */
  packs: Packs;
  /** Slot types of the application's own. */
  slotTypes: readonly OwnSlotType[];
  /** Who is told what readers come to know about places. */
  watcher?: Watcher;
}

type Top = Cursor<PhrasebookDefinition>;

/**
 * Reads the files of a phrasebook into one checked model. Never throws: every problem is a
 * finding, and what can be used is.
 *
 * @param found What is wrong about files and folders that could not be read.
 */
export function readSources(
  { packs, slotTypes, watcher }: Knowledge,
  sources: readonly Source[],
  found: readonly Finding[] = [],
): Phrasebook {
  const shipped = new Map(Object.entries(kinds));
  const languages = [packs[0].language];
  const units = unitsOfRegion(packs[0].language);
  const context = contextOf({ languages, kinds: shipped, packs, slotTypes, units, watcher });
  context.findings.push(...found);
  // What could not be read at all may hold any guard.
  const lost = found.filter(({ severity }) => severity === "error");
  for (const { at } of lost) context.doubts.add({ of: "everything" }, at);
  const { files, isPartial } = readFiles(context, sources);
  const tops = topsOf(context, files);
  context.languages = readLanguages(tops) ?? languages;
  context.units = {
    ...unitsOfRegion(context.languages[0] ?? ""),
    ...given(single(tops, "units")?.value ?? {}),
  };
  const ownKinds = looseSection(tops, (top) => top.given("kinds"), {});
  context.kinds = readKinds(ownKinds, shipped);

  const told = section(tops, (top) => top.given("sources"));
  if (told.length > 0) context.kinds = new Map([...context.kinds, ["source", sourceKind]]);
  const home = readHome(context, tops, { files, told });
  context.packs = withOwnWords(context, ownKinds, home);
  const fragments = readFragments(tops);
  const connections = mapOf(
    section(tops, (top) => top.given("connections")),
    readConnection,
  );
  const scope: Scope = {
    home,
    fragments,
    routines: idsOf(files, "routines"),
    people: idsOf(files, "people"),
    voicepoints: idsOf(files, "voicepoints"),
    connections,
  };
  const intents = readIntents(context, tops, scope);
  for (const source of told) {
    const intent = askingFor(context, source, scope);
    if (!intents.has(intent.id)) intents.set(intent.id, intent);
  }
  const routines = readRoutines(tops, scope, intents);
  const doors = single(tops, "doors");
  return {
    name: single(tops, "phrasebook")?.value ?? "Home",
    languages: context.languages,
    packs: context.packs,
    slotTypes,
    units: context.units,
    offers: tops.every((top) => top.value.vocabulary?.offers !== false),
    address: tops.flatMap((top) => readPatterns(top.given("address"))),
    ...home,
    voicepoints: readVoicepoints(tops, idsOf(files, "rooms")),
    fragments,
    intents,
    routines,
    people: mapOf(
      looseSection(tops, (top) => top.given("people"), {}),
      ({ id, value, keyAt: at }): Person => {
        return { id, name: value.name ?? id, at };
      },
    ),
    colours: tops.flatMap(readColours),
    pronunciations: tops.flatMap((top) =>
      (top.given("pronunciations")?.entries() ?? []).flatMap(readPronunciations),
    ),
    ...given({ place: readPlace(tops), code: single(tops, "code")?.value }),
    connections,
    bindings: readBindings(
      [
        ...section(tops, (top) => top.given("bindings")),
        ...told.flatMap((source) => bindingOfSource(source) ?? []),
      ],
      home,
      connections,
    ),
    contacts: mapOf(
      section(tops, (top) => top.given("contacts")),
      (entry) => readContact(entry, scope),
    ),
    addresses: mapOf(
      section(tops, (top) => top.given("addresses")),
      (entry) => readAddress(entry, { intents, routines }),
    ),
    ...given({ doors: doors && readDoors(doors, connections) }),
    checks: readChecks(tops),
    kinds: context.kinds,
    kindNouns: ownKinds.flatMap(readNouns),
    problems: problemsOf(context, isPartial || lost.length > 0, found),
    ...given({ watcher }),
  };
}

function readChecks(tops: readonly Cursor<PhrasebookDefinition>[]): Phrasebook["checks"] {
  const rules = tops.flatMap((top) => top.given("checks")?.entries() ?? []);
  return new Map(rules.map(({ id, value, keyAt }) => [id, { weight: value, at: keyAt }]));
}

function readFiles(
  context: Context,
  sources: readonly Source[],
): { files: File[]; isPartial: boolean } {
  const files: File[] = [];
  let isPartial = false;
  for (const source of sources) {
    const document = readDocument(source, context.findings);
    isPartial ||= document.broken;
    if (isForeign(document)) {
      const message = "nothing in this file belongs to a phrasebook, and it is left alone";
      const fix = "move it out of the folder, or begin it with a section such as devices:";
      new Cursor(document.value, { context, document }).report("foreign-file", message, fix, {
        severity: "note",
      });
      continue;
    }
    for (const path of document.lost) context.doubts.left(document, path);
    const content = validate(phrasebookSchema, document, context.findings, (path) => {
      context.doubts.left(document, path);
    });
    if (content) files.push({ document, content });
  }
  return { files, isPartial };
}

const sections = Object.keys(phrasebookSchema.def.shape);

/**
 * Whether a file was written for something else: none of its keys is a section's, but for a letter, and
 * nothing in it could be meant as a guard. One that was not read whole may hold anything.
 */
function isForeign({ value, broken, lost }: Document): boolean {
  if (broken || lost.length > 0 || typeof value !== "object" || value === null) return false;
  const keys = Array.isArray(value) ? [] : Object.keys(value);
  const isOurs = keys.some((key) => isSlipOf(key.toLowerCase(), sections));
  // Looked for last, since it goes through all that is written.
  return !isOurs && keys.length > 0 && !holdsGuard(value);
}

/** Devices and what gathers them, with what voice may do with each. */
function readHome(
  context: Context,
  tops: readonly Top[],
  { files, told }: { files: readonly File[]; told: readonly Cursor<SourceOfNewsDefinition>[] },
): Home {
  const roomIds = idsOf(files, "rooms");
  const rooms = readRooms(tops);
  const zones = readZones(tops, files, roomIds);
  const devices = mapOf(
    section(tops, (top) => top.given("devices")),
    (entry) => readDevice(entry, roomIds),
  );
  for (const [id, source] of mapOf(told, readSource)) {
    if (!devices.has(id)) devices.set(id, source);
  }
  const groups = readGroups(tops, files, devices);
  const rules = tops.flatMap((top) => top.given("voice")?.items() ?? []);
  applyVoiceRules(context, rules, devices, { rooms, zones, groups });
  barDoubted(context, devices, { rooms, zones, groups });
  const [top] = tops;
  if (top) reportSharedIds(top, [rooms, zones, devices, groups]);
  return { devices, groups, rooms, zones };
}

function readFragments(tops: readonly Top[]): Map<string, Fragment> {
  const fragments = mapOf(
    section(tops, (top) => top.given("fragments")),
    (entry): Fragment => {
      return { name: entry.id, patterns: readPatterns(entry), at: entry.keyAt };
    },
  );
  const [top] = tops;
  if (!top) return fragments;
  breakCircles(top, fragments);
  for (const fragment of fragments.values()) {
    const patterns = dropTooLarge(top, fragment.patterns, fragments, () => false);
    fragments.set(fragment.name, { ...fragment, patterns });
  }
  return fragments;
}

/** The intents that come with Calm Phrase, and those of the phrasebook, which may take their place. */
function readIntents(context: Context, tops: readonly Top[], scope: Scope): Map<string, Intent> {
  const vocabulary = readVocabulary(context, tops, scope);
  const own = mapOf(
    section(tops, (top) => top.given("intents")),
    (entry): Intent => {
      const { id, keyAt: at } = entry;
      const shipped = vocabulary.get(id);
      const { adds, replaces } = entry.value;
      if (shipped && !adds && !replaces) {
        const message = `"${id}" is an intent that comes with Calm Phrase`;
        const fix = "write replaces: true to take its place, or adds: true to add patterns to it";
        entry.report("defined-twice", message, fix, { at });
      }
      if (adds) entry.refers("intent to add to", vocabulary, { on: "key" });
      return readIntent(entry, scope, adds ? shipped : undefined);
    },
  );
  return new Map([...vocabulary, ...own]);
}

/** Routines; those with phrases become intents as well. */
function readRoutines(
  tops: readonly Top[],
  scope: Scope,
  intents: Map<string, Intent>,
): Map<string, Routine> {
  return mapOf(
    section(tops, (top) => top.given("routines")),
    (entry): Routine => {
      const { routine, intent } = readRoutine(entry, scope);
      const taken = intents.get(entry.id);
      if (taken) {
        const message = `"${entry.id}" is the id of an intent as well`;
        const more = { also: [taken.at], at: entry.keyAt };
        entry.report("defined-twice", message, "give one of them another id", more);
      } else if (intent) intents.set(entry.id, intent);
      return routine;
    },
  );
}

function readLanguages(tops: readonly Top[]): string[] | undefined {
  const written = single(tops, "languages");
  const languages = (written?.items() ?? []).flatMap((tag) => {
    const { packs } = tag.context;
    if (packFor({ packs }, tag.value)) return [tag.value];
    const known = packs.map(({ language }) => language).join(", ");
    const message = `Calm Phrase does not speak "${tag.value}"`;
    tag.report("unknown-language", message, `write one of ${known}`);
    return [];
  });
  return languages.length > 0 ? languages : undefined;
}

function readColours(top: Top): NamedColour[] {
  return (top.given("colours")?.entries() ?? []).flatMap((colour) =>
    saidTexts(colour).map(({ text, language }) => ({ value: colour.id, text, language })),
  );
}

function readPlace(tops: readonly Top[]): Phrasebook["place"] {
  const place = single(tops, "place");
  if (!place) return undefined;
  const { timezone } = place.value;
  try {
    new Intl.DateTimeFormat("en", { timeZone: timezone });
    return place.value;
  } catch {
    const fix = "write an IANA name such as Europe/London";
    place.key("timezone").report("wrong-value", `"${timezone}" is no time zone`, fix);
    return undefined;
  }
}

/** Kinds that ship and kinds of this phrasebook. */
function readKinds(
  entries: readonly Cursor<KindDefinition>[],
  shipped: ReadonlyMap<string, Kind>,
): Map<string, Kind> {
  const known = new Map(shipped);
  for (const entry of entries) {
    const { id, keyAt: at } = entry;
    if (known.has(id) && entry.value.replaces !== true) {
      const message = `"${id}" is a kind that comes with Calm Phrase`;
      const fix = "write replaces: true, or give it another id";
      entry.report("defined-twice", message, fix, { at });
      entry.context.doubts.add({ of: "kind", id }, at);
    }
    known.set(id, readKind(entry));
  }
  return known;
}

/** The words for devices of a kind; its id where none are written. */
function readNouns(entry: Cursor<KindDefinition>): KindNoun[] {
  const { id: kind, context } = entry;
  const said = entry.given("said");
  const read = (key: "one" | "many"): KindNoun[] =>
    saidTexts(said?.given(key)).map(({ text, language }) => {
      return { kind, many: key === "many", text, language };
    });
  const nouns = [...read("one"), ...read("many")];
  const [language = context.packs[0].language] = context.languages;
  if (nouns.length > 0) return nouns;
  return [{ kind, many: false, text: kind.replaceAll("-", " "), language }];
}

/** Rules whose findings may follow from a part that could not be read. */
const follows: ReadonlySet<string> = new Set([
  "unknown-reference",
  "rule-idle",
  "unknown-language",
]);

/** What is wrong, without what may only follow from a part that could not be read. */
function problemsOf(
  { findings }: Context,
  isPartial: boolean,
  found: readonly Finding[],
): Finding[] {
  return findings
    .filter(
      ({ rule, at }) => !isPartial || !follows.has(rule) || found.some((each) => each.at === at),
    )
    .sort(compareFindings);
}
