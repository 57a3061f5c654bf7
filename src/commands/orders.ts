import type { Device } from "../model/home.ts";
import type { Order, ValueReference } from "../model/step.ts";
import type { Phrasebook } from "../phrasebook/model.ts";
import { type State, type Value, checkValue, landed, otherValue } from "../model/property.ts";
import { askedBy, lackOf } from "./ability.ts";
import { targetDevices } from "./members.ts";
import type { Effect, Skipped, Slots } from "./outcome.ts";
import type { Reason } from "../model/reason.ts";
import { partOf, valueOf } from "./values.ts";

/** What orders are worked out with. */
export interface Given {
  book: Phrasebook;
  slots: Slots;
  /** The devices that a target slot stands for. */
  inSlot: (slot: string) => readonly Device[];
  state: (device: string) => State;
}

/** What an order comes to for one device. */
export type Ordered =
  | { ordered: "effect"; effect: Effect }
  /** The device has no such thing. */
  | { ordered: "unable"; reason: Reason }
  /** It has, and cannot have that value; `unfit` where another property must have been meant. */
  | { ordered: "refuse" | "unfit"; reason: Reason };

/** What orders come to for all their devices. */
export interface Orders {
  /** Those that set several properties of a device are one. */
  effects: readonly Effect[];
  /** Devices that have no such thing. */
  unable: readonly Skipped[];
  /** Devices that cannot have a value, to which nothing is done at all. */
  refused: ReadonlyMap<string, Refused>;
}

type Refused = Extract<Ordered, { ordered: "refuse" | "unfit" }>;

const none: ReadonlyMap<string, Refused> = new Map();

/** Works out what orders come to, holding every value against what each device can be. */
export function effectsOfOrders(orders: readonly Order[], given: Given): Orders {
  const effects: Effect[] = [];
  // Most commands are one order to one device: what nothing is kept in is not made.
  let sets: Map<string, Record<string, Value>> | undefined;
  const unable: Skipped[] = [];
  let refused: Map<string, Refused> | undefined;
  for (const order of orders) {
    for (const device of targetDevices(given.book, order.target, given.inSlot)) {
      const { id } = device;
      const ordered = effectOf(order, device, given);
      if (ordered.ordered === "unable") unable.push({ device: id, why: ordered.reason });
      else if (ordered.ordered !== "effect") (refused ??= new Map()).set(id, ordered);
      else if ("set" in ordered.effect && orders.length > 1) {
        const before = sets?.get(id);
        if (before) Object.assign(before, ordered.effect.set);
        else {
          const set = { ...ordered.effect.set };
          effects.push({ device: id, set });
          (sets ??= new Map()).set(id, set);
        }
      } else effects.push(ordered.effect);
    }
  }
  if (!refused) return { effects, unable, refused: none };
  // A device that can take one part of what was asked and not another is left alone.
  const left = new Set(refused.keys());
  return { effects: effects.filter(({ device }) => !left.has(device)), unable, refused };
}

/** Turns an order into what it asks of one device, as it is now. */
export function effectOf(order: Order, device: Device, given: Given): Ordered {
  const { id } = device;
  const lack = lackOf(device, askedBy(order));
  if (lack) return { ordered: "unable", reason: { reason: "unable", id, lack } };
  const written = valueIn(order);
  const value = written && valueFor(device, order, written, given);
  if (order.order === "call") {
    const input = value === undefined ? {} : { with: value };
    return { ordered: "effect", effect: { device: id, call: order.action, ...input } };
  }
  const { property } = order;
  const schema = device.properties.get(property);
  const noNumber: Reason = { reason: "unable", id, lack: { lack: "number", property } };
  if (!schema) return { ordered: "unable", reason: noNumber };
  if (order.order === "nudge") {
    if (typeof value !== "number" || (schema.type !== "number" && schema.type !== "integer")) {
      return { ordered: "unfit", reason: noNumber };
    }
    // "By half" is half of what it is now.
    const part = partOf(order.by, given);
    const effect: Effect =
      part === undefined
        ? { device: id, nudge: { [property]: value * order.factor } }
        : { device: id, scale: { [property]: 1 + part * order.factor } };
    return { ordered: "effect", effect };
  }
  const wanted =
    order.order === "toggle"
      ? otherValue(schema, given.state(id)[property] ?? schema.default)
      : value;
  // What was worked out lands on a step of the device; what was written or said has to be exact.
  const isWorkedOut = written?.refer === "sum" || written?.refer === "state";
  const fitting = isWorkedOut && typeof wanted === "number" ? landed(schema, wanted) : wanted;
  const check = checkValue(schema, fitting ?? "");
  if (check.ok)
    return { ordered: "effect", effect: { device: id, set: { [property]: check.value } } };
  const { problem } = check;
  // A word where a number belongs shows that another property was meant; a number too high does not.
  const isOther = problem.problem === "type" || problem.problem === "choice";
  const reason: Reason = { reason: "value", device: id, property, problem };
  return { ordered: isOther ? "unfit" : "refuse", reason };
}

/** The value that an order has for a device. */
function valueFor(
  { properties }: Device,
  order: Order,
  written: ValueReference,
  given: Given,
): Value | undefined {
  if (written.refer !== "first" || order.order !== "set") return valueOf(written, given);
  const schema = properties.get(order.property);
  return (
    written.values.find((value) => schema && checkValue(schema, value).ok) ?? written.values[0]
  );
}

/** The value that is written in an order. */
export function valueIn(order: Order): ValueReference | undefined {
  switch (order.order) {
    case "set":
      return order.value;
    case "nudge":
      return order.by;
    case "call":
      return order.input;
    case "toggle":
      return undefined;
  }
}
