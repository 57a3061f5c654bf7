import type { Heard } from "../hearing/outcome.ts";
import type { Phrasebook } from "../phrasebook/model.ts";
import type { State, Value } from "../phrasebook/property.ts";
import { readGivenStates } from "../phrasebook/steps.ts";
import { type StateStore, createStates } from "./states.ts";

/** What a simulated home starts from. */
export interface SimulateOptions {
  /** States of devices, over the ones that they start with: `{ "plinth-spots": { power: "on" } }`. */
  states?: Readonly<Record<string, State>>;
}

/** One property of one device before and after. */
export interface Change {
  device: string;
  property: string;
  from: Value;
  to: Value;
}

/** What doing something came to. */
export interface Performed {
  /** Properties whose value is another one than before. */
  changes: readonly Change[];
  /** What is said. */
  reply: string;
}

/** A home of values in memory in place of devices. */
export interface SimulatedHome {
  /** Does what was heard; an outcome other than `act` changes nothing. */
  perform: (heard: Heard) => Promise<Performed>;
  /** The state of every device. */
  states: () => Record<string, State>;
}

/** @throws never; states of devices or properties that do not exist are left out. */
export function simulateHome(
  book: Phrasebook,
  initial: ReadonlyMap<string, State>,
  { states = {} }: SimulateOptions,
): SimulatedHome {
  const store = createStates(initial, readGivenStates(states, book.devices));
  return {
    perform: (heard) => Promise.resolve(performHeard(store, heard)),
    states: store.all,
  };
}

/** Applies the effects of what was heard to a store of states. */
export function performHeard(store: StateStore, heard: Heard): Performed {
  if (heard.outcome !== "act") return { changes: [], reply: heard.reply };
  const changes: Change[] = [];
  for (const { device, set } of heard.effects) {
    for (const [property, to] of Object.entries(set)) {
      const from = store.get(device)[property] ?? to;
      store.set(device, property, to);
      if (from !== to) changes.push({ device, property, from, to });
    }
  }
  return { changes, reply: heard.reply };
}
