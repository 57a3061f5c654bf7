import type { Path } from "../automaton/paths.ts";
import type { Utterance } from "../automaton/utterance.ts";
import type { Intent, Slot } from "../phrasebook/model.ts";
import { printQuantity } from "../phrasebook/property.ts";
import type { Engine } from "./engine.ts";
import type { Meaning } from "./evaluate.ts";
import type { TargetExpression } from "./expression.ts";
import type { Holder } from "./names.ts";
import type { SlotReading } from "./slots.ts";

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
  path: Path,
  intent: Intent,
): Filling[] {
  const fillings: Filling[] = [];
  for (const { state, from, end, match } of path.steps) {
    const slot = intent.slots.get(engine.network.slot[state] ?? "");
    if (!slot) continue;
    const last = fillings.at(-1);
    const isText = slot.type === "text";
    if (isText && last?.slot === slot && last.end === from) fillings.pop();
    const first = isText && last?.slot === slot && last.end === from ? last.from : from;
    const start = utterance.words[first]?.start ?? 0;
    const stop = utterance.words[end - 1]?.end ?? start;
    const words = utterance.text.slice(start, stop);
    const reading = match
      ? (match.value as SlotReading)
      : ({ read: "value", value: words } as const);
    fillings.push({ slot, reading, from: first, end, words });
  }
  return fillings;
}

const units: Readonly<Record<string, string>> = {
  percent: "percent",
  temperature: "celsius",
  "colour-temperature": "kelvin",
};

/** What a slot's words were taken for, in words. */
export function describeFilling({ slot, reading }: Filling, meaning: Meaning): string {
  switch (reading.read) {
    case "number":
      return printQuantity(reading.value, units[slot.type]);
    case "value":
      return String(reading.value);
    case "state":
      return reading.state;
    case "target": {
      const settled = "targets" in meaning ? meaning.targets.get(slot.name) : undefined;
      if (settled?.holders.length === 0) {
        return settled.devices.map(({ id }) => id).join(", ");
      }
      const holders = settled?.holders ?? holdersOf(reading.target);
      return holders
        .map(({ entity, name }) => `${entity.type} ${entity.id}${name.alias ? " (alias)" : ""}`)
        .join(", ");
    }
  }
}

function holdersOf(expression: TargetExpression): readonly Holder[] {
  switch (expression.target) {
    case "named":
      return expression.holders;
    case "list":
      return expression.items.flatMap(holdersOf);
    case "except":
      return holdersOf(expression.from);
    default:
      return [];
  }
}

/** How many words of an expression are names of things. */
export function nameWords(expression: TargetExpression): number {
  switch (expression.target) {
    case "named":
      return expression.words;
    case "list":
      return expression.items.reduce((sum, item) => sum + nameWords(item), 0);
    case "except":
      return nameWords(expression.from) + nameWords(expression.without);
    default:
      return 0;
  }
}
