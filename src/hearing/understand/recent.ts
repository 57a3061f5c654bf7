import type { SlotReading } from "../../slot-types/slot.ts";
import { type Chart, type Recognise, runAutomaton } from "../../automaton/chart.ts";
import type { Network } from "../../automaton/network.ts";
import { type Paths, findPaths } from "../../automaton/paths.ts";
import type { Sets } from "../../automaton/sets.ts";
import type { Utterance } from "../../automaton/utterance.ts";
import type { Around } from "./around.ts";

/** The ways that an utterance takes through all patterns: what hangs on its words alone. */
export interface Walked {
  /** Places where a phrase may begin, after the address and courtesies, and where it may end. */
  starts: ReadonlySet<number>;
  ends: ReadonlySet<number>;
  chart: Chart<SlotReading>;
  paths: Paths<SlotReading>;
}

/** What an utterance is taken through. */
export interface Automaton extends Pick<Around, "starts" | "ends"> {
  sets: Sets;
  network: Network;
  types: readonly Recognise<SlotReading>[];
}

export interface Recent {
  /** A text as words that are ready to be understood. */
  prepare: (text: string) => Utterance;
  walk: (utterance: Utterance) => Walked;
}

/** Texts of which the words are kept, about 9 kB each, and the longest of these in UTF-16 code units. */
const mostKept = 128;
const longestKept = 120;

/**
 * What was said of late. A household says much the same each day, and its suites say the same phrase
 * at many places and hours; what hangs on its words alone is looked up once.
 */
export function createRecent(automaton: Automaton, prepare: (text: string) => Utterance): Recent {
  interface Kept {
    utterance: Utterance;
    walked?: Walked;
  }
  let young = new Map<string, Kept>();
  let old: ReadonlyMap<string, Kept> = young;
  const walk = (utterance: Utterance): Walked => {
    const starts = automaton.starts(utterance);
    const ends = automaton.ends(utterance);
    const chart = runAutomaton(automaton.sets, automaton.types, utterance, starts);
    const paths = findPaths(automaton.network, chart, utterance, { starts, ends });
    return { starts, ends, chart, paths };
  };
  return {
    prepare(text) {
      if (text.length > longestKept) return prepare(text);
      let kept = young.get(text);
      if (kept) return kept.utterance;
      kept = old.get(text) ?? { utterance: prepare(text) };
      if (young.size >= mostKept) {
        old = young;
        young = new Map();
      }
      young.set(text, kept);
      return kept.utterance;
    },
    walk(utterance) {
      const { text } = utterance;
      const kept = young.get(text) ?? old.get(text);
      // Parts of what was said have its text, and other words.
      if (kept?.utterance !== utterance) return walk(utterance);
      return (kept.walked ??= walk(utterance));
    },
  };
}
