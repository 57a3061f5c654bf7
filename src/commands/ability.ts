import type { Device } from "../model/home.ts";
import type { Order } from "../model/step.ts";
import type { TargetSlot } from "../slot-types/slot.ts";
import { isSettable } from "../model/property.ts";
import { writtenIn } from "./effects.ts";
import type { Effect } from "./outcome.ts";
import type { Lack } from "../model/reason.ts";

/** What is asked of a device. */
export interface Asked {
  /** What it has to be, and where. */
  slot?: Pick<TargetSlot, "kinds" | "room">;
  /** Properties that are to be set. */
  properties?: readonly string[];
  /** Properties of which one is to be read. */
  readable?: readonly string[];
  actions?: readonly string[];
}

const none: readonly string[] = [];

/** What a device has not got of what is asked; undefined when it can do it. */
export function lackOf(
  { kind, room, properties, actions }: Device,
  { slot, properties: set = none, readable, actions: called = none }: Asked,
): Lack | undefined {
  if (slot?.kinds && !slot.kinds.includes(kind)) return { lack: "kind", kind, asked: slot.kinds };
  if (slot?.room !== undefined && room !== slot.room) return { lack: "room", room: slot.room };
  for (const property of set) {
    const schema = properties.get(property);
    if (!schema) return { lack: "property", properties: [property] };
    if (!isSettable(schema)) return { lack: "setting", property };
  }
  for (const action of called) if (!actions.includes(action)) return { lack: "action", action };
  if (readable && !readable.some((property) => properties.has(property))) {
    return { lack: "property", properties: readable.filter((name) => name !== "") };
  }
  return undefined;
}

/** Whether a device can do what is asked. */
export function isAble(device: Device, asked: Asked): boolean {
  return lackOf(device, asked) === undefined;
}

/** What an effect asks of its device. */
export function askedOf(effect: Effect): Asked {
  if ("call" in effect) return { actions: [effect.call] };
  return { properties: Object.keys(writtenIn(effect)) };
}

const known = new WeakMap<Order, Asked>();

/** What an order asks of a device; worked out once, since orders outlive what is said. */
export function askedBy(order: Order): Asked {
  let asked = known.get(order);
  if (!asked) {
    asked = order.order === "call" ? { actions: [order.action] } : { properties: [order.property] };
    known.set(order, asked);
  }
  return asked;
}
