import type { TargetExpression } from "../../slot-types/expression.ts";
import type { Path } from "../../automaton/paths.ts";
import type { Utterance } from "../../automaton/utterance.ts";
import { isSafeEffect } from "../../commands/access.ts";
import { takeAlong } from "../../commands/bulk.ts";
import { addDefaults, unitOf } from "../../commands/compute.ts";
import { type SlotValue, type Slots, filledBy, valueBy } from "../../commands/outcome.ts";
import { propertiesRead } from "../../commands/question.ts";
import type { Devices, TargetAsked } from "../../commands/resolved.ts";
import { type Speaker, resolveTarget } from "../../commands/targets.ts";
import type { Device } from "../../model/home.ts";
import type { SpokenPattern } from "../../model/spoken.ts";
import type { Order, TellStep } from "../../model/step.ts";
import type { Plan } from "../../commands/plan.ts";
import type { Intent, Phrasebook } from "../../phrasebook/model.ts";
import { narrow, narrowed, placeOf } from "../../slot-types/narrowing.ts";
import { type SlotReading, type TargetSlot, settleAsSaid } from "../../slot-types/slot.ts";
import { given } from "../../source/given.ts";
import type { Engine } from "./engine.ts";
import { type Filling, fillingsOf, holdersOf, leans, nameWords } from "./fillings.ts";
import { type Meaning, type Refusal, meaningOf } from "./meaning.ts";
import type { EngineRule } from "./rules.ts";

/** A home that is spoken to, and who speaks. */
export interface Situation {
  book: Phrasebook;
  engine: Engine;
  speaker: Speaker;
}

/** A way to understand an utterance, with what it comes to. */
export interface Reading {
  intent: Intent;
  pattern: SpokenPattern;
  path: Path<SlotReading>;
  fillings: readonly Filling[];
  meaning: Meaning;
  /** What each target slot was settled on, whatever came of it. */
  targets: ReadonlyMap<string, Devices>;
  /** What the rules of rank look at. */
  nameWords: number;
  /** Things whose names were said loosely. */
  loose: number;
  aliases: number;
}

/**
 * Works out what a path through a pattern comes to in this home: one reading, or several where
 * words that were said for a slot when it was asked for can be read in several ways.
 */
export function evaluatePath(
  situation: Situation,
  utterance: Utterance,
  path: Path<SlotReading>,
): Reading[] {
  const { engine, speaker } = situation;
  const rule = engine.rules[path.rule];
  if (!rule) return [];
  const fillings = fillingsOf(engine, utterance, path, rule.intent);
  if (rule.pattern.origin === "vocabulary" && saysName(engine, utterance, fillings)) return [];
  const choices = speaker.said
    ? withAnswers(engine, rule.intent, fillings, speaker.said)
    : [fillings];
  return choices.map((filled) => evaluate(situation, rule, path, filled));
}

/** Whether free words are the name of a device: "passe l'aspirateur dans le salon" plays nothing of that name. */
function saysName(engine: Engine, utterance: Utterance, fillings: readonly Filling[]): boolean {
  return fillings.some(({ slot, from, end }) => {
    if (slot.fills !== "words" || from < 0) return false;
    let at = from;
    while (at < end - 1 && utterance.small[at] === true) at++;
    return engine.deviceNamed(utterance, at)?.end === end;
  });
}

/** Most ways in which answers are read. */
const mostAnswers = 8;

/** Fillings, with those that answers give to slots that nothing was said for. */
function withAnswers(
  engine: Engine,
  intent: Intent,
  fillings: readonly Filling[],
  said: Readonly<Record<string, string>>,
): (readonly Filling[])[] {
  let choices: (readonly Filling[])[] = [fillings];
  for (const [name, text] of Object.entries(said)) {
    const slot = intent.slots.get(name);
    if (!slot || fillings.some((filling) => filling.slot === slot)) continue;
    const readings = engine.readAnswer(slot, text);
    if (readings.length === 0) continue;
    choices = choices
      .flatMap((choice) =>
        readings.map((read) => [...choice, { slot, ...read, from: -1, end: -1 }]),
      )
      .slice(0, mostAnswers);
  }
  return choices;
}

