import type { Effect } from "../commands/outcome.ts";
import type { State } from "../model/property.ts";
import type { SendStep } from "../model/step.ts";

/** What a device made of an order. */
export type DeviceResult =
  | {
      ok: true;
      /** Values that it has from now on. */
      values?: State;
      /** Values that it is on its way to, of which it is yet to be told that they are so. */
      heading?: State;
    }
  | { ok: false; what: string };

/** A message out. */
export type Message = Omit<SendStep, "step" | "at">;

/** What somebody is told; a note with a tag takes the place of an earlier one. */
export interface Note {
  person: string;
  text: string;
  tag?: string;
}

/** What asks something of the world: the routine or intent whose steps do, if any. */
export type Asker = string | undefined;

/**
 * The devices of a home, on the other side of its routines, guards and conversations: simulated, or
 * real. What they are is told to the home by reports.
 */
export interface Devices {
  /**
   * Asks something of a device. The answer may come at once, later, or never; what comes after the
   * first, or too late, is passed over. Where neither values nor a heading come with it, the device
   * is on its way to what was asked.
   */
  order: (effect: Effect, answer: (result: DeviceResult) => void, of: Asker) => void;
  /** Sends a message out, and tells once it has gone, or that it has not. */
  send: (message: Message, answer: (result: DeviceResult) => void, of: Asker) => void;
  /** Tells somebody something, and tells once it has gone, or that it has not. */
  notify: (note: Note, answer: (result: DeviceResult) => void, of: Asker) => void;
}

/** The clock of a home: virtual, or the machine's. */
export interface Clock {
  /** Seconds since the home began. */
  elapsed: () => number;
  /** Seconds of Unix time. */
  now: () => number;
  /**
   * Does something once `elapsed` has come to a number of seconds, after all that was asked for
   * before at the same time; never at once. What comes back calls it off.
   *
   * @param name For what is set again whenever a home begins.
   */
  at: (elapsed: number, act: () => void, name?: string) => () => void;
  /** Does what is due by now, where nothing else would make it go on. */
  flush?: () => void;
}
