import type { Device } from "../model/home.ts";
import type { Order, ValueReference } from "../model/step.ts";
import type { Phrasebook } from "../phrasebook/model.ts";
import {
  type DataSchema,
  type State,
  type Value,
  type ValueProblem,
  checkValue,
  landed,
  onStep,
  otherValue,
} from "../model/property.ts";
import { converted, convertedDifference, rounded } from "../model/units.ts";
import { askedBy, lackOf } from "./ability.ts";
import type { StatesOf } from "./states.ts";
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
  /** What properties of a device were before they were off. */
  lastOn?: StatesOf;
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
  const schema = "property" in order ? device.properties.get(order.property) : undefined;
  const { value, isConverted } = written
    ? valueFor(order, written, { device, schema }, given)
    : nothing;
  if (order.order === "call") {
    const input = value === undefined ? {} : { with: value };
    return { ordered: "effect", effect: { device: id, call: order.action, ...input } };
  }
  const { property } = order;
  const noNumber: Reason = { reason: "unable", id, lack: { lack: "number", property } };
  if (!schema) return { ordered: "unable", reason: noNumber };
  if (order.order === "nudge") {
    if (
      typeof value !== "number" ||
      Number.isNaN(value) ||
      (schema.type !== "number" && schema.type !== "integer")
    ) {
      return { ordered: "unfit", reason: noNumber };
    }
    // "By half" is half of what it is now.
    const part = partOf(order.by, given);
    const by = isConverted ? rounded(value, schema.unit) : value;
    const effect: Effect =
      part === undefined
        ? { device: id, nudge: { [property]: by * order.factor } }
        : { device: id, scale: { [property]: 1 + part * order.factor } };
    return { ordered: "effect", effect };
  }
  const wanted =
    order.order === "toggle"
      ? otherValue(schema, given.state(id)[property] ?? schema.default)
      : value;
  // What was worked out or said in another unit lands on a step; what was written or said as it is has
  // to be exact.
  const isWorkedOut = written?.refer === "sum" || written?.refer === "state";
  const land = isWorkedOut ? landed : isConverted ? onStep : undefined;
  const check = checkValue(
    schema,
    land && typeof wanted === "number" ? land(schema, wanted) : (wanted ?? ""),
  );
  if (check.ok)
    return { ordered: "effect", effect: { device: id, set: { [property]: check.value } } };
  const problem = asSaid(check.problem, wanted);
  // A word where a number belongs shows that another property was meant; a number too high does not.
  const isOther = problem.problem === "type" || problem.problem === "choice";
  const reason: Reason = { reason: "value", device: id, property, problem };
  return { ordered: isOther ? "unfit" : "refuse", reason };
}

/** A value that is out of a range is told as it was said, and not as the step that it is near. */
function asSaid(problem: ValueProblem, said: Value | undefined): ValueProblem {
  return problem.problem === "range" && typeof said === "number"
    ? { ...problem, value: said }
    : problem;
}

/** What an order has for a device, and whether it had to be converted. */
interface Worked {
  value: Value | undefined;
  isConverted: boolean;
}

const nothing: Worked = { value: undefined, isConverted: false };

function valueFor(
  order: Order,
  written: ValueReference,
  { device: { id }, schema }: { device: Device; schema: DataSchema | undefined },
  given: Given,
): Worked {
  const isDifference = order.order === "nudge";
  switch (written.refer) {
    case "value":
      return { value: written.value, isConverted: false };
    case "first": {
      const property = "property" in order ? order.property : "";
      const now = given.state(id)[property];
      const last = now === "off" ? given.lastOn?.(id)?.[property] : now;
      const { isLast } = written;
      const all = isLast && last !== undefined ? [last, ...written.values] : written.values;
      const value = all.find((each) => schema && checkValue(schema, each).ok) ?? all[0];
      return { value, isConverted: false };
    }
    default: {
      // Most numbers are in the unit that they go to: what is converted is told by the way.
      let isConverted = false;
      const value = valueOf(
        written,
        {
          slots: given.slots,
          state: given.state,
          unitOf: (of, name) => given.book.devices.get(of)?.properties.get(name)?.unit,
          inUnit(number, from) {
            if (from.unit === schema?.unit) return number;
            const into = from.isDifference ? convertedDifference : converted;
            const other = into(number, from.unit, schema?.unit);
            isConverted ||= other !== undefined;
            return other ?? number;
          },
        },
        isDifference,
      );
      return { value, isConverted };
    }
  }
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
