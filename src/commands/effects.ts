import type { Phrasebook } from "../phrasebook/model.ts";
import { type State, landed } from "../model/property.ts";
import type { Effect } from "./outcome.ts";
import type { StatesOf } from "./states.ts";

/** The values that an effect comes to for a device in a state; an action changes none by itself. */
export function valuesOf({ devices }: Phrasebook, before: State, effect: Effect): State {
  if ("set" in effect) return effect.set;
  if ("call" in effect) return {};
  const isNudge = "nudge" in effect;
  const amounts = Object.entries(isNudge ? effect.nudge : effect.scale);
  return Object.fromEntries(
    amounts.flatMap(([property, amount]) => {
      const schema = devices.get(effect.device)?.properties.get(property);
      const from = before[property] ?? schema?.default;
      if (!schema || typeof from !== "number") return [];
      return [[property, landed(schema, isNudge ? from + amount : from * amount)]];
    }),
  );
}

/** What an effect says of properties: their values, or by how much they change. */
export function writtenIn(effect: Exclude<Effect, { call: string }>): State {
  if ("set" in effect) return effect.set;
  return "nudge" in effect ? effect.nudge : effect.scale;
}

/** States as they are once effects have been done; those with a when are not. */
export function statesAfter(
  book: Phrasebook,
  states: StatesOf,
  effects: readonly Effect[],
): StatesOf {
  const changed = new Map<string, State>();
  for (const effect of effects) {
    if (effect.when) continue;
    const before = changed.get(effect.device) ?? states(effect.device) ?? {};
    changed.set(effect.device, { ...before, ...valuesOf(book, before, effect) });
  }
  return (id) => changed.get(id) ?? states(id);
}
