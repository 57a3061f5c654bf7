import { type Edit, applyEdits } from "../document/mending.ts";
import { valueAt } from "../document/value-at.ts";
import { entityOf } from "../model/members.ts";
import type { Device } from "../model/home.ts";
import type { Finding } from "../source/finding.ts";
import { printPosition, type Position } from "../source/position.ts";
import { type Entity, definitionsOf } from "./entities.ts";
import { entryAdded } from "./adding.ts";
import { parseText } from "./texts.ts";
import { meantAt, placesOf } from "./uses.ts";
import { type Workspace, withTexts, asked } from "./workspace.ts";

/** Edits in several files, or why they cannot be made. */
export type Renaming = { ok: true; edits: readonly Edit[] } | { ok: false; reason: string };

/** What may be an id: small letters and digits, joined by hyphens. */
const idForm = /^[\p{Ll}\p{Lo}\p{N}]+(?:-[\p{Ll}\p{Lo}\p{N}]+)*$/u;

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
    if (!idForm.test(to)) {
      return {
        ok: false,
        reason: "an id is small letters and digits, joined by hyphens: kiln-vent",
      };
    }
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
    const after = withTexts(workspace, ({ path, text }) =>
      applyEdits(
        text,
        all.filter(({ file }) => file === path),
      ),
    );
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
  const devices = new Map([...before.book.devices].map(([key, device]) => [key, device]));
  for (const [key, device] of after.book.devices) {
    const old = devices.get(key === to ? id : key);
    if (old && guardsOf(old) !== guardsOf(device)) {
      return `what voice may do with ${key} would change: a rule under voice: means it by its id`;
    }
  }
  return before.book.devices.size === after.book.devices.size
    ? undefined
    : "a device would be lost";
}

function guardsOf({ voice, safe, safeActions, bulk }: Device): string {
  return JSON.stringify([voice, safe, safeActions, bulk]);
}

const named: Readonly<Record<string, string>> = {
  device: "devices",
  room: "rooms",
  zone: "zones",
  group: "groups",
  routine: "routines",
};

/** The edits by which something that was called by its id is called so still, wherever it is written. */
function namesKept({ files }: Workspace, { sort, id }: Entity): Edit[] {
  const section = named[sort];
  if (section === undefined) return [];
  return files.flatMap((source) => {
    const file = parseText(source);
    const path = [section, id];
    const hasName = valueAt(file.value, [...path, "name"]) !== undefined;
    return hasName ? [] : (entryAdded(file, path, { name: id.replaceAll("-", " ") }) ?? []);
  });
}
