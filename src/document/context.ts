import type { Packs } from "../language/packs.ts";
import type { Kind } from "../model/kinds.ts";
import type { OwnSlotType } from "../model/own-slot-type.ts";
import type { SpeechUnits } from "../model/units.ts";
import type { Finding } from "../source/finding.ts";
import { type Doubts, createDoubts } from "./doubts.ts";
import type { Watcher } from "./sightings.ts";

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
  /** Who is told what readers come to know about places. */
  watcher: Watcher | undefined;
}

/** What readers share that read something beside a phrasebook, against it. */
export function contextOf({
  languages,
  kinds,
  packs,
  slotTypes,
  units,
  watcher,
}: Pick<Context, "languages" | "kinds" | "packs" | "slotTypes" | "units"> & {
  watcher?: Watcher | undefined;
}): Context {
  const doubts = createDoubts();
  const findings: Finding[] = [];
  const origin = "phrasebook";
  return { findings, languages, kinds, units, origin, doubts, packs, slotTypes, watcher };
}
