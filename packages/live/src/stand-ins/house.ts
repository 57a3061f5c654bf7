import {
  type Alive,
  type Binding,
  type Book,
  type Clock,
  type Fault,
  type OrderMessage,
  type SimulatedDevices,
  type State,
  type TimeSource,
  type Value,
  simulateDevices,
} from "calm-phrase";
import { type Broker, connectBroker } from "../broker.ts";
import { machineTime } from "calm-phrase/node";
import { fromDevice, toDevice } from "../mapping.ts";
import { asText } from "../messages.ts";
import { valueIn } from "./order-text.ts";
import { type WebHouse, startWebHouse } from "./web-house.ts";

/** How a device of the house misbehaves: as simulated ones do, and in what it tells. */
export type HouseFault =
  Fault | { fault: "lies" } | { fault: "repeats" } | { fault: "late"; seconds: number };

/** A house of devices that are reached over MQTT and HTTP, as the bindings of a phrasebook say. */
export interface House {
  /** URLs of the web services that it stands for, by connection. */
  urls: Readonly<Record<string, string>>;
  states: () => Record<string, State>;
  fault: (device: string, fault: HouseFault | undefined) => void;
  /** A hand at a switch, or what a sensor measures. */
  set: (device: string, values: State) => void;
  press: (button: string) => void;
  /** Somebody comes home, or goes, and is told to be there or not. */
  presence: (person: string, is: "home" | "away") => void;
  /** Seconds until everything that moves has come to where it goes. */
  moving: () => number;
  /** Orders that came in, in order: `kiln-vent speed 60`; and what people were told: `mara notify …`. */
  orders: () => readonly string[];
  /** Puts every device back to what it starts with, or to these states, and mends all faults. */
  reset: (states?: Readonly<Record<string, State>>) => void;
  close: () => Promise<void>;
}

export interface HouseOptions {
  /** Brokers by connection: `{ workshop: "mqtt://127.0.0.1:1883" }`. */
  brokers: Readonly<Record<string, string>>;
  /** The login of the brokers, `user:password`. */
  login?: string;
  time?: TimeSource;
}

