import type { Device, Home, Nameable } from "./home.ts";
import { deviceIndex } from "./device-index.ts";

/** The devices under a device, group, room or zone, each once, in the order of the phrasebook. */
export function devicesOf(home: Home, entity: Nameable): Device[] {
  switch (entity.type) {
    case "device":
      return [entity];
    case "group":
      return entity.devices.flatMap((id) => home.devices.get(id) ?? []);
    case "room":
      return [...deviceIndex(home).inRoom(entity.id)];
    case "zone": {
      const index = deviceIndex(home);
      const [only, more] = entity.rooms;
      if (more === undefined) return [...index.inRoom(only ?? "")];
      const rooms = new Set(entity.rooms);
      return index.all.filter(({ room }) => room !== undefined && rooms.has(room));
    }
  }
}

/** What has an id, if anything has. */
export function entityOf(
  { devices, groups, rooms, zones }: Home,
  id: string,
): Nameable | undefined {
  return devices.get(id) ?? groups.get(id) ?? rooms.get(id) ?? zones.get(id);
}

/** The devices that ids of devices, groups, rooms and zones stand for, each once. */
export function devicesNamed(home: Home, ids: readonly string[]): Device[] {
  const all = ids.flatMap((id) => {
    const entity = entityOf(home, id);
    return entity ? devicesOf(home, entity) : [];
  });
  return [...new Set(all)];
}

/** All that has a name or can be stated something of: devices, groups, rooms and zones. */
export function thingsOf({ devices, groups, rooms, zones }: Home): Nameable[] {
  return [devices, groups, rooms, zones].flatMap((map) => [...map.values()]);
}

/** Their ids. */
export function thingIds(home: Home): string[] {
  return thingsOf(home).map(({ id }) => id);
}

/** The ids of devices that can be pressed; the one that is meant alone, where it can. */
export function buttonIds(devices: Home["devices"], meant: string): string[] {
  if (devices.get(meant)?.actions.includes("press")) return [meant];
  return [...devices.values()].flatMap(({ id, actions }) => (actions.includes("press") ? id : []));
}
