import type { Effect } from "../commands/outcome.ts";
import type { State, Value } from "../phrasebook/property.ts";
import { readGivenStates } from "../phrasebook/states.ts";
import { parseLocal } from "../time/local.ts";
import type { Book } from "../book/book.ts";
import { type Code, createCode } from "./code.ts";
import { type LogEntry, type LogEvent, mapTexts } from "./log.ts";
import { type StateStore, createStates } from "./states.ts";
import type { Cause } from "./cause.ts";
import { type Timers, createTimers } from "./timers.ts";
import { instantOf, localOf } from "./zone.ts";

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

/** An order that a device took. */
export interface Deed {
  effect: Effect;
  /** The values that it came to. */
  values: State;
  /** Seconds since the home began. */
  elapsed: number;
  cause: Cause;
}

/** The same, while it is gathered. */
export interface Gathered {
  changes: Change[];
  calls: Call[];
  failed: string[];
  later: Effect[];
  reply: string;
}

/** What all parts of a simulated home share: its states, its clock and its log. */
export interface Scene {
  book: Book;
  code: Code;
  store: StateStore;
  timers: Timers;
  /** Seconds since the home began. */
  elapsed: () => number;
  /** Seconds of Unix time. */
  now: () => number;
  /** `2026-03-02T18:05:00`. */
  localTime: () => string;
  /** Seconds until a local time, or until a time of day comes next. */
  secondsUntil: (point: string) => number;
  record: (event: LogEvent) => void;
  log: () => readonly LogEntry[];
  /** Keeps what a device did. */
  did: (deed: Deed) => void;
  /** All that devices were ordered and did, in that order. */
  deeds: () => readonly Deed[];
  /** Opens a question at a voicepoint, and closes the one that was open there: one is heard last. */
  question: (at: string | undefined, close: () => void) => void;
  /** Takes a step; false once steps at one moment have no end. */
  spend: (steps: number) => boolean;
  /** Lets everything happen up to a number of seconds from now. */
  pass: (seconds: number) => void;
  /** What the call that is under way has done so far. */
  gathered: () => Gathered;
  /** Gathers what is done within a call of its own. */
  gather: (act: () => void) => Gathered;
}

const usualTime = "2026-01-05T09:00";

/** Most steps that are taken at one moment: what goes on without end does end. */
const mostSteps = 10_000;

/** What a home is like when it begins. */
export interface SceneOptions {
  /** States of devices, over the ones that they start with: `{ "plinth-spots": { power: "on" } }`. */
  states?: Readonly<Record<string, State>>;
  /** Local time, `2026-03-02T18:05`; a Monday morning when left out. */
  time?: string;
}

export function createScene(book: Book, { states = {}, time = usualTime }: SceneOptions): Scene {
  const zone = book.place?.timezone ?? "UTC";
  const log: { elapsed: number; event: LogEvent }[] = [];
  const code = createCode(book, () => elapsed);
  const withoutCode = (event: LogEvent): LogEvent =>
    book.code === undefined ? event : mapTexts(event, code.mask);
  const told: LogEntry[] = [];
  let snapshot: readonly LogEntry[] = [];
  const deeds: Deed[] = [];
  const endless = (): void => {
    log.push({ elapsed, event: { event: "refused", what: "it goes on without end" } });
  };
  const timers = createTimers(endless);
  let steps = 0;
  let depth = 0;
  const questions = new Map<string, () => void>();
  const spend = (count: number): boolean => {
    const before = steps;
    steps += count;
    if (before <= mostSteps && steps > mostSteps) endless();
    return steps <= mostSteps;
  };
  let gathered = nothing();
  let origin: number | undefined;
  /** Instants are worked out when something asks for the time: most homes are never asked. */
  let elapsed = 0;
  const beginning = (): number => (origin ??= instantOf(parseLocal(time) ? time : usualTime, zone));
  const now = (): number => beginning() + elapsed;
  const localTime = (): string => localOf(now(), zone);
  return {
    book,
    code,
    store: createStates(book, readGivenStates(states, book.devices)),
    timers,
    elapsed: () => elapsed,
    now,
    localTime,
    secondsUntil(point) {
      const isMoment = point.includes("T");
      const local = isMoment ? point : `${localTime().slice(0, 10)}T${point}`;
      const seconds = instantOf(local, zone) - now();
      return seconds < 0 && !isMoment ? seconds + 86_400 : Math.max(0, seconds);
    },
    record: (event) => {
      log.push({ elapsed, event: withoutCode(event) });
    },
    did: (deed) => {
      deeds.push(deed);
    },
    deeds: () => deeds,
    question(at = "", close) {
      // What is closed may ask something itself before it ends.
      for (let open = questions.get(at); open && spend(1); open = questions.get(at)) {
        questions.delete(at);
        open();
      }
      questions.set(at, close);
    },
    spend,
    log: () => {
      // Times take a while to work out, and are asked for again and again.
      for (const { elapsed: at, event } of log.slice(told.length)) {
        told.push({ time: localOf(beginning() + at, zone), event });
      }
      if (snapshot.length < told.length) snapshot = [...told];
      return snapshot;
    },
    pass: (seconds) => {
      timers.runUntil(elapsed + Math.max(0, seconds), (instant) => {
        if (instant > elapsed) steps = 0;
        elapsed = instant;
      });
    },
    gathered: () => gathered,
    gather(act) {
      const outer = gathered;
      gathered = nothing();
      if (depth === 0) steps = 0;
      depth++;
      act();
      depth--;
      const inner = gathered;
      gathered = outer;
      return inner;
    },
  };
}

function nothing(): Gathered {
  return { changes: [], calls: [], failed: [], later: [], reply: "" };
}
