import type { LogEntry, LogEvent } from "./log.ts";
import type { Clock } from "./ports.ts";
import { WrongUse } from "../source/wrong-use.ts";
import { localOf } from "./zone.ts";

/** What happened in a home, each entry once. */
export interface Journal {
  record: (event: LogEvent) => void;
  /** The entries that are kept, oldest first. */
  entries: () => readonly LogEntry[];
  /** Tells each entry as it is recorded; what comes back stops that. */
  on: (listener: (entry: LogEntry) => void) => () => void;
}

/** @param keep Entries that are kept; the oldest are dropped. */
export function createJournal(clock: Clock, zone: string, keep: number): Journal {
  const recorded: { elapsed: number; event: LogEvent }[] = [];
  const told: LogEntry[] = [];
  const listeners = new Set<(entry: LogEntry) => void>();
  let snapshot: readonly LogEntry[] = [];
  let isChanged = false;
  const entryOf = (elapsed: number, event: LogEvent): LogEntry => {
    return { time: localOf(clock.now() - clock.elapsed() + elapsed, zone), event };
  };
  return {
    record(event) {
      const elapsed = clock.elapsed();
      recorded.push({ elapsed, event });
      isChanged = true;
      // Dropped by halves, so that a long log costs no more for each entry than a short one.
      if (recorded.length >= 2 * keep) {
        recorded.splice(0, recorded.length - keep);
        told.length = 0;
      }
      if (listeners.size === 0) return;
      const entry = entryOf(elapsed, event);
      for (const listener of [...listeners]) tell(listener, entry);
    },
    entries() {
      if (!isChanged) return snapshot;
      // Times take a while to work out, and are asked for again and again.
      for (const { elapsed, event } of recorded.slice(told.length)) {
        told.push(entryOf(elapsed, event));
      }
      snapshot = told.slice(-keep);
      isChanged = false;
      return snapshot;
    },
    on(listener) {
      if (typeof listener !== "function") {
        throw new WrongUse("pass a function that is told each entry", "wrong-option");
      }
      listeners.add(listener);
      return () => listeners.delete(listener);
    },
  };
}

/** What a listener throws is for its developer, and does not stop what the home was doing. */
function tell(listener: (entry: LogEntry) => void, entry: LogEntry): void {
  try {
    listener(entry);
  } catch (error) {
    void Promise.reject(error instanceof Error ? error : new Error(String(error)));
  }
}
