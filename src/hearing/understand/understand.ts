import type { SlotReading } from "../../slot-types/slot.ts";
import { slotOf } from "../../automaton/network.ts";
import type { Path } from "../../automaton/paths.ts";
import type { Utterance } from "../../automaton/utterance.ts";
import type { Phrasebook } from "../../phrasebook/model.ts";
import type { Engine } from "./engine.ts";
import { type Reading, evaluatePath } from "./evaluate.ts";
import { type Ranked, rankReadings } from "./rank.ts";
import type { Walked } from "./recent.ts";
import type { Speaker } from "../../commands/targets.ts";
import type { Narrowing } from "../../slot-types/narrowing.ts";

/** Words, every way to understand them as one command, and what was looked at to find these. */
export interface Understood extends Walked {
  utterance: Utterance;
  ranked: readonly Ranked[];
  /** What was said apart and narrows what is named. */
  narrowings: readonly Narrowing[];
}

const none: NonNullable<Speaker["narrowings"]> = [];

/** Understands words as one command. */
export function understand(
  book: Phrasebook,
  engine: Engine,
  utterance: Utterance,
  speaker: Speaker,
): Understood {
  const { starts, ends, chart, paths } = engine.walk(utterance);
  const readings: Reading[] = [];
  for (const path of distinctPaths(engine, paths.found)) {
    readings.push(...evaluatePath({ book, engine, speaker }, utterance, path));
  }
  return {
    utterance,
    chart,
    paths,
    starts,
    ends,
    ranked: rankReadings(readings, speaker),
    narrowings: (speaker.narrowings ?? none).map(({ narrowing }) => narrowing),
  };
}

/** One path for each way to fill the slots of an intent: the one with most words of its pattern. */
function distinctPaths(
  { rules, network }: Engine,
  found: readonly Path<SlotReading>[],
): Iterable<Path<SlotReading>> {
  if (found.length < 2) return found;
  const intents = new Set(found.map(({ rule }) => rules[rule]?.intent));
  if (intents.size === found.length) return found;
  const numbers = new Map<unknown, number>();
  const best = new Map<string, Path<SlotReading>>();
  for (const path of found) {
    const rule = rules[path.rule];
    let key = `${rule?.intent.id ?? ""} ${rule?.pattern.origin ?? ""}`;
    for (const { state, from, end, match } of path.steps) {
      const slot = slotOf(network, state);
      if (slot === undefined) continue;
      if (match && !numbers.has(match)) numbers.set(match, numbers.size);
      key += ` ${slot} ${from} ${end} ${match ? numbers.get(match) : ""}`;
    }
    const other = best.get(key);
    if (!other || path.literalWords > other.literalWords) best.set(key, path);
  }
  return best.values();
}

/** The best reading, if the words come to something that a home with these devices can mean. */
export function clearReading(understood: Understood): Reading | undefined {
  const reading = anyReading(understood);
  return reading?.meaning.result === "unfit" ? undefined : reading;
}

/** Whether several readings are left that nothing decides between. */
export function isOpen({ ranked }: Understood): boolean {
  return ranked[1]?.kept === true;
}

/** The best reading, even one of which nothing that it names can do it. */
export function anyReading({ ranked }: Understood): Reading | undefined {
  const [first] = ranked;
  return first?.kept && first.reading.meaning.result !== "absent" ? first.reading : undefined;
}
