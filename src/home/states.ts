import type { Phrasebook } from "../phrasebook/model.ts";
import type { State, Value } from "../phrasebook/property.ts";
import type { States } from "../phrasebook/states.ts";

/** The states of all devices; writing to it leaves what it was made from as it was. */
export interface StateStore {
  get: (device: string) => State;
  set: (device: string, property: string, value: Value) => void;
  /** Every device that there is. */
  all: () => Record<string, State>;
}

/** What every device starts with, unless told otherwise. */
export function initialStates(book: Phrasebook): ReadonlyMap<string, State> {
  const states = new Map<string, State>();
  for (const [id, { properties }] of book.devices) {
    const values = [...properties].map(([name, schema]) => [name, schema.default] as const);
    states.set(id, Object.fromEntries(values));
  }
  return states;
}

/**
 * Makes a store over initial states. Only what changes is copied, so that thousands of homes can
 * be made of one large phrasebook.
 */
export function createStates(initial: ReadonlyMap<string, State>, given: States): StateStore {
  const changed = new Map<string, State>();
  const get = (device: string): State => changed.get(device) ?? initial.get(device) ?? {};
  for (const [device, values] of given) changed.set(device, { ...get(device), ...values });
  return {
    get,
    set: (device, property, value) => {
      changed.set(device, { ...get(device), [property]: value });
    },
    all: () => Object.fromEntries([...initial.keys()].map((device) => [device, get(device)])),
  };
}
