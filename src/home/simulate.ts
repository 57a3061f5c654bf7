import type { HearContext } from "../hearing/context.ts";
import { heardBy } from "../hearing/heard-by.ts";
import type { Heard } from "../commands/outcome.ts";
import { readContext, readState } from "../hearing/context.ts";
import { membersOf, shown, textsOf } from "../source/border.ts";
import { WrongUse, unknownId } from "../source/wrong-use.ts";
import {
  type State,
  type Value,
  checkValue,
  explainValueProblem,
  isValue,
} from "../phrasebook/property.ts";
import { parseDuration } from "../time/duration.ts";
import { type Book, asBook } from "../book/book.ts";
import { unspoken } from "./cause.ts";
import {
  type Conversation,
  type Listening,
  type Memory,
  createConversation,
  newMemory,
} from "./converse.ts";
import { type Fault, readFault } from "./devices.ts";
import type { LogEntry } from "./log.ts";
import { createOrders } from "./orders.ts";
import { createRoutines } from "./routines.ts";
import { type Deed, type Performed, type SceneOptions, createScene } from "./scene.ts";
import { createTriggers } from "./triggers.ts";

/** What a simulated home starts from. */
export interface SimulateOptions extends SceneOptions {
  /** How devices misbehave. */
  faults?: Readonly<Record<string, Fault | undefined>>;
  /** Who is not at home. */
  away?: readonly string[];
}

/** Values for the slots of a routine; for a target the ids of devices, groups, rooms or zones. */
type RunSlots = Readonly<Record<string, Value | readonly string[]>>;

/** A home of values in memory in place of devices, and a clock that moves when it is told to. */
export interface SimulatedHome {
  /** Does what was heard; an outcome other than `act` changes nothing. */
  perform: (heard: Heard) => Promise<Performed>;
  /** The conversation at a voicepoint: turns with memory, the same one whenever it is asked for. */
  converse: (context?: Pick<HearContext, "at" | "language">) => Conversation;
  /** Sets a routine off by hand, with values for its slots: a duration is in seconds. */
  run: (routine: string, slots?: RunSlots) => Promise<Performed>;
  /** Lets time pass, and everything happen that it brings: `"25m"`, or seconds. */
  wait: (duration: string | number) => Promise<void>;
  /** Something outside of speech and routines changes: a sensor, a hand on a switch. */
  set: (device: string, values: State) => void;
  press: (button: string) => void;
  presence: (person: string, is: "home" | "away") => void;
  /** Makes a device misbehave, or behave again. */
  fault: (device: string, fault: Fault | undefined) => void;
  /** The state of every device. */
  states: () => Record<string, State>;
  /** The local time of the home, `2026-03-02T18:05:00`. */
  time: () => string;
  log: () => readonly LogEntry[];
}

/** A home whose calls come to an end at once; what suites and conversations work with. */
export interface Home extends Omit<SimulatedHome, "perform" | "run" | "wait">, Listening {
  book: Book;
  run: (routine: string, slots?: RunSlots) => Performed;
  wait: (seconds: number) => void;
  /** Lets time pass until a time of day, `18:30`, comes next, or a local time. */
  waitUntil: (point: string) => void;
  /** Seconds until a local time, or until a time of day comes next. */
  secondsUntil: (point: string) => number;
  /** Lets what is moving come to where it goes. */
  settle: () => void;
  /** All that devices were ordered and did. */
  deeds: () => readonly Deed[];
}

/**
 * Makes a home to act in. It never throws: states of devices or properties that do not exist are
 * left out.
 */
export function simulate(book: Book, options: SimulateOptions = {}): SimulatedHome {
  const home = createHome(asBook(book), readOptions(options));
  const { converse, set, press, presence, fault, states, time, log } = home;
  return {
    converse,
    set,
    press,
    presence,
    fault,
    states,
    time,
    log,
    perform: (heard) => promised(() => home.perform(heardBy(book, heard, home.state))),
    run: (routine, slots) =>
      promised(() => {
        if (book.routines.has(routine)) return home.run(routine, slots);
        throw unknownId("routine", routine, book.routines.keys());
      }),
    wait: (duration) =>
      promised(() => {
        home.wait(secondsOf(duration));
      }),
  };
}

/** What is wrong with a call rejects its promise, and is never thrown past it. */
function promised<T>(act: () => T): Promise<T> {
  return new Promise((resolve) => {
    resolve(act());
  });
}

/** Longest time that passes in one call: what is asked for by mistake does not take for ever. */
const longestWait = 1100 * 86_400;

function secondsOf(duration: unknown): number {
  const seconds = typeof duration === "string" ? parseDuration(duration) : duration;
  if (typeof seconds === "number" && seconds >= 0 && seconds <= longestWait) return seconds;
  const fix = 'write seconds, or a duration such as "25m", of three years at most';
  throw new WrongUse(`a home cannot wait ${shown(duration)}: ${fix}`, "wrong-duration");
}

