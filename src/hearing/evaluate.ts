import type { Path } from "../automaton/paths.ts";
import type { Utterance } from "../automaton/utterance.ts";
import type {
  Device,
  Intent,
  NumberSlot,
  Phrasebook,
  Setting,
  Slot,
  SpokenPattern,
} from "../phrasebook/model.ts";
import {
  type Value,
  type ValueProblem,
  checkValue,
  explainValueProblem,
  printQuantity,
} from "../phrasebook/property.ts";
import type { Engine } from "./engine.ts";
import type { Holder } from "./names.ts";
import type { Effect, Skipped, SlotValue } from "./outcome.ts";
import type { SlotReading } from "./slots.ts";
import { type Resolved, devicesOf, resolveTarget } from "./targets.ts";

/** A way to understand an utterance, with what it comes to. */
export interface Reading {
  intent: Intent;
  pattern: SpokenPattern;
  path: Path;
  fillings: readonly Filling[];
  meaning: Meaning;
  /** What the rules of rank look at. */
  nameWords: number;
  aliases: number;
}

/** A slot as filled by words of the utterance. */
export interface Filling {
  slot: Slot;
  reading: SlotReading;
  /** Indexes of its first word and after its last. */
  from: number;
  end: number;
  words: string;
}

export type Meaning = Done | Choices | Refusal;

interface Done {
  result: "do";
  slots: Readonly<Record<string, SlotValue>>;
  effects: readonly Effect[];
  skipped: readonly Skipped[];
  /** The name that each target slot was settled on. */
  holders: ReadonlyMap<string, Holder>;
}

/** A name stands for several things, and nothing decides between them. */
interface Choices {
  result: "choices";
  slot: string;
  options: readonly (Resolved & { result: "devices" })[];
}

interface Refusal {
  /** `refuse`: the value is one that cannot be; `unfit`: what was named has no such thing at all. */
  result: "refuse" | "unfit";
  reason: string;
}

/** Works out what a path through a pattern comes to in this home. */
export function evaluatePath(
  book: Phrasebook,
  engine: Engine,
  utterance: Utterance,
  path: Path,
  speakerRoom: string | undefined,
): Reading | undefined {
  const rule = engine.rules[path.rule];
  if (!rule) return undefined;
  const { intent, pattern } = rule;
  const fillings = fillingsOf(engine, utterance, path, intent);
  const meaning = understand(book, intent, fillings, speakerRoom);
  const holders = meaning.result === "do" ? [...meaning.holders.values()] : [];
  const nameWords = fillings
    .filter(({ reading }) => reading.read === "target")
    .reduce((sum, { from, end }) => sum + end - from, 0);
  const aliases = holders.filter(({ name }) => name.alias).length;
  return { intent, pattern, path, fillings, meaning, nameWords, aliases };
}

function fillingsOf(engine: Engine, utterance: Utterance, path: Path, intent: Intent): Filling[] {
  return path.steps.flatMap(({ state, from, end, match }): Filling[] => {
    const slot = intent.slots.get(engine.network.slot[state] ?? "");
    if (!slot || !match) return [];
    const start = utterance.words[from]?.start ?? 0;
    const stop = utterance.words[end - 1]?.end ?? start;
    const words = utterance.text.slice(start, stop);
    return [{ slot, reading: match.value as SlotReading, from, end, words }];
  });
}

function understand(
  book: Phrasebook,
  intent: Intent,
  fillings: readonly Filling[],
  speakerRoom: string | undefined,
): Meaning {
  const slots: Record<string, SlotValue> = {};
  const targets = new Map<string, Resolved & { result: "devices" }>();
  for (const { slot, reading, words } of fillings) {
    if (reading.read === "target") {
      if (slot.type !== "target") continue;
      const properties = propertiesAsked(intent, slot.name);
      const resolved = resolveTarget(book, reading.holders, { slot, properties }, speakerRoom);
      if (resolved.result === "unfit") return resolved;
      if (resolved.result === "choices") return { ...resolved, slot: slot.name };
      targets.set(slot.name, resolved);
      slots[slot.name] = { value: resolved.entity.id, words };
    } else {
      const problem = slot.type === "choice" ? undefined : slotProblem(slot, reading.value);
      if (problem) return { result: "refuse", reason: `${slot.name} ${problem}` };
      const other = slots[slot.name];
      if (other && other.value !== reading.value) {
        const reason = `${slot.name} cannot be both ${other.value} and ${reading.value}`;
        return { result: "refuse", reason };
      }
      slots[slot.name] = { value: reading.value, words };
    }
  }
  for (const slot of intent.slots.values()) {
    if (slot.name in slots || slot.type === "target" || slot.default === undefined) continue;
    slots[slot.name] = { value: slot.default, words: "" };
  }
  return apply(book, intent, slots, targets);
}

/** Properties that the intent sets on whatever fills a target slot. */
function propertiesAsked(intent: Intent, slot: string): string[] {
  return intent.steps.flatMap(({ settings }) =>
    settings
      .filter(({ target }) => target.refer === "slot" && target.slot === slot)
      .map(({ property }) => property),
  );
}

