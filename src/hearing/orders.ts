import type {
  Device,
  Order,
  Phrasebook,
  TargetReference,
  ValueReference,
} from "../phrasebook/model.ts";
import { type Value, checkValue, explainValueProblem, isSettable } from "../phrasebook/property.ts";
import type { Because, Effect, Skipped, SlotValue } from "./outcome.ts";
import { type Devices, devicesNamed, devicesOf } from "./targets.ts";

/** Why nothing is done: a value that cannot be, or something that has no such thing at all. */
export type Refusal =
  | { result: "refuse"; reason: string; because?: Because }
  | { result: "unfit"; reason: string; because?: Because };

/** A slot that is needed was not said. */
export interface Missing {
  result: "missing";
  slot: string;
}

export type Carried =
  { result: "effects"; effects: Effect[]; skipped: Skipped[] } | Missing | Refusal;

/** Works out what orders come to for each device, holding every value against what it can be. */
export function carryOut(
  book: Phrasebook,
  orders: readonly Order[],
  slots: Readonly<Record<string, SlotValue>>,
  targets: ReadonlyMap<string, Devices>,
  optional: ReadonlySet<string>,
): Carried {
  const sets = new Map<string, Record<string, Value>>();
  const others: Effect[] = [];
  const skipped: Skipped[] = [];
  const failed = new Map<string, Refusal>();
  for (const order of orders) {
    const unsaid = unsaidSlot(order, slots, targets);
    if (unsaid !== undefined) {
      if (optional.has(unsaid)) continue;
      return { result: "missing", slot: unsaid };
    }
    const devices = targetDevices(book, order.target, targets);
    const written = valueOf(order);
    const said = written?.refer === "slot" ? slots[written.slot] : undefined;
    const value = written?.refer === "value" ? written.value : said?.value;
    for (const device of devices) {
      const outcome = orderDevice(device, order, value, said?.part);
      if (outcome.result === "skip") {
        skipped.push({ device: device.id, reason: outcome.reason });
      } else if (outcome.result === "set") {
        const changes = sets.get(device.id) ?? {};
        changes[outcome.property] = outcome.value;
        sets.set(device.id, changes);
      } else if (outcome.result === "effect") {
        others.push(outcome.effect);
      } else {
        if (devices.length === 1) return outcome;
        failed.set(device.id, outcome);
      }
    }
  }
  // A device that can take one part of what was asked and not another is left alone.
  for (const [device, { reason }] of failed) {
    sets.delete(device);
    skipped.push({ device, reason });
  }
  const effects = [
    ...[...sets].map(([device, set]): Effect => ({ device, set })),
    ...others.filter(({ device }) => !failed.has(device)),
  ];
  const [refusal] = failed.values();
  if (effects.length === 0 && refusal) return refusal;
  if (effects.length === 0 && orders.length > 0) {
    const [first] = skipped;
    if (!first) return { result: "unfit", reason: "there is no device to do it" };
    const { device, reason } = first;
    return { result: "unfit", reason, because: { because: "unable", device } };
  }
  return { result: "effects", effects, skipped };
}

function valueOf(order: Order): ValueReference | undefined {
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

/** A slot that an order needs and that nothing was said for. */
export function unsaidSlot(
  order: Order,
  slots: Readonly<Record<string, SlotValue>>,
  targets: ReadonlyMap<string, Devices>,
): string | undefined {
  const { target } = order;
  if (target.refer === "slot" && !targets.has(target.slot)) return target.slot;
  const written = valueOf(order);
  return written?.refer === "slot" && !slots[written.slot] ? written.slot : undefined;
}

type Ordered =
  | { result: "set"; property: string; value: Value }
  | { result: "effect"; effect: Effect }
  | { result: "skip"; reason: string }
  | Refusal;

function orderDevice(
  device: Device,
  order: Order,
  value: Value | undefined,
  part: number | undefined,
): Ordered {
  const { id } = device;
  if (order.order === "call") {
    const { action } = order;
    if (!device.actions.includes(action))
      return { result: "skip", reason: `${id} cannot ${action}` };
    const input = value === undefined ? {} : { with: value };
    return { result: "effect", effect: { device: id, call: action, ...input } };
  }
  const { property } = order;
  if (order.order === "toggle") return { result: "unfit", reason: `${id} has to be asked first` };
  const schema = device.properties.get(property);
  if (!isSettable(schema)) {
    return { result: "skip", reason: `${id} has no ${property} to set` };
  }
  if (order.order === "nudge") {
    if (typeof value !== "number" || (schema.type !== "number" && schema.type !== "integer")) {
      return { result: "unfit", reason: `the ${property} of ${id} is no number` };
    }
    const by = { [property]: value * order.factor };
    // "By half" is half of what it is now.
    const effect: Effect =
      part === undefined
        ? { device: id, nudge: by }
        : { device: id, scale: { [property]: 1 + part * order.factor } };
    return { result: "effect", effect };
  }
  const check = checkValue(schema, value ?? "");
  if (check.ok) return { result: "set", property, value: check.value };
  const { problem } = check;
  // A word where a number belongs shows that another property was meant; a number too high does not.
  const isOther = problem.problem === "type" || problem.problem === "choice";
  return {
    result: isOther ? "unfit" : "refuse",
    reason: `the ${property} of ${id} ${explainValueProblem(problem)}`,
    because: { because: "value", device: id, property, problem },
  };
}

/** The devices that a target in a step stands for. */
export function targetDevices(
  book: Phrasebook,
  target: TargetReference,
  targets: ReadonlyMap<string, Devices>,
): readonly Device[] {
  if (target.refer === "slot") return targets.get(target.slot)?.devices ?? [];
  const maps = {
    device: book.devices,
    group: book.groups,
    room: book.rooms,
    zone: book.zones,
  };
  const entity = maps[target.refer].get(target.id);
  const devices = entity ? devicesOf(book, entity) : [];
  if (!target.except) return devices;
  const without = new Set(target.except.flatMap((id) => devicesNamed(book, id)));
  return devices.filter((device) => !without.has(device));
}

/** Whether a device has what an order is about. */
export function isAble({ actions, properties }: Device, order: Order): boolean {
  if (order.order === "call") return actions.includes(order.action);
  return isSettable(properties.get(order.property));
}
