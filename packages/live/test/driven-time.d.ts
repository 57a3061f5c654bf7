import type { TimeSource } from "calm-phrase";

/** Time that goes on when it is told to. */
export class DrivenTime implements TimeSource {
  now: TimeSource["now"];
  after: TimeSource["after"];
  /** Begins anew at an instant, in seconds of Unix time. */
  beginAt(now: number): void;
  /** Goes on, and lets what is due be done; after each instant it waits until that has settled. */
  pass(seconds: number, settled: () => Promise<void>): Promise<void>;
}
