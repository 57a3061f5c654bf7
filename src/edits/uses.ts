import { type Sighting, isAmong } from "../document/sightings.ts";
import { referencesOf } from "../pattern/references.ts";
import type { Position } from "../source/position.ts";
import {
  type Entity,
  definedAt,
  definitionsOf,
  entityNamed,
  ownerAt,
  sameEntity,
} from "./entities.ts";
import {
  type Parsed,
  type Stretch,
  idIn,
  insideOf,
  offsetOf,
  fileIn,
  scalarAt,
  stretchOf,
  writtenAt,
} from "./texts.ts";
import { type Workspace, keptOf, asked } from "./workspace.ts";

/** A place where something is spoken of. */
export interface Use {
  entity: Entity;
  file: Parsed;
  start: number;
  end: number;
}

const known = new WeakMap<Workspace, readonly Use[]>();

/** Every place of a workspace where something with an id is spoken of. */
export function usesIn(workspace: Workspace): readonly Use[] {
  const made = known.get(workspace);
  if (made) return made;
  const found = new Map<string, Use>();
  for (const sighting of keptOf(workspace).sightings) {
    for (const { entity, at } of spokenOf(workspace, sighting)) {
      const file = fileIn(workspace, at.file);
      if (!file) continue;
      const before = entity.sort === "slot" || entity.sort === "fragment" ? "$" : "";
      for (const [start, end] of idIn(file, entity.id, writtenAt(file, at), before)) {
        const key = `${file.path} ${start} ${entity.sort}`;
        if (!found.has(key)) found.set(key, { entity, file, start, end });
      }
    }
  }
  const all = [...found.values()];
  known.set(workspace, all);
  return all;
}

/** What a sighting speaks of, and where the text begins that does. */
function spokenOf({ book }: Workspace, sighting: Sighting): { entity: Entity; at: Position }[] {
  if (sighting.sees === "reference") {
    const { place, isKey, what, id, known } = sighting;
    if (!isAmong(known, id)) return [];
    const entity = entityNamed(book, { what, id, path: place.path });
    return entity ? [{ entity, at: isKey ? place.keyAt : place.at }] : [];
  }
  if (sighting.sees !== "pattern" || !sighting.tree) return [];
  const { place, tree } = sighting;
  const owner = ownerAt(place.path);
  const slots = owner && (book.intents.get(owner.id) ?? book.routines.get(owner.id))?.slots;
  return referencesOf(tree).map(({ name: id }) => {
    const isSlot = slots?.has(id) === true && owner?.section !== "fragments";
    const slot = { sort: "slot", id, of: owner?.id ?? "" } as const;
    return { entity: isSlot ? slot : { sort: "fragment", id }, at: place.at };
  });
}

/** Something with an id that is written or spoken of at a place, and the stretch of the id. */
export interface Meant {
  entity: Entity;
  at: Stretch;
}

export function meantAt(workspace: Workspace, place: Position): Meant | undefined {
  const file = fileIn(workspace, place.file);
  if (!file) return undefined;
  const offset = offsetOf(file, place);
  const use = usesIn(workspace).find((each) => {
    return each.file === file && each.start <= offset && offset <= each.end;
  });
  if (use) return { entity: use.entity, at: stretchOf(file, use.start, use.end) };
  const found = scalarAt(file, offset);
  const entity = found?.isKey ? definedAt(found.path) : undefined;
  return found && entity && { entity, at: stretchOf(file, ...insideOf(file, found.node)) };
}

/**
 * Where what stands at a place is defined; empty for what ships with Calm Phrase, and where nothing
 * with an id stands.
 */
export function definitionsAt(workspace: Workspace, place: Position): Stretch[] {
  return asked(workspace, "place", () => {
    const meant = meantAt(workspace, place);
    return meant ? definitionsOf(workspace, meant.entity) : [];
  });
}

/** Every place where what stands at a place is defined or spoken of, by file and place. */
export function usesAt(workspace: Workspace, place: Position): Stretch[] {
  return asked(workspace, "place", () => {
    const meant = meantAt(workspace, place);
    return meant ? placesOf(workspace, meant.entity) : [];
  });
}

/** Every place of something: where it is defined, and where it is spoken of. */
export function placesOf(workspace: Workspace, entity: Entity): Stretch[] {
  const uses = usesIn(workspace).filter((each) => sameEntity(each.entity, entity));
  const all = [
    ...definitionsOf(workspace, entity),
    ...uses.map(({ file, start, end }) => stretchOf(file, start, end)),
  ];
  const distinct = new Map(
    all.map((each) => [`${each.file}:${each.start.line}:${each.start.column}`, each]),
  );
  return [...distinct.values()].sort(compareStretches);
}

function compareStretches(a: Stretch, b: Stretch): number {
  if (a.file !== b.file) return a.file < b.file ? -1 : 1;
  return a.start.line - b.start.line || a.start.column - b.start.column;
}
