import type { Edit } from "../document/mending.ts";
import { valueAt } from "../document/value-at.ts";
import type { Book } from "../book/book.ts";
import { idAdvice, idForm } from "../phrasebook/schema/phrasebook.ts";
import { entityOf, thingsOf } from "../model/members.ts";
import type { Device } from "../model/home.ts";
import type { Finding } from "../source/finding.ts";
import { printPosition, type Position } from "../source/position.ts";
import { type Entity, type EntitySort, definitionsOf, sections } from "./entities.ts";
import { entryAdded } from "./adding.ts";
import { parseText } from "./texts.ts";
import { meantAt, placesOf } from "./uses.ts";
import { type Workspace, asked, withEdits } from "./workspace.ts";

/** Edits in several files, or why they cannot be made. */
export type Renaming = { ok: true; edits: readonly Edit[] } | { ok: false; reason: string };

/**
 * Gives what stands at a place another id, wherever it is written. What people say stays: what was called
 * by its id is given that as its name. Refused where the home would not be the same but for the id, in what
 * is wrong with it and in what voice may do.
 */
export function renameAt(workspace: Workspace, place: Position, to: string): Renaming {
  return asked(workspace, "place", () => {
    const meant = meantAt(workspace, place);
    if (!meant) return { ok: false, reason: "nothing with an id stands here" };
    const { entity } = meant;
    if (!idForm.test(to)) return { ok: false, reason: idAdvice };
    const [definition] = definitionsOf(workspace, entity);
    if (!definition || entity.sort === "property" || entity.sort === "action") {
      return { ok: false, reason: `${entity.id} is not this phrasebook's own` };
    }
    if (isTaken(workspace, { ...entity, id: to })) {
      return { ok: false, reason: `there is a ${entity.sort} "${to}" already` };
    }
    const edits = placesOf(workspace, entity).map(({ file, start, end }): Edit => {
      return { file, start, end, text: to };
    });
    const all = [...edits, ...namesKept(workspace, entity)];
    const after = withEdits(workspace, all);
    const reason = difference(workspace, after, entity.id, to);
    return reason === undefined ? { ok: true, edits: all } : { ok: false, reason };
  });
}

function isTaken(workspace: Workspace, entity: Entity): boolean {
  const { book } = workspace;
  if (definitionsOf(workspace, entity).length > 0) return true;
  if (entity.sort === "intent" || entity.sort === "routine") return book.intents.has(entity.id);
  if (entity.sort === "kind") return book.kinds.has(entity.id);
  return entityOf(book, entity.id) !== undefined && entity.sort !== "slot";
}

/** The first thing that is otherwise than before, beside the id. */
function difference(
  before: Workspace,
  after: Workspace,
  id: string,
  to: string,
): string | undefined {
  const told = ({ rule, message }: Finding): string => `${rule} ${message.replaceAll(id, to)}`;
  const known = new Set(before.problems.map(told));
  const added = after.problems.find((each) => !known.has(told(each)));
  if (added) return `${printPosition(added.at)} would be wrong: ${added.message}`;
  for (const [key, device] of after.book.devices) {
    const old = before.book.devices.get(key === to ? id : key);
    if (old && guardsOf(old) !== guardsOf(device)) {
      return `what voice may do with ${key} would change: a rule under voice: means it by its id`;
    }
  }
  if (before.book.devices.size !== after.book.devices.size) return "a device would be lost";
  return saidIn(before.book) === saidIn(after.book)
    ? undefined
    : `what people say would change: give ${id} a name of its own first`;
}

/** Every name that is said in a home, whatever bears it. */
function saidIn(book: Book): string {
  const names = [...thingsOf(book), ...book.routines.values()].flatMap((each) => each.names);
  return JSON.stringify(
    [...names, ...book.kindNouns].map(({ text, language }) => `${language} ${text}`).sort(),
  );
}

function guardsOf({ voice, safe, safeActions, bulk }: Device): string {
  return JSON.stringify([voice, safe, safeActions, bulk]);
}

/** Things that people name, by their ids where no name is written. */
const namedSorts = ["room", "zone", "device", "group", "routine"] as const;

function isNamed(sort: EntitySort): sort is (typeof namedSorts)[number] {
  return namedSorts.some((each) => each === sort);
}

/** The edits by which something that was called by its id is called so still, wherever it is written. */
function namesKept({ files }: Workspace, { sort, id }: Entity): Edit[] {
  if (!isNamed(sort)) return [];
  return files.flatMap((source) => {
    const file = parseText(source);
    const path = [sections[sort], id];
    const hasName = valueAt(file.value, [...path, "name"]) !== undefined;
    return hasName ? [] : (entryAdded(file, path, { name: id.replaceAll("-", " ") }) ?? []);
  });
}
