import type { StateWord } from "../language/vocabulary.ts";
import type { Pattern } from "../pattern/tree.ts";
import type { Finding } from "../source/finding.ts";
import type { Position } from "../source/position.ts";
import type { Kind, VoiceAccess } from "./kinds.ts";
import type { DataSchema, Value } from "./property.ts";
import type { StepInput } from "./schema.ts";
import type { Condition, Conditions } from "./condition.ts";

/** A checked phrasebook: everything about one home's voice control. */
export interface Phrasebook {
  name: string;
  /** BCP 47 tags; the first is the one that texts without a language are in. */
  languages: readonly string[];
  /** Patterns that may come before any phrase. */
  address: readonly SpokenPattern[];
  rooms: ReadonlyMap<string, Room>;
  zones: ReadonlyMap<string, Zone>;
  voicepoints: ReadonlyMap<string, Voicepoint>;
  devices: ReadonlyMap<string, Device>;
  groups: ReadonlyMap<string, Group>;
  fragments: ReadonlyMap<string, Fragment>;
  intents: ReadonlyMap<string, Intent>;
  /** Those with phrases are intents as well, under the same id. */
  routines: ReadonlyMap<string, Routine>;
  /** Where the home stands. */
  place?: Location;
  /** What has to be said where voice needs a code. */
  code?: string;
  /** Who is told things and whose presence counts. */
  people: ReadonlyMap<string, Person>;
  /** Names that the phrasebook gives to colours. */
  colours: readonly NamedColour[];
  /** Nouns for kinds that the phrasebook adds. */
  kindNouns: readonly KindNoun[];
  /** What comes with Calm Phrase and with the parts that this phrasebook uses, besides its own. */
  kinds: ReadonlyMap<string, Kind>;
  problems: readonly Finding[];
}

/** A name that something answers to in one language. */
export interface Name {
  text: string;
  words: readonly string[];
  language: string;
  /** An alias yields to a name that is worded the same. */
  alias: boolean;
  at: Position;
}

/** Where a home stands, for its time and its sun. */
export interface Location {
  /** Degrees north. */
  latitude: number;
  /** Degrees east. */
  longitude: number;
  /** IANA time zone, such as `Europe/London`. */
  timezone: string;
}

interface Named {
  id: string;
  /** By the language they are said in; made from the id where none is written. */
  names: readonly Name[];
  at: Position;
}

export interface Room extends Named {
  type: "room";
}

export interface Zone extends Named {
  type: "zone";
  /** The rooms of the zone and of the zones in it. */
  rooms: readonly string[];
}

export interface Group extends Named {
  type: "group";
  /** Ids of its devices and of those of the groups in it. */
  devices: readonly string[];
}

export interface Device extends Named {
  type: "device";
  kind: string;
  room?: string;
  properties: ReadonlyMap<string, DataSchema>;
  actions: readonly string[];
  voice: VoiceAccess;
  /** Values that are free whatever `voice` says, because they make the home safer. */
  safe: Readonly<Record<string, readonly Value[]>>;
  /** Actions that are free whatever `voice` says. */
  safeActions: readonly string[];
  /** Whether the phrasebook says so, rather than the kind. */
  isVoiceWritten: boolean;
  /** The mistake for which voice is barred from it, until that is mended. */
  doubt?: Position;
  /** Whether commands to everything, a place or a kind take it along, and while what holds. */
  bulk: boolean | Readonly<Record<string, Condition>>;
}

/** A word for devices of a kind. */
export interface KindNoun {
  kind: string;
  many: boolean;
  text: string;
  language: string;
}

/** A colour under a name of its own. */
export interface NamedColour {
  /** `#rrggbb`. */
  value: string;
  text: string;
  language: string;
}

export interface Person {
  id: string;
  name: string;
  at: Position;
}

export interface Voicepoint {
  id: string;
  room: string;
  at: Position;
}

/** Anything that a target can name. */
export type Place = Room | Zone;
export type Nameable = Device | Group | Place;

/** A pattern in one language, with where it was written. */
export interface SpokenPattern {
  text: string;
  language: string;
  tree: Pattern;
  /** Whether it was written for this home or came with Calm Phrase. */
  origin: "phrasebook" | "vocabulary";
  at: Position;
}

/** A named piece of pattern; several texts in one language are alternatives. */
export interface Fragment {
  name: string;
  patterns: readonly SpokenPattern[];
  at: Position;
}

export interface Intent {
  id: string;
  patterns: readonly SpokenPattern[];
  slots: ReadonlyMap<string, Slot>;
  steps: readonly Step[];
  /** Computes the steps instead, where a definition has a function for them. */
  compute?: ComputedSteps;
  /** MessageFormat 2 sources by language. */
  reply: ReadonlyMap<string, Reply>;
  /** What is said instead when something did not work. */
  failed: ReadonlyMap<string, Reply>;
  /** Whether it sets off a routine, and whether that is trusted beyond the guards of its devices. */
  routine?: { trusted: boolean };
  at: Position;
}

/** Steps that something sets off. */
export interface Routine {
  id: string;
  names: readonly Name[];
  triggers: readonly Trigger[];
  slots: ReadonlyMap<string, Slot>;
  /** What must hold for it to run, whatever sets it off. */
  condition: Conditions;
  enabled: boolean;
  /** What happens when it is set off while it runs. */
  overlap: "skip" | "queue" | "restart" | "together";
  /** Seconds after a run that did all, in which clock, sun, states and people do not set it off. */
  rest: number;
  trusted: boolean;
  /** Where it speaks: where it was asked for, a room, everywhere or nowhere. */
  replyAt: string;
  /** What is said first, before work that takes a while. */
  moment: ReadonlyMap<string, Reply>;
  steps: readonly Step[];
  compute?: ComputedSteps;
  reply: ReadonlyMap<string, Reply>;
  failed: ReadonlyMap<string, Reply>;
  at: Position;
}

