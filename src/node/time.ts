import type { TimeSource } from "../home/live-clock.ts";

/** The machine's clock, as a home takes the time from it. */
export function machineTime(): TimeSource {
  return {
    now: () => Date.now() / 1000,
    after(seconds, act) {
      const timer = setTimeout(act, seconds * 1000);
      return () => {
        clearTimeout(timer);
      };
    },
  };
}
