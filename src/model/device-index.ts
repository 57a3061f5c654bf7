import type { Device, Home } from "./home.ts";

/** The devices of a home by what they are and where they stand, each in the order of the phrasebook. */
export interface DeviceIndex {
  all: readonly Device[];
  ofKind: (kind: string) => readonly Device[];
  inRoom: (room: string) => readonly Device[];
}

const indexes = new WeakMap<Home["devices"], DeviceIndex>();

/** Indexes the devices of a home once. */
export function deviceIndex({ devices }: Pick<Home, "devices">): DeviceIndex {
  let index = indexes.get(devices);
  if (!index) indexes.set(devices, (index = createIndex(devices)));
  return index;
}

function createIndex(devices: Home["devices"]): DeviceIndex {
  const kinds = new Map<string, Device[]>();
  const rooms = new Map<string, Device[]>();
  const add = (map: Map<string, Device[]>, key: string, device: Device): void => {
    const list = map.get(key);
    if (list) list.push(device);
    else map.set(key, [device]);
  };
  for (const device of devices.values()) {
    add(kinds, device.kind, device);
    if (device.room !== undefined) add(rooms, device.room, device);
  }
  return {
    all: [...devices.values()],
    ofKind: (kind) => kinds.get(kind) ?? [],
    inRoom: (room) => rooms.get(room) ?? [],
  };
}
