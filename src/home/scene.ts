import type { Effect } from "../commands/outcome.ts";
import type { State, Value } from "../model/property.ts";
import { readGivenStates } from "../phrasebook/states.ts";
import type { Book } from "../book/book.ts";
import { type Code, createCode } from "./conversation/code.ts";
import { createJournal } from "./journal.ts";
import { type LogEntry, type LogEvent, mapTexts } from "./log.ts";
import { type StateStore, createStates } from "./states.ts";
import type { Rest } from "./snapshot.ts";
import type { Cause } from "./cause.ts";
import type { Clock } from "./ports.ts";
import { parseSun } from "../time/sun.ts";
import { nextOfSun } from "./schedule.ts";
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

/** What all parts of a home share: its states, its clock and its log. */
export interface Scene {
  book: Book;
  code: Code;
  store: StateStore;
  clock: Clock;
  /** `2026-03-02T18:05:00`. */
  localTime: () => string;
  /** Seconds until a local time, or until a time of day comes next. */
  secondsUntil: (point: string) => number;
  record: (event: LogEvent) => void;
  log: () => readonly LogEntry[];
  /** Tells each entry as it is recorded; what comes back stops that. */
  on: (listener: (entry: LogEntry) => void) => () => void;
  /** Keeps what a device did. */
  did: (deed: Deed) => void;
  /** All that devices were ordered and did, in that order. */
  deeds: () => readonly Deed[];
  /** Opens a question in a conversation, and closes the one that was open there: one is heard last. */
  question: (session: string, close: () => void) => void;
  /** Takes a step; false once steps at one moment have no end. */
  spend: (steps: number) => boolean;
  /** What the call that is under way has done so far. */
  gathered: () => Gathered;
  /** Gathers what is done within a call of its own. */
  gather: (act: () => void) => Gathered;
  /** Adds what is done to what a call has done before. */
  gatherInto: (into: Gathered, act: () => void) => void;
}

/** Most steps that are taken at one moment: what goes on without end does end. */
const mostSteps = 10_000;

/** What a home is like when it begins. */
export interface SceneOptions {
  /** States of devices, over the ones that they start with: `{ "plinth-spots": { power: "on" } }`. */
  states?: Readonly<Record<string, State>>;
  /** Entries of the log that are kept; all when left out. */
  keep?: number;
  /**
   * What it was when it was kept.
   *
   * @internal
   */
  rest?: Rest | undefined;
}

export function createScene(
  book: Book,
  clock: Clock,
  { states = {}, keep = Infinity, rest }: SceneOptions,
): Scene {
  const zone = book.place?.timezone ?? "UTC";
  const journal = createJournal(clock, zone, keep);
  const code = createCode(book, clock, rest?.code);
  const withoutCode = (event: LogEvent): LogEvent =>
    book.code === undefined ? event : mapTexts(event, code.mask);
  const deeds: Deed[] = [];
  const endless = (): void => {
    journal.record(goesOn);
  };
  let steps = 0;
  let since = 0;
  let depth = 0;
  const questions = new Map<string, () => void>();
  const spend = (count: number): boolean => {
    // At another moment all may begin anew.
    if (clock.elapsed() > since) [since, steps] = [clock.elapsed(), 0];
    const before = steps;
    steps += count;
    if (before <= mostSteps && steps > mostSteps) endless();
    return steps <= mostSteps;
  };
  let gathered = nothing();
  const gatherInto = (into: Gathered, act: () => void): void => {
    const outer = gathered;
    gathered = into;
    depth++;
    act();
    depth--;
    gathered = outer;
  };
  const localTime = (): string => localOf(clock.now(), zone);
  return {
    book,
    code,
    store: createStates(
      book,
      readGivenStates(rest ? rest.states : states, book.devices),
      readGivenStates(rest?.lastOn ?? {}, book.devices),
    ),
    clock,
    localTime,
    secondsUntil(point) {
      const sun = parseSun(point);
      if (sun) {
        const next = nextOfSun(sun, clock.now(), zone, book.place);
        return next === undefined ? Infinity : next - clock.now();
      }
      const isMoment = point.includes("T");
      const local = isMoment ? point : `${localTime().slice(0, 10)}T${point}`;
      const seconds = instantOf(local, zone) - clock.now();
      return seconds < 0 && !isMoment ? seconds + 86_400 : Math.max(0, seconds);
    },
    record: (event) => {
      journal.record(withoutCode(event));
    },
    did: (deed) => {
      deeds.push(deed);
      if (deeds.length >= 2 * keep) deeds.splice(0, deeds.length - keep);
    },
    deeds: () => deeds,
    question(session, close) {
      // What is closed may ask something itself before it ends.
      for (let open = questions.get(session); open && spend(1); open = questions.get(session)) {
        questions.delete(session);
        open();
      }
      questions.set(session, close);
    },
    spend,
    log: journal.entries,
    on: journal.on,
    // What happens by itself is in the log, and is no part of what a call came to.
    gathered: () => (depth === 0 ? nothing() : gathered),
    gather(act) {
      const inner = nothing();
      if (depth === 0) steps = 0;
      gatherInto(inner, act);
      return inner;
    },
    gatherInto,
  };
}

const goesOn: LogEvent = { event: "refused", what: "it goes on without end" };

function nothing(): Gathered {
  return { changes: [], calls: [], failed: [], later: [], reply: "" };
}
