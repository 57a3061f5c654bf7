import type { Paths } from "../automaton/paths.ts";
import type { Utterance } from "../automaton/utterance.ts";
import type { Engine } from "./engine.ts";
import { printQuantity } from "../phrasebook/property.ts";
import { slotUnit } from "../phrasebook/slots.ts";
import type { Meaning, Reading } from "./evaluate.ts";
import type { TargetExpression } from "./expression.ts";
import type { Filling } from "./fillings.ts";
import type { Holder } from "./names.ts";
import type { NearMiss, ReadingWhy, Why, WordRole } from "./outcome.ts";
import type { Ranked } from "./rank.ts";

/** Tells everything that led to an outcome. */
export function explain(
  engine: Engine,
  utterance: Utterance,
  ranked: readonly Ranked[],
  paths: Paths,
  nearest: readonly NearMiss[],
): Why {
  const [first] = ranked;
  return {
    words: wordRoles(engine, utterance, first?.reading),
    readings: ranked.map(readingWhy),
    nearest,
    cut: paths.cut,
  };
}

function wordRoles(
  { network }: Engine,
  utterance: Utterance,
  reading: Reading | undefined,
): WordRole[] {
  const { words, small } = utterance;
  const roles = words.map(({ start, end }, index): WordRole => {
    const text = utterance.text.slice(start, end);
    if (!reading) return { text, start, end, role: "unused" };
    const inside = index >= reading.path.from && index < reading.path.end;
    const role = !inside ? "courtesy" : small[index] ? "small" : "unused";
    return { text, start, end, role };
  });
  for (const { state, from, end } of reading?.path.steps ?? []) {
    const slot = network.slot[state];
    for (let index = from; index < end; index++) {
      const role = roles[index];
      if (!role || !reading) continue;
      role.role = slot === undefined ? "pattern" : "slot";
      role.at = reading.pattern.at;
      if (slot !== undefined) {
        role.slot = slot;
        const holder = holderOf(reading, slot);
        if (holder) role.at = holder.name.at;
      }
    }
  }
  return roles;
}

/** The one name that a slot was settled on, if it was one. */
function holderOf({ meaning }: Reading, slot: string): Holder | undefined {
  const holders = "targets" in meaning ? meaning.targets.get(slot)?.holders : undefined;
  return holders?.length === 1 ? holders[0] : undefined;
}

function readingWhy({ reading, kept, rule }: Ranked): ReadingWhy {
  const { intent, pattern, fillings, meaning } = reading;
  return {
    intent: intent.id,
    pattern: pattern.text,
    at: pattern.at,
    slots: fillings.map((filling) => {
      const { slot, words } = filling;
      const holder = holderOf(reading, slot.name);
      const means = describeFilling(filling, meaning);
      return { name: slot.name, words, means, ...(holder ? { at: holder.name.at } : {}) };
    }),
    kept: kept && meaning.result !== "absent",
    rule: meaning.result === "absent" ? meaning.reason : rule,
    skipped: meaning.result === "do" ? meaning.skipped : [],
  };
}

/** What a slot's words were taken for, in words. */
function describeFilling({ slot, reading }: Filling, meaning: Meaning): string {
  switch (reading.read) {
    case "number":
      return printQuantity(reading.value, slotUnit(slot));
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
    case "within":
      return holdersOf(expression.of);
    case "except":
      return holdersOf(expression.from);
    default:
      return [];
  }
}
