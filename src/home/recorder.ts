import { given } from "../source/given.ts";
import { WrongUse } from "../source/wrong-use.ts";
import type { LiveClock } from "./live-clock.ts";
import { type Received, type HomeSnapshot, type Rest, canBeKept } from "./snapshot.ts";

type DistributiveOmit<T, Key extends PropertyKey> = T extends unknown ? Omit<T, Key> : never;

/** Something that comes in, without when it does. */
export type Incoming = DistributiveOmit<Received, "time" | "during">;

/**
 * What a home writes down before it acts on it, so that nothing is lost when it is stopped at any
 * moment: `{ version: 1, rest, since }` is a snapshot to go on from, with the last `rest` and all that was
 * added since. A home that goes on from a snapshot takes it as written down.
 */
export interface Keeper {
  /** What it is from here on: what was written down before is needed no more. */
  rest: (rest: Rest) => void;
  /** Something that came in. */
  add: (received: Received) => void;
}

/** Keeps what comes in to a home since nothing was on its way. */
export interface Recorder {
  /** Takes what the home is now to go on from. */
  begin: () => void;
  add: (input: Incoming) => void;
  /** Gives an order its number; what comes in meanwhile is kept as having come in during it. */
  ordering: (act: (order: number) => void) => void;
  /** Tells later whether orders are still counted as they are now. */
  counting: () => () => boolean;
  snapshot: () => HomeSnapshot;
  /** Goes on from a snapshot: nothing is kept while what came in is played again. */
  resume: (snapshot: HomeSnapshot, play: (received: Received) => void) => void;
}

/** What follows from something else that came in. */
const within: ReadonlySet<string> = new Set(["due", "answer", "sent", "interrupted"]);

/** Most that is kept before it is looked whether nothing is on its way. */
const mostKept = 500;

/** @param rest What the home is, where nothing of it is on its way. */
export function createRecorder(
  clock: LiveClock,
  rest: () => Rest | undefined,
  keeper?: Keeper,
): Recorder {
  let base: Rest | undefined;
  let since: Received[] = [];
  let orders = 0;
  let counted = 0;
  let during: number | undefined;
  let isResuming = false;
  const settle = (): void => {
    const now = during === undefined && clock.isQuiet() ? rest() : undefined;
    if (!now) return;
    [base, since, orders] = [now, [], 0];
    counted++;
    clock.recount();
    keeper?.rest(now);
  };
  return {
    begin: settle,
    add(input) {
      if (isResuming) return;
      const isOutside = !within.has(input.input);
      if (isOutside && since.length >= mostKept) settle();
      const kept = { ...input, time: clock.now(), ...given({ during }) };
      if (!canBeKept(kept)) return;
      since.push(kept);
      keeper?.add(kept);
    },
    ordering(act) {
      const outer = during;
      during = orders++;
      act(during);
      during = outer;
    },
    counting() {
      const then = counted;
      return () => counted === then;
    },
    snapshot() {
      settle();
      if (!base) throw new WrongUse("this home never was without something on its way");
      return structuredClone({ version: 1, rest: base, since });
    },
    resume(snapshot, play) {
      base = snapshot.rest;
      since = [...snapshot.since];
      isResuming = true;
      for (const input of since) {
        if (input.during !== undefined) continue;
        clock.standAt(input.time);
        play(input);
      }
      isResuming = false;
      clock.goOn();
    },
  };
}
