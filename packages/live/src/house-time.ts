import type { TimeSource } from "calm-phrase";

/** The machine's clock. */
export const machineTime: TimeSource = {
  now: () => Date.now() / 1000,
  after(seconds, act) {
    const timer = setTimeout(act, seconds * 1000);
    return () => {
      clearTimeout(timer);
    };
  },
};
