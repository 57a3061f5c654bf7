import type { SlotReading } from "../../slot-types/slot.ts";
import { type Chart, runAutomaton } from "../../automaton/chart.ts";
import { type Paths, findPaths } from "../../automaton/paths.ts";
import type { Utterance } from "../../automaton/utterance.ts";
import type { Phrasebook } from "../../phrasebook/model.ts";
import type { Engine } from "./engine.ts";
import { type Reading, evaluatePath } from "./evaluate.ts";
import { type Ranked, rankReadings } from "./rank.ts";
import type { Speaker } from "../../commands/targets.ts";

/** Words, every way to understand them as one command, and what was looked at to find these. */
export interface Understood {
  utterance: Utterance;
  chart: Chart<SlotReading>;
  paths: Paths<SlotReading>;
  /** Places where a phrase may begin, after the address and courtesies, and where it may end. */
  starts: ReadonlySet<number>;
  ends: ReadonlySet<number>;
  ranked: readonly Ranked[];
}

/** Understands words as one command. */
export function understand(
  book: Phrasebook,
  engine: Engine,
  utterance: Utterance,
  speaker: Speaker,
): Understood {
  const starts = engine.starts(utterance);
  const ends = engine.ends(utterance);
  const chart = runAutomaton(engine.sets, engine.types, utterance, starts);
  const paths = findPaths(engine.network, chart, utterance, { starts, ends });
  const readings: Reading[] = [];
  for (const path of paths.found) {
    readings.push(...evaluatePath({ book, engine, speaker }, utterance, path));
  }
  return { utterance, chart, paths, starts, ends, ranked: rankReadings(readings, speaker) };
}

/** The best reading, if the words come to something that a home with these devices can mean. */
export function clearReading(understood: Understood): Reading | undefined {
  const reading = anyReading(understood);
  return reading?.meaning.result === "unfit" ? undefined : reading;
}

/** The best reading, even one of which nothing that it names can do it. */
export function anyReading({ ranked }: Understood): Reading | undefined {
  const [first] = ranked;
  return first?.kept && first.reading.meaning.result !== "absent" ? first.reading : undefined;
}
