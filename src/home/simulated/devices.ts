import { asBook } from "../../book/book.ts";
import { valuesOf } from "../../commands/effects.ts";
import type { Phrasebook } from "../../phrasebook/model.ts";
import type { State, Value } from "../../model/property.ts";
import { membersOf } from "../../source/border.ts";
import { WrongUse } from "../../source/wrong-use.ts";
import type { Clock, Devices } from "../ports.ts";
import { type Movements, createMovements } from "./movements.ts";

/** How a simulated device misbehaves. */
export type Fault =
  | { fault: "offline" }
  /** Fails the next time, or every time. */
  | { fault: "fails"; times: "once" | "always" }
  /** Takes this many seconds to do anything. */
  | { fault: "slow"; seconds: number }
  /** Takes numbers only in steps of this. */
  | { fault: "rounds"; to: number };

/** Devices of values in memory, each with the faults that it was told to have. */
export interface SimulatedDevices extends Devices {
  fault: (device: string, fault: Fault | undefined) => void;
  /** Seconds until everything that moves has come to where it goes. */
  moving: () => number;
}

/** Seconds that a blind or gate takes from one end to the other. */
const travelTime = 20;

/** What simulated devices are made with. */
export interface Simulation {
  book: Phrasebook;
  clock: Clock;
  /** The state that a device is known to have. */
  state: (device: string) => State;
  /** Tells the home what a device has come to. */
  report: (device: string, values: State) => void;
}

/**
 * Devices of values in memory: a house without a home in it.
 *
 * @throws WrongUse without a phrasebook, a clock and the two functions.
 */
export function simulateDevices(simulation: Simulation): SimulatedDevices {
  const { book, clock, state, report } = readSimulation(simulation);
  const faults = new Map<string, Fault>();
  // Most homes of a suite have nothing in them that moves.
  let made: Movements | undefined;
  const movements = (): Movements => (made ??= createMovements(book, clock, state, report));
  return {
    fault: (device, fault) => {
      if (fault) faults.set(device, fault);
      else faults.delete(device);
    },
    moving: () => made?.left() ?? 0,
    send: (_, answer) => {
      answer({ ok: true });
    },
    notify: (_, answer) => {
      answer({ ok: true });
    },
    order(effect, answer) {
      const { device } = effect;
      const fault = faults.get(device);
      if (fault?.fault === "offline") {
        answer({ ok: false, what: "offline" });
        return;
      }
      if (fault?.fault === "fails") {
        if (fault.times === "once") faults.delete(device);
        answer({ ok: false, what: "failed" });
        return;
      }
      if ("call" in effect) {
        answer({ ok: true, values: effect.call === "stop" ? movements().stop(device) : {} });
        return;
      }
      const wanted = valuesOf(book, state(device), effect);
      const values = fault?.fault === "rounds" ? rounded(wanted, fault.to) : wanted;
      const slowness = fault?.fault === "slow" ? fault.seconds : 0;
      const takes = slowness + travel(book, state(device), device, values);
      if (takes === 0) {
        made?.end(device, Object.keys(values));
        answer({ ok: true, values });
      } else {
        movements().begin(device, values, takes);
        answer({ ok: true, heading: values });
      }
    },
  };
}

function readSimulation(given: Simulation): Simulation {
  const { book, clock, state, report } = membersOf(given);
  asBook(book);
  const { elapsed, at } = membersOf(clock);
  if ([elapsed, at, state, report].every((each) => typeof each === "function")) return given;
  throw new WrongUse("devices need { book, clock, state, report }", "wrong-option");
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
function travel(book: Phrasebook, before: State, device: string, values: State): number {
  const kind = book.devices.get(device)?.kind;
  const to = values["position"];
  const from = before["position"];
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
