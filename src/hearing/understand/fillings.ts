import { slotOf } from "../../automaton/network.ts";
import type { Path } from "../../automaton/paths.ts";
import type { Utterance } from "../../automaton/utterance.ts";
import type { Intent } from "../../phrasebook/model.ts";
import type { Slot } from "../../slot-types/slot.ts";
import type { Engine } from "./engine.ts";
import type { Holder, TargetExpression } from "../../slot-types/expression.ts";
import { isNamedPlace } from "../../slot-types/narrowing.ts";
import { type SlotReading, valueRead } from "../../slot-types/slot.ts";

/** A slot as filled by words of the utterance. */
export interface Filling {
  slot: Slot;
  reading: SlotReading;
  /** Indexes of its first word and after its last. */
  from: number;
  end: number;
  words: string;
}

/** The slots that a path through a pattern filled; free text is one filling, however long. */
export function fillingsOf(
  engine: Engine,
  utterance: Utterance,
  path: Path<SlotReading>,
  intent: Intent,
): Filling[] {
  const fillings: Filling[] = [];
  for (const { state, from, end, match } of path.steps) {
    const slot = intent.slots.get(slotOf(engine.network, state) ?? "");
    if (!slot) continue;
    const last = fillings.at(-1);
    const isText = slot.fills === "words";
    if (isText && last?.slot === slot && last.end === from) fillings.pop();
    const first = isText && last?.slot === slot && last.end === from ? last.from : from;
    const start = utterance.words[first]?.start ?? 0;
    const stop = utterance.words[end - 1]?.end ?? start;
    const words = utterance.text.slice(start, stop);
    const reading = match?.value ?? valueRead(words);
    fillings.push({ slot, reading, from: first, end, words });
  }
  return fillings;
}

/** How many words of an expression name things. */
export function nameWords(expression: TargetExpression): number {
  switch (expression.target) {
    case "named":
    case "kind":
      return expression.words;
    case "list":
      return expression.items.reduce((sum, item) => sum + nameWords(item), 0);
    case "within":
      return nameWords(expression.of);
    case "except":
      return nameWords(expression.from) + nameWords(expression.without);
    default:
      return 0;
  }
}

/** What words name, wherever they name something by a name. */
export function holdersOf(expression: TargetExpression): readonly Holder[] {
  switch (expression.target) {
    case "named":
      return expression.holders;
    case "list":
      return expression.items.flatMap(holdersOf);
    case "within":
      return holdersOf(expression.of);
    case "except":
      return holdersOf(expression.from);
    default:
      return [];
  }
}

/** Whether something is about rooms or zones by their names, and no things of one sort. */
export function namesPlaces(fillings: readonly Filling[]): boolean {
  return fillings.some(({ reading }) => reading.read === "target" && isNamedPlace(reading.target));
}

/** Whether what words name hangs on what was spoken of before. */
export function leans({ target }: TargetExpression): boolean {
  return target === "it" || target === "there" || target === "ones";
}
