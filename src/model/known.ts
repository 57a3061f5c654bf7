import type { Device } from "./home.ts";

/** Whether speech may know of a device at all: what it is barred from does not exist for it. */
export function isKnown({ voice }: Device): boolean {
  return voice !== "barred";
}

/** The ids among some that speech may know of. */
export function knownOf(
  devices: ReadonlyMap<string, Device>,
  ids: Iterable<string>,
): readonly string[] {
  return [...ids].filter((id) => {
    const device = devices.get(id);
    return device !== undefined && isKnown(device);
  });
}
