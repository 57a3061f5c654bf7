import type { Device, Nameable, Phrasebook, TargetReference } from "../phrasebook/model.ts";
import type { SlotValue } from "./outcome.ts";
import { deviceIndex } from "./device-index.ts";

/** The devices under a device, group, room or zone, each once, in the order of the phrasebook. */
export function devicesOf(book: Phrasebook, entity: Nameable): Device[] {
  switch (entity.type) {
    case "device":
      return [entity];
    case "group":
      return entity.devices.flatMap((id) => book.devices.get(id) ?? []);
    case "room":
      return [...deviceIndex(book).inRoom(entity.id)];
    case "zone": {
      const index = deviceIndex(book);
      const [only, more] = entity.rooms;
      if (more === undefined) return [...index.inRoom(only ?? "")];
      const rooms = new Set(entity.rooms);
      return index.all.filter(({ room }) => room !== undefined && rooms.has(room));
    }
  }
}

/** What has an id, if anything has. */
export function entityOf(
  { devices, groups, rooms, zones }: Phrasebook,
  id: string,
): Nameable | undefined {
  return devices.get(id) ?? groups.get(id) ?? rooms.get(id) ?? zones.get(id);
}

/** The devices that ids of devices, groups, rooms and zones stand for, each once. */
export function devicesNamed(book: Phrasebook, ids: readonly string[]): Device[] {
  const all = ids.flatMap((id) => {
    const entity = entityOf(book, id);
    return entity ? devicesOf(book, entity) : [];
  });
  return [...new Set(all)];
}

/** The devices that a slot was settled on. */
export function devicesIn({ devices }: Phrasebook, filled: SlotValue | undefined): Device[] {
  const ids = filled && "devices" in filled ? filled.devices : [];
  return ids.flatMap((id) => devices.get(id) ?? []);
}

/** The devices that a target in a step stands for; those of a slot by what was said for it. */
export function targetDevices(
  book: Phrasebook,
  target: TargetReference,
  inSlot: (slot: string) => readonly Device[],
): readonly Device[] {
  if (target.refer === "slot") return inSlot(target.slot);
  const maps = {
    device: book.devices,
    group: book.groups,
    room: book.rooms,
    zone: book.zones,
  };
  const entity = maps[target.refer].get(target.id);
  const devices = entity ? devicesOf(book, entity) : [];
  if (!target.except) return devices;
  const without = new Set(devicesNamed(book, target.except));
  return devices.filter((device) => !without.has(device));
}