/** Starts a house on loopback, with web services of its own. */
export async function startHouse(
  book: Book,
  { brokers: urls, login, time = machineTime() }: HouseOptions,
): Promise<House> {
  const brokers = new Map<string, Broker>();
  for (const [id, url] of Object.entries(urls)) brokers.set(id, connectBroker({ url, login }));
  const webs = new Map<string, WebHouse>();
  const states = new Map<string, Record<string, Value>>();
  const telling = new Map<string, HouseFault>();
  const orders: string[] = [];
  let devices: SimulatedDevices;
  let began = time.now();
  let isBegun = false;

  const stateOf = (device: string): State => states.get(device) ?? {};
  /** What a device tells of itself at one place: all its properties that are told there. */
  const telledAt = (binding: Binding, from: string): string => {
    const parts = [...binding.properties].filter(([, { report }]) => report?.from === from);
    let whole: unknown = undefined;
    for (const [name, { report, mapping }] of parts) {
      const schema = book.devices.get(binding.device)?.properties.get(name);
      const value = stateOf(binding.device)[name];
      if (!schema || value === undefined || !report) continue;
      whole = placed(whole, report.pointer, toDevice(mapping, schema, value));
    }
    return typeof whole === "string" ? whole : JSON.stringify(whole);
  };
  const gone = new Set<string>();
  /** What is told of where somebody is. */
  const placeOf = (person: string, { pointer, is }: Alive): string => {
    const told = placed(undefined, pointer, gone.has(person) ? "away" : is);
    return typeof told === "string" ? told : JSON.stringify(told);
  };
  const publish = (connection: string, topic: string, text: string, retain: boolean): void => {
    void brokers.get(connection)?.publish({ topic, text, retain, quality: 1, within: 10 });
  };
  const tell = (device: string, properties: readonly string[]): void => {
    const binding = book.bindings.get(device);
    if (!binding) return;
    const places = properties.flatMap((name) => binding.properties.get(name)?.report?.from ?? []);
    const fault = telling.get(device);
    for (const from of new Set(places)) {
      const text = telledAt(binding, from);
      const times = fault?.fault === "repeats" ? 3 : 1;
      const send = (): void => {
        for (let turn = 0; turn < times; turn++) publish(binding.connection, from, text, true);
      };
      if (fault?.fault === "late") time.after(fault.seconds, send);
      else send();
    }
  };
  const put = (device: string, values: State): void => {
    states.set(device, { ...states.get(device), ...values });
    tell(device, Object.keys(values));
  };

  const make = (): SimulatedDevices => {
    began = time.now();
    return simulateDevices({ book, clock: clockOver(time, began), state: stateOf, report: put });
  };
  devices = make();

  /** A device is ordered something; whether it took it. */
  const ordered = (binding: Binding, property: string, value: Value): boolean => {
    const { device } = binding;
    orders.push(`${device} ${property} ${String(value)}`);
    if (telling.get(device)?.fault === "lies") {
      tell(device, [property]);
      return true;
    }
    let isTaken = false;
    devices.order(
      { device, set: { [property]: value } },
      (result) => {
        isTaken = result.ok;
        if (result.ok) put(device, result.values ?? {});
        // On its way, or broken: it tells where it is.
        const isThere = result.ok || result.what !== "offline";
        if (isThere && !(result.ok && result.values)) tell(device, [property]);
      },
      undefined,
    );
    return isTaken;
  };
  const called = (binding: Binding, action: string, text: string): boolean => {
    const { device } = binding;
    orders.push(`${device} ${action}${text === "" ? "" : ` ${text}`}`);
    let isTaken = false;
    devices.order(
      { device, call: action },
      (result) => {
        isTaken = result.ok;
        if (result.ok) put(device, result.values ?? {});
      },
      undefined,
    );
    return isTaken;
  };
  const take = (
    binding: Binding,
    property: string,
    message: OrderMessage,
    text: string,
  ): boolean => {
    const bound = binding.properties.get(property);
    const schema = book.devices.get(binding.device)?.properties.get(property);
    const told = valueIn(message.body, text);
    if (!bound || !schema || told === undefined) return false;
    const value = fromDevice(bound.mapping, schema, told);
    return value === undefined ? false : ordered(binding, property, value);
  };

  for (const connection of book.connections.values()) {
    if (connection.protocol === "http") webs.set(connection.id, await startWebHouse());
  }
  for (const binding of book.bindings.values()) {
    const { connection, device, alive } = binding;
    const broker = brokers.get(connection);
    const web = webs.get(connection);
    for (const [property, { order, report }] of binding.properties) {
      if (order) {
        broker?.listen(order.to, (text) => take(binding, property, order, text));
        web?.order(order, (text) => take(binding, property, order, text));
      }
      if (report)
        web?.tell(report.from, () => (isAway(device) ? undefined : telledAt(binding, report.from)));
    }
    for (const [action, message] of binding.actions) {
      broker?.listen(message.to, (text) => called(binding, action, text));
      web?.order(message, (text) => called(binding, action, text));
    }
    if (alive) publish(connection, alive.from, String(alive.is), true);
  }
  for (const { connection, person, presence, notify } of book.contacts.values()) {
    if (notify) {
      const take = (text: string): boolean => {
        orders.push(`${person} notify ${asText(valueIn(notify.body, text))}`);
        return true;
      };
      brokers.get(connection)?.listen(notify.to, take);
      webs.get(connection)?.order(notify, take);
    }
    if (presence) webs.get(connection)?.tell(presence.from, () => placeOf(person, presence));
  }
  const isAway = (device: string): boolean => telling.get(device)?.fault === "offline";
  const reset: House["reset"] = (given = {}) => {
    for (const [device, fault] of telling) if (fault.fault === "offline") sayAlive(device, true);
    telling.clear();
    for (const person of [...gone]) presence(person, "home");
    devices = make();
    for (const { id, properties } of book.devices.values()) {
      const before = stateOf(id);
      const start = [...properties].map(([name, schema]) => [name, schema.default] as const);
      const state: State = { ...Object.fromEntries(start), ...given[id] };
      states.set(id, { ...state });
      const changed = Object.keys(state).filter((name) => state[name] !== before[name]);
      if (isBegun) tell(id, changed);
    }
    orders.length = 0;
  };
  const presence: House["presence"] = (person, is) => {
    if (is === "away") gone.add(person);
    else gone.delete(person);
    const contact = book.contacts.get(person);
    if (!contact?.presence) return;
    publish(contact.connection, contact.presence.from, placeOf(person, contact.presence), true);
  };
  const sayAlive = (device: string, isThere: boolean): void => {
    const binding = book.bindings.get(device);
    if (!binding?.alive) return;
    const text = isThere ? String(binding.alive.is) : "offline";
    publish(binding.connection, binding.alive.from, text, true);
  };
  reset();
  await Promise.all([...brokers.values()].map((broker) => broker.ready()));
  isBegun = true;
  for (const { id, properties } of book.devices.values()) tell(id, [...properties.keys()]);
  return {
    urls: Object.fromEntries([...webs].map(([id, { url }]) => [id, url])),
    states: () => Object.fromEntries([...states].map(([id, state]) => [id, { ...state }])),
    fault(device, fault) {
      if (isAway(device)) sayAlive(device, true);
      if (fault) telling.set(device, fault);
      else telling.delete(device);
      devices.fault(device, isSimulated(fault) ? fault : undefined);
      if (fault?.fault === "offline") sayAlive(device, false);
    },
    set: put,
    press(button) {
      const binding = book.bindings.get(button);
      if (binding?.pressed) publish(binding.connection, binding.pressed.from, "pressed", false);
    },
    presence,
    moving: () => devices.moving(),
    orders: () => orders,
    reset,
    async close() {
      await Promise.all([...brokers.values()].map((broker) => broker.close()));
      await Promise.all([...webs.values()].map((web) => web.close()));
    },
  };
}

function isSimulated(fault: HouseFault | undefined): fault is Fault {
  return fault !== undefined && ["offline", "fails", "slow", "rounds"].includes(fault.fault);
}

/** The clock of the house over a source of time. */
function clockOver(time: TimeSource, began: number): Clock {
  const elapsed = (): number => time.now() - began;
  return {
    elapsed,
    now: time.now,
    at: (instant, act) => time.after(Math.max(0, instant - elapsed()), act),
  };
}

/** A JSON value with another one at a JSON Pointer in it. */
function placed(whole: unknown, pointer: string, value: unknown): unknown {
  if (pointer === "") return value;
  const [key = "", ...rest] = pointer.slice(1).split("/");
  const inner: Record<string, unknown> =
    typeof whole === "object" && whole !== null ? { ...whole } : {};
  inner[key] = placed(inner[key], rest.length === 0 ? "" : `/${rest.join("/")}`, value);
  return inner;
}