function slotProblem(slot: Slot, value: Value): string | undefined {
  if (slot.type === "target" || slot.type === "choice" || typeof value !== "number")
    return undefined;
  const check = checkValue(slotSchema(slot), value);
  return check.ok ? undefined : explainValueProblem(check.problem);
}

function slotSchema(slot: NumberSlot) {
  const units = { percent: "percent", temperature: "celsius", number: undefined };
  const unit = units[slot.type];
  return {
    type: "number" as const,
    default: 0,
    ...(slot.minimum === undefined ? {} : { minimum: slot.minimum }),
    ...(slot.maximum === undefined ? {} : { maximum: slot.maximum }),
    ...(slot.step === undefined ? {} : { multipleOf: slot.step }),
    ...(unit === undefined ? {} : { unit }),
  };
}

function apply(
  book: Phrasebook,
  intent: Intent,
  slots: Record<string, SlotValue>,
  targets: ReadonlyMap<string, Resolved & { result: "devices" }>,
): Meaning {
  const effects = new Map<string, Record<string, Value>>();
  const skipped: Skipped[] = [...targets.values()].flatMap((target) => target.skipped);
  const failed = new Map<string, Refusal>();
  for (const setting of intent.steps.flatMap(({ settings }) => settings)) {
    const value =
      setting.value.refer === "value" ? setting.value.value : slots[setting.value.slot]?.value;
    if (value === undefined) {
      const slot = setting.value.refer === "slot" ? setting.value.slot : "";
      return { result: "refuse", reason: `nothing was said for ${slot}` };
    }
    const affected = settingDevices(book, setting, targets);
    if (!affected) {
      const slot = setting.target.refer === "slot" ? setting.target.slot : "";
      return { result: "refuse", reason: `nothing was said for ${slot}` };
    }
    for (const device of affected) {
      const schema = device.properties.get(setting.property);
      if (!schema || schema.readOnly) {
        skipped.push({
          device: device.id,
          reason: `${device.id} has no ${setting.property} to set`,
        });
        continue;
      }
      const check = checkValue(schema, value);
      if (!check.ok) {
        const why = explainValueProblem(check.problem);
        const reason = `the ${setting.property} of ${device.id} ${why}`;
        const refusal = refuseValue(check.problem, reason);
        if (affected.length === 1) return refusal;
        failed.set(device.id, refusal);
        continue;
      }
      const changes = effects.get(device.id) ?? {};
      changes[setting.property] = check.value;
      effects.set(device.id, changes);
    }
  }
  // A device that can take one part of what was asked and not another is left alone.
  for (const [device, { reason }] of failed) {
    effects.delete(device);
    skipped.push({ device, reason });
  }
  const [refusal] = failed.values();
  if (effects.size === 0 && refusal) return refusal;
  if (effects.size === 0 && intent.steps.length > 0) {
    return { result: "unfit", reason: skipped[0]?.reason ?? "there is no device to do it" };
  }
  return {
    result: "do",
    slots,
    effects: [...effects].map(([device, set]) => ({ device, set })),
    skipped,
    holders: new Map([...targets].map(([slot, { holder }]) => [slot, holder])),
  };
}

/** A word where a number belongs shows that another property was meant; a number too high does not. */
function refuseValue(problem: ValueProblem, reason: string): Refusal {
  const result = problem.problem === "type" || problem.problem === "choice" ? "unfit" : "refuse";
  return { result, reason };
}

function settingDevices(
  book: Phrasebook,
  { target }: Setting,
  targets: ReadonlyMap<string, Resolved & { result: "devices" }>,
): readonly Device[] | undefined {
  switch (target.refer) {
    case "slot":
      return targets.get(target.slot)?.devices;
    case "device":
      return devicesIn(book, book.devices.get(target.id));
    case "group":
      return devicesIn(book, book.groups.get(target.id));
    case "room":
      return devicesIn(book, book.rooms.get(target.id));
    case "zone":
      return devicesIn(book, book.zones.get(target.id));
  }
}

function devicesIn(book: Phrasebook, entity: Parameters<typeof devicesOf>[1] | undefined) {
  return entity ? devicesOf(book, entity) : [];
}

/** What a slot's words were taken for, in words. */
export function describeFilling({ slot, reading }: Filling, meaning: Meaning): string {
  switch (reading.read) {
    case "number": {
      const unit = { percent: "percent", temperature: "celsius" }[slot.type as string];
      return printQuantity(reading.value, unit);
    }
    case "choice":
      return String(reading.value);
    case "target": {
      const settled = meaning.result === "do" ? meaning.holders.get(slot.name) : undefined;
      const holders = settled ? [settled] : reading.holders;
      return holders
        .map(({ entity, name }) => `${entity.type} ${entity.id}${name.alias ? ` (alias)` : ""}`)
        .join(", ");
    }
  }
}
