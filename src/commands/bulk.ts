import { holdAll } from "../model/condition.ts";
import type { Device } from "../model/home.ts";
import type { State } from "../model/property.ts";
import type { Skipped } from "./outcome.ts";
import type { Devices } from "./resolved.ts";

/** Whether commands to everything, to a place or to a kind take a device along, as it is now. */
function goesAlong({ bulk }: Device, state: State): boolean {
  return typeof bulk === "boolean" ? bulk : holdAll(bulk, state);
}

/**
 * What a target comes to without the devices that no command to many takes along: what guards or
 * records, or is in the middle of work. What is asked for by its kind, and is all there is of it,
 * is meant; so is what only becomes safer.
 *
 * @param isSafe Whether all that is asked makes a device safer.
 */
export function takeAlong(
  target: Devices,
  state: (device: string) => State,
  isSafe: (device: Device) => boolean,
): Devices {
  const stays = target.devices.filter(
    (device) => target.along.has(device) && !goesAlong(device, state(device.id)) && !isSafe(device),
  );
  if (stays.length === 0) return target;
  const devices = target.devices.filter((device) => !stays.includes(device));
  if (devices.length === 0 && target.isByKind) return target;
  const skipped = stays.map(({ id }): Skipped => {
    return { device: id, why: { reason: "alone", id } };
  });
  return { ...target, devices, skipped: [...target.skipped, ...skipped] };
}
