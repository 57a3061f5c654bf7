import type { Phrasebook } from "../phrasebook/model.ts";
import { type State, type Value, startState } from "../phrasebook/property.ts";
import type { States } from "../phrasebook/states.ts";

/** The states of all devices; writing to it leaves what it was made from as it was. */
export interface StateStore {
  get: (device: string) => State;
  set: (device: string, property: string, value: Value) => void;
  /** Every device that there is. */
  all: () => Record<string, State>;
}

/** What a device starts with, unless told otherwise. */
export type InitialStates = (device: string) => State;

/** Works out what a device starts with when that is first asked. */
export function initialStates(book: Phrasebook): InitialStates {
  const known = new Map<string, State>();
  return (device) => {
    let state = known.get(device);
    if (!state) {
      state = startState(book.devices.get(device)?.properties ?? new Map());
      known.set(device, state);
    }
    return state;
  };
}

/**
 * Makes a store over initial states. Only what changes is copied, so that thousands of homes can
 * be made of one large phrasebook.
 */
export function createStates(book: Phrasebook, initial: InitialStates, given: States): StateStore {
  const changed = new Map<string, State>();
  const get = (device: string): State => changed.get(device) ?? initial(device);
  for (const [device, values] of given) changed.set(device, { ...get(device), ...values });
  return {
    get,
    set: (device, property, value) => {
      changed.set(device, { ...get(device), [property]: value });
    },
    all: () => Object.fromEntries([...book.devices.keys()].map((device) => [device, get(device)])),
  };
}
