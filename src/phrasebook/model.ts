import type { Pronunciation } from "../model/pronunciation.ts";
import type { Watcher } from "../document/sightings.ts";
import type { Conditions } from "../model/condition.ts";
import type {
  Device,
  Group,
  KindNoun,
  Location,
  Name,
  NamedColour,
  Person,
  Room,
  Voicepoint,
  Zone,
} from "../model/home.ts";
import type { Kind } from "../model/kinds.ts";
import type { Address, Binding, Connection, Contact, Doors } from "../model/outside.ts";
import type { Packs } from "../language/packs.ts";
import type { SpeechUnits } from "../model/units.ts";
import type { OwnSlotType } from "../model/own-slot-type.ts";
import type { Slot } from "../slot-types/slot.ts";
import type { Fragment, Reply, SpokenPattern } from "../model/spoken.ts";
import type { ComputedSteps, Step } from "../model/step.ts";
import type { Witness } from "../model/witness.ts";
import type { Trigger } from "../model/trigger.ts";
import type { Finding, Severity } from "../source/finding.ts";
import type { Position } from "../source/position.ts";

/** A checked phrasebook: everything about one home's voice control. */
export interface Phrasebook {
  name: string;
  /** BCP 47 tags; the first is the one that texts without a language are in. */
  languages: readonly string[];
  /** The languages that are known of, and slot types of the application's own. */
  packs: Packs;
  slotTypes: readonly OwnSlotType[];
  /** The units that the home is spoken to in, and tells values in. */
  units: SpeechUnits;
  /** Patterns that may come before any phrase. */
  address: readonly SpokenPattern[];
  /** Whether a command beside words that mean nothing is said back as a question. */
  offers: boolean;
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
  /** How words sound that are not said as they are written. */
  pronunciations: readonly Pronunciation[];
  /** Nouns for kinds that the phrasebook adds. */
  kindNouns: readonly KindNoun[];
  /** What comes with Calm Phrase and with the parts that this phrasebook uses, besides its own. */
  kinds: ReadonlyMap<string, Kind>;
  /** Brokers and web services. */
  connections: ReadonlyMap<string, Connection>;
  /** How devices are reached, by device. */
  bindings: ReadonlyMap<string, Binding>;
  /** How people are reached, by person. */
  contacts: ReadonlyMap<string, Contact>;
  /** Actions that may be called from outside. */
  addresses: ReadonlyMap<string, Address>;
  /** Where a live home listens. */
  doors?: Doors;
  /** How findings of checks weigh here, by their rules. */
  checks: ReadonlyMap<string, { weight: Severity | "off"; at: Position }>;
  problems: readonly Finding[];
  /**
   * Who is told what of it comes to be used.
   *
   * @internal
   */
  witness?: Witness;
  /**
   * Who is told what readers of it, and of suites and days, come to know about places.
   *
   * @internal
   */
  watcher?: Watcher;
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
  /** What becomes of a run that was under way when a real home was stopped. */
  interrupted: "resume" | "tell" | "repeat";
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
