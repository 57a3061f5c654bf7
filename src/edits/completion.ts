import { thingsOf } from "../model/members.ts";
import type { Path, SourceText } from "../document/document.ts";
import { type Sighting, idsAmong } from "../document/sightings.ts";
import { valueAt } from "../document/value-at.ts";
import { given } from "../source/given.ts";
import type { Position } from "../source/position.ts";
import { sortOfFile } from "../suites/sources.ts";
import { listSayable } from "../survey/sayable.ts";
import { describeEntity } from "./describe.ts";
import { entityNamed, ownerAt } from "./entities.ts";
import { schemaOf } from "./kinds-of-files.ts";
import { keysAt, valuesAt } from "./schema.ts";
import {
  type Parsed,
  type Stretch,
  fileIn,
  insideOf,
  offsetOf,
  parseText,
  scalarAt,
  stretchOf,
} from "./texts.ts";
import { type Workspace, sightingsWith, asked } from "./workspace.ts";

/** Something that may be written at a place. */
export interface Completion {
  text: string;
  /** What it is: `room`, `key`, `value`, `slot`, `fragment`, `phrase`, `name`. */
  sort: string;
  /** More of it, in a few words. */
  detail?: string;
}

/** What may be written at a place, in the stead of what of it is written already. */
export interface Completions {
  at: Stretch;
  items: readonly Completion[];
}

/** Stands for what is not written yet; no file has it. */
const blank = "zzblankzz";

/**
 * What may be written at a place: keys and listed values, ids of what there is, slots and fragments
 * in patterns, and phrases that the home understands. All of them are told, whatever begins there.
 */
export function completionsAt(workspace: Workspace, place: Position): Completions | undefined {
  return asked(workspace, "place", () => {
    const file = fileIn(workspace, place.file);
    if (!file) return undefined;
    const offset = offsetOf(file, place);
    const phrase = phraseAt(workspace, file, offset);
    if (phrase) return phrase;
    const [start, end] = wordAround(file.text, offset);
    const isName = file.text.charAt(start) === "$";
    const items = isName
      ? namesIn(workspace, file, start)
      : firstOffered(workspace, file, [start, end]);
    const distinct = new Map(items.map((item) => [item.text, item]));
    return { at: stretchOf(file, start, end), items: [...distinct.values()] };
  });
}

/** The word that a place is in or behind. */
function wordAround(text: string, offset: number): readonly [start: number, end: number] {
  const before = /\$?[\p{L}\p{N}_-]*$/u.exec(text.slice(0, offset))?.[0] ?? "";
  const after = /^[\p{L}\p{N}_-]*/u.exec(text.slice(offset))?.[0] ?? "";
  return [offset - before.length, offset + after.length];
}

/** A text with the blank in the place of a word, and where in its value the blank stands. */
interface Try {
  file: Parsed;
  path: Path;
  isKey: boolean;
  /** Whether it is all of what stands there. */
  isAlone: boolean;
}

/** What may stand behind a word that is a key, in the order in which it is tried. */
const behind = [": ", ": {}", ": x", ": 1", ": []"];

/**
 * What may be written in the place of a word: what readers look for there, if they do, and else what the
 * shape of the file allows. As a value first, and then as a key, with something of some form behind it.
 */
function firstOffered(
  workspace: Workspace,
  file: Parsed,
  [start, end]: readonly [start: number, end: number],
): Completion[] {
  const [before, after] = [file.text.slice(0, start), file.text.slice(end)];
  const isKeyAlready = /^\s*:(?:\s|$)/u.test(after);
  const ways = isKeyAlready ? [""] : ["", ...behind];
  const offered: Completion[] = [];
  for (const way of ways) {
    const plain = tryText(file.path, before + blank + way + after, start);
    // A bracket that is open still closes behind what is being written.
    const made = plain ?? tryText(file.path, before + blank + way + closers(before) + after, start);
    if (!made) continue;
    offered.push(...allowedAt(workspace, made));
    const seen = seenAt(workspace, made.file, made.path);
    if (seen.length > 0) return [...offered, ...seen];
    // What stands under a key is no key.
    if (!made.isKey && typeof made.path.at(-1) === "string") break;
  }
  return offered;
}

function tryText(path: string, text: string, offset: number): Try | undefined {
  const file = parseText({ path, text });
  const found = file.hasErrors ? undefined : scalarAt(file, offset);
  if (!found) return undefined;
  const { path: keys, isKey } = found;
  // A word that goes on a text before it is no word of its own.
  const isAlone = (isKey ? keys.at(-1) : valueAt(file.value, keys)) === blank;
  return { file, path: keys, isKey, isAlone };
}

/** The brackets that are open at the end of a line of a text, as they would be closed. */
function closers(before: string): string {
  const line = before.slice(before.lastIndexOf("\n") + 1);
  const open: string[] = [];
  for (const letter of line.replace(/"(?:[^"\\]|\\.)*"|'[^']*'/gu, "")) {
    if (letter === "{") open.push("}");
    else if (letter === "[") open.push("]");
    else if (letter === "}" || letter === "]") open.pop();
  }
  return open.reverse().join("");
}

