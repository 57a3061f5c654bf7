import type { Device, Nameable, Phrasebook, TargetSlot } from "../phrasebook/model.ts";
import type { Skipped } from "./outcome.ts";
import type { Holder } from "./names.ts";

/** What a name comes to, given what is asked of it and where the speaker stands. */
export type Resolved =
  | {
      result: "devices";
      entity: Nameable;
      holder: Holder;
      devices: readonly Device[];
      skipped: readonly Skipped[];
    }
  /** Several things have the name and nothing decides between them. */
  | { result: "choices"; options: readonly (Resolved & { result: "devices" })[] }
  /** Nothing of that name can do it. */
  | { result: "unfit"; reason: string };

/** What is asked of the devices in a target slot. */
export interface Asked {
  slot: TargetSlot;
  /** Properties that are to be set. */
  properties: readonly string[];
}

/** The devices under a device, group, room or zone, each once, in the order of the phrasebook. */
export function devicesOf(book: Phrasebook, entity: Nameable): Device[] {
  switch (entity.type) {
    case "device":
      return [entity];
    case "group": {
      const members = entity.members.flatMap((id) => {
        const member = book.devices.get(id) ?? book.groups.get(id);
        return member ? devicesOf(book, member) : [];
      });
      return [...new Set(members)];
    }
    case "room":
      return [...book.devices.values()].filter(({ room }) => room === entity.id);
    case "zone":
      return [...book.devices.values()].filter(
        ({ room }) => room !== undefined && entity.rooms.includes(room),
      );
  }
}

/**
 * Decides what a name stands for: every device that bears it, narrowed by what is asked, then a
 * name before an alias, then by the speaker's room. What remains beyond one is a question.
 */
export function resolveTarget(
  book: Phrasebook,
  holders: readonly Holder[],
  asked: Asked,
  speakerRoom: string | undefined,
): Resolved {
  const able: (Resolved & { result: "devices" })[] = [];
  const reasons: string[] = [];
  const seen = new Set<Nameable>();
  // Names first, so that something that bears the words as a name and an alias counts by the name.
  const ordered = [...holders].sort((a, b) => Number(a.name.alias) - Number(b.name.alias));
  for (const holder of ordered) {
    const { entity } = holder;
    if (seen.has(entity)) continue;
    seen.add(entity);
    const devices: Device[] = [];
    const skipped: Skipped[] = [];
    for (const device of devicesOf(book, entity)) {
      const reason = inability(device, asked);
      if (reason === undefined) devices.push(device);
      else skipped.push({ device: device.id, reason });
    }
    if (devices.length > 0) able.push({ result: "devices", entity, holder, devices, skipped });
    else reasons.push(skipped[0]?.reason ?? `${entity.id} has no devices`);
  }
  const byName = able.filter(({ holder }) => !holder.name.alias);
  const named = byName.length > 0 ? byName : able;
  const near = named.filter(({ entity }) => isIn(entity, speakerRoom));
  const left = near.length > 0 && named.length > 1 ? near : named;
  const [only] = left;
  if (!only) return { result: "unfit", reason: reasons[0] ?? "nothing of that name can do it" };
  return left.length === 1 ? only : { result: "choices", options: left };
}

function isIn(entity: Nameable, room: string | undefined): boolean {
  return room !== undefined && entity.type === "device" && entity.room === room;
}

/** Why a device cannot do what is asked, or undefined when it can. */
function inability(device: Device, { slot, properties }: Asked): string | undefined {
  if (slot.kinds && !slot.kinds.includes(device.kind)) {
    return `${device.id} is a ${device.kind}, not a ${slot.kinds.join(" or ")}`;
  }
  if (slot.room !== undefined && device.room !== slot.room) {
    return `${device.id} is not in ${slot.room}`;
  }
  for (const property of properties) {
    const schema = device.properties.get(property);
    if (!schema) return `${device.id} has no ${property}`;
    if (schema.readOnly) return `the ${property} of ${device.id} can only be read`;
  }
  return undefined;
}
