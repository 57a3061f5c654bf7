import type { StateWord } from "../language/vocabulary.ts";
import type { Conditions } from "./condition.ts";
import type { Value } from "./property.ts";
import type { Reply, SpokenPattern } from "./spoken.ts";
import type { Position } from "../source/position.ts";

/** One step of what an intent or routine does; they are done in the order written. */
export type Step =
  | OrderStep
  | TellStep
  | SayStep
  | NotifyStep
  | WaitStep
  | IfStep
  | TryStep
  | AskStep
  | RunStep
  | HearStep
  | SendStep;

/** Sets, nudges or calls on devices. */
export interface OrderStep {
  step: "order";
  orders: readonly Order[];
  at: Position;
}

/** Answers a question from the states of devices. */
export type TellStep = {
  step: "tell";
  target: TargetReference;
  at: Position;
} & (
  | { form: "value"; property: string | readonly string[] | { slot: string } }
  /** Asks about a state word, such as "open" or "on". */
  | { form: "whether" | "which" | "any"; state: StateWord | { slot: string } }
  /** Asks about a value of a property. */
  | { form: "whether" | "which" | "any"; property: string; is: string | { slot: string } }
);

/** Says something: at the voicepoint, in a room or zone, or `everywhere`. */
export interface SayStep {
  step: "say";
  text: ReadonlyMap<string, Reply>;
  where: string;
  at: Position;
}

/** Tells people something; a note with a tag takes the place of an earlier one. */
export interface NotifyStep {
  step: "notify";
  people: readonly string[];
  text: ReadonlyMap<string, Reply>;
  tag?: string;
  at: Position;
}

export interface WaitStep {
  step: "wait";
  /** Seconds, or a slot of type duration. */
  wait: ValueReference;
  at: Position;
}

export interface IfStep {
  step: "if";
  condition: Conditions;
  then: readonly Step[];
  otherwise: readonly Step[];
  at: Position;
}

/** Steps, and what is done when one of them did not work; the ones after it are left out. */
export interface TryStep {
  step: "try";
  steps: readonly Step[];
  failed: readonly Step[];
  at: Position;
}

/** Asks back, and goes on by what is answered. */
export interface AskStep {
  step: "ask";
  text: ReadonlyMap<string, Reply>;
  answers: readonly { patterns: readonly SpokenPattern[]; steps: readonly Step[] }[];
  /** Seconds to answer in. */
  within: number;
  silence: readonly Step[];
  at: Position;
}

export interface RunStep {
  step: "run";
  /** The id of a routine, or a slot that one is said for. */
  routine: { refer: "routine"; id: string } | { refer: "slot"; slot: string };
  at: Position;
}

/** Does what a phrase would do. */
export interface HearStep {
  step: "hear";
  phrase: string;
  /** The voicepoint that it is as if said to. */
  voicepoint?: string;
  at: Position;
}

/** A message out: to an MQTT topic (`mqtt:home/kiln`) or a URL, or to a topic or path of a connection. */
export interface SendStep {
  step: "send";
  /** The connection that it goes over. */
  over?: string;
  to: string;
  text: string;
  retain: boolean;
  method: "GET" | "POST" | "PUT";
  at: Position;
}

/** One thing asked of whatever a target stands for. */
export type Order = { target: TargetReference; at: Position } & (
  | { order: "set"; property: string; value: ValueReference }
  /** Adds to a number; a negative factor takes away. */
  | { order: "nudge"; property: string; by: ValueReference; factor: 1 | -1 }
  /** Sets to the other one of two values. */
  | { order: "toggle"; property: string }
  | { order: "call"; action: string; input?: ValueReference }
);

export type TargetReference =
  | {
      refer: "device" | "group" | "room" | "zone";
      id: string;
      /** Ids of what is left out of it: "workshop except kiln-vent". */
      except?: readonly string[];
    }
  | { refer: "slot"; slot: string };

export type ValueReference =
  | { refer: "value"; value: Value }
  | { refer: "slot"; slot: string }
  | { refer: "state"; device: string; property: string }
  /** The first of these that a device can have; before them what it was when it was last on. */
  | { refer: "first"; values: readonly [Value, ...Value[]]; isLast?: true }
  | { refer: "sum"; operator: Operator; left: ValueReference; right: ValueReference };

export const operators = ["plus", "minus", "times", "at least", "at most"] as const;

export type Operator = (typeof operators)[number];

/** Steps that a function computes, held against the home like any that are written. */
export type ComputedSteps = (
  input: StepInput,
) => { ok: true; steps: readonly Step[] } | { ok: false; problem: string };

/** What a function that computes steps is given. */
export interface StepInput<Slots = Readonly<Record<string, Value | readonly string[]>>> {
  /** By slot: its value, or the ids of the devices that a target stands for. */
  slots: Slots;
  /** The state of a device at that moment; empty for one that does not exist. */
  state: (device: string) => Readonly<Record<string, Value>>;
  /** BCP 47 tag of the language spoken. */
  language: string;
  /** The voicepoint, where speech set it off. */
  at?: string;
  /** Local time, `2026-03-02T18:05`, if it is known. */
  time?: string;
}
