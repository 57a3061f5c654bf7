import { valuesOf } from "../commands/effects.ts";
import type { Effect } from "../commands/outcome.ts";
import type { Phrasebook } from "../phrasebook/model.ts";
import type { State, Value } from "../phrasebook/property.ts";
import { membersOf } from "../source/border.ts";
import type { StateStore } from "./states.ts";

/** What a device made of an order. */
export type DeviceResult =
  | {
      ok: true;
      values: Readonly<Record<string, Value>>;
      /** Seconds until it is so. */ takes: number;
    }
  | { ok: false; what: string };

/** What a home is made of: a simulated one keeps values in memory, a real one has devices. */
export interface Devices {
  state: (device: string) => State;
  order: (effect: Effect) => DeviceResult;
}

/** How a simulated device misbehaves. */
export type Fault =
  | { fault: "offline" }
  /** Fails the next time, or every time. */
  | { fault: "fails"; times: "once" | "always" }
  /** Takes this many seconds to do anything. */
  | { fault: "slow"; seconds: number }
  /** Takes numbers only in steps of this. */
  | { fault: "rounds"; to: number };

/** Seconds that a blind or gate takes from one end to the other. */
const travelTime = 20;

/** Devices of values in memory, each with the faults that it was told to have. */
export function simulateDevices(
  book: Phrasebook,
  store: StateStore,
  faults: Map<string, Fault>,
): Devices {
  return {
    state: store.get,
    order(effect) {
      const { device } = effect;
      const fault = faults.get(device);
      if (fault?.fault === "offline") return { ok: false, what: "offline" };
      if (fault?.fault === "fails") {
        if (fault.times === "once") faults.delete(device);
        return { ok: false, what: "failed" };
      }
      const wanted = valuesOf(book, store.get(device), effect);
      const values = fault?.fault === "rounds" ? rounded(wanted, fault.to) : wanted;
      const slowness = fault?.fault === "slow" ? fault.seconds : 0;
      return { ok: true, values, takes: slowness + travel(book, store, device, values) };
    },
  };
}

function rounded(values: Readonly<Record<string, Value>>, to: number): Record<string, Value> {
  return Object.fromEntries(
    Object.entries(values).map(([name, value]) => [
      name,
      typeof value === "number" ? Math.round(value / to) * to : value,
    ]),
  );
}

/** What moves takes a while. */
function travel(
  book: Phrasebook,
  store: StateStore,
  device: string,
  values: Readonly<Record<string, Value>>,
): number {
  const kind = book.devices.get(device)?.kind;
  const to = values["position"];
  const from = store.get(device)["position"];
  if (kind !== "blind" && kind !== "gate") return 0;
  if (typeof to !== "number" || typeof from !== "number") return 0;
  return Math.ceil((Math.abs(to - from) / 100) * travelTime);
}

/** A fault as somebody passes it who need not have read its type; undefined for what is none. */
export function readFault(fault: unknown): Fault | undefined {
  const { fault: sort, times, seconds, to } = membersOf(fault);
  switch (sort) {
    case "offline":
      return { fault: "offline" };
    case "fails":
      return { fault: "fails", times: times === "once" ? "once" : "always" };
    case "slow":
      return isAmount(seconds) ? { fault: "slow", seconds } : undefined;
    case "rounds":
      return isAmount(to) ? { fault: "rounds", to } : undefined;
    default:
      return undefined;
  }
}

function isAmount(value: unknown): value is number {
  return typeof value === "number" && Number.isFinite(value) && value > 0;
}