function evaluate(
  situation: Situation,
  rule: EngineRule,
  path: Path<SlotReading>,
  fillings: readonly Filling[],
): Reading {
  const { intent, pattern } = rule;
  const targets = new Map<string, Devices>();
  const meaning = settleAll(situation, rule, fillings, targets);
  let named = 0;
  let loose = 0;
  for (const { reading } of fillings) {
    if (reading.read !== "target") continue;
    named += nameWords(reading.target);
    if (holdersOf(reading.target).some(({ name }) => name.loose)) loose++;
  }
  let aliases = 0;
  if ("targets" in meaning) {
    for (const { holders } of meaning.targets.values()) {
      for (const { name } of holders) if (name.alias) aliases++;
    }
  }
  return { intent, pattern, path, fillings, meaning, targets, nameWords: named, loose, aliases };
}

/** What fillings come to: each slot settled, then the intent. */
function settleAll(
  { book, speaker }: Situation,
  { intent, pattern, plan }: EngineRule,
  fillings: readonly Filling[],
  targets: Map<string, Devices>,
): Meaning {
  const said: Record<string, SlotValue> = {};
  for (const { slot, reading, words } of fillings) {
    if (reading.read === "target" || slot.fills === "target") continue;
    const settled =
      slot.fills === "words" ? settleAsSaid(reading) : slot.settle(reading, speaker.time);
    if (!settled.ok) return { result: "refuse", reason: settled.reason };
    const { value } = settled;
    const { name } = slot;
    const first = valueBy(said, name);
    if (first !== undefined && first !== value) {
      return { result: "refuse", reason: { reason: "both", slot: name, first, second: value } };
    }
    const { part, unit = unitOf(slot) } = reading.read === "value" ? reading : {};
    said[name] = { value, words, ...given({ part, unit }) };
  }
  const slots = addDefaults(intent, said);
  const asked = (slot: TargetSlot): TargetAsked => ({
    slot,
    ...(plan.asked.get(slot.name) ?? { properties: [], actions: [] }),
    ...readable(plan.tells, slot.name, slots),
  });
  let narrowings = 0;
  for (const { slot, reading, words } of fillings) {
    if (reading.read !== "target" || slot.fills !== "target" || slot.narrows !== undefined)
      continue;
    let expression = reading.target;
    for (const other of fillings) {
      if (other.slot.fills !== "target" || other.slot.narrows !== slot.name) continue;
      const place = other.reading.read === "target" ? placeOf(other.reading.target) : undefined;
      const inPlace = place && narrow(expression, place);
      if (!inPlace) return { result: "unfit", reason: { reason: "place", words: other.words } };
      expression = inPlace;
    }
    for (const { narrowing, words: apart } of speaker.narrowings ?? []) {
      const less = narrowed(expression, narrowing);
      if (!less) return { result: "unfit", reason: { reason: "place", words: apart } };
      expression = less;
      narrowings++;
    }
    // "Make it warmer in here" means nothing that was spoken of; what is turned on is some thing.
    const isAmbient = plan.orders.every(({ order }) => order === "nudge");
    const isOpen = isAmbient && plan.orders.length > 0 && pattern.origin === "vocabulary";
    const isNothing = (speaker.it ?? []).length === 0;
    if (expression.target === "it" && isOpen && isNothing && !slot.named) {
      expression = { target: "unsaid" };
    }
    // "Is any light on?" is asked of all of them.
    if (isOfMany(plan) && expression.target === "kind") expression = { ...expression, many: true };
    const isSurroundings = isAmbient || plan.orders.every((order) => isWarmth(order, intent));
    if (reading.target.target === "it" && expression.target === "unsaid" && !isSurroundings) {
      return { result: "unfit", reason: { reason: "nowhere", said: "it" } };
    }
    const resolved = resolveTarget(book, expression, asked(slot), speaker);
    if (resolved.result === "choices") return { ...resolved, slot: slot.name };
    if (resolved.result !== "devices") return resolved;
    targets.set(slot.name, resolved);
    const isLeaning = leans(reading.target);
    slots[slot.name] = { devices: idsOf(resolved), words, ...(isLeaning && { leans: true }) };
  }
  for (const name of plan.targets) {
    const slot = intent.slots.get(name);
    // A pattern that ships and names nothing speaks of what is at hand.
    if (targets.has(name) || slot?.fills !== "target" || pattern.origin !== "vocabulary") continue;
    // "Is anything still on?" is asked of the whole home.
    let expression: TargetExpression = { target: isOfMany(plan) ? "everything" : "unsaid" };
    for (const { narrowing } of speaker.narrowings ?? []) {
      const less: TargetExpression | undefined =
        narrowing.narrow === "place" ? narrowed(expression, narrowing) : undefined;
      if (!less) continue;
      expression = less;
      narrowings++;
    }
    const resolved = resolveTarget(book, expression, asked(slot), speaker);
    if (resolved.result === "choices") return { ...resolved, slot: name };
    if (resolved.result !== "devices") return resolved;
    targets.set(name, resolved);
    slots[name] = { devices: idsOf(resolved), words: "" };
  }
  // What was said apart belongs to one thing.
  const [apart] = speaker.narrowings ?? [];
  if (apart && narrowings !== speaker.narrowings?.length) {
    return { result: "unfit", reason: { reason: "place", words: apart.words } };
  }
  const stays = leaveBehind({ intent, plan }, speaker, slots, targets);
  if (stays) return stays;
  const meaning = meaningOf({ book, intent, slots, targets, speaker }, plan);
  return meaning.result === "missing" ? { ...meaning, slots } : meaning;
}

