import type { Value } from "../model/property.ts";
import type { StateTest } from "../model/state-words.ts";
import { madeOf } from "../source/wrong-use.ts";
import type { Reason } from "../model/reason.ts";

/** Raised when the JSON form of results changes in a way that a reader must know of. */
export const outcomeVersion = 2;

/** Something that a phrase asks of one device: values that its properties shall have, and others. */
export type Effect = EffectBase &
  (
    | { set: Readonly<Record<string, Value>> }
    /** Amounts to add, which the home turns into values. */
    | { nudge: Readonly<Record<string, number>> }
    /** Factors to multiply with, which the home turns into values. */
    | { scale: Readonly<Record<string, number>> }
    /** An action to invoke. */
    | { call: string; with?: Value }
  );

export interface EffectBase {
  device: string;
  /** Left out for what is done at once and stays. */
  when?: When;
}

/**
 * When something begins and ends: after seconds or at a local time, for seconds or until a local
 * time. Local times are `2026-03-02T18:30`, or `18:30` where it was not known what day it is; by the sun
 * they are `sunset` or `30m before sunset`, the next to come.
 */
export interface When {
  in?: number;
  at?: string;
  for?: number;
  until?: string;
}

/** One command of an utterance, and what it comes to. */
export interface HeardCommand {
  intent: string;
  slots: Slots;
  effects: readonly Effect[];
  /** Devices that were named together with others and have no part in it. */
  skipped: readonly Skipped[];
  /** What was asked, if it was about states. */
  questions?: readonly Question[];
  /** The intent or routine whose steps the home has to run to know what they come to. */
  runs?: string;
  /** When these steps are to begin. */
  when?: When;
}

/** A question about states: whose, and what is wanted. */
export type Question =
  | { form: "value"; devices: readonly string[]; property: string }
  | {
      form: "whether" | "which" | "any";
      devices: readonly string[];
      /** The state word, as said. */
      state: string;
      /** What it asks of a device: the first of these properties that it has. */
      tests: readonly StateTest[];
    };

/** A device that has no part in what was asked. */
export interface Skipped {
  device: string;
  why: Reason;
}

/**
 * What hearing an utterance comes to. It is plain data: it can be copied, sent to a worker and
 * written as JSON.
 */
export type Heard =
  HeardAct | HeardGuarded | HeardAnswer | HeardAsk | HeardUnsure | HeardRefuse | HeardUnknown;

export interface HeardBase {
  version: typeof outcomeVersion;
  /** The utterance as given. */
  text: string;
  /** BCP 47 tag of the language that it was heard in. */
  language: string;
  /** Where and when it was heard, and what was spoken of before. */
  context: Spoken;
  /** The commands in it, in the order said; none when there is not one meaning. */
  commands: readonly HeardCommand[];
  /** Ids of the devices that it is about: what "it" stands for in what is said next. */
  about: readonly string[];
}

/** What is known of an utterance beside its words. */
export interface Spoken {
  /** Id of the voicepoint that hears it. */
  at?: string;
  /** Local time there as ISO 8601, `2026-03-02T18:05`: what "tomorrow" and "at six" are told by. */
  time?: string;
  /** The id of what a name that stands for several things means, once somebody has said so. */
  chosen?: string;
  /** Ids of the devices that were spoken of last: what "it", "them" and "there" are told by. */
  it?: readonly string[];
  /** Words said for slots that were asked for, by the name of the slot. */
  said?: Readonly<Record<string, string>>;
}

/** One meaning, and something to do. */
export interface HeardAct extends HeardBase {
  outcome: "act";
  /** What was given before it became something to do: a yes, or the code. */
  granted?: "confirm" | "code";
}

/**
 * One meaning, and something to do that waits: for a yes, or for the spoken code. An offer is one
 * beside which words were said that mean nothing here: it is said back as a question.
 */
export interface HeardGuarded extends HeardBase {
  outcome: "confirm" | "code" | "offer";
}

/** One meaning, which changes nothing and says something. */
export interface HeardAnswer extends HeardBase {
  outcome: "answer";
}

/** One meaning, for which something that is needed was not said. */
export interface HeardAsk extends HeardBase {
  outcome: "ask";
  /** The slot that nothing was said for. */
  slot: string;
}

/** Several meanings, and nothing that decides between them. */
export interface HeardUnsure extends HeardBase {
  outcome: "unsure";
  choices: readonly Choice[];
}

export interface Choice {
  /** What to call it when asking. */
  label: string;
  /** What `chosen` is to be for it to be meant: the id of a device or an intent. */
  id?: string;
  commands: readonly HeardCommand[];
}

/** Understood, and cannot be done. */
export interface HeardRefuse extends HeardBase {
  outcome: "refuse";
  reasons: readonly Reason[];
}

/** Nothing understands it. */
export interface HeardUnknown extends HeardBase {
  outcome: "unknown";
}

type DistributiveOmit<T, Key extends PropertyKey> = T extends unknown ? Omit<T, Key> : never;

/** An outcome by itself, without the utterance that it is of. */
export type Conclusion = DistributiveOmit<Heard, Exclude<keyof HeardBase, "commands">>;

/** All that an outcome asks of devices, in the order said. */
export function effectsOf(heard: Pick<HeardBase, "commands">): readonly Effect[] {
  return madeOf("outcome", () => {
    const [only, more] = heard.commands;
    return only && !more ? only.effects : heard.commands.flatMap(({ effects }) => effects);
  });
}

/** Whether commands ask for something to be done, and not only to be told. */
export function isToDo({ commands }: Pick<HeardBase, "commands">): boolean {
  return commands.some(({ effects, runs }) => effects.length > 0 || runs !== undefined);
}

/** The intent that an utterance was understood as: of several commands, that of the first. */
export function intentOf({ commands }: Pick<HeardBase, "commands">): string | undefined {
  return commands[0]?.intent;
}

/** The same as something to do, once somebody has said yes or the code; anything else as it is. */
export function grant(heard: Heard): Heard {
  return madeOf("outcome", () =>
    heard.outcome === "confirm" || heard.outcome === "code" || heard.outcome === "offer"
      ? { ...heard, outcome: "act", granted: heard.outcome === "code" ? "code" : "confirm" }
      : heard,
  );
}

/** What fills a slot, and the words that gave it. */
export type SlotValue = ValueSlot | DevicesSlot;

export interface ValueSlot {
  value: Value;
  /** As said; empty for a default. */
  words: string;
  /** Said as a part of a whole: 0.5 for "half". */
  part?: number;
  /** The unit that it is in, where there are others of its quantity: `celsius`, `fahrenheit`. */
  unit?: string;
}

/** What a target stands for: devices by their ids, whatever name gathers them. */
export interface DevicesSlot {
  devices: readonly string[];
  words: string;
  /** Said as "it", "there" or "the one": by what was spoken of before. */
  leans?: true;
}

export type Slots = Readonly<Record<string, SlotValue>>;

/** What fills a slot; a slot may be called what every object has. */
export function filledBy(slots: Slots, name: string): SlotValue | undefined {
  return Object.hasOwn(slots, name) ? slots[name] : undefined;
}

/** The value of a slot that has one. */
export function valueBy(slots: Slots, name: string): Value | undefined {
  const filled = filledBy(slots, name);
  return filled && "value" in filled ? filled.value : undefined;
}
