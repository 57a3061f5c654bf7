import type { Effect } from "../commands/outcome.ts";
import type { State } from "../model/property.ts";
import { membersOf, textOf } from "../source/border.ts";
import { readState } from "../hearing/context.ts";
import type { LiveClock } from "./live-clock.ts";
import type { Interrupted, LogEvent } from "./log.ts";
import type { Asker, DeviceResult, Devices, Message, Note } from "./ports.ts";
import type { Recorder } from "./recorder.ts";
import type { Replay } from "./replay.ts";

/** What a driver makes of something that was asked: nothing is that it was taken. */
export type Driven = DeviceResult | undefined | Promise<DeviceResult | undefined>;

/**
 * What an application gives a home to reach the world by. What it throws, or a promise that it
 * rejects, is a device that failed; so is what it never answers.
 */
export interface Driver {
  /** Asks something of a device, whose state is known to be this. */
  order: (effect: Effect, state: State) => Driven;
  /** Sends a message out; a home whose driver cannot has messages in its log alone. */
  send?: (message: Message) => Driven;
  /** Tells somebody something; a home whose driver cannot has that in its log alone. */
  notify?: (note: Note) => Driven;
}

/** What a home asks of the world: written down before it goes out, and answered once. */
export interface Outgoing extends Devices {
  /**
   * The home was stopped meanwhile. What never went out does now, what may be asked twice is asked
   * again, and of the rest nobody knows whether it was done.
   *
   * @param isPlayed Whether this was so before, and what came of it follows.
   */
  resume: (isPlayed: boolean) => void;
  /** Whether anything is without an answer. */
  isOpen: () => boolean;
}

/** What the asking is made with. */
export interface OutgoingOptions {
  clock: LiveClock;
  recorder: Recorder;
  driver: Driver;
  replay: Replay | undefined;
  /** Seconds in which the world answers. */
  answerTime: number;
  state: (device: string) => State;
  record: (event: LogEvent) => void;
  /** What becomes of what a routine asked for. */
  interrupted: (of: Asker) => Interrupted;
}

/** Something that is without an answer. */
interface Open {
  what: string;
  of: Asker;
  /** Whether to ask it twice is as good as once. */
  isRepeatable: boolean;
  put: () => void;
  take: (result: DeviceResult) => void;
  /** Gives it all its time, from now on. */
  wait: () => void;
}

export function createOutgoing(options: OutgoingOptions): Outgoing {
  const { clock, recorder, driver, replay, answerTime, state, record, interrupted } = options;
  const open = new Map<number, Open>();

  const ask = (
    drive: () => unknown,
    answer: (result: DeviceResult) => void,
    about: Pick<Open, "what" | "of" | "isRepeatable">,
  ): void => {
    if (!clock.isOpen()) {
      answer({ ok: false, what: "the home is closed" });
      return;
    }
    recorder.ordering((order) => {
      let isAnswered = false;
      let stop = (): void => undefined;
      const take = (result: DeviceResult): void => {
        if (isAnswered) return;
        isAnswered = true;
        stop();
        open.delete(order);
        answer(result);
      };
      const wait = (): void => {
        stop();
        stop = clock.at(clock.elapsed() + answerTime, () => {
          take({ ok: false, what: "no answer" });
        });
      };
      const put = (): void => {
        recorder.add({ input: "sent", order });
        const isCounted = recorder.counting();
        answered(drive, (result) => {
          // An order that is counted no more was given up long ago.
          if (isCounted()) recorder.add({ input: "answer", order, result });
          take(result);
        });
      };
      open.set(order, { ...about, put, take, wait });
      if (replay?.isOn()) {
        replay.order(order, (result) => {
          take(readResult(result));
        });
      } else put();
      if (!open.has(order)) return;
      wait();
    });
  };

  return {
    order(effect, answer, of) {
      const what = `${"call" in effect ? `${effect.call} of ` : ""}${effect.device}`;
      const isRepeatable = !("call" in effect);
      const known = state(effect.device);
      ask(() => driver.order(effect, known), answer, { what, of, isRepeatable });
    },
    send(message, answer, of) {
      const what = `a message to ${message.to}`;
      ask(() => driver.send?.(message), answer, { what, of, isRepeatable: false });
    },
    notify(note, answer, of) {
      const what = `a note to ${note.person}`;
      ask(() => driver.notify?.(note), answer, { what, of, isRepeatable: false });
    },
    isOpen: () => open.size > 0,
    resume(isPlayed) {
      const asked = [...open].sort(([one], [other]) => one - other);
      const lost = new Set<number>();
      for (const [order, { what, of, isRepeatable, wait }] of asked) {
        const isSent = replay?.isSent(order) === true;
        // Whoever asked goes on no more, or nobody can tell what asking twice would do.
        if (interrupted(of) !== "resume" || (isSent && !isRepeatable)) lost.add(order);
        else {
          wait();
          if (isSent) record({ event: "repeated", what, ...(of === undefined ? {} : { by: of }) });
        }
      }
      if (isPlayed) return;
      for (const [order, { put }] of asked) if (!lost.has(order)) put();
      for (const [order, { take }] of asked) {
        if (!lost.has(order)) continue;
        const what = replay?.isSent(order) === true ? unknownDone : "stopped meanwhile";
        const result: DeviceResult = { ok: false, what };
        recorder.add({ input: "answer", order, result });
        take(result);
      }
    },
  };
}

const unknownDone = "stopped meanwhile: it may have been done";

/** Asks something of a driver: whatever it does, there is an answer or none. */
function answered(drive: () => unknown, answer: (result: DeviceResult) => void): void {
  const failed = (error: unknown): void => {
    answer({ ok: false, what: error instanceof Error ? error.message : "failed" });
  };
  const take = (result: unknown): void => {
    answer(readResult(result));
  };
  try {
    const result = drive();
    if (result instanceof Promise) result.then(take, failed);
    else take(result);
  } catch (error) {
    failed(error);
  }
}

/** An answer as a driver gives it that need not have read its type. */
function readResult(result: unknown): DeviceResult {
  if (result === undefined || result === null) return { ok: true };
  const { ok, what, values, heading } = membersOf(result);
  if (ok === false) return { ok: false, what: textOf(what) ?? "failed" };
  const [has, goes] = [readState(values), readState(heading)];
  return { ok: true, ...(has ? { values: has } : {}), ...(goes ? { heading: goes } : {}) };
}
