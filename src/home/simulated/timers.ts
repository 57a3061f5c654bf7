/** Things to be done at instants of a virtual clock, in order. */
export interface Timers {
  /** Adds something to do; of several at one instant the first added is done first. */
  add: (instant: number, act: () => unknown) => () => void;
  /** Does everything up to an instant, the things included that these add. */
  runUntil: (instant: number, reach: (instant: number) => void) => void;
}

/** Most things at one instant that things at that instant add: what sets itself off does end. */
const mostAtOnce = 1000;

/** @param endless Told when things at one instant go on without end; what is left of them is dropped. */
export function createTimers(endless: () => void): Timers {
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
      let added = 0;
      let last = -Infinity;
      let border = 0;
      for (;;) {
        const next = waiting.shift();
        if (!next) break;
        if (next.instant > instant) {
          waiting.unshift(next);
          break;
        }
        if (next.instant !== last) {
          [last, border, added] = [next.instant, order, 0];
        } else if (next.order >= border && ++added >= mostAtOnce) {
          if (added === mostAtOnce) endless();
          continue;
        }
        reach(next.instant);
        next.act();
      }
      reach(instant);
    },
  };
}
