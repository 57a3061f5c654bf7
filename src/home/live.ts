import { type Book, asBook } from "../book/book.ts";
import type { Effect, Heard } from "../commands/outcome.ts";
import { readState, statesGiven } from "../hearing/context.ts";
import { heardBy } from "../hearing/heard-by.ts";
import type { State } from "../model/property.ts";
import { membersOf, textOf, textsOf } from "../source/border.ts";
import { WrongUse, unknownId } from "../source/wrong-use.ts";
import type { TalkContext } from "./conversation/converse.ts";
import type { Turn } from "./conversation/turns.ts";
import { type Eventually, onceThere } from "./eventually.ts";
import { type HomeOptions, type RunSlots, createHome, usualAnswerTime } from "./home.ts";
import type { LogEntry } from "./log.ts";
import type { Clock, DeviceResult, Devices } from "./ports.ts";
import type { Performed } from "./scene.ts";

/**
 * What an application gives a home to reach its devices by. What it throws, or a promise that it
 * rejects, is a device that failed; so is what it never answers.
 */
export interface Driver {
  /** Asks something of a device. Nothing, as an answer, is that the device took it. */
  order: (effect: Effect) => DeviceResult | undefined | Promise<DeviceResult | undefined>;
}

/** What a home takes the time from: the machine's clock, or one of a test. */
export interface TimeSource {
  /** Seconds of Unix time. */
  now: () => number;
  /** Does something after some seconds, never at once; what comes back calls it off. */
  after: (seconds: number, act: () => void) => () => void;
}

export interface LiveOptions extends HomeOptions {
  driver: Driver;
  time: TimeSource;
  /** Seconds in which a device answers; 10 when left out. What comes later is passed over. */
  answerTime?: number;
  /** Entries of the log that are kept; 1,000 when left out. */
  keep?: number;
}

/** Turns with memory. */
export interface LiveConversation {
  say: (text: string) => Promise<Turn>;
}

/** A home of real devices: the routines, guards and conversations of a simulated one. */
export interface LiveHome {
  /** Does what was heard, and tells what came of it once devices have answered. */
  perform: (heard: Heard) => Promise<Performed>;
  /** A conversation with memory: the same one whenever its session, or voicepoint, is asked for. */
  converse: (context?: TalkContext) => LiveConversation;
  /** Sets a routine off by hand, with values for its slots: a duration is in seconds. */
  run: (routine: string, slots?: RunSlots) => Promise<Performed>;
  /** A device tells what it has come to: by an order, by a hand at the switch, or by itself. */
  report: (device: string, values: State) => void;
  press: (button: string) => void;
  presence: (person: string, is: "home" | "away") => void;
  /** The state of every device, as far as it was told. */
  states: () => Record<string, State>;
  /** The local time of the home, `2026-03-02T18:05:00`. */
  clock: () => string;
  /** The last entries of the log. */
  log: () => readonly LogEntry[];
  /** Tells each entry of the log as it happens, once; what comes back stops that. */
  on: (listener: (entry: LogEntry) => void) => () => void;
  /** Calls off all that is to come. Nothing that is asked for afterwards is done. */
  close: () => void;
}

/** Entries of a log that are kept. */
const usualKeep = 1000;

/**
 * Makes a home over devices and a clock of an application's own. Clock and sun set routines off from
 * now on.
 *
 * @throws WrongUse without a driver and a source of time.
 */
export function openHome(given: Book, options: LiveOptions): LiveHome {
  const book = asBook(given);
  const { driver, time, states, away, keep, answerTime } = readOptions(options);
  const { clock, close, isOpen } = clockFrom(time);
  const ports = { clock, devices: () => devicesOf(driver, isOpen), answerTime };
  const home = createHome(book, ports, { states, away, keep });
  home.begin();
  return {
    perform: (heard) => promised(() => home.perform(heardBy(book, heard, home.state))),
    converse: (context) => {
      const talk = home.converse(context);
      return { say: (text) => promised(() => talk.say(text)) };
    },
    run: (routine, slots) =>
      promised(() => {
        if (book.routines.has(routine)) return { now: home.run(routine, slots) };
        throw unknownId("routine", routine, book.routines.keys());
      }),
    report: home.report,
    press: home.press,
    presence: home.presence,
    states: home.states,
    clock: home.time,
    log: home.log,
    on: home.on,
    close,
  };
}

