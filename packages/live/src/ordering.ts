import type { Binding, Book, DeviceResult, OrderMessage, State, Value } from "calm-phrase";
import { toDevice } from "./mapping.ts";

/** How far from what was asked a number may be that is still meant to be it: a share of its range. */
const nearEnough = 0.15;

/** The messages that order values, one for each; or what cannot be ordered. */
export function messagesFor(
  book: Book,
  { device, properties }: Binding,
  wanted: State,
): { message: OrderMessage; value: unknown }[] | string {
  const messages: { message: OrderMessage; value: unknown }[] = [];
  for (const [name, value] of Object.entries(wanted)) {
    const bound = properties.get(name);
    const schema = book.devices.get(device)?.properties.get(name);
    if (!bound?.order || !schema) return `nothing tells how its ${name} is ordered`;
    messages.push({ message: bound.order, value: toDevice(bound.mapping, schema, value) });
  }
  return messages;
}

/** What a device made of an order, by what it told of each property. */
export function resultOf(
  book: Book,
  binding: Binding,
  wanted: State,
  told: ReadonlyMap<string, Value | undefined>,
): DeviceResult {
  const values: Record<string, Value> = {};
  const heading: Record<string, Value> = {};
  for (const [name, value] of Object.entries(wanted)) {
    const bound = binding.properties.get(name);
    if (!told.has(name)) {
      values[name] = value;
      continue;
    }
    const is = told.get(name);
    if (is === undefined) return { ok: false, what: "no answer" };
    if (bound?.moves === true && is !== value) heading[name] = value;
    else if (is === value || isNear(book, binding.device, name, [value, is])) values[name] = is;
    else return { ok: false, what: `its ${name} is ${String(is)}` };
  }
  return { ok: true, values, ...(Object.keys(heading).length > 0 && { heading }) };
}

/** Whether a number is the one that was asked for, as a device rounds it. */
function isNear(book: Book, device: string, property: string, [one, other]: Value[]): boolean {
  if (typeof one !== "number" || typeof other !== "number") return false;
  const { minimum = 0, maximum = 0 } = book.devices.get(device)?.properties.get(property) ?? {};
  return Math.abs(one - other) <= (maximum - minimum) * nearEnough;
}
