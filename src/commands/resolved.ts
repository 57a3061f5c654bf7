import type { Device } from "../model/home.ts";
import type { Reason } from "../model/reason.ts";
import type { Holder } from "../slot-types/expression.ts";
import type { TargetSlot } from "../slot-types/slot.ts";
import type { Asked } from "./ability.ts";
import type { Skipped } from "./outcome.ts";

/** What a target comes to, given what is asked of it and where the speaker stands. */
export type Resolved =
  | Devices
  /** Several things have the name and nothing decides between them. */
  | { result: "choices"; options: readonly Devices[] }
  /** Nothing that was named can do it. */
  | { result: "unfit"; reason: Reason };

export interface Devices {
  result: "devices";
  /** What it is called when asked about. */
  label: string;
  /** The id of the one thing that it is, by which it is chosen among others of its name. */
  id: string;
  /** The names that were settled on. */
  holders: readonly Holder[];
  devices: readonly Device[];
  /** Devices that were named only together with others. */
  bulk: ReadonlySet<Device>;
  /** Those of them that no name of a group gathers, but "everything", a place or a kind. */
  along: ReadonlySet<Device>;
  /** Whether they were asked for by what they are. */
  isByKind: boolean;
  skipped: readonly Skipped[];
}

/** What is asked of whatever fills a target slot. */
export interface TargetAsked extends Asked {
  slot: TargetSlot;
  /** Whether it is to be on. */
  turnsOn?: boolean;
}