function readOptions(options: LiveOptions): Required<LiveOptions> {
  const { driver, time, states, away, keep, answerTime } = membersOf(options);
  if (typeof membersOf(driver)["order"] !== "function") {
    throw new WrongUse("a home needs a driver: { order: (effect) => ... }", "wrong-option");
  }
  const { now, after } = membersOf(time);
  if (typeof now !== "function" || typeof after !== "function") {
    const fix = "{ now: () => seconds, after: (seconds, act) => cancel }";
    throw new WrongUse(`a home needs a source of time: ${fix}`, "wrong-option");
  }
  return {
    driver: options.driver,
    time: options.time,
    states: statesGiven(states),
    away: textsOf(away),
    keep: typeof keep === "number" && keep >= 1 ? keep : usualKeep,
    answerTime: typeof answerTime === "number" && answerTime > 0 ? answerTime : usualAnswerTime,
  };
}

/** Longest that a clock is left alone: one that was set, or slept, is looked at again by then. */
const longestSleep = 3600;

/** The clock of a home over a source of time. */
function clockFrom({ now, after }: TimeSource): {
  clock: Clock;
  close: () => void;
  isOpen: () => boolean;
} {
  const began = now();
  const open = new Set<() => void>();
  let isClosed = false;
  const elapsed = (): number => now() - began;
  const at = (instant: number, act: () => void): (() => void) => {
    if (isClosed) return () => undefined;
    let cancel = (): void => undefined;
    const callOff = (): void => {
      open.delete(callOff);
      cancel();
    };
    const sleep = (): void => {
      const left = Math.max(0, instant - elapsed());
      cancel = after(Math.min(left, longestSleep), () => {
        if (elapsed() < instant) {
          sleep();
          return;
        }
        open.delete(callOff);
        if (!isClosed) act();
      });
    };
    open.add(callOff);
    sleep();
    return callOff;
  };
  const close = (): void => {
    isClosed = true;
    for (const callOff of [...open]) callOff();
  };
  return { clock: { elapsed, now, at }, close, isOpen: () => !isClosed };
}

/** Devices behind a driver: whatever it does, there is an answer or none. */
function devicesOf(driver: Driver, isOpen: () => boolean): Devices {
  return {
    order(effect, answer) {
      if (!isOpen()) {
        answer({ ok: false, what: "the home is closed" });
        return;
      }
      const failed = (error: unknown): void => {
        answer({ ok: false, what: error instanceof Error ? error.message : "failed" });
      };
      const take = (result: unknown): void => {
        answer(readResult(result));
      };
      try {
        const result: unknown = driver.order(effect);
        if (result instanceof Promise) result.then(take, failed);
        else take(result);
      } catch (error) {
        failed(error);
      }
    },
  };
}

/** An answer as a driver gives it that need not have read its type. */
function readResult(result: unknown): DeviceResult {
  if (result === undefined || result === null) return { ok: true };
  const { ok, what, values, heading } = membersOf(result);
  if (ok === false) return { ok: false, what: textOf(what) ?? "failed" };
  const [has, goes] = [readState(values), readState(heading)];
  return { ok: true, ...(has ? { values: has } : {}), ...(goes ? { heading: goes } : {}) };
}

/** What is wrong with a call rejects its promise, and is never thrown past it. */
function promised<T>(act: () => Eventually<T>): Promise<T> {
  return new Promise((resolve) => {
    onceThere(act(), resolve);
  });
}
