import type { Effect, When } from "../hearing/outcome.ts";
import type { State, Value } from "../phrasebook/property.ts";
import { type Fault, simulateDevices } from "./devices.ts";
import type { Scene } from "./scene.ts";

/** Who orders something: the routine or intent whose steps do. */
interface Orderer {
  of: string;
}

/** What reaches the devices of a home, and what they come to. */
export interface Orders {
  /** Orders something of a device, now or at its when; whether the device answered. */
  order: (effect: Effect, by?: Orderer) => boolean;
  /** Properties of a device have other values. */
  apply: (device: string, values: State, by?: Orderer) => void;
  /** The state that a device has, or is on its way to. */
  heading: (device: string) => State;
  fault: (device: string, fault: Fault | undefined) => void;
  /** Seconds until everything that moves has come to where it goes. */
  moving: () => number;
}

/** What others want to know of. */
export interface Watcher {
  /** Some state is another one than before. */
  changed: () => void;
  pressed: (button: string) => void;
}

export function createOrders(
  scene: Scene,
  faults: Readonly<Record<string, Fault>>,
  watcher: Watcher,
): Orders {
  const { book, store, timers, elapsed, record, gathered } = scene;
  const broken = new Map(Object.entries(faults));
  const devices = simulateDevices(book, store, broken);
  const coming = new Map<string, State>();
  let arrives = 0;
  const told = (by: Orderer | undefined): { by?: string } => (by ? { by: by.of } : {});

  const apply: Orders["apply"] = (device, values, by) => {
    for (const [property, to] of Object.entries(values)) {
      const from = store.get(device)[property] ?? to;
      if (from === to) continue;
      store.set(device, property, to);
      record({ event: "changed", device, property, from, to, ...told(by) });
    }
    watcher.changed();
  };

  const orderNow = (effect: Effect, by: Orderer | undefined): boolean => {
    const { device } = effect;
    const result = devices.order(effect);
    if (!result.ok) {
      record({ event: "failed", device, what: result.what, ...told(by) });
      gathered().failed.push(device);
      return false;
    }
    if ("call" in effect) {
      const input = effect.with === undefined ? {} : { with: effect.with };
      gathered().calls.push({ device, call: effect.call, ...input });
      record({ event: "called", device, action: effect.call, ...input, ...told(by) });
      if (effect.call === "press") watcher.pressed(device);
      return true;
    }
    for (const [property, to] of Object.entries(result.values)) {
      const from = store.get(device)[property] ?? to;
      if (from !== to) gathered().changes.push({ device, property, from, to });
    }
    if (result.takes === 0) apply(device, result.values, by);
    else {
      const at = elapsed() + result.takes;
      arrives = Math.max(arrives, at);
      coming.set(device, { ...coming.get(device), ...result.values });
      timers.add(at, () => {
        coming.delete(device);
        apply(device, result.values, by);
      });
    }
    return true;
  };

  const lengthOf = ({ for: length, until }: When): number | undefined =>
    length ?? (until === undefined ? undefined : scene.secondsUntil(until));

  /** Begins something, and takes it back after a while if it is to last only that long. */
  const begin = ({ when, ...effect }: Effect, by: Orderer | undefined): boolean => {
    const { device } = effect;
    const before = store.get(device);
    const worked = orderNow(effect, by);
    const length = when && lengthOf(when);
    if (worked && length !== undefined && !("call" in effect)) {
      const values = "set" in effect ? effect.set : "nudge" in effect ? effect.nudge : effect.scale;
      const set: Record<string, Value> = {};
      for (const property of Object.keys(values)) {
        const value = before[property];
        if (value !== undefined) set[property] = value;
      }
      timers.add(elapsed() + length, () => orderNow({ device, set }, by));
    }
    return worked;
  };

  return {
    apply,
    order(effect, by) {
      const start = effect.when && startOf(scene, effect.when);
      if (start === undefined) return begin(effect, by);
      gathered().later.push(effect);
      timers.add(elapsed() + start, () => begin(effect, by));
      return true;
    },
    heading: (device) => ({ ...store.get(device), ...coming.get(device) }),
    fault: (device, fault) => {
      if (fault) broken.set(device, fault);
      else broken.delete(device);
    },
    moving: () => Math.max(0, arrives - elapsed()),
  };
}

/** Seconds until something is to begin; undefined for at once. */
export function startOf(scene: Scene, when: When): number | undefined {
  return when.in ?? (when.at === undefined ? undefined : scene.secondsUntil(when.at));
}
