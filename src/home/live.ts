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
import { type TimeSource, createLiveClock } from "./live-clock.ts";
import { createReplay, playInto, saidIn, slotsKept } from "./replay.ts";
import { createRecorder } from "./recorder.ts";
import { type HomeSnapshot, readSnapshot } from "./snapshot.ts";
import { given } from "../source/given.ts";
import type { DeviceResult, Devices } from "./ports.ts";
import type { Performed } from "./scene.ts";

/**
 * What an application gives a home to reach its devices by. What it throws, or a promise that it
 * rejects, is a device that failed; so is what it never answers.
 */
export interface Driver {
  /** Asks something of a device. Nothing, as an answer, is that the device took it. */
  order: (effect: Effect) => DeviceResult | undefined | Promise<DeviceResult | undefined>;
}

export interface LiveOptions extends Omit<HomeOptions, "rest"> {
  driver: Driver;
  time: TimeSource;
  /** Seconds in which a device answers; 10 when left out. What comes later is passed over. */
  answerTime?: number;
  /** Entries of the log that are kept; 1,000 when left out. */
  keep?: number;
  /** What `snapshot` returned, to go on from; states and who is away are in it. */
  from?: HomeSnapshot;
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
  /**
   * All that it is, as plain data: states, timers, steps that wait, who is there, memories and open
   * questions, without the code. `openHome` goes on from it.
   */
  snapshot: () => HomeSnapshot;
  /** Calls off all that is to come. Nothing that is asked for afterwards is done. */
  close: () => void;
}

/** Entries of a log that are kept. */
const usualKeep = 1000;

/**
 * Makes a home over devices and a clock of an application's own. Clock and sun set routines off from
 * now on. One that goes on from a snapshot has its states, timers, steps that wait, memories and open
 * questions; what was due meanwhile is done at once, and what clock and sun would have set off is not.
 *
 * @throws WrongUse without a driver and a source of time, or for what is no snapshot.
 */
export function openHome(of: Book, options: LiveOptions): LiveHome {
  const book = asBook(of);
  const { driver, time, states, away, keep, answerTime, from } = readOptions(options);
  const clock = createLiveClock(time, from?.rest.time ?? time.now(), (timer) => {
    recorder.add({ input: "due", timer });
  });
  if (from) clock.standAt(from.rest.time);
  const recorder = createRecorder(clock, () => home.rest());
  const replay = from && createReplay(from);
  const devices: Devices = {
    order(effect, answer) {
      if (!clock.isOpen()) {
        answer({ ok: false, what: "the home is closed" });
        return;
      }
      recorder.ordering((order) => {
        if (replay?.isOn()) {
          replay.order(order, (result) => {
            answer(readResult(result));
          });
          return;
        }
        const isCounted = recorder.counting();
        drive(driver, effect, (result) => {
          // An order that is counted no more was given up long ago.
          if (isCounted()) recorder.add({ input: "answer", order, result });
          answer(result);
        });
      });
    },
  };
  const ports = { clock, devices: () => devices, answerTime };
  const home = createHome(book, ports, { states, away, keep, rest: from?.rest });
  home.begin();
  if (replay)
    replay.run(recorder, (input) => {
      playInto({ book, home, clock }, input);
    });
  else recorder.begin();
  return {
    perform: (heard) =>
      promised(() => {
        const own = heardBy(book, heard, home.state);
        recorder.add({ input: "perform", heard: own });
        return home.perform(own);
      }),
    converse: (context) => {
      const talk = home.converse(context);
      return {
        say: (text) =>
          promised(() => {
            recorder.add(saidIn(book, home, context, text));
            return talk.say(text);
          }),
      };
    },
    run: (routine, slots) =>
      promised(() => {
        if (!book.routines.has(routine)) throw unknownId("routine", routine, book.routines.keys());
        recorder.add({ input: "run", routine, ...given({ slots: slots && slotsKept(slots) }) });
        return { now: home.run(routine, slots) };
      }),
    report: (device, values) => {
      recorder.add({ input: "report", device, values: readState(values) ?? {} });
      home.report(device, values);
    },
    press: (button) => {
      recorder.add({ input: "press", button });
      home.press(button);
    },
    presence: (person, is) => {
      recorder.add({ input: "presence", person, is });
      home.presence(person, is);
    },
    states: home.states,
    clock: home.time,
    log: home.log,
    on: home.on,
    snapshot: recorder.snapshot,
    close: clock.close,
  };
}

function readOptions(options: LiveOptions) {
  const { driver, time, states, away, keep, answerTime, from } = membersOf(options);
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
    from: from === undefined ? undefined : readSnapshot(from),
  };
}

/** Asks something of a driver: whatever it does, there is an answer or none. */
function drive(driver: Driver, effect: Effect, answer: (result: DeviceResult) => void): void {
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