/** Keys and listed values that the shape of the file allows. */
function allowedAt(workspace: Workspace, { file, path, isKey, isAlone }: Try): Completion[] {
  const root = isAlone ? schemaOf(workspace, file.path) : undefined;
  if (!root) return [];
  const allowed = isKey
    ? keysAt(root, file.value, path.slice(0, -1), blank)
    : valuesAt(root, file.value, path);
  return allowed.map(({ text, description }): Completion => {
    const sort = isKey ? "key" : "value";
    return { text, sort, ...given({ detail: description && firstSentence(description) }) };
  });
}

function firstSentence(text: string): string {
  return /^.*?[.:](?=\s|$)/su.exec(text)?.[0].replace(/[.:]$/u, "") ?? text;
}

/** What readers look for where the blank stands. */
function seenAt(workspace: Workspace, source: SourceText, path: Path): Completion[] {
  const here = JSON.stringify(path.map(String));
  return sightingsWith(workspace, source).flatMap((sighting) => {
    if (sighting.sees === "reference" && sighting.id === blank) {
      return referencesFor(workspace, sighting);
    }
    const isHere =
      sighting.sees === "value" && JSON.stringify(sighting.place.path.map(String)) === here;
    return isHere
      ? sighting.known.map((text) => ({ text, sort: "value", detail: `of ${sighting.what}` }))
      : [];
  });
}

function referencesFor(
  workspace: Workspace,
  { what, known, place }: Extract<Sighting, { sees: "reference" }>,
): Completion[] {
  return idsAmong(known)
    .filter((id) => id !== blank)
    .map((text): Completion => {
      const entity = entityNamed(workspace.book, { what, id: text, path: place.path });
      const detail = entity && describeEntity(workspace.book, entity).title;
      return { text, sort: entity?.sort ?? what, ...given({ detail }) };
    });
}

/** Slots and fragments that a pattern may name, and slots that a step or a reply may. */
function namesIn(workspace: Workspace, file: Parsed, start: number): Completion[] {
  const found = scalarAt(file, start);
  if (!found) return [];
  const owner = ownerAt(found.path);
  const { intents, routines, fragments } = workspace.book;
  const named = owner && (intents.get(owner.id) ?? routines.get(owner.id));
  const slots = [...(named?.slots.values() ?? [])].map(({ name, type }): Completion => {
    return { text: `$${name}`, sort: "slot", detail: type };
  });
  const isPattern = ["patterns", "phrase", "hear", "address", "fragments"].some((key) =>
    found.path.includes(key),
  );
  if (!isPattern) return [...slots, ...statesOf(workspace)];
  return [
    ...slots,
    ...[...fragments.values()].map(({ name, patterns }): Completion => {
      const [first] = patterns;
      return { text: `$${name}`, sort: "fragment", ...given({ detail: first?.text }) };
    }),
  ];
}

/** Devices, of which steps and replies may tell a property: `$glaze-sensor.humidity`. */
function statesOf({ book }: Workspace): Completion[] {
  return [...book.devices.keys()].map((id) => {
    const { title: detail } = describeEntity(book, { sort: "device", id });
    return { text: `$${id}`, sort: "device", detail };
  });
}

/** Phrases that the home understands, where one is heard in a suite or a day; names, where none begins so. */
function phraseAt(workspace: Workspace, file: Parsed, offset: number): Completions | undefined {
  if (sortOfFile(file.path) === "phrasebook") return undefined;
  const text = file.text.slice(0, offset) + blank + file.text.slice(offset);
  const tried = parseText({ path: file.path, text });
  const found = scalarAt(tried, offset);
  if (!found || found.isKey || !found.path.includes("hear")) return undefined;
  const [start, end] = insideOf(tried, found.node);
  const typed = file.text.slice(start, offset).toLowerCase();
  const begins = (each: string, by: string): boolean => each.toLowerCase().startsWith(by);
  const { book } = workspace;
  const sayable = listSayable(book);
  const phrases = sayable.flatMap(({ id, phrases: said, questions }) =>
    [...said, ...questions].map((each) => ({ text: each, sort: "phrase", detail: id })),
  );
  const beginning = phrases.filter((item) => begins(item.text, typed));
  if (beginning.length > 0) {
    return { at: stretchOf(file, start, end - blank.length), items: beginning };
  }
  const word = /[\p{L}\p{N}]*$/u.exec(typed)?.[0] ?? "";
  const names = thingsOf(book).flatMap(({ id, names: all }) =>
    all.map((name) => ({ text: name.text, sort: "name", detail: id })),
  );
  const items = names.filter((item) => begins(item.text, word));
  return { at: stretchOf(file, offset - word.length, offset), items };
}
