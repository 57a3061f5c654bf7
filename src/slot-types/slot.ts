import type { Recognise } from "../automaton/chart.ts";
import type { Rule } from "../automaton/network.ts";
import type { NumberReader } from "../language/numbers.ts";
import type { LanguagePack } from "../language/pack.ts";
import type { Lexicon } from "../lexicon/lexicon.ts";
import type { Home, KindNoun, Name, Nameable, NamedColour } from "../model/home.ts";
import type { Value } from "../model/property.ts";
import type { SpeechUnits } from "../model/units.ts";
import type { Reason } from "../model/reason.ts";
import type { ChoiceValue, Reply } from "../model/spoken.ts";
import type { Pattern } from "../pattern/tree.ts";
import type { Position } from "../source/position.ts";
import type { LocalTime } from "../time/local.ts";
import type { ClockReading } from "./time.ts";
import type { DateReading } from "./date.ts";
import type { TargetExpression } from "./expression.ts";

/** The part of a pattern that varies. What it takes is said by its type, a file of this folder each. */
export type Slot = TargetSlot | TextSlot | ValuedSlot;

export interface SlotBase {
  name: string;
  /** The type, as it is written. */
  type: string;
  at: Position;
  /** What uses it is left out when nothing is said for it. */
  optional?: true;
  /** What is asked back when nothing is said for it, by language. */
  ask?: ReadonlyMap<string, Reply>;
}

/** Something that has a name. */
export interface TargetSlot extends SlotBase {
  fills: "target";
  /** Only something of this sort under its name. */
  sort?: Nameable["type"];
  /** Only devices of these kinds. */
  kinds?: readonly string[];
  /** Only devices in this room. */
  room?: string;
  /** Only what is named itself: no place, "here" or "everything". */
  named?: true;
  /** The target slot that this one gives a place to: "turn the lights on _in the shop_". */
  narrows?: string;
}

/** Free words. */
export interface TextSlot extends SlotBase {
  fills: "words";
}

/** Words that come to a value. */
export interface ValuedSlot extends SlotBase {
  fills: "value";
  /** Slots of one family may be filled by the same words: all numbers are one. */
  family: string;
  /** Slots that take the same words for the same say the same here; one of its own says nothing. */
  alike?: string;
  /** What stands for it when nothing is said. */
  default?: Value;
  /** The unit of the numbers that it takes. */
  unit?: string;
  /** The least and the most that it takes, where that is limited. */
  limits?: { minimum?: Value; maximum?: Value };
  /** Values with words of their own. */
  values?: readonly ChoiceValue[];
  /**
   * Makes what finds its values among words.
   *
   * @internal
   */
  recognise: (ground: Ground) => Recognise<ValueReading>;
  /**
   * What words come to, held against what the slot takes.
   *
   * @internal
   */
  settle: (reading: ValueReading, now: LocalTime | undefined) => SlotSettled;
  /**
   * Why a value cannot be in it, in a clause; undefined for one that can.
   *
   * @internal
   */
  misfit: (value: Value) => string | undefined;
  /**
   * What may be said for it every day.
   *
   * @internal
   */
  samples: (spoken: Spoken) => readonly Pattern[];
  /**
   * All that may be said for it, as far as a grammar spells it out.
   *
   * @internal
   */
  grammar: (writing: Writing) => Pattern;
}

/** What words in a slot were taken for. */
export type SlotReading = ValueReading | { read: "target"; target: TargetExpression };

export type ValueReading =
  | {
      read: "value";
      value: Value;
      /** A part of a whole: "half". */
      part?: number;
      /** The unit that it is in, where that may be another than the slot's. */
      unit?: string;
    }
  | { read: "time"; time: ClockReading }
  | { read: "date"; date: DateReading };

export type SlotSettled = { ok: true; value: Value } | { ok: false; reason: Reason };

/** What of a home speech can name. */
export interface SpokenHome extends Home {
  languages: readonly string[];
  /** Names that the phrasebook gives to colours. */
  colours: readonly NamedColour[];
  /** Nouns for kinds that the phrasebook adds. */
  kindNouns: readonly KindNoun[];
  /** The units that numbers without one are in. */
  units: SpeechUnits;
  routines: ReadonlyMap<string, { id: string; names: readonly Name[]; enabled: boolean }>;
}

/** A home, and a language that is spoken to it. */
export interface Spoken {
  home: SpokenHome;
  /** BCP 47 tag, as the home has it. */
  language: string;
  pack: LanguagePack;
}

/** What recognisers are made of. Those that several types share are made when first asked for. */
export interface Ground extends Spoken {
  lexicon: Lexicon;
  /** What a name in a pattern of a value stands for. */
  refer: Rule["refer"];
  numbers: NumberReader;
  durations: () => Recognise<number>;
  ordinals: () => Recognise<number>;
  clocks: () => Recognise<ClockReading>;
  dates: () => Recognise<DateReading>;
}

/** What grammars are written with. */
export interface Writing extends Spoken {
  /** Names the rules of a slot that has words of its own. */
  owner: string;
  /** Words that mean nothing and may be said before what is named: "just the". */
  lead: Pattern | undefined;
  /** The whole numbers that are spelled out one by one. */
  numbers: { least: number; most: number };
  /** Texts as alternatives, each once; undefined where there are none. */
  said: (texts: readonly string[]) => Pattern | undefined;
  /** Patterns of the language pack as alternatives. */
  parsed: (texts: readonly string[]) => Pattern;
  /** A pattern of the phrasebook, its references led to rules. */
  led: (tree: Pattern) => Pattern;
  /** Adds a rule once, and refers to it. */
  define: (name: string, make: () => Pattern) => Pattern;
}

/** What a recogniser finds, as something else. */
export function taken<In, Out>(recognise: Recognise<In>, as: (value: In) => Out): Recognise<Out> {
  return (utterance, from) =>
    recognise(utterance, from).map(({ end, value }) => ({ end, value: as(value) }));
}

/** A value as it was said. */
export function valueRead(value: Value): ValueReading {
  return { read: "value", value };
}

/** Settles what is a value as it was said, whatever it is. */
export function settleAsSaid(reading: ValueReading): SlotSettled {
  return reading.read === "value" ? { ok: true, value: reading.value } : nothingSettled;
}

/** A recogniser makes readings of its own slot's sort; another one comes to nothing. */
export const nothingSettled: SlotSettled = { ok: false, reason: { reason: "nothing" } };
