import type { Cursor } from "../document/cursor.ts";
import { readNames } from "../document/said.ts";
import type { Device, Group, Room, Voicepoint, Zone } from "../model/home.ts";
import { given } from "../source/given.ts";
import type { Position } from "../source/position.ts";
import { type Nest, openNests } from "./nesting.ts";
import type { PhrasebookDefinition } from "./definition/phrasebook.ts";
import { type File, idsOf, looseSection, mapOf, section } from "./sections.ts";

type Tops = readonly Cursor<PhrasebookDefinition>[];

export function readRooms(tops: Tops): Map<string, Room> {
  return mapOf(
    looseSection(tops, (top) => top.given("rooms"), {}),
    (entry): Room => {
      const { outside } = entry.value;
      return {
        type: "room",
        id: entry.id,
        names: readNames(entry),
        at: entry.keyAt,
        ...given({ outside }),
      };
    },
  );
}

export function readVoicepoints(tops: Tops, rooms: ReadonlySet<string>): Map<string, Voicepoint> {
  return mapOf(
    section(tops, (top) => top.given("voicepoints")),
    (entry): Voicepoint => {
      const { room } = entry.value;
      entry.key("room").refers("room", rooms);
      return { id: entry.id, room, at: entry.keyAt };
    },
  );
}

/** Zones, each with the rooms of the zones in it. */
export function readZones(
  tops: Tops,
  files: readonly File[],
  rooms: ReadonlySet<string>,
): Map<string, Zone> {
  const ids = idsOf(files, "zones");
  const nests = new Map<string, Nest>();
  const zones = mapOf(
    looseSection(tops, (top) => top.given("zones"), {}),
    (entry): Zone => {
      const { id, keyAt: at } = entry;
      const own = checkIds(entry.given("rooms"), "room", rooms);
      nests.set(id, { at, inner: checkIds(entry.given("zones"), "zone", ids), own });
      return { type: "zone", id, names: readNames(entry), rooms: own, at };
    },
  );
  const [top] = tops;
  if (!top) return zones;
  const opened = openNests(top, "zones", nests, "take one of them out of the other's zones");
  for (const zone of zones.values()) {
    const held = opened.get(zone.id);
    if (held) zones.set(zone.id, { ...zone, rooms: held });
    else top.context.doubts.add({ of: "zone", id: zone.id }, zone.at);
  }
  return zones;
}

/** Groups, each with the devices of the groups in it; what goes in a circle is left out. */
export function readGroups(
  tops: Tops,
  files: readonly File[],
  devices: ReadonlyMap<string, Device>,
): Map<string, Group> {
  const entries = section(tops, (top) => top.given("groups"));
  const [top] = tops;
  if (!top || entries.length === 0) return new Map();
  const known = new Set([...idsOf(files, "devices"), ...idsOf(files, "groups")]);
  const nests = new Map<string, Nest>();
  const groups = mapOf(entries, (entry): Group => {
    const { id, keyAt: at } = entry;
    const members = checkIds(entry.key("members"), "device or group", known);
    const own = members.filter((member) => devices.has(member));
    nests.set(id, { at, inner: members.filter((member) => !devices.has(member)), own });
    return { type: "group", id, names: readNames(entry), devices: own, at };
  });
  const opened = openNests(top, "groups", nests, "take one of them out of the other's members");
  for (const group of groups.values()) {
    const held = opened.get(group.id);
    if (!held) top.context.doubts.add({ of: "group", id: group.id }, group.at);
    if (held) groups.set(group.id, { ...group, devices: held });
    else groups.delete(group.id);
  }
  return groups;
}

/** The ids in a list that stand for something; the others are reported. */
function checkIds(
  ids: Cursor<string[]> | undefined,
  what: string,
  known: ReadonlySet<string>,
): string[] {
  return (ids?.items() ?? []).flatMap((id) => {
    if (id.refers(what, known)) return [id.value];
    id.doubt();
    return [];
  });
}

/** Steps name devices, groups, rooms and zones by id alone, so no two of these may share one. */
export function reportSharedIds(
  top: Cursor<unknown>,
  maps: readonly ReadonlyMap<string, { type: string; at: Position }>[],
): void {
  for (const [index, map] of maps.entries()) {
    const before = maps.slice(0, index);
    for (const [id, entry] of map) {
      const first = before.find((other) => other.has(id))?.get(id);
      if (!first) continue;
      const message = `the ${entry.type} "${id}" has the id of a ${first.type}`;
      const fix = `give it another id, and name: ${id.replaceAll("-", " ")}`;
      top.report("defined-twice", message, fix, { also: [first.at], at: entry.at });
    }
  }
}
