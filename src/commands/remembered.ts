import type { Phrasebook } from "../phrasebook/model.ts";
import type { Resolved, TargetAsked } from "./resolved.ts";

/** What targets came to in a whole home, by what was said and asked. */
const memories = new WeakMap<Phrasebook["devices"], Memory>();
type Memory = Map<string, Resolved>;

/** Most that is remembered of one home. */
const mostRemembered = 1000;

/** What was asked of a whole home before comes to the same again. */
export function remembered(
  { devices }: Phrasebook,
  key: string,
  resolve: () => Resolved,
): Resolved {
  let memory = memories.get(devices);
  if (!memory) memories.set(devices, (memory = new Map<string, Resolved>()));
  const before = memory.get(key);
  if (before) return before;
  const resolved = resolve();
  if (memory.size >= mostRemembered) memory.clear();
  memory.set(key, resolved);
  return resolved;
}

/** The same for questions that ask the same of devices. */
export function askedKey({ slot, properties, readable, actions }: TargetAsked): string {
  return JSON.stringify([slot.sort, slot.kinds, slot.room, properties, readable, actions]);
}
