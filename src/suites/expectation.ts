import type { When } from "../commands/outcome.ts";
import type { Conditions } from "../model/condition.ts";
import type { Value } from "../model/property.ts";
import type { ExpectedOutcome } from "./schema.ts";

/** What one command is to come to. */
export interface CommandExpectation {
  intent?: string;
  /** The exact effect: these properties of these devices end so, and nothing else is done. */
  set?: Conditions;
  nudge?: Conditions;
  scale?: Conditions;
  call?: ReadonlyMap<string, string>;
  /** When it is to be done; an effect that has a when and is expected to have none fails. */
  when?: When;
  /** Values; for a target the ids of devices, or of what gathers them. */
  slots?: Readonly<Record<string, Value | readonly string[]>>;
}

export interface Expectation extends CommandExpectation {
  /** Whatever else is done beside the effect. */
  also?: "anything";
  /** The routine that ran. */
  routine?: string;
  /** Ways that its steps went, in this order. */
  branches?: readonly string[];
  /** Globs over what is said at voicepoints, what people are told, and what is sent to places. */
  said?: Readonly<Record<string, string>>;
  told?: Readonly<Record<string, string>>;
  sent?: Readonly<Record<string, string>>;
  /** Lines of the log, each of which must be there. */
  log?: readonly LogExpectation[];
  outcome?: ExpectedOutcome;
  /** Each command of several, in the order said. */
  commands?: readonly CommandExpectation[];
  /** Ids of what a question is about: devices, or what gathers them. */
  about?: readonly string[];
  /** The slot that is asked for. */
  asks?: string;
  /** A phrase that must have the same effect. */
  sameAs?: string;
  /** Globs over what is said and over the reason of a refusal. */
  reply?: string;
  reason?: string;
  /** States that must hold afterwards, whatever else is so. */
  home?: Conditions;
}

/** A glob over a line of the log, and the time of day that the line has to be of. */
export interface LogExpectation {
  line: string;
  /** Seconds since the day began, and seconds that it may be off by. */
  clock?: number;
  within: number;
}
