import type { Device } from "../model/home.ts";
import type { Phrasebook } from "../phrasebook/model.ts";
import type { TargetReference } from "../model/step.ts";
import type { SlotValue } from "./outcome.ts";
import { devicesNamed, devicesOf } from "../model/members.ts";

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
