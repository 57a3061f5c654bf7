import type { Pattern } from "../pattern/tree.ts";
import type { Finding } from "../source/finding.ts";
import type { Position } from "../source/position.ts";
import type { DataSchema, Value } from "./property.ts";

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
  rooms: readonly string[];
}

export interface Group extends Named {
  type: "group";
  /** Ids of devices or groups. */
  members: readonly string[];
}

export interface Device extends Named {
  type: "device";
  kind: string;
  room?: string;
  properties: ReadonlyMap<string, DataSchema>;
  actions: readonly string[];
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
  /** MessageFormat 2 sources by language. */
  reply: ReadonlyMap<string, Reply>;
  at: Position;
}

export interface Reply {
  text: string;
  at: Position;
}

export type Slot = TargetSlot | NumberSlot | ChoiceSlot;

interface SlotBase {
  name: string;
  at: Position;
}

/** Something that has a name. */
export interface TargetSlot extends SlotBase {
  type: "target";
  /** Only devices of these kinds. */
  kinds?: readonly string[];
  /** Only devices in this room. */
  room?: string;
}

/** A number, with or without its unit said. */
export interface NumberSlot extends SlotBase {
  type: "percent" | "number" | "temperature";
  minimum?: number;
  maximum?: number;
  step?: number;
  /** Values that also have words of their own: "low" for 33. */
  values: readonly ChoiceValue[];
  default?: number;
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

export type Step = SetStep;

/** Sets properties of devices. */
export interface SetStep {
  step: "set";
  settings: readonly Setting[];
  at: Position;
}

export interface Setting {
  target: TargetReference;
  property: string;
  value: ValueReference;
  at: Position;
}

export type TargetReference =
  { refer: "device" | "group" | "room" | "zone"; id: string } | { refer: "slot"; slot: string };

export type ValueReference = { refer: "value"; value: Value } | { refer: "slot"; slot: string };
