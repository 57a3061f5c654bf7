import type { Clock } from "./ports.ts";

/** What a home takes the time from: the machine's clock, or one of a test. */
export interface TimeSource {
  /** Seconds of Unix time. */
  now: () => number;
  /** Does something after some seconds, never at once; what comes back calls it off. */
  after: (seconds: number, act: () => void) => () => void;
}

/** The clock of a home over a source of time, which stands still while the home is brought back. */
export interface LiveClock extends Clock {
  /** Stands still at an instant, in seconds of Unix time. */
  standAt: (instant: number) => void;
  /** Does what a timer is for, whenever it is due. */
  due: (timer: string) => void;
  /** Goes on with the source of time. */
  goOn: () => void;
  /** Whether only timers are on their way that are set again when a home begins. */
  isQuiet: () => boolean;
  /** Counts timers anew, from when it is quiet. */
  recount: () => void;
  isOpen: () => boolean;
  close: () => void;
}

interface Timer {
  instant: number;
  act: () => void;
  cancel: () => void;
  isNamed: boolean;
}

/** Longest that a clock is left alone: one that was set, or slept, is looked at again by then. */
const longestSleep = 3600;

/**
 * @param began When the home began, in seconds of Unix time.
 * @param told Told of each timer before it does what it is for.
 */
export function createLiveClock(
  source: TimeSource,
  began: number,
  told: (timer: string) => void,
): LiveClock {
  const pending = new Map<string, Timer>();
  let count = 0;
  let still: number | undefined;
  let isClosed = false;
  const now = (): number => still ?? source.now();
  const elapsed = (): number => now() - began;
  const fire = (id: string, timer: Timer): void => {
    pending.delete(id);
    told(id);
    timer.act();
  };
  const arm = (id: string, timer: Timer): void => {
    const left = Math.max(0, timer.instant - elapsed());
    timer.cancel = source.after(Math.min(left, longestSleep), () => {
      if (isClosed || pending.get(id) !== timer) return;
      if (elapsed() < timer.instant) arm(id, timer);
      else fire(id, timer);
    });
  };
  return {
    now,
    elapsed,
    at(instant, act, name) {
      if (isClosed) return () => undefined;
      const id = name ?? String(count++);
      const timer: Timer = {
        instant,
        act,
        cancel: () => undefined,
        isNamed: name !== undefined,
      };
      pending.set(id, timer);
      if (still === undefined) arm(id, timer);
      return () => {
        if (pending.get(id) !== timer) return;
        pending.delete(id);
        timer.cancel();
      };
    },
    standAt(instant) {
      still = instant;
    },
    due(id) {
      const timer = pending.get(id);
      if (timer) fire(id, timer);
    },
    goOn() {
      still = undefined;
      for (const [id, timer] of pending) arm(id, timer);
    },
    isQuiet: () => [...pending.values()].every(({ isNamed }) => isNamed),
    recount() {
      count = 0;
    },
    isOpen: () => !isClosed,
    close() {
      isClosed = true;
      for (const timer of pending.values()) timer.cancel();
      pending.clear();
    },
  };
}
