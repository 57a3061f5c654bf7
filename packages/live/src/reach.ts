import {
  type Alive,
  type Binding,
  type Book,
  type Contact,
  type DeviceResult,
  type Effect,
  type Listening,
  type LiveHome,
  type Message,
  type Note,
  type State,
  type TimeSource,
  type Value,
  valuesOrdered,
} from "calm-phrase";
import type { Connections } from "./connections.ts";
import { fromDevice } from "./mapping.ts";
import { atPointer, jsonOrText } from "./pointer.ts";
import { asText } from "./messages.ts";
import { messagesFor, resultOf } from "./ordering.ts";
import { messageTime, notifyOver, sendOut } from "./sending.ts";

/** The devices of a home, reached as its bindings say. */
export interface Reach {
  order: (effect: Effect, state: State) => Promise<DeviceResult>;
  send: (message: Message) => Promise<DeviceResult>;
  notify: (note: Note) => Promise<DeviceResult>;
  /** Begins to tell a home what devices report, and who comes and goes. */
  begin: (home: Pick<LiveHome, "report" | "press" | "presence">) => void;
  /** Devices that say that they are not there. */
  away: () => string[];
  /** Looks at what a device that does not tell by itself has to tell. */
  look: (device: string) => Promise<void>;
  /** Does something that counts as asked until it is over. */
  counted: <T>(work: () => Promise<T>) => Promise<T>;
  /** Whether nothing is asked that is not answered. */
  isQuiet: () => boolean;
  /** Resolves once nothing is asked that is not answered. */
  quiet: () => Promise<void>;
  close: () => void;
}

/** Somebody who waits for what a device tells. */
interface Waiting {
  property: string;
  heard: (value: Value) => void;
}

/** Seconds in which a device that tells something else than it was asked may still come to that. */
const grace = 1;
/** Seconds between two looks at a web service for what it was just asked. */
const lookAgain = 0.25;
/** Seconds between two looks at what is on its way, and until it is looked at no more often than usual. */
const lookOnWay = 1;
const longestWay = 600;

export interface ReachOptions {
  book: Book;
  connections: Connections;
  /** The time by which web services are looked at again. */
  time: TimeSource;
  /** Told of what a device says that no property can be. */
  unread: (device: string, property: string, text: string) => void;
}

