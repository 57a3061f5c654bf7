import type { Phrasebook } from "../phrasebook/model.ts";
import { type State, startState } from "../model/property.ts";

/** The states of devices, by id; undefined for one that there is not. */
export type StatesOf = (device: string) => State | undefined;

const known = new WeakMap<Phrasebook["devices"], Map<string, State>>();

/** What a device starts with, unless told otherwise. Worked out once a device. */
export function initialState({ devices }: Pick<Phrasebook, "devices">, device: string): State {
  let states = known.get(devices);
  if (!states) known.set(devices, (states = new Map<string, State>()));
  let state = states.get(device);
  if (!state) {
    state = startState(devices.get(device)?.properties ?? new Map());
    states.set(device, state);
  }
  return state;
}
