import type { Intent, Order, TellStep } from "../phrasebook/model.ts";

/** What an intent comes to, worked out once: what it orders, asks, and asks of its targets. */
export interface Plan {
  orders: readonly Order[];
  tell: TellStep | undefined;
  /** Slots that may be left unsaid, and with them what uses them. */
  optional: ReadonlySet<string>;
  /** By target slot: the properties and actions that whatever fills it must have. */
  asked: ReadonlyMap<string, { properties: readonly string[]; actions: readonly string[] }>;
}

export function planIntent({ steps, slots }: Intent): Plan {
  const orders = steps.flatMap((step) => (step.step === "order" ? step.orders : []));
  const asked = new Map<string, { properties: string[]; actions: string[] }>();
  for (const order of orders) {
    if (order.target.refer !== "slot") continue;
    const of = asked.get(order.target.slot) ?? { properties: [], actions: [] };
    if (order.order === "call") of.actions.push(order.action);
    else of.properties.push(order.property);
    asked.set(order.target.slot, of);
  }
  const optional = new Set([...slots.values()].flatMap((slot) => (slot.optional ? slot.name : [])));
  return { orders, tell: steps.find((step) => step.step === "tell"), optional, asked };
}
