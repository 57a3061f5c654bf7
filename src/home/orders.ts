import { accessTo, exceeds } from "../commands/access.ts";
import { askedOf, lackOf } from "../commands/ability.ts";
import { valuesOf, writtenIn } from "../commands/effects.ts";
import type { Effect, When } from "../commands/outcome.ts";
import { tellReason } from "../model/reason.ts";
import type { VoiceAccess } from "../model/kinds.ts";
import { type State, type Value, checkValue, explainValueProblem } from "../model/property.ts";
import { type Cause, type Orderer, unspoken } from "./cause.ts";
import { type Eventually, createEventually, onceThere } from "./eventually.ts";
import { createHeadings } from "./headings.ts";
import type { LogEvent } from "./log.ts";
import type { DeviceResult, Devices, Message, Note } from "./ports.ts";
import type { Gathered, Scene } from "./scene.ts";

/** What became of an order: a device that does not answer fails, a guard refuses. */
export type Ordered = "done" | "failed" | "refused";

/** What reaches the devices of a home, and what they come to. */
export interface Orders {
  /**
   * Orders something of a device, now or at its when. Every order of a home comes through here,
   * and none does more than what set it off was granted.
   */
  order: (effect: Effect, by: Orderer) => Eventually<Ordered>;
  /** Sends a message out, and tells whether it went. */
  send: (message: Message, by: Orderer) => Eventually<boolean>;
  notify: (note: Note, by: Orderer) => Eventually<boolean>;
  /** Properties of a device have other values, and this is why. */
  apply: (device: string, values: State, by: Orderer) => void;
  /** The same as the device tells it: it may be what was ordered, or a hand, or a sensor. */
  report: (device: string, values: State) => void;
  /** The state that a device has, or is on its way to. */
  heading: (device: string) => State;
}

/** What others want to know of. */
export interface Watcher {
  /** Some state is another one than before. */
  changed: (cause: Cause) => void;
  pressed: (button: string, cause: Cause) => void;
}

const nothing: State = {};

