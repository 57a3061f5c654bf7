import type { Book } from "../book/book.ts";
import type { Heard } from "../commands/outcome.ts";
import { readContext } from "../hearing/context.ts";
import {
  type State,
  type Value,
  checkValue,
  explainValueProblem,
  isValue,
} from "../model/property.ts";
import { membersOf, shown, textOf } from "../source/border.ts";
import { type CallInput, type Called, readCall } from "./calls.ts";
import { unspoken } from "./cause.ts";
import { type Listening } from "./conversation/turns.ts";
import { type Memory, keptMemory, memoryOf, newMemory } from "./conversation/memory.ts";
import { type Talk, type TalkContext, createTalk } from "./conversation/converse.ts";
import { type Eventually, mapped } from "./eventually.ts";
import type { LogEntry } from "./log.ts";
import { createOrders } from "./orders.ts";
import type { Clock, Devices } from "./ports.ts";
import { createRoutines } from "./routines.ts";
import type { Rest } from "./snapshot.ts";
import { type Deed, type Performed, type SceneOptions, createScene } from "./scene.ts";
import { createTriggers } from "./triggers.ts";

/** What a home starts from. */
export interface HomeOptions extends SceneOptions {
  /** Who is not at home. */
  away?: readonly string[];
}

/** Values for the slots of a routine; for a target the ids of devices, groups, rooms or zones. */
export type RunSlots = Readonly<Record<string, Value | readonly string[]>>;

/** A home over its devices and its clock: routines, triggers, guards and conversations. */
export interface Home extends Listening {
  book: Book;
  converse: (context?: TalkContext) => Talk;
  /** Sets a routine off by hand, with values for its slots: a duration is in seconds. */
  run: (routine: string, slots?: RunSlots) => Eventually<Performed>;
  /** Somebody calls an address. */
  call: (address: string, input?: CallInput) => Eventually<Called>;
  /** Something outside of speech and routines changes: a sensor, a hand on a switch. */
  set: (device: string, values: State) => void;
  /** A device tells what it has come to: by an order, or by itself. */
  report: (device: string, values: State) => void;
  press: (button: string) => void;
  presence: (person: string, is: "home" | "away") => void;
  /** Sets the triggers of clock and sun. */
  begin: () => void;
  states: () => Record<string, State>;
  log: () => readonly LogEntry[];
  on: (listener: (entry: LogEntry) => void) => () => void;
  /** All that devices were ordered and did. */
  deeds: () => readonly Deed[];
  /** Seconds until a local time, or until a time of day comes next. */
  secondsUntil: (point: string) => number;
  /** It was stopped meanwhile: each run that is under way goes by what its routine says of that. */
  interrupt: () => void;
  /** Whether steps are on their way. */
  isUnderWay: () => boolean;
  /** What it is, where no steps are on their way and no question is open. */
  rest: () => Rest | undefined;
}

/**
 * What a home is made over. The devices are made with what they may ask of it: the state that one is
 * known to have, and a way to tell what it has come to.
 */
export interface Ports {
  clock: Clock;
  devices: (home: Pick<Home, "state" | "report">) => Devices;
}

/** Makes a home over its ports. */
export function createHome(book: Book, ports: Ports, options: HomeOptions): Home {
  const { clock, devices } = ports;
  const scene = createScene(book, clock, options);
  const { store } = scene;
  const orders = createOrders(
    scene,
    devices({
      state: store.get,
      report: (device, values) => {
        orders.report(device, values);
      },
    }),
    {
      changed: (cause) => {
        triggers.changed(cause);
      },
      pressed: (button, cause) => {
        triggers.pressed(button, cause);
      },
    },
  );
  const { rest } = options;
  const routines = createRoutines(scene, orders, rest?.rested);
  const begin = { away: rest?.away ?? options.away ?? [], held: rest?.held };
  const triggers = createTriggers(scene, begin, routines.start);
  const memories = new Map<string, Memory>(
    Object.entries(rest?.memories ?? {}).map(([session, memory]) => [session, memoryOf(memory)]),
  );

  /** A call from outside, with what it sets off at once. */
  const around = (act: () => void): Performed =>
    scene.gather(() => {
      act();
      clock.flush?.();
    });
  /** The same for what speaks; what is set off by the doing speaks for itself. */
  const spoken = (act: () => Eventually<void>): Eventually<Performed> => {
    let reply: Eventually<string> = { now: "" };
    const performed = around(() => {
      const into = scene.gathered();
      reply = mapped(act(), () => into.reply);
    });
    return mapped(reply, (said) => ({ ...performed, reply: said }));
  };
  /** Values that a device can have; what cannot be is told in the log. */
  const known = (device: string, values: State, take: (known: State) => void): void => {
    const read = knownValues(book, device, values);
    if (typeof read === "string") scene.record({ event: "refused", what: read });
    else {
      around(() => {
        take(read);
      });
    }
  };

  const home: Home = {
    book,
    converse: (talking = {}) => {
      const context = readContext(book, talking);
      const session = textOf(membersOf(talking)["session"]) ?? context.at ?? "";
      // A session has one memory, whatever language is spoken in it.
      let memory = memories.get(session);
      if (!memory) memories.set(session, (memory = newMemory()));
      return createTalk(book, home, { ...context, session }, memory);
    },
    perform: (heard: Heard, session?: string) => spoken(() => routines.perform(heard, session)),
    undo: (effects, cause, reply) => spoken(() => routines.undo(effects, cause, reply)),
    run: (id, slots) =>
      spoken(() => {
        const routine = book.routines.get(id);
        const how = { because: "by hand", isMeant: true, cause: unspoken };
        if (!routine) return { now: undefined };
        return routines.start(routine, slots ? { ...how, slots } : how);
      }),
    call(address, input = {}) {
      const read = readCall(book, scene.code, address, input);
      if ("called" in read) {
        if (read.why !== "unknown") scene.record({ event: "refused", what: read.what });
        return { now: read };
      }
      return mapped(
        spoken(() => routines.call(read, address)),
        (performed) => ({ called: true, performed }),
      );
    },
    set: (device, values) => {
      known(device, values, (read) => {
        orders.apply(device, read, { cause: unspoken });
      });
    },
    report: (device, values) => {
      known(device, values, (read) => {
        orders.report(device, read);
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
        const what = `there is no person ${shown(person)} to be ${shown(is)}`;
        scene.record({ event: "refused", what });
        return;
      }
      around(() => {
        triggers.presence(person, is);
      });
    },
    begin: triggers.begin,
    states: store.all,
    state: store.get,
    lastOn: store.lastOn,
    time: scene.localTime,
    log: scene.log,
    on: scene.on,
    record: scene.record,
    deeds: scene.deeds,
    secondsUntil: scene.secondsUntil,
    elapsed: clock.elapsed,
    code: scene.code,
    asking(session) {
      const asking = routines.asking(session);
      return (
        asking && {
          step: asking.step,
          answer: (index) =>
            around(() => {
              asking.answer(index);
            }),
        }
      );
    },
    question: scene.question,
    interrupt: () => {
      around(routines.interrupt);
    },
    isUnderWay: () => !routines.isIdle(),
    rest() {
      const elapsed = clock.elapsed();
      const isOpen = [...memories.values()].some(({ open }) => open && open.until >= elapsed);
      if (isOpen || !routines.isIdle()) return undefined;
      return {
        time: clock.now(),
        ...store.changed(),
        ...triggers.known(),
        rested: routines.rested(),
        memories: Object.fromEntries(
          [...memories].map(([id, each]) => [id, keptMemory(each, scene.code)]),
        ),
        code: scene.code.tried(),
      };
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
