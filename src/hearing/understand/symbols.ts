import type { Recognise } from "../../automaton/chart.ts";
import { slotSymbol } from "../../automaton/network.ts";
import type { Names } from "../../slot-types/names.ts";
import type { Ground, Slot, SlotReading, TextSlot } from "../../slot-types/slot.ts";
import { type TargetWordsReader, createTargetReader } from "../../slot-types/target-words.ts";

type MatchedSlot = Exclude<Slot, TextSlot>;

/** What recognises the slots of a language, each under a symbol of the automaton. */
export interface Symbols {
  targets: TargetWordsReader;
  /** By the number of the symbol's slot type. */
  types: readonly Recognise<SlotReading>[];
  symbolOf: (slot: MatchedSlot) => number;
  recogniserOf: (slot: MatchedSlot) => Recognise<SlotReading>;
}

/** Slots that take the same words for the same share a recogniser. */
export function createSymbols(ground: Ground, names: Names): Symbols {
  const types: Recognise<SlotReading>[] = [];
  const targets = createTargetReader(ground, names, ground.lexicon);
  const known = new Map<string | Slot, number>();
  const typeOf = (slot: MatchedSlot): number => {
    const key = slot.fills === "target" ? "target" : (slot.alike ?? slot);
    let type = known.get(key);
    if (type === undefined) {
      type = types.length;
      types.push(slot.fills === "target" ? targets.read : slot.recognise(ground));
      known.set(key, type);
    }
    return type;
  };
  return {
    targets,
    types,
    symbolOf: (slot) => slotSymbol(typeOf(slot)),
    recogniserOf: (slot) => types[typeOf(slot)] ?? (() => []),
  };
}