export function createOrders(scene: Scene, devices: Devices, watcher: Watcher): Orders {
  const { book, store, clock, record, gathered } = scene;
  const headings = createHeadings(clock);
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

  /** Notes what a device made of an order. */
  const take = (effect: Effect, result: DeviceResult, by: Orderer): Ordered => {
    const { device } = effect;
    const into = gathered();
    if (!result.ok) {
      record({ event: "failed", device, what: result.what, ...told(by) });
      into.failed.push(device);
      return "failed";
    }
    const before = store.get(device);
    const { values = nothing, heading = result.values ? nothing : valuesOf(book, before, effect) } =
      result;
    const all = heading === nothing ? values : { ...values, ...heading };
    scene.did({ effect, values: all, elapsed: clock.elapsed(), cause: by.cause });
    if ("call" in effect) {
      const input = effect.with === undefined ? {} : { with: effect.with };
      into.calls.push({ device, call: effect.call, ...input });
      record({ event: "called", device, action: effect.call, ...input, ...told(by) });
      if (effect.call === "press") watcher.pressed(device, by.cause);
      // A device that is stopped is on its way to nothing.
      if (effect.call === "stop") headings.end(device, Object.keys(headings.of(device)));
    } else {
      for (const [property, to] of Object.entries(all)) {
        const from = before[property] ?? to;
        if (from !== to) into.changes.push({ device, property, from, to });
      }
    }
    if (values !== nothing) headings.end(device, Object.keys(values));
    if (heading !== nothing) headings.begin(device, heading, by);
    if (!("call" in effect) || Object.keys(values).length > 0) apply(device, values, by);
    return "done";
  };

  const orderNow = (effect: Effect, by: Orderer): Eventually<Ordered> => {
    const problem = problemOf(scene, effect);
    if (problem !== undefined) return { now: take(effect, { ok: false, what: problem }, by) };
    let ordered: { now: Ordered } | undefined;
    // Where the answer comes at once, as it does in simulation, nothing has to wait for it.
    const wait: { for?: { into: Gathered; tell: (ordered: Ordered) => void } } = {};
    const answer = (result: DeviceResult): void => {
      if (ordered) return;
      if (!wait.for) {
        ordered = { now: take(effect, result, by) };
        return;
      }
      const { into, tell } = wait.for;
      scene.gatherInto(into, () => {
        ordered = { now: take(effect, result, by) };
        tell(ordered.now);
      });
    };
    headings.ordered(effect.device, by);
    devices.order(effect, answer, by.of);
    if (ordered) return ordered;
    const { tell, told: isTold } = createEventually<Ordered>();
    wait.for = { into: gathered(), tell };
    return isTold();
  };

  const lengthOf = ({ for: length, until }: When): number | undefined =>
    length ?? (until === undefined ? undefined : scene.secondsUntil(until));

  /** Begins something, and takes it back after a while if it is to last only that long. */
  const begin = ({ when, ...effect }: Effect, by: Orderer): Eventually<Ordered> => {
    const { device } = effect;
    const before = store.get(device);
    const ordered = orderNow(effect, by);
    const length = when && lengthOf(when);
    if (length === undefined || "call" in effect) return ordered;
    onceThere(ordered, (became) => {
      if (became !== "done") return;
      const set: Record<string, Value> = {};
      for (const property of Object.keys(writtenIn(effect))) {
        const value = before[property];
        if (value !== undefined) set[property] = value;
      }
      clock.at(clock.elapsed() + length, () => order({ device, set }, by));
    });
    return ordered;
  };

  const order: Orders["order"] = (effect, by) => {
    const { device } = effect;
    const needs = accessTo(book.devices.get(device), effect);
    if (exceeds(needs, by.cause.grant)) {
      record({ event: "refused", what: whyNot(device, needs), ...told(by) });
      return { now: "refused" };
    }
    const start = effect.when && startOf(scene, effect.when);
    if (start === undefined) return begin(effect, by);
    gathered().later.push(effect);
    clock.at(clock.elapsed() + start, () => begin(effect, by));
    return { now: "done" };
  };

  /** Lets something out that is no order, and writes down whether it went. */
  const gone = (
    ask: (answer: (result: DeviceResult) => void) => void,
    event: (result: DeviceResult) => LogEvent,
  ): Eventually<boolean> => {
    const { tell, told: isTold } = createEventually<boolean>();
    const into = gathered();
    ask((result) => {
      scene.gatherInto(into, () => {
        record(event(result));
        tell(result.ok);
      });
    });
    return isTold();
  };

  return {
    apply,
    order,
    send: (message, by) =>
      gone(
        (answer) => {
          devices.send(message, answer, by.of);
        },
        (result) =>
          result.ok
            ? { event: "sent", ...message, ...told(by) }
            : { event: "unsent", to: message.to, what: result.what, ...told(by) },
      ),
    notify: (note, by) =>
      gone(
        (answer) => {
          devices.notify(note, answer, by.of);
        },
        (result) =>
          result.ok
            ? { event: "notified", ...note, ...told(by) }
            : { event: "unnotified", person: note.person, what: result.what, ...told(by) },
      ),
    report(device, values) {
      // What was ordered together and is told together is one change.
      const parts = new Map<Orderer | undefined, Record<string, Value>>();
      for (const [property, value] of Object.entries(values)) {
        const by = headings.orderer(device, property);
        const part = parts.get(by) ?? {};
        part[property] = value;
        parts.set(by, part);
      }
      headings.reached(device, values);
      for (const [by = { cause: unspoken }, part] of parts) apply(device, part, by);
    },
    heading: (device) => ({ ...store.get(device), ...headings.of(device) }),
  };
}

function whyNot(device: string, needs: VoiceAccess): string {
  if (needs === "barred") return `voice is barred from ${device}`;
  return `${device} needs ${needs === "code" ? "the code" : "a confirmation"}`;
}

/** Why no device of the home can do what an effect asks; undefined where one can. */
function problemOf({ book }: Scene, effect: Effect): string | undefined {
  const { device: id } = effect;
  const device = book.devices.get(id);
  if (!device) return "there is no such device";
  const lack = lackOf(device, askedOf(effect));
  if (lack) return tellReason({ reason: "unable", id, lack });
  if ("call" in effect) return undefined;
  for (const [property, value] of Object.entries(writtenIn(effect))) {
    const schema = device.properties.get(property);
    const check = "set" in effect && schema ? checkValue(schema, value) : undefined;
    if (check?.ok === false) return `its ${property} ${explainValueProblem(check.problem)}`;
    if (!("set" in effect) && !Number.isFinite(value)) {
      return `its ${property} cannot change by ${value}`;
    }
  }
  return undefined;
}

/** Seconds until something is to begin; undefined for at once. */
export function startOf(scene: Scene, when: When): number | undefined {
  return when.in ?? (when.at === undefined ? undefined : scene.secondsUntil(when.at));
}
