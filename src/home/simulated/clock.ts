import { parseLocal } from "../../time/local.ts";
import type { Clock } from "../ports.ts";
import { instantOf } from "../zone.ts";
import { createTimers } from "./timers.ts";

/** A clock that moves when it is told to. */
export interface VirtualClock extends Clock {
  /** Lets time pass, and everything happen that is due in it. */
  pass: (seconds: number) => void;
  /** Does what is due by now. */
  flush: () => void;
}

const usualTime = "2026-01-05T09:00";

/**
 * @param time Local time at which it begins; a Monday morning for what is none.
 * @param endless Told when things at one instant go on without end; what is left of them is dropped.
 */
export function createVirtualClock(
  time: string | undefined,
  zone: string,
  endless: () => void,
): VirtualClock {
  const timers = createTimers(endless);
  let origin: number | undefined;
  /** Instants are worked out when something asks for the time: most homes are never asked. */
  let elapsed = 0;
  const begun = time !== undefined && parseLocal(time) ? time : usualTime;
  const pass = (seconds: number): void => {
    timers.runUntil(elapsed + Math.max(0, seconds), (instant) => (elapsed = instant));
  };
  return {
    elapsed: () => elapsed,
    now: () => (origin ??= instantOf(begun, zone)) + elapsed,
    at: timers.add,
    pass,
    flush: () => {
      pass(0);
    },
  };
}
