import type { ReplyDefinition, SaidDefinition, ValuesDefinition } from "../document/shapes.ts";
import type { Value } from "../model/property.ts";

/*
 * Slots as they are written. The sentence over each key is what editors show for it, in TypeScript and
 * by way of the JSON Schema in YAML.
 */

export interface NeedDefinition {
  /** What uses the slot is left out when nothing is said for it. */
  optional?: true | undefined;
  /** What is asked back when nothing is said for it. */
  ask?: ReplyDefinition | undefined;
}

/** A slot for whatever names devices. */
export interface TargetDefinition extends NeedDefinition {
  /** What may be named: anything, or only a device, room, zone or group. */
  type: "target" | "device" | "room" | "zone" | "group";
  /** Only devices of this kind, or of these. */
  kind?: string | string[] | undefined;
  /** Only devices in this room. */
  room?: string | undefined;
  /** Only what is named itself: no place, no "here" and no "everything". */
  named?: true | undefined;
  /** The target slot that this one gives a place to: "the lights on _in the shop_". */
  narrows?: string | undefined;
}

export interface LimitsDefinition extends NeedDefinition {
  /** The least that may be said. */
  minimum?: number | undefined;
  /** The most that may be said. */
  maximum?: number | undefined;
  /** What is said must be a whole number of these. */
  step?: number | undefined;
  /** Values with words of their own: `{ 33: [low, slow] }`. */
  values?: ValuesDefinition | undefined;
  /** The value when nothing is said. */
  default?: number | undefined;
}

/** A slot for a number with a unit of its type. */
export interface QuantityDefinition extends LimitsDefinition {
  /** Percent, kelvin, or a place in an order. */
  type: "percent" | "colour-temperature" | "ordinal";
}

/** A slot for degrees. */
export interface TemperatureDefinition extends LimitsDefinition {
  /** A temperature, or how much warmer or colder. */
  type: "temperature";
  /** The unit of its numbers here. The one that the home is spoken to in, when left out. */
  unit?: "celsius" | "fahrenheit" | undefined;
}

/** A slot for a number, or a whole number. */
export interface NumberDefinition extends LimitsDefinition {
  /** Any number, or whole ones. */
  type: "number" | "integer";
  /** Words that may follow the number: `{ en: [turn, turns] }`. */
  unit?: SaidDefinition | undefined;
}

/** A slot for a length of time. */
export interface DurationDefinition extends NeedDefinition {
  /** A length of time, in seconds. */
  type: "duration";
  /** The shortest that may be said: `5m`. */
  minimum?: number | string | undefined;
  /** What a number alone counts; it has to be said, when left out. */
  unit?: "second" | "minute" | "hour" | undefined;
  /** The longest that may be said: `2h`. */
  maximum?: number | string | undefined;
  /** What is said must be a whole number of these: `30s`. */
  step?: number | string | undefined;
  /** Values, in seconds, with words of their own. */
  values?: ValuesDefinition | undefined;
  /** The length when nothing is said. */
  default?: number | string | undefined;
}

/** A slot for a time of day or a date. */
export interface MomentDefinition extends NeedDefinition {
  /** A time of day as `HH:MM`, or a date as `2026-03-02`. */
  type: "time" | "date";
  /** The first that may be said. */
  minimum?: string | undefined;
  /** The last that may be said. */
  maximum?: string | undefined;
  /** What it is when nothing is said. */
  default?: string | undefined;
}

/** A slot for a colour. */
export interface ColourDefinition extends NeedDefinition {
  /** A colour by name or as `#rrggbb`. */
  type: "colour";
  /** The colour when nothing is said, as `#rrggbb`. */
  default?: string | undefined;
}

/** A slot for one of the values that devices list. */
export interface ValueDefinition extends NeedDefinition {
  /** A value that devices of this home list for a property. */
  type: "value";
  /** The property that lists it. */
  property: string;
  /** The value when nothing is said. */
  default?: Value | undefined;
}

/** A slot that is named alone: a routine, or free words. */
export interface PlainDefinition extends NeedDefinition {
  /** A routine by its name, or free words. */
  type: "routine" | "text";
}

/** A slot for a state that devices can be asked about. */
export interface StateDefinition extends NeedDefinition {
  /** A word for a state: "on", "open". */
  type: "state";
  /** Whether it is said as a verb: "runs", "plays". */
  verbs?: boolean | undefined;
}

/** A slot for one of some values. */
export interface ChoiceDefinition extends NeedDefinition {
  /** One of a list of values. */
  type: "choice";
  /** The values, each with the words said for it. */
  values: ValuesDefinition;
  /** The value when nothing is said. */
  default?: Value | undefined;
}

/** A slot that the application reads itself. */
export interface OwnDefinition extends NeedDefinition {
  /** A slot type of the application's own. */
  type: "own";
  /** The name of that type. */
  of: string;
  /** The value when nothing is said. */
  default?: Value | undefined;
}

/** The part of a pattern that varies. */
export type SlotDefinition =
  | TargetDefinition
  | QuantityDefinition
  | TemperatureDefinition
  | NumberDefinition
  | DurationDefinition
  | MomentDefinition
  | ColourDefinition
  | ValueDefinition
  | PlainDefinition
  | StateDefinition
  | ChoiceDefinition
  | OwnDefinition;
