import { initialState } from "../commands/states.ts";
import type { Phrasebook } from "../phrasebook/model.ts";
import type { State, Value } from "../model/property.ts";
import type { Rest } from "./snapshot.ts";
import type { States } from "../phrasebook/states.ts";

/** The states of all devices; writing to it leaves what it was made from as it was. */
export interface StateStore {
  get: (device: string) => State;
  set: (device: string, property: string, value: Value) => void;
  /** What properties of a device were before they were set to `off`. */
  lastOn: (device: string) => State;
  /** What was set, and what was before it was off, of the devices that are not as they start. */
  changed: () => Pick<Rest, "states" | "lastOn">;
  /** Every device that there is. */
  all: () => Record<string, State>;
}

const none: State = {};

/**
 * Makes a store over initial states. Only what changes is copied, so that thousands of homes can
 * be made of one large phrasebook.
 */
export function createStates(
  book: Phrasebook,
  given: States,
  lastOn: ReadonlyMap<string, State> = new Map(),
): StateStore {
  const changed = new Map<string, State>();
  const last = new Map(lastOn);
  const get = (device: string): State => changed.get(device) ?? initialState(book, device);
  for (const [device, values] of given) changed.set(device, { ...get(device), ...values });
  return {
    get,
    lastOn: (device) => last.get(device) ?? none,
    set: (device, property, value) => {
      const before = get(device)[property];
      if (value === "off" && before !== undefined && before !== "off")
        last.set(device, { ...last.get(device), [property]: before });
      changed.set(device, { ...get(device), [property]: value });
    },
    changed: () => ({
      states: Object.fromEntries(changed),
      lastOn: Object.fromEntries(last),
    }),
    all: () => Object.fromEntries([...book.devices.keys()].map((device) => [device, get(device)])),
  };
}