/** Steps that a function computes, held against the home like any that are written. */
export type ComputedSteps = (
  input: StepInput,
) => { ok: true; steps: readonly Step[] } | { ok: false; problem: string };

/** What sets a routine off, beside its phrases. */
export type Trigger = { at: Position } & (
  | {
      trigger: "time";
      /** Seconds since the day began, by the clock of the home. */
      clock: number;
      days: Days;
    }
  | {
      trigger: "sun";
      event: SunEvent;
      /** Seconds after it; before it when negative. */
      offset: number;
      days: Days;
    }
  | { trigger: "state"; states: Conditions; /** Seconds that it has to hold. */ lasting: number }
  | { trigger: "presence"; who: string; is: "home" | "away" }
  | { trigger: "press"; device: string }
);

export type SunEvent = "sunrise" | "sunset" | "dawn" | "dusk" | "noon";

/** The days on which a trigger fires. */
export type Days =
  | { days: "every" }
  /** From 1 for Monday to 7 for Sunday, as in ISO 8601. */
  | { days: "weekdays"; weekdays: readonly number[] }
  | { days: "dates"; dates: readonly string[] }
  /** A recurrence rule of RFC 5545, section 3.3.10. */
  | { days: "rule"; rule: string };

export interface Reply {
  text: string;
  /** The states that it speaks of: `{$glaze-sensor.humidity}`. */
  states: readonly { variable: string; device: string; property: string }[];
  origin: "phrasebook" | "vocabulary";
  at: Position;
}

export type Slot =
  | TargetSlot
  | NumberSlot
  | TimeSlot
  | DateSlot
  | ChoiceSlot
  | ValueSlot
  | ColourSlot
  | StateSlot
  | RoutineSlot
  | TextSlot;

interface SlotBase {
  name: string;
  at: Position;
  /** What uses it is left out when nothing is said for it. */
  optional?: true;
  /** What is asked back when nothing is said for it, by language. */
  ask?: ReadonlyMap<string, Reply>;
}

/** Something that has a name. */
export interface TargetSlot extends SlotBase {
  type: "target";
  /** Only something of this sort under its name. */
  sort?: Nameable["type"];
  /** Only devices of these kinds. */
  kinds?: readonly string[];
  /** Only devices in this room. */
  room?: string;
  /** Only what is named itself: no place, "here" or "everything". */
  named?: true;
  /** The target slot that this one gives a place to: "turn the lights on _in the shop_". */
  narrows?: string;
}

/** A number, with or without its unit said. */
export interface NumberSlot extends SlotBase {
  type: NumberSlotType;
  minimum?: number;
  maximum?: number;
  step?: number;
  /** The unit of a `number` or `integer`, and the words for it that may follow the number. */
  unit?: { name: string; said: readonly { text: string; language: string }[] };
  /** Values that also have words of their own: "low" for 33. */
  values: readonly ChoiceValue[];
  default?: number;
}

/** A `duration` is in seconds. */
export type NumberSlotType =
  "percent" | "number" | "integer" | "temperature" | "colour-temperature" | "duration" | "ordinal";

/** A time of day, as `HH:MM`. */
export interface TimeSlot extends SlotBase {
  type: "time";
  minimum?: string;
  maximum?: string;
  default?: string;
}

/** A date, as `2026-03-02`. */
export interface DateSlot extends SlotBase {
  type: "date";
  minimum?: string;
  maximum?: string;
  default?: string;
}

/** A colour by name or as `#rrggbb`. */
export interface ColourSlot extends SlotBase {
  type: "colour";
}

/** A value that devices of this home list for a property: a mode, a source, a program. */
export interface ValueSlot extends SlotBase {
  type: "value";
  property: string;
  default?: Value;
}

/** A word for a state that devices can be asked about: "open", "on". */
export interface StateSlot extends SlotBase {
  type: "state";
}

/** A routine by one of its names; its value is the id. */
export interface RoutineSlot extends SlotBase {
  type: "routine";
}

/** Free words. */
export interface TextSlot extends SlotBase {
  type: "text";
}

/** One of a list of values, each with the words said for it. */
export interface ChoiceSlot extends SlotBase {
  type: "choice";
  values: readonly ChoiceValue[];
  default?: Value;
}

export interface ChoiceValue {
  value: Value;
  patterns: readonly SpokenPattern[];
}

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

/** A message out: an MQTT topic (`mqtt:home/kiln`) or a URL. */
export interface SendStep {
  step: "send";
  to: string;
  text: string;
  retain: boolean;
  method: "GET" | "POST" | "PUT";
  at: Position;
}

/** Sets, nudges or calls on devices. */
export interface OrderStep {
  step: "order";
  orders: readonly Order[];
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

/** Answers a question from the states of devices. */
export type TellStep = {
  step: "tell";
  target: TargetReference;
  at: Position;
} & (
  | { form: "value"; property: string | { slot: string } }
  /** Asks about a state word, such as "open" or "on". */
  | { form: "whether" | "which" | "any"; state: StateWord | { slot: string } }
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
  | { refer: "sum"; operator: Operator; left: ValueReference; right: ValueReference };

export const operators = ["plus", "minus", "times", "at least", "at most"] as const;

export type Operator = (typeof operators)[number];