/** Whether an order makes something so many degrees: "it should be twenty degrees in here". */
function isWarmth(order: Order, { slots }: Intent): boolean {
  const value = order.order === "set" ? order.value : undefined;
  return value?.refer === "slot" && slots.get(value.slot)?.type === "temperature";
}

/** Whether it is asked which of many things are so, or whether any is. */
function isOfMany({ orders, tells }: Plan): boolean {
  return orders.length === 0 && tells.length > 0 && tells.every(isAskedOfMany);
}

function isAskedOfMany({ form }: TellStep): boolean {
  return form === "any" || form === "which";
}

/** Takes out of targets what goes along with no command to many; refuses where nothing is left. */
function leaveBehind(
  { intent, plan }: Pick<EngineRule, "intent" | "plan">,
  { context }: Speaker,
  slots: Record<string, SlotValue>,
  targets: Map<string, Devices>,
): Refusal | undefined {
  // To ask about something changes nothing.
  if (plan.tells.length > 0 && plan.orders.length === 0) return undefined;
  for (const [name, target] of targets) {
    const orders = plan.orders.filter(
      (each) => each.target.refer === "slot" && each.target.slot === name,
    );
    const left = takeAlong(target, context.state, (device) =>
      intent.compute
        ? false
        : orders.length > 0 && orders.every((order) => isSafer(device, order, slots)),
    );
    if (left === target) continue;
    const [first] = target.devices;
    if (left.devices.length === 0 && first) {
      return { result: "unfit", reason: { reason: "alone", id: first.id } };
    }
    targets.set(name, left);
    const before = filledBy(slots, name);
    if (before) slots[name] = { ...before, devices: idsOf(left) };
  }
  return undefined;
}

/** Whether an order leaves a device in a state that is safe whatever guards it. */
function isSafer(device: Device, order: Order, slots: Slots): boolean {
  const { id } = device;
  if (order.order === "call") return isSafeEffect(device, { device: id, call: order.action });
  if (order.order !== "set") return false;
  const { value: written } = order;
  const value =
    written.refer === "value"
      ? written.value
      : written.refer === "slot"
        ? valueBy(slots, written.slot)
        : undefined;
  if (value === undefined) return false;
  return isSafeEffect(device, { device: id, set: { [order.property]: value } });
}

/** The properties of which a device has to have one, where a question is about it. */
function readable(
  tells: readonly TellStep[],
  name: string,
  slots: Slots,
): Pick<TargetAsked, "readable"> {
  if (tells.length === 0) return {};
  const about = tells.filter(({ target }) => target.refer === "slot" && target.slot === name);
  if (about.length === 0) return {};
  return { readable: about.flatMap((tell) => propertiesRead(tell, slots)) };
}

function idsOf({ devices }: Devices): string[] {
  return devices.map(({ id }) => id);
}
