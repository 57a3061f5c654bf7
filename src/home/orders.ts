import { accessTo, exceeds } from "../commands/access.ts";
import type { Effect, When } from "../commands/outcome.ts";
import type { VoiceAccess } from "../phrasebook/kinds.ts";
import {
  type State,
  type Value,
  checkValue,
  explainValueProblem,
  isSettable,
} from "../phrasebook/property.ts";
import type { Cause, Orderer } from "./cause.ts";
import { type DeviceResult, type Fault, simulateDevices } from "./devices.ts";
import { createMovements } from "./movements.ts";
import type { Scene } from "./scene.ts";

/** What became of an order: a device that does not answer fails, a guard refuses. */
export type Ordered = "done" | "failed" | "refused";

/** What reaches the devices of a home, and what they come to. */
export interface Orders {
  /**
   * Orders something of a device, now or at its when. Every order of a home comes through here,
   * and none does more than what set it off was granted.
   */
  order: (effect: Effect, by: Orderer) => Ordered;
  /** Properties of a device have other values. */
  apply: (device: string, values: State, by: Orderer) => void;
  /** The state that a device has, or is on its way to. */
  heading: (device: string) => State;
  fault: (device: string, fault: Fault | undefined) => void;
  /** Seconds until everything that moves has come to where it goes. */
  moving: () => number;
}

/** What others want to know of. */
export interface Watcher {
  /** Some state is another one than before. */
  changed: (cause: Cause) => void;
  pressed: (button: string, cause: Cause) => void;
}

export function createOrders(
  scene: Scene,
  faults: Readonly<Record<string, Fault | undefined>>,
  watcher: Watcher,
): Orders {
  const { book, store, timers, elapsed, record, gathered } = scene;
  const broken = new Map<string, Fault>();
  for (const [device, each] of Object.entries(faults)) if (each) broken.set(device, each);
  const devices = simulateDevices(book, store, broken);
  const told = ({ of }: Orderer): { by?: string } => (of === undefined ? {} : { by: of });

  const apply: Orders["apply"] = (device, values, by) => {
    for (const [property, to] of Object.entries(values)) {
      const from = store.get(device)[property] ?? to;
      if (from === to) continue;
      store.set(device, property, to);
      record({ event: "changed", device, property, from, to, ...told(by) });
    }
    watcher.changed(by.cause);
  };
  const movements = createMovements(scene, apply);

  const orderNow = (effect: Effect, by: Orderer): Ordered => {
    const { device } = effect;
    const problem = problemOf(scene, effect);
    const result: DeviceResult =
      problem === undefined ? devices.order(effect) : { ok: false, what: problem };
    if (!result.ok) {
      record({ event: "failed", device, what: result.what, ...told(by) });
      gathered().failed.push(device);
      return "failed";
    }
    scene.did({ effect, values: result.values, elapsed: elapsed(), cause: by.cause });
    if ("call" in effect) {
      const input = effect.with === undefined ? {} : { with: effect.with };
      gathered().calls.push({ device, call: effect.call, ...input });
      record({ event: "called", device, action: effect.call, ...input, ...told(by) });
      if (effect.call === "press") watcher.pressed(device, by.cause);
      if (effect.call === "stop") movements.stop(device, by);
      return "done";
    }
    for (const [property, to] of Object.entries(result.values)) {
      const from = store.get(device)[property] ?? to;
      if (from !== to) gathered().changes.push({ device, property, from, to });
    }
    if (result.takes === 0) {
      movements.end(device, Object.keys(result.values));
      apply(device, result.values, by);
    } else movements.begin(device, result.values, result.takes, by);
    return "done";
  };

  const lengthOf = ({ for: length, until }: When): number | undefined =>
    length ?? (until === undefined ? undefined : scene.secondsUntil(until));

  /** Begins something, and takes it back after a while if it is to last only that long. */
  const begin = ({ when, ...effect }: Effect, by: Orderer): Ordered => {
    const { device } = effect;
    const before = store.get(device);
    const ordered = orderNow(effect, by);
    const length = when && lengthOf(when);
    if (ordered === "done" && length !== undefined && !("call" in effect)) {
      const set: Record<string, Value> = {};
      for (const property of Object.keys(writtenIn(effect))) {
        const value = before[property];
        if (value !== undefined) set[property] = value;
      }
      timers.add(elapsed() + length, () => order({ device, set }, by));
    }
    return ordered;
  };

  const order: Orders["order"] = (effect, by) => {
    const { device } = effect;
    const needs = accessTo(book.devices.get(device), effect);
    if (exceeds(needs, by.cause.grant)) {
      record({ event: "refused", what: whyNot(device, needs), ...told(by) });
      return "refused";
    }
    const start = effect.when && startOf(scene, effect.when);
    if (start === undefined) return begin(effect, by);
    gathered().later.push(effect);
    timers.add(elapsed() + start, () => begin(effect, by));
    return "done";
  };

  return {
    apply,
    order,
    heading: (device) => ({ ...store.get(device), ...movements.heading(device) }),
    fault: (device, fault) => {
      if (fault) broken.set(device, fault);
      else broken.delete(device);
    },
    moving: movements.left,
  };
}

function whyNot(device: string, needs: VoiceAccess): string {
  if (needs === "barred") return `voice is barred from ${device}`;
  return `${device} needs ${needs === "code" ? "the code" : "a confirmation"}`;
}

/** Why no device of the home can do what an effect asks; undefined where one can. */
function problemOf({ book }: Scene, effect: Effect): string | undefined {
  const device = book.devices.get(effect.device);
  if (!device) return "there is no such device";
  if ("call" in effect) {
    return device.actions.includes(effect.call) ? undefined : `it cannot ${effect.call}`;
  }
  const isSet = "set" in effect;
  for (const [property, value] of Object.entries(writtenIn(effect))) {
    const schema = device.properties.get(property);
    if (!isSettable(schema)) return `it has no ${property} to set`;
    const check = isSet ? checkValue(schema, value) : undefined;
    if (check?.ok === false) return `its ${property} ${explainValueProblem(check.problem)}`;
    if (!isSet && !Number.isFinite(value)) return `its ${property} cannot change by ${value}`;
  }
  return undefined;
}

/** What an effect says of properties: their values, or by how much they change. */
function writtenIn(effect: Exclude<Effect, { call: string }>): State {
  if ("set" in effect) return effect.set;
  return "nudge" in effect ? effect.nudge : effect.scale;
}

/** Seconds until something is to begin; undefined for at once. */
export function startOf(scene: Scene, when: When): number | undefined {
  return when.in ?? (when.at === undefined ? undefined : scene.secondsUntil(when.at));
}
