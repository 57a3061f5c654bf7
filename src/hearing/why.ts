import type { Utterance } from "../automaton/utterance.ts";
import { isKnown, whyBarred } from "./access.ts";
import { listEffects } from "./describe.ts";
import type { Composition } from "./compose.ts";
import type { Engine } from "./engine.ts";
import type { Phrasebook } from "../phrasebook/model.ts";
import { printQuantity } from "../phrasebook/property.ts";
import { slotUnit } from "../phrasebook/slots.ts";
import type { Meaning, Reading } from "./evaluate.ts";
import type { TargetExpression } from "./expression.ts";
import type { Filling } from "./fillings.ts";
import { type Holder, spokenNames } from "./names.ts";
import { clearReading } from "./understand.ts";
import type { Barred, NearMiss, ReadingWhy, Why, WordRole } from "./outcome.ts";
import type { Ranked } from "./rank.ts";

/** Tells everything that led to an outcome. */
export function explain(
  book: Phrasebook,
  engine: Engine,
  utterance: Utterance,
  composition: Composition,
  nearest: readonly NearMiss[],
): Why {
  const { commands } = composition;
  return {
    words: wordRoles(book, engine, utterance, composition),
    readings: commands.flatMap(({ understood }, index) =>
      understood.ranked.map((ranked) =>
        commands.length === 1 ? readingWhy(ranked) : { command: index + 1, ...readingWhy(ranked) },
      ),
    ),
    nearest,
    barred: commands.some(({ understood }) => clearReading(understood))
      ? []
      : barredIn(book, engine, utterance),
    cut: commands.some(({ understood }) => understood.paths.cut),
    steps: composition.steps,
  };
}

/** Devices that were named and that voice is barred from. */
function barredIn(book: Phrasebook, { language }: Engine, { texts }: Utterance): Barred[] {
  const said = ` ${texts.join(" ")} `;
  return [...book.devices.values()].flatMap((device): Barred[] => {
    if (isKnown(device)) return [];
    const name = spokenNames(device, language, book.languages[0] ?? language).find(({ words }) =>
      said.includes(` ${words.join(" ")} `),
    );
    return name ? [{ device: device.id, reason: whyBarred(device), at: name.at }] : [];
  });
}

function wordRoles(
  { fragments }: Phrasebook,
  { network }: Engine,
  whole: Utterance,
  { commands, whenWords, joinerWords }: Composition,
): WordRole[] {
  const roles = new Map<number, WordRole>();
  for (const { start, end } of whole.words) {
    const role = whenWords.has(start) ? "when" : joinerWords.has(start) ? "joiner" : "unused";
    roles.set(start, { text: whole.text.slice(start, end), start, end, role });
  }
  const done = new Set<number>();
  for (const [number, { understood }] of commands.entries()) {
    const reading = understood.ranked[0]?.reading;
    if (!reading) continue;
    const { words, small } = understood.utterance;
    // Words that a command takes over from the one before it have their role from that.
    const open = words.flatMap(({ start }, index) => (done.has(start) ? [] : [index]));
    const roleAt = (index: number): WordRole | undefined =>
      open.includes(index) ? roles.get(words[index]?.start ?? -1) : undefined;
    for (const index of open) {
      const inside = index >= reading.path.from && index < reading.path.end;
      const role = roleAt(index);
      if (!role) continue;
      role.role = !inside ? "courtesy" : small[index] ? "small" : "unused";
      if (commands.length > 1) role.command = number + 1;
    }
    for (const { state, from, end } of reading.path.steps) {
      const slot = network.slot[state];
      for (let index = from; index < end; index++) {
        const role = roleAt(index);
        if (!role) continue;
        role.role = slot === undefined ? "pattern" : "slot";
        const fragment = fragments.get(network.fragment[state] ?? "");
        role.at = fragment?.at ?? reading.pattern.at;
        if (fragment) role.fragment = fragment.name;
        if (slot === undefined) continue;
        role.slot = slot;
        const holder = holderOf(reading, slot);
        if (holder) role.at = holder.name.at;
      }
    }
    for (const { start } of words) done.add(start);
  }
  return [...roles.values()];
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
      const at = holder ? { at: holder.name.at } : {};
      return { name: slot.name, words, means, ...at, declared: slot.at };
    }),
    kept: kept && meaning.result !== "absent",
    ...(meaning.result === "do" ? { does: describeEffects(meaning) } : {}),
    rule: meaning.result === "absent" ? meaning.reason : rule,
    skipped: meaning.result === "do" ? meaning.skipped : [],
  };
}

function describeEffects({ effects, runs }: Meaning & { result: "do" }): string {
  return runs === undefined ? listEffects(effects).join(", ") : `run ${runs}`;
}

/** What a slot's words were taken for, in words. */
function describeFilling({ slot, reading }: Filling, meaning: Meaning): string {
  switch (reading.read) {
    case "number":
      return printQuantity(reading.value, slotUnit(slot));
    case "time":
    case "date":
      return String("slots" in meaning ? (meaning.slots[slot.name]?.value ?? "") : "");
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
