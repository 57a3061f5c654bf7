import type { SaidDefinition } from "../../document/shapes.ts";
import type {
  DeviceDefinition,
  GroupDefinition,
  KindDefinition,
  PersonDefinition,
  PlaceDefinition,
  RoomDefinition,
  VoicepointDefinition,
  VoiceRuleDefinition,
  ZoneDefinition,
} from "./home.ts";
import type { IntentDefinition, RoutineDefinition } from "./intents.ts";
import type {
  AddressDefinition,
  BindingDefinition,
  ConnectionDefinition,
  ContactDefinition,
  DoorsDefinition,
  SourceOfNewsDefinition,
} from "./outside.ts";

/** What of the vocabulary a home has. */
export interface VocabularyDefinition {
  /** Intents that are left out, or `[all]`. */
  without?: string[] | undefined;
  /** What is added that a home has to choose: `wishes` takes "it is too dark" for an order. */
  with?: "wishes"[] | undefined;
  /**
   * Whether a command beside words that mean nothing is offered: said back as a question. It is, when
   * left out.
   */
  offers?: boolean | undefined;
}

/** The units that people speak in. Devices have their own, and values are converted. */
export interface UnitsDefinition {
  /** The unit of temperatures. That of the region of the first language, when left out. */
  temperature?: "celsius" | "fahrenheit" | undefined;
}

/** One file of a phrasebook. */
export interface PhrasebookDefinition {
  /** What the home is called. */
  phrasebook?: string | undefined;
  /** BCP 47 tags of the languages spoken in it; texts without a language are in the first. */
  languages?: string[] | undefined;
  /** Patterns that may come before any phrase: "hey oxbow". */
  address?: SaidDefinition | undefined;
  /** Where the home stands. */
  place?: PlaceDefinition | undefined;
  /** The units that people speak in and are answered in. */
  units?: UnitsDefinition | undefined;
  /** How findings of checks weigh, by rule: `{ missing-name: off }`. */
  checks?: Record<string, "off" | "note" | "warning" | "error"> | undefined;
  /** What has to be said where voice needs a code: digits, in quotes. */
  code?: string | undefined;
  /** Rooms by their ids. */
  rooms?: Record<string, RoomDefinition | null> | undefined;
  /** Zones by their ids. */
  zones?: Record<string, ZoneDefinition | null> | undefined;
  /** What hears and speaks, by id. */
  voicepoints?: Record<string, VoicepointDefinition> | undefined;
  /** Devices by their ids. */
  devices?: Record<string, DeviceDefinition> | undefined;
  /** Groups by their ids. */
  groups?: Record<string, GroupDefinition> | undefined;
  /** People by their ids. */
  people?: Record<string, PersonDefinition | null> | undefined;
  /** Kinds of the phrasebook's own, by id. */
  kinds?: Record<string, KindDefinition | null> | undefined;
  /** What voice may do, by rules over many devices. */
  voice?: VoiceRuleDefinition[] | undefined;
  /** Which of the intents that ship the home has. */
  vocabulary?: VocabularyDefinition | undefined;
  /** Folders of other phrasebooks whose parts this one has as well. */
  uses?: string[] | undefined;
  /** Names for colours: `{ "#7b3f2a": [oxbow red] }`. */
  colours?: Record<string, SaidDefinition> | undefined;
  /** How words sound that are not said as they are written: `{ raku: /ɹɑːkuː/, qumi: { de: kumi } }`. */
  pronunciations?: Record<string, SaidDefinition> | undefined;
  /** Named pieces of pattern that patterns refer to as `$name`. */
  fragments?: Record<string, SaidDefinition> | undefined;
  /** What people want, by id. */
  intents?: Record<string, IntentDefinition> | undefined;
  /** Steps that something sets off, by id. */
  routines?: Record<string, RoutineDefinition> | undefined;
  /** What tells something and is no device, by id. */
  sources?: Record<string, SourceOfNewsDefinition> | undefined;
  /** Brokers and web services of a live home, by id. */
  connections?: Record<string, ConnectionDefinition> | undefined;
  /** How devices of a live home are reached, by id. */
  bindings?: Record<string, BindingDefinition> | undefined;
  /** How people are reached, by their ids. */
  contacts?: Record<string, ContactDefinition> | undefined;
  /** Actions that may be called from outside, by id. */
  addresses?: Record<string, AddressDefinition> | undefined;
  /** Where a live home listens. */
  doors?: DoorsDefinition | undefined;
}