export function createReach({ book, connections, time, unread }: ReachOptions): Reach {
  const waiting = new Map<string, Set<Waiting>>();
  const absent = new Set<string>();
  /** What calls off all that is to be looked at later. */
  const coming = new Set<() => void>();
  let isOpen = true;
  let home: Pick<LiveHome, "report"> | undefined;
  let asked = 0;
  let whenQuiet: (() => void)[] = [];

  /** What a device tells of one property: whoever waits hears it, and so does the home. */
  const take = (binding: Binding, property: string, text: string): Value | undefined => {
    const { device } = binding;
    const bound = binding.properties.get(property);
    const schema = book.devices.get(device)?.properties.get(property);
    if (!bound?.report || !schema) return undefined;
    const told = atPointer(jsonOrText(text), bound.report.pointer);
    // A message about something else.
    if (told === undefined && bound.report.pointer !== "") return undefined;
    const value = fromDevice(bound.mapping, schema, told);
    if (value === undefined) {
      unread(device, property, text);
      return undefined;
    }
    const asking = [...(waiting.get(device) ?? [])].filter((each) => each.property === property);
    for (const each of asking) each.heard(value);
    // What was ordered comes to the home with the answer, as what was done.
    if (asking.length === 0) home?.report(device, { [property]: value });
    return value;
  };

  /** Asks a web service what some properties are; those that are told at one place are one question. */
  const lookAt = async (
    binding: Binding,
    names: readonly string[],
  ): Promise<ReadonlyMap<string, Value>> => {
    const found = new Map<string, Value>();
    for (const { report, told } of placesOf(binding, names)) {
      const answer = await connections.look(binding.connection, report, binding.within);
      if (!answer.ok || answer.text === undefined) continue;
      for (const name of told) {
        const value = take(binding, name, answer.text);
        if (value !== undefined) found.set(name, value);
      }
    }
    return found;
  };

  const later = (seconds: number, act: () => void): void => {
    if (!isOpen) return;
    const cancel = time.after(seconds, () => {
      coming.delete(cancel);
      act();
    });
    coming.add(cancel);
  };
  const often = (seconds: number, act: () => Promise<unknown>): void => {
    later(seconds, () => {
      void counted(act);
      often(seconds, act);
    });
  };

  /** Tells a home who comes and goes. */
  const followPresence = (
    { person, connection, presence }: Contact,
    of: Pick<LiveHome, "presence">,
  ): void => {
    if (!presence) return;
    const take = (text: string): void => {
      const isHome = isTold(presence, text);
      if (isHome !== undefined) of.presence(person, isHome ? "home" : "away");
    };
    connections.listen(connection, presence.from, take);
    if (presence.every === undefined) return;
    often(presence.every, async () => {
      const answer = await connections.look(connection, presence, messageTime);
      if (answer.ok && answer.text !== undefined) take(answer.text);
    });
  };

  /** Looks where something that moves is, until it has come to where it goes. */
  const followWay = (binding: Binding, property: string, wanted: Value): void => {
    const until = time.now() + longestWay;
    const look = (): void => {
      later(lookOnWay, () => {
        if (time.now() > until) return;
        void counted(() => lookAt(binding, [property])).then((found) => {
          if (found.get(property) !== wanted) look();
        });
      });
    };
    look();
  };

  /** Waits for a device to tell that it has come to a value; what it told, if it did not. */
  const confirmed = (
    binding: Binding,
    property: string,
    { wanted, before }: { wanted: Value; before: Value | undefined },
  ): { told: Promise<Value | undefined>; stop: () => void } => {
    const { device, within } = binding;
    const isMoving = binding.properties.get(property)?.moves === true;
    let stop = (): void => undefined;
    const told = new Promise<Value | undefined>((resolve) => {
      let last: Value | undefined;
      let soon: NodeJS.Timeout | undefined;
      const end = (value: Value | undefined): void => {
        clearTimeout(late);
        clearTimeout(soon);
        waiting.get(device)?.delete(mine);
        resolve(value);
      };
      const late = setTimeout(() => {
        end(last);
      }, within * 1000);
      const mine: Waiting = {
        property,
        heard(value) {
          last = value;
          if (value === wanted || isMoving) end(value);
          // That it is as it was may be said by the way, before it has come to what was asked.
          else if (value !== before)
            soon ??= setTimeout(
              () => {
                end(last);
              },
              Math.min(grace, within) * 1000,
            );
        },
      };
      const same = waiting.get(device);
      if (same) same.add(mine);
      else waiting.set(device, new Set([mine]));
      stop = () => {
        end(undefined);
      };
    });
    return { told, stop };
  };

  /** Orders values, once. */
  const orderOnce = async (
    binding: Binding,
    wanted: State,
    before: State,
  ): Promise<DeviceResult> => {
    const { device, within, connection } = binding;
    const messages = messagesFor(book, binding, wanted);
    if (typeof messages === "string") return { ok: false, what: messages };
    const watched = Object.entries(wanted).filter(([name]) => binding.properties.get(name)?.report);
    const waits = watched.map(
      ([name, value]) =>
        [name, confirmed(binding, name, { wanted: value, before: before[name] })] as const,
    );
    for (const { message, value } of messages) {
      const sent = await connections.send(connection, { message, value, within });
      if (sent.ok) continue;
      for (const [, { stop }] of waits) stop();
      return sent;
    }
    const isWeb = book.connections.get(connection)?.protocol === "http";
    const names = watched.map(([name]) => name);
    const lookAll = (): void => void lookAt(binding, names);
    // A web service tells nothing by itself.
    const looking = isWeb ? setInterval(lookAll, lookAgain * 1000) : undefined;
    if (isWeb) lookAll();
    const told = new Map<string, Value | undefined>();
    for (const [name, { told: value }] of waits) told.set(name, await value);
    clearInterval(looking);
    const result = resultOf(book, binding, wanted, told);
    const done = result.ok ? (result.values ?? {}) : {};
    for (const [name, value] of told) {
      if (value !== undefined && !(name in done)) home?.report(device, { [name]: value });
    }
    const ways = result.ok && isWeb ? Object.entries(result.heading ?? {}) : [];
    for (const [name, value] of ways) followWay(binding, name, value);
    return result;
  };

  /** What a source has to tell, held to what it may; one that has not answered has failed. */
  const fetched = async (binding: Binding): Promise<DeviceResult> => {
    if (book.connections.get(binding.connection)?.protocol !== "http")
      return { ok: true, values: {} };
    const names = [...binding.properties.keys()];
    const found = await lookAt(binding, names);
    const lacking = names.find((name) => !found.has(name));
    if (lacking !== undefined) return { ok: false, what: `it does not tell its ${lacking}` };
    // What it told came to the home as what is so, and is nothing that was done.
    return { ok: true, values: {} };
  };

  const orderTo = async (effect: Effect, state: State): Promise<DeviceResult> => {
    const { device } = effect;
    const binding = book.bindings.get(device);
    if (!binding) return { ok: false, what: "nothing tells how it is reached" };
    if (absent.has(device)) return { ok: false, what: "it is not there" };
    if ("call" in effect && book.devices.get(device)?.kind === "source") return fetched(binding);
    if ("call" in effect) {
      const message = binding.actions.get(effect.call);
      if (!message) return { ok: false, what: `nothing tells how to ${effect.call} it` };
      const { connection, within } = binding;
      const sent = await connections.send(connection, { message, value: effect.with, within });
      return sent.ok ? { ok: true, values: {} } : sent;
    }
    const wanted = valuesOrdered(book, state, effect);
    let result: DeviceResult = { ok: false, what: "no answer" };
    for (let turn = 0; turn < binding.tries && !result.ok; turn++) {
      result = await orderOnce(binding, wanted, state);
    }
    return result;
  };

  /** Counts what is on its way. */
  const counted = async <T>(work: () => Promise<T>): Promise<T> => {
    asked++;
    try {
      return await work();
    } finally {
      asked--;
      if (asked === 0) for (const then of whenQuiet.splice(0)) then();
    }
  };

  return {
    counted,
    order: (effect, state) => counted(() => orderTo(effect, state)),
    send: (message) => counted(() => sendOut(connections, message)),
    notify: (note) => counted(() => notifyOver(book, connections, note)),
    begin(of) {
      home = of;
      for (const binding of book.bindings.values()) {
        const { alive, pressed, connection, device } = binding;
        if (pressed) {
          connections.listen(connection, pressed.from, (text) => {
            const told = atPointer(jsonOrText(text), pressed.pointer);
            if (told !== undefined && told !== false) of.press(device);
          });
        }
        if (alive) {
          connections.listen(connection, alive.from, (text) => {
            const isThere = isTold(alive, text);
            if (isThere === true) absent.delete(device);
            else if (isThere === false) absent.add(device);
          });
        }
        for (const [property, { report }] of binding.properties) {
          if (!report) continue;
          connections.listen(connection, report.from, (text) => {
            take(binding, property, text);
          });
        }
        for (const { report, told } of placesOf(binding, [...binding.properties.keys()])) {
          if (report.every !== undefined) often(report.every, () => lookAt(binding, told));
        }
      }
      for (const contact of book.contacts.values()) followPresence(contact, of);
    },
    away: () => [...absent],
    async look(device) {
      const binding = book.bindings.get(device);
      if (!binding || book.connections.get(binding.connection)?.protocol !== "http") return;
      await counted(() => lookAt(binding, [...binding.properties.keys()]));
    },
    isQuiet: () => asked === 0,
    quiet: () =>
      asked === 0 ? Promise.resolve() : new Promise((resolve) => whenQuiet.push(resolve)),
    close() {
      isOpen = false;
      for (const cancel of coming) cancel();
      coming.clear();
      home = undefined;
      whenQuiet = [];
    },
  };
}

/** Whether a text tells that something is there; undefined for one about something else. */
function isTold({ pointer, is }: Alive, text: string): boolean | undefined {
  const told = atPointer(jsonOrText(text), pointer);
  return told === undefined ? undefined : asText(told) === asText(is);
}

/** The places at which properties are told, each with those that are. */
function placesOf(
  { properties }: Binding,
  names: readonly string[],
): { report: Listening; told: string[] }[] {
  const places = new Map<string, { report: Listening; told: string[] }>();
  for (const name of names) {
    const report = properties.get(name)?.report;
    if (!report) continue;
    const place = places.get(report.from) ?? { report, told: [] };
    place.told.push(name);
    places.set(report.from, place);
  }
  return [...places.values()];
}
