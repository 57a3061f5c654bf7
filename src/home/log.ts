import { printDuration } from "../time/duration.ts";
import { madeOf } from "../source/wrong-use.ts";
import type { Value } from "../model/property.ts";
import type { Routine } from "../phrasebook/model.ts";

/** One thing that happened in a home. */
export interface LogEntry {
  /** Local time of the home, `2026-03-02T18:05:00`. */
  time: string;
  event: LogEvent;
}

export type LogEvent =
  | { event: "heard"; text: string; at?: string; language: string }
  | { event: "understood"; outcome: string; intent?: string }
  /** A property has another value than before. */
  | { event: "changed"; device: string; property: string; from: Value; to: Value; by?: string }
  | { event: "called"; device: string; action: string; with?: Value; by?: string }
  | { event: "failed"; device: string; what: string; by?: string }
  /** Something was not done although nothing was out of order: what it was, and why. */
  | { event: "refused"; what: string; by?: string }
  | { event: "said"; text: string; where: string; by?: string }
  | { event: "notified"; person: string; text: string; tag?: string; by?: string }
  /** What somebody was not told, and why. */
  | { event: "unnotified"; person: string; what: string; by?: string }
  | {
      event: "sent";
      over?: string;
      to: string;
      text: string;
      method: string;
      retain: boolean;
      by?: string;
    }
  /** A message that did not go out, and why. */
  | { event: "unsent"; to: string; what: string; by?: string }
  | { event: "started"; routine: string; because: string }
  | { event: "skipped"; routine: string; because: string }
  /** It runs already, and starts again once that run is over. */
  | { event: "queued"; routine: string; because: string }
  | { event: "ended"; routine: string; ok: boolean }
  | { event: "waiting"; seconds: number; by?: string }
  /** Which way an `if` went, or which answer was given. */
  | { event: "branch"; branch: string; by?: string }
  /** The home was stopped meanwhile, and what becomes of a run that was under way. */
  | { event: "interrupted"; routine: string; then: Interrupted }
  /** It was asked before the home was stopped and is asked again, since nobody knows whether it was done. */
  | { event: "repeated"; what: string; by?: string }
  | { event: "presence"; person: string; is: "home" | "away" };

/** What becomes of a run that was under way when a home was stopped. */
export type Interrupted = Routine["interrupted"];

/** An event with another form of each text in it that somebody may have said. */
export function mapTexts(event: LogEvent, change: (text: string) => string): LogEvent {
  switch (event.event) {
    case "heard":
    case "said":
    case "notified":
    case "sent":
      return { ...event, text: change(event.text) };
    case "called":
      return typeof event.with === "string" ? { ...event, with: change(event.with) } : event;
    case "failed":
    case "refused":
    case "unsent":
    case "unnotified":
      return { ...event, what: change(event.what) };
    case "understood":
      return { ...event, outcome: change(event.outcome) };
    case "started":
    case "skipped":
    case "queued":
      return { ...event, because: change(event.because) };
    default:
      return event;
  }
}

/** A log entry in one line, without its time. */
export function printEvent(event: LogEvent): string {
  return madeOf("event", () => print(event));
}

const afterStop: Readonly<Record<Interrupted, string>> = {
  resume: "goes on",
  tell: "ends",
  repeat: "starts again",
};

function print(event: LogEvent): string {
  switch (event.event) {
    case "heard":
      return `heard “${event.text}”${event.at === undefined ? "" : ` at ${event.at}`}`;
    case "understood":
      return `understood ${event.outcome}`;
    case "changed":
      return `${event.device} ${event.property}: ${event.from} → ${event.to}`;
    case "called":
      return `${event.device} ${event.action}${event.with === undefined ? "" : ` “${event.with}”`}`;
    case "failed":
      return `${event.device} did not answer: ${event.what}`;
    case "refused":
      return `not done: ${event.what}`;
    case "said":
      return `said “${event.text}” (${event.where})`;
    case "notified":
      return `told ${event.person} “${event.text}”${event.tag === undefined ? "" : ` [${event.tag}]`}`;
    case "unnotified":
      return `${event.person} was not told: ${event.what}`;
    case "sent":
      return `sent to ${event.to}${event.text === "" ? "" : ` “${event.text}”`}`;
    case "unsent":
      return `not sent to ${event.to}: ${event.what}`;
    case "interrupted":
      return `${event.routine} was interrupted, and ${afterStop[event.then]}`;
    case "repeated":
      return `asked again after a stop: ${event.what}`;
    case "started":
      return `${event.routine} starts: ${event.because}`;
    case "skipped":
      return `${event.routine} does not start: ${event.because}`;
    case "queued":
      return `${event.routine} waits for its turn: ${event.because}`;
    case "ended":
      return `${event.routine} ends${event.ok ? "" : ", not all of it done"}`;
    case "waiting":
      return `waits ${printDuration(event.seconds)}`;
    case "branch":
      return `branch: ${event.branch}`;
    case "presence":
      return `${event.person} is ${event.is}`;
  }
}
