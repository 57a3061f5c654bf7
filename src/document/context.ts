import type { Packs } from "../language/packs.ts";
import type { Kind } from "../model/kinds.ts";
import type { OwnSlotType } from "../model/own-slot-type.ts";
import type { SpeechUnits } from "../model/units.ts";
import type { Finding } from "../source/finding.ts";
import { type Doubts, createDoubts } from "./doubts.ts";

/** What the readers of the sections share while a phrasebook is read. */
export interface Context {
  findings: Finding[];
  languages: readonly string[];
  /** Kinds that ship and kinds of this phrasebook. */
  kinds: ReadonlyMap<string, Kind>;
  /** The units that the home is spoken to in. */
  units: SpeechUnits;
  /** What is being read: what was written for the home, or what comes with Calm Phrase. */
  origin: "phrasebook" | "vocabulary";
  /** Mistakes in what decides on guards. */
  doubts: Doubts;
  /** The languages that are known of. */
  packs: Packs;
  /** Slot types of the application's own. */
  slotTypes: readonly OwnSlotType[];
}

/** What readers share that read something beside a phrasebook, against it. */
export function contextOf({
  languages,
  kinds,
  packs,
  slotTypes,
  units,
}: Pick<Context, "languages" | "kinds" | "packs" | "slotTypes" | "units">): Context {
  const doubts = createDoubts();
  const findings: Finding[] = [];
  return { findings, languages, kinds, units, origin: "phrasebook", doubts, packs, slotTypes };
}
