import type { State } from "../phrasebook/property.ts";

/** Where and when an utterance is spoken. */
export interface HearContext {
  /** Id of the voicepoint that hears it. */
  at?: string;
  /** BCP 47 tag; the phrasebook's first language when left out. */
  language?: string;
  /** Local time there as ISO 8601, `2026-03-02T18:05`: what "tomorrow" and "at six" are told by. */
  time?: string;
  /** The id of what a name that stands for several things means, once somebody has said so. */
  chosen?: string;
  /** Ids of the devices that were spoken of last: what "it", "them" and "there" are told by. */
  it?: readonly string[];
  /** Words said for slots that were asked for, by the name of the slot. */
  said?: Readonly<Record<string, string>>;
  /** The state of a device, for questions; the one it starts with when left out. */
  states?: (device: string) => State | undefined;
}
