/** Things to be done at instants of a virtual clock, in order. */
export interface Timers {
  /** Adds something to do; of several at one instant the first added is done first. */
  add: (instant: number, act: () => unknown) => () => void;
  /** Does everything up to an instant, the things included that these add. */
  runUntil: (instant: number, reach: (instant: number) => void) => void;
}

/** Most things that one stretch of time may bring about, so that what feeds itself ends. */
const mostActs = 200_000;

export function createTimers(): Timers {
  let waiting: { instant: number; order: number; act: () => unknown }[] = [];
  let order = 0;
  return {
    add(instant, act) {
      const timer = { instant, order: order++, act };
      // Almost all are added behind the others.
      let at = waiting.length;
      while (at > 0 && (waiting[at - 1]?.instant ?? 0) > instant) at--;
      waiting.splice(at, 0, timer);
      return () => {
        waiting = waiting.filter((other) => other !== timer);
      };
    },
    runUntil(instant, reach) {
      for (let acts = 0; acts < mostActs; acts++) {
        const [next] = waiting;
        if (!next || next.instant > instant) break;
        waiting.shift();
        reach(next.instant);
        next.act();
      }
      reach(instant);
    },
  };
}
