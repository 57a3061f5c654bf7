import { answerQuestion } from "../hearing/answer.ts";
import type { HearContext } from "../hearing/context.ts";
import { nameIn } from "../hearing/names.ts";
import type { Effect, Heard, HeardCommand, When } from "../hearing/outcome.ts";
import { formatReply, replyIn } from "../hearing/reply.ts";
import { english } from "../language/english.ts";
import { packFor } from "../language/packs.ts";
import type { AskStep, Reply, Routine, Step } from "../phrasebook/model.ts";
import type { State, Value } from "../phrasebook/property.ts";
import { slotDefault } from "../phrasebook/slots.ts";
import { readGivenStates } from "../phrasebook/states.ts";
import { parseDuration } from "../time/duration.ts";
import { parseLocal } from "../time/local.ts";
import type { Book } from "./book.ts";
import { type Conversation, createConversation } from "./converse.ts";
import { type Fault, simulateDevices } from "./devices.ts";
import type { LogEntry, LogEvent } from "./log.ts";
import { type Run, type World, doSteps, holdsFor } from "./run.ts";
import { type ClockTrigger, nextFiring } from "./schedule.ts";
import { createStates } from "./states.ts";
import { createTimers } from "./timers.ts";
import { instantOf, localOf } from "./zone.ts";

/** What a simulated home starts from. */
export interface SimulateOptions {
  /** States of devices, over the ones that they start with: `{ "plinth-spots": { power: "on" } }`. */
  states?: Readonly<Record<string, State>>;
  /** Local time, `2026-03-02T18:05`; a Monday morning when left out. */
  time?: string;
  /** How devices misbehave. */
  faults?: Readonly<Record<string, Fault>>;
  /** Who is not at home. */
  away?: readonly string[];
}

/** One property of one device before and after. */
export interface Change {
  device: string;
  property: string;
  from: Value;
  to: Value;
}

/** An action of one device, invoked. */
export interface Call {
  device: string;
  call: string;
  with?: Value;
}

/** What doing something came to, up to where it first waits. */
export interface Performed {
  /** Properties whose value is, or is on its way to, another one than before. */
  changes: readonly Change[];
  /** Actions that were invoked. */
  calls: readonly Call[];
  /** Devices that did not answer. */
  failed: readonly string[];
  /** What is to be done later. */
  later: readonly Effect[];
  /** What is said; empty while steps are still on their way. */
  reply: string;
}