/** Options as somebody passes them who need not have read their type; what cannot be is left out. */
function readOptions(options: unknown): SimulateOptions {
  const { states, time, faults, away } = membersOf(options);
  const given = Object.entries(membersOf(states)).map(
    ([id, state]) => [id, readState(state) ?? {}] as const,
  );
  const broken = Object.entries(membersOf(faults)).map(
    ([id, fault]) => [id, readFault(fault)] as const,
  );
  return {
    states: Object.fromEntries(given),
    ...(typeof time === "string" ? { time } : {}),
    faults: Object.fromEntries(broken),
    away: textsOf(away),
  };
}

/** Makes a home whose calls end at once, as suites need it. */
export function createHome(book: Book, options: SimulateOptions): Home {
  const scene = createScene(book, options);
  const { store, timers, elapsed } = scene;
  const orders = createOrders(scene, options.faults ?? {}, {
    changed: (cause) => {
      triggers.changed(cause);
    },
    pressed: (button, cause) => {
      triggers.pressed(button, cause);
    },
  });
  const routines = createRoutines(scene, orders);
  const triggers = createTriggers(scene, options.away ?? [], routines.start);
  const memories = new Map<string, Memory>();

  /** A call from outside, with what it sets off at once. */
  const around = (act: () => void): Performed =>
    scene.gather(() => {
      act();
      timers.runUntil(elapsed(), () => undefined);
    });
  /** The same for what speaks; what is set off by the doing speaks for itself. */
  const spoken = (act: () => void): Performed => {
    let reply = "";
    const performed = around(() => {
      act();
      reply = scene.gathered().reply;
    });
    return { ...performed, reply };
  };
  const wait = (seconds: number): void => {
    triggers.begin();
    scene.pass(seconds);
  };

  const home: Home = {
    book,
    converse: (given = {}) => {
      const context = readContext(book, given);
      const { at } = context;
      // A voicepoint has one memory, whoever speaks to it.
      let memory = memories.get(at ?? "");
      if (!memory) memories.set(at ?? "", (memory = newMemory()));
      return createConversation(book, home, context, memory);
    },
    perform: (heard) =>
      spoken(() => {
        routines.perform(heard);
      }),
    run: (id, slots) =>
      around(() => {
        const routine = book.routines.get(id);
        const how = { because: "by hand", isMeant: true, cause: unspoken };
        if (routine) routines.start(routine, slots ? { ...how, slots } : how);
      }),
    wait,
    waitUntil: (point) => {
      wait(scene.secondsUntil(point));
    },
    set: (device, values) => {
      const known = knownValues(book, device, values);
      if (typeof known === "string") {
        scene.record({ event: "refused", what: known });
        return;
      }
      around(() => {
        orders.apply(device, known, { cause: unspoken });
      });
    },
    press: (button) => {
      if (book.devices.get(button)?.actions.includes("press") !== true) {
        scene.record({ event: "refused", what: `there is no button ${shown(button)}` });
        return;
      }
      around(() => {
        triggers.pressed(button, unspoken);
      });
    },
    presence: (person, is) => {
      if (!book.people.has(person) || !["home", "away"].includes(is)) {
        scene.record({
          event: "refused",
          what: `there is no person ${shown(person)} to be ${shown(is)}`,
        });
        return;
      }
      around(() => {
        triggers.presence(person, is);
      });
    },
    fault: (device, fault) => {
      if (book.devices.has(device)) orders.fault(device, readFault(fault));
      else scene.record({ event: "refused", what: `there is no device ${shown(device)}` });
    },
    states: store.all,
    state: store.get,
    time: scene.localTime,
    log: scene.log,
    record: scene.record,
    deeds: scene.deeds,
    secondsUntil: scene.secondsUntil,
    elapsed,
    code: scene.code,
    asking: routines.asking,
    question: scene.question,
    undo: (effects, cause, reply) =>
      spoken(() => {
        routines.undo(effects, cause, reply);
      }),
    settle: () => {
      const left = orders.moving();
      if (left > 0) wait(left);
    },
  };
  return home;
}

/** Values that a device can have, read-only ones included; or why it cannot have them. */
function knownValues(book: Book, id: string, values: State): State | string {
  const device = book.devices.get(id);
  if (!device) return `there is no device ${shown(id)}`;
  const known: Record<string, Value> = {};
  for (const [property, value] of Object.entries(membersOf(values))) {
    const schema = device.properties.get(property);
    if (!schema) return `${id} has no ${property}`;
    if (!isValue(value)) return `the ${property} of ${id} cannot be ${shown(value)}`;
    const check = checkValue(schema, value);
    if (!check.ok) return `the ${property} of ${id} ${explainValueProblem(check.problem)}`;
    known[property] = value;
  }
  return known;
}
