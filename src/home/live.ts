import { type Book, asBook } from "../book/book.ts";
import type { Heard } from "../commands/outcome.ts";
import { readState, statesGiven } from "../hearing/context.ts";
import { heardBy } from "../hearing/heard-by.ts";
import type { State } from "../model/property.ts";
import { membersOf, textsOf } from "../source/border.ts";
import { WrongUse, unknownId } from "../source/wrong-use.ts";
import type { CallInput, Called } from "./calls.ts";
import type { TalkContext } from "./conversation/converse.ts";
import type { Turn } from "./conversation/turns.ts";
import { type Eventually, onceThere } from "./eventually.ts";
import { type HomeOptions, type RunSlots, createHome } from "./home.ts";
import type { LogEntry } from "./log.ts";
import { type TimeSource, createLiveClock } from "./live-clock.ts";
import { callIn, createReplay, playInto, saidIn, slotsKept } from "./replay.ts";
import { type Driver, createOutgoing } from "./outgoing.ts";
import { type Keeper, createRecorder } from "./recorder.ts";
import { type HomeSnapshot, readSnapshot } from "./snapshot.ts";
import { given } from "../source/given.ts";
import type { Deed, Performed } from "./scene.ts";

export interface LiveOptions extends Omit<HomeOptions, "rest"> {
  driver: Driver;
  time: TimeSource;
  /** Seconds in which a device answers; 10 when left out. What comes later is passed over. */
  answerTime?: number;
  /** Entries of the log that are kept; 1,000 when left out. */
  keep?: number;
  /** What `snapshot` returned, to go on from; states and who is away are in it. */
  from?: HomeSnapshot;
  /** Writes down what comes in, so that a home that is stopped at any moment goes on from there. */
  keeper?: Keeper;
  /** Told each entry of the log, those included that come once more while a home is brought back. */
  onLog?: (entry: LogEntry) => void;
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
  /** Calls an address, and tells what came of it up to where its steps first wait. */
  call: (address: string, input?: CallInput) => Promise<Called>;
  /** A device tells what it has come to: by an order, by a hand at the switch, or by itself. */
  report: (device: string, values: State) => void;
  press: (button: string) => void;
  presence: (person: string, is: "home" | "away") => void;
  /** The state of every device, as far as it was told. */
  states: () => Record<string, State>;
  /** What the properties of a device were before they were off. */
  lastOn: (device: string) => State;
  /** All that devices were ordered and did, the last of it. */
  deeds: () => readonly Deed[];
  /** Seconds since the home began. */
  elapsed: () => number;
  /** Seconds until a local time, or until a time of day comes next. */
  secondsUntil: (point: string) => number;
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

/** Seconds in which the world answers. */
const usualAnswerTime = 10;

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
  const { driver, time, states, away, keep, answerTime, from, keeper, onLog } =
    readOptions(options);
  const clock = createLiveClock(time, from?.rest.time ?? time.now(), (timer) => {
    recorder.add({ input: "due", timer });
  });
  if (from) clock.standAt(from.rest.time);
  const recorder = createRecorder(clock, () => home.rest(), keeper);
  const replay = from && createReplay(from);
  const outgoing = createOutgoing({
    clock,
    recorder,
    driver,
    replay,
    answerTime,
    state: (device) => home.state(device),
    record: (event) => {
      home.record(event);
    },
    interrupted: (of = "") => book.routines.get(of)?.interrupted ?? "resume",
  });
  const home = createHome(
    book,
    { clock, devices: () => outgoing },
    { states, away, keep, rest: from?.rest },
  );
  if (onLog) home.on(onLog);
  home.begin();
  if (replay) {
    replay.run(recorder, (input) => {
      playInto({ book, home, clock, outgoing }, input);
    });
    if (outgoing.isOpen() || home.isUnderWay()) {
      recorder.add({ input: "interrupted" });
      home.interrupt();
      outgoing.resume(false);
    }
  } else recorder.begin();
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
        return home.run(routine, slots);
      }),
    call: (address, written) =>
      promised(() => {
        const input = readCallInput(written);
        if (book.addresses.has(address)) recorder.add(callIn(home, address, input));
        return home.call(address, input);
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
    lastOn: home.lastOn,
    deeds: home.deeds,
    elapsed: home.elapsed,
    secondsUntil: home.secondsUntil,
    clock: home.time,
    log: home.log,
    on: home.on,
    snapshot: recorder.snapshot,
    close: clock.close,
  };
}

function readOptions(options: LiveOptions) {
  const { driver, time, states, away, keep, answerTime, from } = membersOf(options);
  const { keeper, onLog } = membersOf(options);
  const { rest, add } = membersOf(keeper);
  if (keeper !== undefined && ![rest, add].every((each) => typeof each === "function")) {
    throw new WrongUse("a keeper is { rest: (rest) => …, add: (received) => … }", "wrong-option");
  }
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
    keeper: options.keeper,
    onLog: typeof onLog === "function" ? options.onLog : undefined,
  };
}

/** What a caller gives, as somebody passes it who need not have read its type. */
function readCallInput(input: unknown): CallInput {
  const { slots, confirm, code } = membersOf(input);
  return {
    slots: membersOf(slots),
    ...(confirm === true && { confirm }),
    ...(typeof code === "string" && { code }),
  };
}

/** What is wrong with a call rejects its promise, and is never thrown past it. */
function promised<T>(act: () => Eventually<T>): Promise<T> {
  return new Promise((resolve) => {
    onceThere(act(), resolve);
  });
}
