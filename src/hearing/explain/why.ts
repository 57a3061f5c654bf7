import { fragmentOf, slotOf } from "../../automaton/network.ts";
import type { Utterance } from "../../automaton/utterance.ts";
import { type Barred, barredIn } from "../barred.ts";
import { valueIn } from "../../commands/question.ts";
import { listEffects } from "../../commands/describe.ts";
import type { Composition } from "../compose/parting.ts";
import type { Engine } from "../understand/engine.ts";
import type { Phrasebook } from "../../phrasebook/model.ts";
import { printQuantity } from "../../model/property.ts";
import type { Meaning } from "../understand/meaning.ts";
import type { Reading } from "../understand/evaluate.ts";
import { type Filling, holdersOf } from "../understand/fillings.ts";
import type { Name } from "../../model/home.ts";
import type { Holder } from "../../slot-types/expression.ts";
import { clearReading } from "../understand/understand.ts";
import type { Skipped } from "../../commands/outcome.ts";
import { tellReason } from "../../model/reason.ts";
import type { Position } from "../../source/position.ts";
import type { NearMiss } from "../near/near.ts";
import type { Ranked } from "../understand/rank.ts";

/** Everything that led to an outcome. */
export interface Why {
  words: readonly WordRole[];
  readings: readonly ReadingWhy[];
  /** For `unknown`: what comes nearest, best first. */
  nearest: readonly NearMiss[];
  /** For `unknown`: what was named that voice is barred from; to be told by tools alone. */
  barred: readonly Barred[];
  /** Set when there were more readings than are looked at. */
  cut: boolean;
  /** Steps of the search for readings, which are bounded whatever is said. */
  steps: number;
}

/** What one word of the utterance was taken for. */
export interface WordRole {
  text: string;
  /** UTF-16 offsets in the utterance. */
  start: number;
  end: number;
  role: "pattern" | "slot" | "small" | "courtesy" | "when" | "joiner" | "unused";
  /** Of several commands in the utterance the one that it is part of, from 1. */
  command?: number;
  /** The slot that it fills. */
  slot?: string;
  /** The fragment whose word it is. */
  fragment?: string;
  /** Where the pattern, fragment or name that took it is written. */
  at?: Position;
}

/** One way to understand the utterance, and why it was kept or dropped. */
export interface ReadingWhy {
  /** Of several commands in the utterance the one that it is about, from 1. */
  command?: number;
  intent: string;
  pattern: string;
  at: Position;
  slots: readonly {
    name: string;
    words: string;
    means: string;
    /** Where the name that filled it is written. */
    at?: Position;
    /** Where the slot is declared. */
    declared: Position;
  }[];
  kept: boolean;
  /** What it would do, for one that does something. */
  does?: string;
  /** The rule that decided. */
  rule: string;
  /** Devices that were named and are left out, each with its reason. */
  skipped: readonly Skipped[];
}

/** An utterance, and all that was looked at to understand it. */
interface Looked {
  engine: Engine;
  utterance: Utterance;
  composition: Composition;
}

/** Tells everything that led to an outcome. */
export function explain(
  book: Phrasebook,
  { engine, utterance, composition }: Looked,
  nearest: readonly NearMiss[],
): Why {
  const { commands } = composition;
  const barred = commands.some(({ understood }) => clearReading(understood))
    ? []
    : barredIn(book, engine.language, utterance);
  return {
    words: wordRoles(book, engine, utterance, composition),
    readings: commands.flatMap(({ understood }, index) =>
      understood.ranked.map((ranked) =>
        commands.length === 1 ? readingWhy(ranked) : { command: index + 1, ...readingWhy(ranked) },
      ),
    ),
    // What was named and is barred is not to be made to mean something else.
    nearest: barred.length > 0 ? nearest.map(withoutPaste) : nearest,
    barred,
    cut: commands.some(({ understood }) => understood.paths.cut),
    steps: composition.steps,
  };
}

function withoutPaste(near: NearMiss): NearMiss {
  const told = { ...near };
  delete told.paste;
  return told;
}

function wordRoles(
  { fragments }: Phrasebook,
  { network, pack }: Engine,
  whole: Utterance,
  { commands, whenWords, joinerWords }: Composition,
): WordRole[] {
  const roles = new Map<number, WordRole>();
  for (const { start, end } of whole.words) {
    const role = whenWords.has(start) ? "when" : joinerWords.has(start) ? "joiner" : "unused";
    roles.set(start, { text: whole.text.slice(start, end), start, end, role });
  }
  const fillers = new Set(pack.fillers);
  const done = new Set<number>();
  for (const [number, { understood }] of commands.entries()) {
    const reading = understood.ranked[0]?.reading;
    if (!reading) continue;
    const { words, texts, small } = understood.utterance;
    // Words that a command takes over from the one before it have their role from that.
    const open = words.flatMap(({ start }, index) => (done.has(start) ? [] : [index]));
    const roleAt = (index: number): WordRole | undefined =>
      open.includes(index) ? roles.get(words[index]?.start ?? -1) : undefined;
    for (const index of open) {
      const inside = index >= reading.path.from && index < reading.path.end;
      const role = roleAt(index);
      if (!role) continue;
      const isCourtesy = !inside || fillers.has(texts[index] ?? "");
      role.role = isCourtesy ? "courtesy" : small[index] ? "small" : "unused";
      if (commands.length > 1) role.command = number + 1;
    }
    for (const { state, from, end } of reading.path.steps) {
      const slot = slotOf(network, state);
      for (let index = from; index < end; index++) {
        const role = roleAt(index);
        if (!role) continue;
        role.role = slot === undefined ? "pattern" : "slot";
        const fragment = fragments.get(fragmentOf(network, state) ?? "");
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
    rule: meaning.result === "absent" ? tellReason(meaning.reason) : rule,
    skipped: meaning.result === "do" ? meaning.skipped : [],
  };
}

function describeEffects({ effects, runs }: Meaning & { result: "do" }): string {
  return runs === undefined ? listEffects(effects).join(", ") : `run ${runs}`;
}

/** What a slot's words were taken for, in words. */
function describeFilling({ slot, reading }: Filling, meaning: Meaning): string {
  switch (reading.read) {
    case "time":
    case "date":
      return "slots" in meaning ? valueIn(meaning.slots, slot.name) : "";
    case "value": {
      const { unit = slot.fills === "value" ? slot.unit : undefined } = reading;
      const { value } = reading;
      return typeof value === "number" ? printQuantity(value, unit) : String(value);
    }
    case "target": {
      const settled = "targets" in meaning ? meaning.targets.get(slot.name) : undefined;
      if (settled?.holders.length === 0) {
        return settled.devices.map(({ id }) => id).join(", ");
      }
      const holders = settled?.holders ?? holdersOf(reading.target);
      return holders
        .map(({ entity, name }) => `${entity.type} ${entity.id}${howNamed(name)}`)
        .join(", ");
    }
  }
}

function howNamed({ alias, loose, text }: Name): string {
  if (loose) return ` (for “${text}”)`;
  return alias ? " (alias)" : "";
}
