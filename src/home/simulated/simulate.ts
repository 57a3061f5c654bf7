import { type Book, asBook } from "../../book/book.ts";
import type { Heard } from "../../commands/outcome.ts";
import { statesGiven } from "../../hearing/context.ts";
import { heardBy } from "../../hearing/heard-by.ts";
import type { State } from "../../model/property.ts";
import { membersOf, shown, textsOf } from "../../source/border.ts";
import { WrongUse, unknownId } from "../../source/wrong-use.ts";
import { parseDuration } from "../../time/duration.ts";
import type { TalkContext } from "../conversation/converse.ts";
import type { Turn } from "../conversation/turns.ts";
import type { Eventually } from "../eventually.ts";
import { type Home, type HomeOptions, type RunSlots, createHome } from "../home.ts";
import type { LogEntry } from "../log.ts";
import type { Deed, Performed } from "../scene.ts";
import { createVirtualClock } from "./clock.ts";
import { type Fault, type SimulatedDevices, readFault, simulateDevices } from "./devices.ts";

/** What a simulated home starts from. */
export interface SimulateOptions extends HomeOptions {
  /** Local time, `2026-03-02T18:05`; a Monday morning when left out. */
  time?: string;
  /** How devices misbehave. */
  faults?: Readonly<Record<string, Fault | undefined>>;
}

/** Turns with memory, each of which comes to an end at once. */
export interface Conversation {
  say: (text: string) => Turn;
}

/** A home of values in memory in place of devices, and a clock that moves when it is told to. */
export interface SimulatedHome {
  /**
   * Does what was heard; an outcome other than `act` changes nothing.
   *
   * @throws WrongUse for what this phrasebook did not hear.
   */
  perform: (heard: Heard) => Performed;
  /** The conversation at a voicepoint: turns with memory, the same one whenever it is asked for. */
  converse: (context?: TalkContext) => Conversation;
  /** Sets a routine off by hand, with values for its slots: a duration is in seconds. */
  run: (routine: string, slots?: RunSlots) => Performed;
  /** Lets time pass, and everything happen that it brings: `"25m"`, or seconds. */
  wait: (duration: string | number) => void;
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
  /** Tells each entry of the log as it happens, once; what comes back stops that. */
  on: (listener: (entry: LogEntry) => void) => () => void;
}

/** A home whose calls come to an end at once, as suites need it: a simulated one, or any other. */
export interface CaseHome extends Omit<SimulatedHome, "perform" | "run" | "wait"> {
  book: Book;
  state: (device: string) => State;
  /** What the properties of a device were before they were off. */
  lastOn: (device: string) => State;
  /** Seconds since the home began. */
  elapsed: () => number;
  /** All that devices were ordered and did. */
  deeds: () => readonly Deed[];
  /** Seconds until a local time, or until a time of day comes next. */
  secondsUntil: (point: string) => number;
  run: (routine: string, slots?: RunSlots) => Performed;
  perform: (heard: Heard) => Performed;
  wait: (seconds: number) => void;
  /** Lets time pass until a time of day, `18:30`, comes next, or a local time. */
  waitUntil: (point: string) => void;
  /** Lets what is moving come to where it goes. */
  settle: () => void;
}

/** Makes a home to act in. States of devices or properties that do not exist are left out. */
export function simulate(book: Book, options: SimulateOptions = {}): SimulatedHome {
  const home = createSimulated(asBook(book), readOptions(options));
  const { converse, set, press, presence, fault, states, time, log, on } = home;
  return {
    converse,
    set,
    press,
    presence,
    fault,
    states,
    time,
    log,
    on,
    perform: (heard) => home.perform(heardBy(book, heard, home.state)),
    run(routine, slots) {
      if (book.routines.has(routine)) return home.run(routine, slots);
      throw unknownId("routine", routine, book.routines.keys());
    },
    wait: (duration) => {
      home.wait(secondsOf(duration));
    },
  };
}

/** Makes a simulated home whose calls end at once. */
export function createSimulated(book: Book, options: SimulateOptions): CaseHome {
  const clock = createVirtualClock(options.time, book.place?.timezone ?? "UTC", () => {
    home.record({ event: "refused", what: "it goes on without end" });
  });
  let devices: SimulatedDevices | undefined;
  const ports = {
    clock,
    devices: (of: Pick<Home, "state" | "report">) =>
      (devices = simulateDevices({ book, clock, ...of })),
  };
  const home = createHome(book, ports, options);
  const setFault = (device: string, fault: Fault | undefined): void => {
    devices?.fault(device, fault);
  };
  for (const [device, fault] of Object.entries(options.faults ?? {})) setFault(device, fault);
  const wait = (seconds: number): void => {
    home.begin();
    clock.pass(seconds);
  };
  const { set, press, presence, states, time, log, on, state, lastOn, elapsed, deeds } = home;
  const { secondsUntil } = home;
  return {
    book,
    set,
    press,
    presence,
    states,
    time,
    log,
    on,
    state,
    lastOn,
    run: (routine, slots) => atOnce(home.run(routine, slots)),
    elapsed,
    deeds,
    secondsUntil,
    wait,
    converse: (context) => {
      const talk = home.converse(context);
      return { say: (text) => atOnce(talk.say(text)) };
    },
    perform: (heard) => atOnce(home.perform(heard)),
    waitUntil: (point) => {
      wait(secondsUntil(point));
    },
    fault: (device, fault) => {
      if (book.devices.has(device)) setFault(device, readFault(fault));
      else home.record({ event: "refused", what: `there is no device ${shown(device)}` });
    },
    settle: () => {
      const left = devices?.moving() ?? 0;
      if (left > 0) wait(left);
    },
  };
}

/** What a simulated home comes to, whose devices always answer at once. */
function atOnce<T>(eventually: Eventually<T>): T {
  if ("now" in eventually) return eventually.now;
  throw new Error("a simulated device has not answered");
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
  const broken = Object.entries(membersOf(faults)).map(
    ([id, fault]) => [id, readFault(fault)] as const,
  );
  return {
    states: statesGiven(states),
    ...(typeof time === "string" ? { time } : {}),
    faults: Object.fromEntries(broken),
    away: textsOf(away),
  };
}
