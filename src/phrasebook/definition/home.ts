import type { SaidDefinition } from "../../document/shapes.ts";
import type { Value } from "../../model/property.ts";
import type { KindId, PropertyId, VoiceAccess } from "../../model/kinds.ts";

/** One of some texts that an editor offers, or any other. */
export type Known<Text extends string> = Text | (string & Record<never, never>);

/** What has names. */
export interface NamedDefinition {
  /** What it is called; its id with spaces when left out. */
  name?: SaidDefinition | undefined;
  /** What else people call it. */
  aliases?: SaidDefinition | undefined;
}

/** A room. */
export interface RoomDefinition extends NamedDefinition {
  /** Whether it is under the sky: what "outside" is. */
  outside?: true | undefined;
}

/** A place that gathers rooms. */
export interface ZoneDefinition extends NamedDefinition {
  /** Its rooms. */
  rooms?: string[] | undefined;
  /** Zones whose rooms are its own as well. */
  zones?: string[] | undefined;
}

/** Something that hears and speaks. */
export interface VoicepointDefinition {
  /** The room that it stands in. */
  room: string;
}

/** What a property can hold, in the words of W3C Web of Things data schemas. */
export interface DataSchemaDefinition {
  /** The type of its values. */
  type?: "boolean" | "string" | "number" | "integer" | undefined;
  /** The least value. */
  minimum?: number | undefined;
  /** The greatest value. */
  maximum?: number | undefined;
  /** Values are whole numbers of these. */
  step?: number | undefined;
  /** The same as `step`, as Thing Descriptions write it. */
  multipleOf?: number | undefined;
  /** The unit of its numbers: `celsius`, `percent`. */
  unit?: string | undefined;
  /** The values that it can have. */
  enum?: string[] | undefined;
  /** Whether it can be read but not set. */
  readOnly?: boolean | undefined;
  /** The value that a simulated home starts with. */
  default?: Value | undefined;
}

/** What voice may do. */
export interface AccessDefinition {
  /** What voice may do: anything, only after asking back, only with the spoken code, or nothing. */
  voice?: VoiceAccess | undefined;
  /** Values that are free all the same, because they make the home safer. */
  safe?: Record<string, Value | Value[]> | undefined;
  /** Actions that are free all the same. */
  "safe-actions"?: string[] | undefined;
}

/** What properties can hold, by name; nothing more than their kind says where it is empty. */
export type PropertiesDefinition = Partial<Record<PropertyId, DataSchemaDefinition | null>> &
  Record<string, DataSchemaDefinition | null>;

/** A device. */
export interface DeviceDefinition extends NamedDefinition, AccessDefinition {
  /** What it is: a kind that ships, or one of this phrasebook. */
  kind: Known<KindId>;
  /** The room that it is in. */
  room?: string | undefined;
  /** Whether commands to everything, a place or a kind take it along, or in which states. */
  bulk?: boolean | Record<string, Value> | undefined;
  /** Actions beside those of its kind. */
  actions?: string[] | undefined;
  /** Properties beside those of its kind, or what these can hold in this device. */
  properties?: Known<PropertyId>[] | PropertiesDefinition | undefined;
}

/** Devices under a name of their own. */
export interface GroupDefinition extends NamedDefinition {
  /** Ids of devices, and of other groups. */
  members: string[];
}

/** What is said for a kind: nouns for its devices, and words for what they have and can do. */
export interface KindSaidDefinition {
  /** One of them: "oven". */
  one?: SaidDefinition | undefined;
  /** Several: "ovens". */
  many?: SaidDefinition | undefined;
  /** Words for its properties, by property; the first goes into replies. */
  properties?: Record<string, SaidDefinition> | undefined;
  /** Words for the values of its properties, by property and value. */
  values?: Record<string, Record<string, SaidDefinition>> | undefined;
  /** Words for its actions, by action. */
  actions?: Record<string, SaidDefinition> | undefined;
}

/** A kind of device. */
export interface KindDefinition extends AccessDefinition {
  /** Properties that every device of the kind has. */
  properties?: Record<string, DataSchemaDefinition> | undefined;
  /** Properties that a device of the kind has when it lists them. */
  optional?: Record<string, DataSchemaDefinition> | undefined;
  /** What devices of the kind can be told to do. */
  actions?: string[] | undefined;
  /** What devices of the kind are called, and what is said for what they have and can do. */
  said?: KindSaidDefinition | undefined;
  /** Whether commands to everything, a place or a kind take such a device along, or in which states. */
  bulk?: boolean | Record<string, Value> | undefined;
  /** Whether it takes the place of a kind that ships or that another folder has. */
  replaces?: true | undefined;
}

/** Where a home stands, for its time and its sun. */
export interface PlaceDefinition {
  /** Degrees north. */
  latitude: number;
  /** Degrees east. */
  longitude: number;
  /** IANA time zone, such as `Europe/London`. */
  timezone: string;
}

/** Somebody who is told things and whose presence counts. */
export interface PersonDefinition {
  /** What they are called; the id when left out. */
  name?: string | undefined;
}

/** What voice may do with many devices at once; every condition must hold. */
export interface VoiceRuleDefinition extends AccessDefinition {
  /** Devices of this kind. */
  kind?: string | undefined;
  /** Devices in this room. */
  room?: string | undefined;
  /** Devices in the rooms of this zone. */
  zone?: string | undefined;
  /** Devices of this group. */
  group?: string | undefined;
  /** Devices whose id is as this pattern: `kiln-*`. */
  name?: string | undefined;
  /** What voice may do with them. */
  voice: VoiceAccess;
}
