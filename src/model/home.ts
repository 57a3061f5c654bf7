import type { Condition } from "./condition.ts";
import type { VoiceAccess } from "./kinds.ts";
import type { DataSchema, Value } from "./property.ts";
import type { Position } from "../source/position.ts";

/** A name that something answers to in one language. */
export interface Name {
  text: string;
  words: readonly string[];
  language: string;
  /** An alias yields to a name that is worded the same. */
  alias: boolean;
  /** Whether less or another word was said for it, which is enough where nothing else is called that. */
  loose?: true;
  /** Whether only what tells which one it is was said: "the skylight" for "skylight blind". */
  bare?: true;
  at: Position;
}

export interface Named {
  id: string;
  /** By the language they are said in; made from the id where none is written. */
  names: readonly Name[];
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

export interface Room extends Named {
  type: "room";
  /** Whether it is under the sky. */
  outside?: true;
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

/** What a home consists of, by ids. */
export interface Home {
  devices: ReadonlyMap<string, Device>;
  groups: ReadonlyMap<string, Group>;
  rooms: ReadonlyMap<string, Room>;
  zones: ReadonlyMap<string, Zone>;
}
