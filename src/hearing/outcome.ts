import type { Step } from "../phrasebook/model.ts";
import type { Value, ValueProblem } from "../phrasebook/property.ts";
import type { StateTest } from "../phrasebook/state-words.ts";
import type { Position } from "../source/position.ts";

/** Raised when the JSON form of results changes in a way that a reader must know of. */
export const outcomeVersion = 1;

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

interface EffectBase {
  device: string;
  /** Left out for what is done at once and stays. */
  when?: When;
}

/**
 * When something begins and ends: after seconds or at a local time, for seconds or until a local
 * time. Local times are `2026-03-02T18:30`, or `18:30` where it was not known what day it is.
 */
export interface When {
  in?: number;
  at?: string;
  for?: number;
  until?: string;
}

/** One of several commands in an utterance. */
export interface HeardCommand {
  intent: string;
  slots: Readonly<Record<string, SlotValue>>;
  effects: readonly Effect[];
  skipped: readonly Skipped[];
  questions?: readonly Question[];
  runs?: string;
  steps?: readonly Step[];
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

/** A device that a phrase named together with others and that cannot do what was asked. */
export interface Skipped {
  device: string;
  reason: string;
  /** What voice needs for it, where that is the reason. */
  needs?: "confirm" | "code";
}

/** What hearing an utterance comes to. */
export type Heard =
  HeardAct | HeardGuarded | HeardAnswer | HeardAsk | HeardUnsure | HeardRefuse | HeardUnknown;

export interface HeardBase {
  version: typeof outcomeVersion;
  /** The utterance as given. */
  text: string;
  /** BCP 47 tag of the language that it was heard in. */
  language: string;
  /** The voicepoint that heard it. */
  at?: string;
  /** What is said back; for `act`, once everything has worked. */
  readonly reply: string;
  /** Ids of the devices that it is about: what "it" stands for in what is said next. */
  readonly about: readonly string[];
  readonly why: Why;
}

/** One meaning, and effects. */
export interface HeardAct extends HeardBase {
  outcome: "act";
  /** Of several commands, that of the first. */
  intent: string;
  slots: Readonly<Record<string, SlotValue>>;
  /** Of several commands, those of all in the order said. */
  effects: readonly Effect[];
  skipped: readonly Skipped[];
  /** Each command, when there are several. */
  commands?: readonly HeardCommand[];
  /** The intent or routine whose steps the home has to run to know what they come to. */
  runs?: string;
  /** These steps, where a function computed them. */
  steps?: readonly Step[];
  /** When these steps are to begin. */
  when?: When;
  /** What was given before it became something to do: a yes, or the code. */
  granted?: "confirm" | "code";
}

/** One meaning, and effects that wait: for a yes, or for the spoken code. */
export interface HeardGuarded extends HeardBase {
  outcome: "confirm" | "code";
  /** The same as something to do, once somebody has said yes or the code. */
  grant: () => Heard;
  intent: string;
  slots: Readonly<Record<string, SlotValue>>;
  effects: readonly Effect[];
  skipped: readonly Skipped[];
  commands?: readonly HeardCommand[];
  runs?: string;
  steps?: readonly Step[];
  when?: When;
}

/** One meaning, which changes nothing and says something. */
export interface HeardAnswer extends HeardBase {
  outcome: "answer";
  intent: string;
  slots: Readonly<Record<string, SlotValue>>;
  /** What was asked, if it was about states. */
  questions?: readonly Question[];
  commands?: readonly HeardCommand[];
}

/** One meaning, for which something that is needed was not said. */
export interface HeardAsk extends HeardBase {
  outcome: "ask";
  intent: string;
  /** The slot that nothing was said for. */
  slot: string;
  /** Those that something was said for. */
  slots: Readonly<Record<string, SlotValue>>;
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
  intent: string;
  effects: readonly Effect[];
}

/** Understood, and cannot be done. */
export interface HeardRefuse extends HeardBase {
  outcome: "refuse";
  intent: string;
  /** In English, with ids. */
  reason: string;
  /** The same, as far as it can be said in every language. */
  because?: readonly Because[];
}

/** Why something cannot be done. */
export type Because =
  /** A property of a device, or a slot, cannot have the value. */
  | { because: "value"; device?: string; property: string; problem: ValueProblem }
  | { because: "unable"; device: string }
  /** No command to many takes it along. */
  | { because: "alone"; device: string }
  /** A function that computes steps failed; what with is for its developer. */
  | { because: "broken" }
  /** A time to wait, or that something is to last, is none or too long. */
  | { because: "length" }
  /** "It" or "here" stands for nothing. */
  | { because: "nowhere" }
  | { because: "past"; time: string };

/** Nothing understands it. */
export interface HeardUnknown extends HeardBase {
  outcome: "unknown";
}

/** The value of a slot, and the words that gave it. */
export interface SlotValue {
  value: Value;
  /** As said; empty for a default. */
  words: string;
  /** Said as a part of a whole: 0.5 for "half". */
  part?: number;
  /** Said as "it" or "there": by what was spoken of before. */
  leans?: true;
}

/** Everything that led to an outcome. */
export interface Why {
  words: readonly WordRole[];
  readings: readonly ReadingWhy[];
  /** For `unknown`: what comes nearest, best first. */
  nearest: readonly NearMiss[];
  /** For `unknown`: what was named that voice is barred from; to be told by tools alone. */
  barred: readonly Barred[];
  /** Set when there were more readings than are looked at. */
  cut: boolean;
  /** Steps of the search for readings, which are bounded whatever is said. */
  steps: number;
}

/** A device that speech does not know, though it was named. */
export interface Barred {
  device: string;
  reason: string;
  /** Where its name is written. */
  at: Position;
}

/** What one word of the utterance was taken for. */
export interface WordRole {
  text: string;
  /** UTF-16 offsets in the utterance. */
  start: number;
  end: number;
  role: "pattern" | "slot" | "small" | "courtesy" | "when" | "joiner" | "unused";
  /** Of several commands in the utterance the one that it is part of, from 1. */
  command?: number;
  /** The slot that it fills. */
  slot?: string;
  /** The fragment whose word it is. */
  fragment?: string;
  /** Where the pattern, fragment or name that took it is written. */
  at?: Position;
}

/** One way to understand the utterance, and why it was kept or dropped. */
export interface ReadingWhy {
  /** Of several commands in the utterance the one that it is about, from 1. */
  command?: number;
  intent: string;
  pattern: string;
  at: Position;
  slots: readonly {
    name: string;
    words: string;
    means: string;
    /** Where the name that filled it is written. */
    at?: Position;
    /** Where the slot is declared. */
    declared: Position;
  }[];
  kept: boolean;
  /** What it would do, for one that does something. */
  does?: string;
  /** The rule that decided. */
  rule: string;
  /** Devices that were named and are left out, each with its reason. */
  skipped: readonly Skipped[];
}

/** Something that would have been understood, and where it parts from what was said. */
export interface NearMiss {
  /** What is the matter with the words: another is expected, they are too many or too few. */
  miss: "word" | "name" | "value" | "extra" | "missing" | "end";
  /** The words that stopped it, as said; empty when a word is missing. */
  words: string;
  /** UTF-16 offsets of those words in the utterance. */
  start: number;
  end: number;
  /** What would have been understood there. */
  expected: readonly string[];
  intent?: string;
  pattern?: string;
  at: Position;
  message: string;
  /** YAML that makes the phrase understood, ready to paste, and what to do with it. */
  paste?: { yaml: string; how: string };
}