/** A home of values in memory in place of devices, and a clock that moves when it is told to. */
export interface SimulatedHome {
  /** Does what was heard; an outcome other than `act` changes nothing. */
  perform: (heard: Heard) => Promise<Performed>;
  /** Begins a conversation at a voicepoint: turns with memory. */
  converse: (context?: Pick<HearContext, "at" | "language">) => Conversation;
  /** Sets a routine off by hand. */
  run: (routine: string) => Promise<Performed>;
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
export interface Home extends Omit<SimulatedHome, "perform" | "run" | "wait"> {
  perform: (heard: Heard) => Performed;
  run: (routine: string) => Performed;
  wait: (seconds: number) => void;
  state: (device: string) => State;
  record: (event: LogEvent) => void;
  /** Seconds since the home began. */
  elapsed: () => number;
  /** Wrong codes in a row at any voicepoint, and when a code is taken again. */
  codes: { wrong: number; lockedUntil: number };
  /** What steps are asking at a voicepoint. */
  asking: (at: string | undefined) => Asking | undefined;
  /** Lets what is moving come to where it goes. */
  settle: () => void;
}

const usualTime = "2026-01-05T09:00";

/**
 * Makes a home to act in. It never throws: states of devices or properties that do not exist are
 * left out.
 */
export function simulate(book: Book, options: SimulateOptions = {}): SimulatedHome {
  const home = createHome(book, options);
  return {
    ...home,
    perform: (heard) => Promise.resolve(home.perform(heard)),
    run: (routine) => Promise.resolve(home.run(routine)),
    wait: (duration) => {
      home.wait(typeof duration === "number" ? duration : (parseDuration(duration) ?? 0));
      return Promise.resolve();
    },
  };
}

/** A question that steps wait for the answer of. */
export interface Asking {
  step: AskStep;
  /** Goes on with one of the answers, or with none. */
  answer: (index: number | undefined) => Performed;
}

/** A routine on its way, or waiting for one of its kind to end. */
interface Going {
  run: Run;
  stop: () => void;
}

/** Makes a home whose calls end at once, as suites need it. */
export function createHome(
  book: Book,
  { states = {}, time = usualTime, faults = {}, away = [] }: SimulateOptions,
): Home {
  const store = createStates(book, book.initialStates, readGivenStates(states, book.devices));
  const broken = new Map(Object.entries(faults));
  const devices = simulateDevices(book, store, broken);
  const zone = book.place?.timezone ?? "UTC";
  const timers = createTimers();
  const log: { elapsed: number; event: LogEvent }[] = [];
  const absent = new Set(away);
  const going = new Map<string, Going[]>();
  const queued = new Map<string, (() => void)[]>();
  const asking = new Map<string, Asking>();
  const holding = new Map<string, () => void>();
  const held = new Set<string>();
  let origin: number | undefined;
  /** Seconds since the home began; instants are worked out when something asks for the time. */
  let elapsed = 0;
  let isScheduled = false;
  let arrives = 0;
  /** What the call that is under way has done so far. */
  let collected = emptyPerformed();

  const clock = (): number => elapsed;
  const beginning = (): number => (origin ??= instantOf(parseLocal(time) ? time : usualTime, zone));
  const localTime = (): string => localOf(beginning() + elapsed, zone);
  const record = (event: LogEvent): void => {
    log.push({ elapsed, event });
  };
  const by = (run: Run | undefined): { by?: string } => (run ? { by: run.of } : {});
  const language = (run: Run | undefined): string => run?.language ?? book.languages[0] ?? "en";
  const packOf = (tag: string) => packFor(tag) ?? english;
  const namesOf = (ids: Iterable<string>, tag: string): string =>
    new Intl.ListFormat(tag, { type: "conjunction" }).format(
      [...ids].map((id) => {
        const device = book.devices.get(id);
        return (device && nameIn(book, device, tag)) ?? id;
      }),
    );

  const apply = (device: string, values: State, run: Run | undefined): void => {
    for (const [property, to] of Object.entries(values)) {
      const from = store.get(device)[property] ?? to;
      if (from === to) continue;
      store.set(device, property, to);
      record({ event: "changed", device, property, from, to, ...by(run) });
    }
    watchStates();
  };

  const order = (effect: Effect, run: Run | undefined): boolean => {
    const { device } = effect;
    const result = devices.order(effect);
    if (!result.ok) {
      record({ event: "failed", device, what: result.what, ...by(run) });
      collected.failed.push(device);
      return false;
    }
    if ("call" in effect) {
      const input = effect.with === undefined ? {} : { with: effect.with };
      collected.calls.push({ device, call: effect.call, ...input });
      record({ event: "called", device, action: effect.call, ...input, ...by(run) });
      if (effect.call === "press") pressed(device);
      return true;
    }
    for (const [property, to] of Object.entries(result.values)) {
      const from = store.get(device)[property] ?? to;
      if (from !== to) collected.changes.push({ device, property, from, to });
    }
    if (result.takes === 0) apply(device, result.values, run);
    else {
      const at = clock() + result.takes;
      arrives = Math.max(arrives, at);
      timers.add(at, () => {
        apply(device, result.values, run);
      });
    }
    return true;
  };

  /** An effect with a when: begun later, or taken back later. */
  const schedule = (effect: Effect, run: Run | undefined): boolean => {
    const { when, ...bare } = effect;
    if (!when) return order(effect, run);
    const begin = (): boolean => {
      const before = store.get(effect.device);
      const worked = order(bare, run);
      const length = when.for ?? (when.until === undefined ? undefined : secondsUntil(when.until));
      if (worked && length !== undefined && !("call" in effect)) {
        const touched = Object.keys(
          "set" in effect ? effect.set : "nudge" in effect ? effect.nudge : effect.scale,
        );
        const set = Object.fromEntries(
          touched.flatMap((name) => (before[name] === undefined ? [] : [[name, before[name]]])),
        ) as Record<string, Value>;
        timers.add(clock() + length, () => order({ device: effect.device, set }, run));
      }
      return worked;
    };
    const start = startOf(when);
    if (start === undefined) return begin();
    collected.later.push(effect);
    timers.add(clock() + start, begin);
    return true;
  };

  const startOf = (when: When): number | undefined =>
    when.in ?? (when.at === undefined ? undefined : secondsUntil(when.at));

  const secondsUntil = (point: string): number => {
    const local = point.includes("T") ? point : `${localTime().slice(0, 10)}T${point}`;
    const seconds = instantOf(local, zone) - beginning() - elapsed;
    return seconds < 0 && !point.includes("T") ? seconds + 86_400 : Math.max(0, seconds);
  };

  const say = (text: string, where: string, run: Run | undefined): void => {
    record({ event: "said", text, where, ...by(run) });
  };
  const speak = (replies: ReadonlyMap<string, Reply>, run: Run): string => {
    const tag = language(run);
    return formatReply(replyIn(replies, tag)?.text ?? "", tag, variablesOf(run, tag));
  };
  const variablesOf = (run: Run, tag: string): Record<string, unknown> => ({
    ...run.slots,
    done: namesOf(run.done, tag),
    failed: namesOf(run.failed, tag),
    doneCount: run.done.size,
    failedCount: run.failed.size,
  });
  const where = (place: string, run: Run): string =>
    place === "voicepoint" ? (run.at ?? "everywhere") : place;

  const world: World = {
    book,
    state: store.get,
    order,
    say: (step, run) => {
      say(speak(step.text, run), where(step.where, run), run);
    },
    notify: (step, run) => {
      for (const person of step.people) {
        const tag = step.tag === undefined ? {} : { tag: step.tag };
        record({ event: "notified", person, text: speak(step.text, run), ...tag, ...by(run) });
      }
    },
    send: ({ to, text, method, retain }, run) => {
      record({ event: "sent", to, text, method, retain, ...by(run) });
    },
    hear: (step, run) => {
      const at = step.voicepoint ?? run.at;
      const heard = book.hear(step.phrase, {
        language: run.language,
        time: localTime(),
        states: store.get,
        ...(at === undefined ? {} : { at }),
      });
      // A guard cannot be answered by steps, so what is guarded is not done by them.
      if (heard.outcome !== "act" && heard.outcome !== "answer") {
        record({
          event: "failed",
          device: "hear",
          what: `“${step.phrase}” is ${heard.outcome}`,
          ...by(run),
        });
        return false;
      }
      const performed = doHeard(heard, run.depth + 1);
      collected.changes.push(...performed.changes);
      collected.calls.push(...performed.calls);
      collected.failed.push(...performed.failed);
      return performed.failed.length === 0;
    },
    branch: (branch, run) => {
      record({ event: "branch", branch, ...by(run) });
    },
    moment: (replies, run) => {
      say(speak(replies, run), where("voicepoint", run), run);
    },
  };

  /** Takes steps on until they wait, and again when that is over. */
  const goOn = (run: Run, steps: readonly Step[], ended: (ok: boolean) => void): (() => void) => {
    const program = doSteps(world, run, steps);
    const place = run.at ?? "";
    let cancel: (() => void) | undefined;
    let question: Asking | undefined;
    let isStopped = false;
    const advance = (resume?: { answer: number }): void => {
      if (isStopped) return;
      const next = program.next(resume);
      if (next.done) {
        ended(next.value);
        return;
      }
      const { value } = next;
      if (value.pause === "wait") {
        record({ event: "waiting", seconds: value.seconds, ...by(run) });
        cancel = timers.add(clock() + value.seconds, advance);
      } else {
        say(speak(value.step.text, run), where("voicepoint", run), run);
        const goOnWith = (resume?: { answer: number }): void => {
          cancel?.();
          asking.delete(place);
          advance(resume);
        };
        cancel = timers.add(clock() + value.step.within, goOnWith);
        question = {
          step: value.step,
          answer: (index) =>
            around(() => {
              goOnWith(index === undefined ? undefined : { answer: index });
            }),
        };
        asking.set(place, question);
      }
    };
    advance();
    return () => {
      isStopped = true;
      cancel?.();
      if (asking.get(place) === question) asking.delete(place);
    };
  };

  const replyAfter = (
    of: { reply: ReadonlyMap<string, Reply>; failed: ReadonlyMap<string, Reply> },
    run: Run,
    ok: boolean,
  ): string => {
    if (ok) return of.reply.size > 0 ? speak(of.reply, run) : packOf(run.language).replies.act;
    if (of.failed.size > 0) return speak(of.failed, run);
    return failureReply(
      run.language,
      of.reply.size > 0 ? speak(of.reply, run) : "",
      run.failed,
      run.done.size > 0,
    );
  };
  const failureReply = (
    tag: string,
    reply: string,
    failed: Iterable<string>,
    isPartly: boolean,
  ): string => {
    const { replies } = packOf(tag);
    const names = namesOf(failed, tag);
    // No device failed: a phrase or a routine within the steps did.
    if (names === "") return formatReply(replies.refuse, tag, { reason: "not all of it can be" });
    return formatReply(isPartly ? replies.partly : replies.failed, tag, { names, reply });
  };

  const defaultsOf = (id: string): Record<string, Value> => {
    const slots = book.routines.get(id)?.slots ?? book.intents.get(id)?.slots;
    const defaults = [...(slots?.values() ?? [])].map(
      (slot) => [slot.name, slotDefault(slot)] as const,
    );
    return Object.fromEntries(defaults.filter(([, value]) => value !== undefined)) as Record<
      string,
      Value
    >;
  };
  const newRun = (of: string, more: Partial<Run> = {}): Run => ({
    of,
    slots: defaultsOf(of),
    language: book.languages[0] ?? "en",
    isSpoken: false,
    done: new Set(),
    failed: new Set(),
    depth: 0,
    ...more,
  });

  /** Starts a routine, unless its condition or another run of it stands in the way. */
  const start = (routine: Routine, run: Run, because: string): void => {
    const { id } = routine;
    const refuse = (reason: string): void => {
      record({ event: "skipped", routine: id, because: reason });
    };
    if (!routine.enabled) return;
    if (!holdsFor(routine.condition, store.get)) {
      refuse("its condition does not hold");
      return;
    }
    const others = going.get(id) ?? [];
    if (others.length > 0) {
      if (routine.overlap === "skip") {
        refuse("it is running already");
        return;
      }
      if (routine.overlap === "queue") {
        const waiting = queued.get(id) ?? [];
        waiting.push(() => {
          start(routine, run, because);
        });
        queued.set(id, waiting);
        return;
      }
      if (routine.overlap === "restart") for (const other of others) other.stop();
      if (routine.overlap === "restart") going.delete(id);
    }
    record({ event: "started", routine: id, because });
    if (routine.moment.size > 0) world.moment(routine.moment, run);
    const mine: Going = { run, stop: () => undefined };
    going.set(id, [...(going.get(id) ?? []), mine]);
    mine.stop = goOn(run, routine.steps, (ok) => {
      going.set(
        id,
        (going.get(id) ?? []).filter((each) => each !== mine),
      );
      const hasReply = ok
        ? routine.reply.size > 0
        : routine.failed.size > 0 || routine.reply.size > 0;
      if (hasReply || run.isSpoken) {
        const text = replyAfter(routine, run, ok);
        const place = where(routine.replyAt, run);
        if (place !== "nowhere") say(text, place, run);
        collected.reply = text;
      }
      record({ event: "ended", routine: id, ok });
      queued.get(id)?.shift()?.();
    });
  };

  const setOff = (is: (trigger: Routine["triggers"][number]) => boolean, because: string): void => {
    for (const routine of book.routines.values()) {
      if (routine.triggers.some(is)) start(routine, newRun(routine.id), because);
    }
  };

  const pressed = (button: string): void => {
    setOff(
      (trigger) => trigger.trigger === "press" && trigger.device === button,
      `${button} pressed`,
    );
  };

  const stateTriggers = [...book.routines.values()].flatMap((routine) =>
    routine.triggers.flatMap((trigger, index) =>
      trigger.trigger === "state" ? [{ routine, trigger, key: `${routine.id} ${index}` }] : [],
    ),
  );
  // What holds from the beginning sets nothing off.
  for (const { trigger, key } of stateTriggers) {
    if (holdsFor(trigger.states, store.get)) held.add(key);
  }

  /** State triggers fire when what they ask for begins to hold, and once it has held long enough. */
  function watchStates(): void {
    for (const { routine, trigger, key } of stateTriggers) {
      if (!holdsFor(trigger.states, store.get)) {
        held.delete(key);
        holding.get(key)?.();
        holding.delete(key);
      } else if (!held.has(key)) {
        held.add(key);
        const because = [...trigger.states.keys()].join(", ");
        const fire = (): void => {
          start(routine, newRun(routine.id), because);
        };
        if (trigger.lasting === 0) timers.add(clock(), fire);
        else holding.set(key, timers.add(clock() + trigger.lasting, fire));
      }
    }
  }

  /** Clock triggers are set when time first passes; each sets its next when it fires. */
  const scheduleTriggers = (): void => {
    if (isScheduled) return;
    isScheduled = true;
    for (const routine of book.routines.values()) {
      for (const trigger of routine.triggers) {
        if (trigger.trigger !== "time" && trigger.trigger !== "sun") continue;
        setNext(routine, trigger, beginning() + elapsed);
      }
    }
  };
  const setNext = (routine: Routine, trigger: ClockTrigger, after: number): void => {
    const next = nextFiring(trigger, after, zone, book.place);
    if (next === undefined) return;
    timers.add(next - beginning(), () => {
      const because = trigger.trigger === "time" ? "its time has come" : trigger.event;
      start(routine, newRun(routine.id), because);
      setNext(routine, trigger, next);
    });
  };

  const wait = (seconds: number): void => {
    scheduleTriggers();
    timers.runUntil(elapsed + Math.max(0, seconds), (instant) => {
      elapsed = instant;
    });
  };

  const runSpoken = (
    heard: Heard,
    id: string,
    said: HeardCommand["slots"],
    depth: number,
  ): void => {
    const slots = Object.fromEntries(
      Object.entries(said).map(([name, { value }]) => [name, value]),
    );
    const at = heard.at === undefined ? {} : { at: heard.at };
    const run = newRun(id, { slots, language: heard.language, isSpoken: true, depth, ...at });
    const routine = book.routines.get(id);
    const intent = book.intents.get(id);
    if (routine) start(routine, run, `“${heard.text}”`);
    else if (intent) {
      goOn(run, intent.steps, (ok) => {
        const text = replyAfter(intent, run, ok);
        say(text, where("voicepoint", run), run);
        collected.reply = text;
      });
    }
  };

  function doHeard(heard: Heard, depth: number): MutablePerformed {
    const outer = collected;
    collected = emptyPerformed();
    if (heard.outcome === "answer" && heard.question) {
      const { question, language: tag } = heard;
      collected.reply = answerQuestion(book, packOf(tag), tag, question, store.get);
    } else if (heard.outcome === "act") {
      const programs = heard.commands ?? [heard];
      const worked = heard.effects.map((effect) => schedule(effect, undefined));
      const isRun = programs.some(({ runs }) => runs !== undefined);
      for (const { runs, when, slots } of programs) {
        if (runs === undefined) continue;
        const begin = (): void => {
          runSpoken(heard, runs, slots, depth);
        };
        const later = when && startOf(when);
        if (later === undefined) begin();
        else timers.add(clock() + later, begin);
      }
      if (!isRun) {
        collected.reply = heard.reply;
        if (worked.includes(false)) {
          const isPartly = worked.includes(true);
          const own = replyIn(book.intents.get(heard.intent)?.failed ?? new Map(), heard.language);
          const names = { failed: namesOf(collected.failed, heard.language) };
          collected.reply = own
            ? formatReply(own.text, heard.language, names)
            : failureReply(heard.language, heard.reply, collected.failed, isPartly);
        }
      }
    } else collected.reply = heard.reply;
    const performed = collected;
    collected = outer;
    return performed;
  }

  function around(act: () => void): Performed {
    collected = emptyPerformed();
    act();
    timers.runUntil(clock(), () => undefined);
    return collected;
  }

  const home: Home = {
    converse: (context = {}) => createConversation(book, home, context),
    perform: (heard) => {
      let performed: MutablePerformed = emptyPerformed();
      const rest = around(() => {
        performed = doHeard(heard, 0);
      });
      // What the doing set off at once belongs to it.
      return {
        changes: [...performed.changes, ...rest.changes],
        calls: [...performed.calls, ...rest.calls],
        failed: [...performed.failed, ...rest.failed],
        later: [...performed.later, ...rest.later],
        reply: performed.reply,
      };
    },
    run: (id) =>
      around(() => {
        const routine = book.routines.get(id);
        if (routine) start(routine, newRun(id), "by hand");
      }),
    wait,
    set: (device, values) => {
      const known = readGivenStates({ [device]: values }, book.devices).get(device);
      if (!known) return;
      around(() => {
        apply(device, known, undefined);
      });
    },
    press: (button) => {
      around(() => {
        pressed(button);
      });
    },
    presence: (person, is) => {
      const before = book.people.size - absent.size;
      if (absent.has(person) === (is === "away")) return;
      if (is === "away") absent.add(person);
      else absent.delete(person);
      record({ event: "presence", person, is });
      const present = book.people.size - absent.size;
      around(() => {
        setOff(
          (trigger) =>
            trigger.trigger === "presence" &&
            isPresence(trigger.who, trigger.is, {
              person,
              is,
              before,
              present,
              all: book.people.size,
            }),
          `${person} is ${is}`,
        );
      });
    },
    fault: (device, fault) => {
      if (fault) broken.set(device, fault);
      else broken.delete(device);
    },
    states: store.all,
    state: store.get,
    time: localTime,
    log: () =>
      log.map(({ elapsed: at, event }) => ({ time: localOf(beginning() + at, zone), event })),
    record,
    elapsed: clock,
    codes: { wrong: 0, lockedUntil: -1 },
    asking: (at) => asking.get(at ?? ""),
    settle: () => {
      if (arrives > clock()) wait(arrives - clock());
    },
  };
  return home;
}

interface MutablePerformed {
  changes: Change[];
  calls: Call[];
  failed: string[];
  later: Effect[];
  reply: string;
}

function emptyPerformed(): MutablePerformed {
  return { changes: [], calls: [], failed: [], later: [], reply: "" };
}

/** Whether somebody's coming or going is what a trigger waits for. */
function isPresence(
  who: string,
  wanted: "home" | "away",
  now: { person: string; is: "home" | "away"; before: number; present: number; all: number },
): boolean {
  switch (who) {
    case "everyone":
      return wanted === now.is && now.present === (wanted === "home" ? now.all : 0);
    case "nobody":
      return wanted === "home" && now.is === "away" && now.present === 0;
    case "first":
      return wanted === now.is && (wanted === "home" ? now.before === 0 : now.before === now.all);
    case "last":
      return wanted === now.is && now.present === (wanted === "home" ? now.all : 0);
    case "anyone":
      return wanted === now.is;
    default:
      return who === now.person && wanted === now.is;
  }
}
