import type { SourceDefinition } from "../document/document.ts";
import type { StepInput } from "../model/step.ts";
import type { Value } from "../model/property.ts";
import type { SlotDefinition } from "../slot-types/definition.ts";
import type { DeviceDefinition, GroupDefinition } from "./definition/home.ts";
import type { IntentDefinition } from "./definition/intents.ts";
import type { PhrasebookDefinition } from "./definition/phrasebook.ts";
import type { StepsDefinition } from "./definition/steps.ts";

/** What a function is given for a slot, by the type of the slot. */
type ValueIn<Slot> = Slot extends { type: "target" | "device" | "room" | "zone" | "group" }
  ? readonly string[]
  : Slot extends {
        type:
          | "percent"
          | "number"
          | "integer"
          | "temperature"
          | "colour-temperature"
          | "ordinal"
          | "duration";
      }
    ? number
    : Slot extends { type: "choice" | "own" }
      ? Value
      : string;

/** A slot that may be left unsaid has no value then. */
type Given<Slot> = Slot extends { optional: true } ? ValueIn<Slot> | undefined : ValueIn<Slot>;

type SlotsGiven<Slots> = { readonly [Name in keyof Slots]: Given<Slots[Name]> };

type Slots = Readonly<Record<string, SlotDefinition>>;

type IntentOf<Own> = Omit<IntentDefinition, "slots" | "do"> & {
  /** The parts of its patterns that vary. */
  slots?: (Own & Slots) | undefined;
  /** What it does: steps, or a function that computes them from what was said for its slots. */
  do?: StepsDefinition | ((input: StepInput<SlotsGiven<Own>>) => StepsDefinition) | undefined;
};

type DeviceOf<Room extends string> = Omit<DeviceDefinition, "room"> & {
  /** The room that it is in. */
  room?: Room | undefined;
};

/** A definition whose functions know their slots, and whose ids are held against its own. */
type Defined<Room extends string, Intents> = Omit<
  PhrasebookDefinition,
  "rooms" | "devices" | "groups" | "intents"
> & {
  /** Rooms by their ids. */
  rooms?: Record<Room, NonNullable<PhrasebookDefinition["rooms"]>[string]> | undefined;
  /** Devices by their ids. */
  devices?: Record<string, DeviceOf<NoInfer<Room>>> | undefined;
  /** Groups by their ids. */
  groups?: Record<string, GroupDefinition> | undefined;
  /** What people want, by id. */
  intents?: { [Id in keyof Intents]: IntentOf<Intents[Id]> } | undefined;
};

/**
 * A phrasebook written in TypeScript, in the shape of the YAML files. Pass it to `readPhrasebook`
 * beside files or alone. A function is given what was said for the slots of its intent, by their
 * types; where the call names rooms, its devices can be in these alone.
 *
 * @param path Shown as the place of findings.
 */
export function definePhrasebook<
  Room extends string = string,
  const Intents = Readonly<Record<string, Slots>>,
>(definition: Defined<Room, Intents>, path = "definePhrasebook"): SourceDefinition {
  return { path, definition };
}
