import type { Path } from "../../automaton/paths.ts";
import type { Utterance } from "../../automaton/utterance.ts";
import type { VoiceAccess } from "../../model/kinds.ts";
import type { Device } from "../../model/home.ts";
import type { Intent, Phrasebook } from "../../phrasebook/model.ts";
import type { Order, Step, TellStep } from "../../model/step.ts";
import type { SpokenPattern } from "../../model/spoken.ts";
import { guard, isSafeEffect, whyBarred } from "../../commands/access.ts";
import { takeAlong } from "../../commands/bulk.ts";
import type { Engine } from "./engine.ts";
import { type SlotReading, type TargetSlot, settleAsSaid } from "../../slot-types/slot.ts";
import { given } from "../../source/given.ts";
import { narrow, placeOf } from "../../slot-types/target-words.ts";
import { type Filling, fillingsOf, nameWords } from "./fillings.ts";
import { type Given, effectsOfOrders, valueIn } from "../../commands/orders.ts";
import { addDefaults, stepsOf } from "../../commands/compute.ts";
import { targetDevices } from "../../commands/members.ts";
import type { Reason } from "../../model/reason.ts";
import { programAccess, routineOf } from "../../commands/program.ts";
import { type Plan, planSteps } from "../../commands/plan.ts";
import { propertiesRead, questionAbout } from "../../commands/question.ts";
import {
  type Effect,
  type Question,
  type Skipped,
  type SlotValue,
  type Slots,
  filledBy,
  valueBy,
} from "../../commands/outcome.ts";
import {
  type Devices,
  type Speaker,
  type TargetAsked,
  resolveTarget,
} from "../../commands/targets.ts";

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
  aliases: number;
}

export type Meaning =
  Done | Told | Choices | NotSaid | Refusal | { result: "absent"; reason: Reason };

/** Why nothing is done: a value that cannot be, or something that has no such thing at all. */
type Refusal = { result: "refuse"; reason: Reason } | { result: "unfit"; reason: Reason };

interface Settled {
  slots: Slots;
  /** What each target slot was settled on. */
  targets: ReadonlyMap<string, Devices>;
}

interface Done extends Settled {
  result: "do";
  /** The intent or routine whose steps the home has to run to know what they come to. */
  runs?: string;
  effects: readonly Effect[];
  skipped: readonly Skipped[];
  access: Exclude<VoiceAccess, "barred">;
}

/** Questions about states. */
interface Told extends Settled {
  result: "tell";
  questions: readonly Question[];
}

/** Something that is needed was not said. */
interface NotSaid {
  result: "missing";
  slot: string;
  slots: Slots;
}

type Missing = Omit<NotSaid, "slots">;

/** A name stands for several things, and nothing decides between them. */
interface Choices {
  result: "choices";
  slot: string;
  options: readonly Devices[];
}

/**
 * Works out what a path through a pattern comes to in this home: one reading, or several where
 * words that were said for a slot when it was asked for can be read in several ways.
 */
export function evaluatePath(
  book: Phrasebook,
  engine: Engine,
  utterance: Utterance,
  path: Path<SlotReading>,
  speaker: Speaker,
): Reading[] {
  const rule = engine.rules[path.rule];
  if (!rule) return [];
  const fillings = fillingsOf(engine, utterance, path, rule.intent);
  const choices = speaker.said
    ? withAnswers(engine, rule.intent, fillings, speaker.said)
    : [fillings];
  return choices.map((filled) => evaluate(book, rule, path, filled, speaker));
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
  book: Phrasebook,
  { intent, pattern, plan }: Engine["rules"][number],
  path: Path<SlotReading>,
  fillings: readonly Filling[],
  speaker: Speaker,
): Reading {
  const targets = new Map<string, Devices>();
  const meaning = understand(book, intent, plan, fillings, speaker, targets);
  let named = 0;
  for (const { reading } of fillings) {
    if (reading.read === "target") named += nameWords(reading.target);
  }
  let aliases = 0;
  if ("targets" in meaning) {
    for (const { holders } of meaning.targets.values()) {
      for (const { name } of holders) if (name.alias) aliases++;
    }
  }
  return { intent, pattern, path, fillings, meaning, targets, nameWords: named, aliases };
}

function understand(
  book: Phrasebook,
  intent: Intent,
  plan: Plan,
  fillings: readonly Filling[],
  speaker: Speaker,
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
    const part = reading.read === "value" ? reading.part : undefined;
    said[name] = { value, words, ...given({ part }) };
  }
  const slots = addDefaults(intent, said);
  const asked = (slot: TargetSlot): TargetAsked => ({
    slot,
    properties: plan.asked.get(slot.name)?.properties ?? [],
    actions: plan.asked.get(slot.name)?.actions ?? [],
    ...readable(plan.tells, slot.name, slots),
  });
  for (const { slot, reading, words } of fillings) {
    if (reading.read !== "target" || slot.fills !== "target" || slot.narrows !== undefined)
      continue;
    let expression = reading.target;
    for (const other of fillings) {
      if (other.slot.fills !== "target" || other.slot.narrows !== slot.name) continue;
      const place = other.reading.read === "target" ? placeOf(other.reading.target) : undefined;
      const narrowed = place && narrow(expression, place);
      if (!narrowed) return { result: "unfit", reason: { reason: "place", words: other.words } };
      expression = narrowed;
    }
    const resolved = resolveTarget(book, expression, asked(slot), speaker);
    if (resolved.result === "choices") return { ...resolved, slot: slot.name };
    if (resolved.result !== "devices") return resolved;
    targets.set(slot.name, resolved);
    const leans = reading.target.target === "it" || reading.target.target === "there";
    slots[slot.name] = { devices: idsOf(resolved), words, ...(leans ? { leans } : {}) };
  }
  const stays = leaveBehind(intent, plan, slots, targets, speaker);
  if (stays) return stays;
  const meaning = mean(book, intent, plan, slots, targets, speaker);
  return meaning.result === "missing" ? { ...meaning, slots } : meaning;
}

/** Takes out of targets what goes along with no command to many; refuses where nothing is left. */
function leaveBehind(
  intent: Intent,
  plan: Plan,
  slots: Record<string, SlotValue>,
  targets: Map<string, Devices>,
  { context }: Speaker,
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

function mean(
  book: Phrasebook,
  intent: Intent,
  plan: Plan,
  slots: Slots,
  targets: ReadonlyMap<string, Devices>,
  speaker: Speaker,
): Exclude<Meaning, NotSaid> | Missing {
  const said: Said = { book, intent, slots, targets, context: speaker.context };
  const slot = unsaid(plan, said);
  if (slot !== undefined) return { result: "missing", slot };
  if (intent.compute) return computed(said);
  if (plan.program) return run(said, plan.program);
  if (plan.tells.length > 0) return ask(said, plan.tells);
  return act(said, plan.orders, plan.optional);
}

/** What was said for the slots of an intent, and where. */
interface Said {
  book: Phrasebook;
  intent: Intent;
  slots: Slots;
  targets: ReadonlyMap<string, Devices>;
  context: Speaker["context"];
}

function givenBy({ book, slots, targets, context }: Said): Given {
  return { book, slots, inSlot: (slot) => targets.get(slot)?.devices ?? [], state: context.state };
}

/** The first slot that steps need and that nothing was said for. */
function unsaid({ orders, needs, optional }: Plan, said: Said): string | undefined {
  const all = [
    ...orders.map((order) => unsaidIn(order, said)),
    ...needs.filter((slot) => !filledBy(said.slots, slot)),
  ];
  return all.find((slot) => slot !== undefined && !optional.has(slot));
}

/** A slot that an order needs and that nothing was said for. */
function unsaidIn(order: Order, { slots, targets }: Said): string | undefined {
  const { target } = order;
  if (target.refer === "slot" && !targets.has(target.slot)) return target.slot;
  const written = valueIn(order);
  return written?.refer === "slot" && !filledBy(slots, written.slot) ? written.slot : undefined;
}

/** Steps that a function computes from what was said and what is so. */
function computed(said: Said): Exclude<Meaning, NotSaid> | Missing {
  const { intent, slots, context } = said;
  const result = stepsOf(intent, slots, context);
  if (!result.ok) {
    return { result: "refuse", reason: { reason: "broken", what: result.problem } };
  }
  const { orders, tells, program } = planSteps(result.steps);
  if (program || intent.routine) return run(said, result.steps);
  if (tells.length > 0) return ask(said, tells);
  return act(said, orders, new Set());
}

/** The properties of which a device has to have one, where a question is about it. */
function readable(
  tells: readonly TellStep[],
  name: string,
  slots: Slots,
): Pick<TargetAsked, "readable"> {
  const about = tells.filter(({ target }) => target.refer === "slot" && target.slot === name);
  if (about.length === 0) return {};
  return { readable: about.flatMap((tell) => propertiesRead(tell, slots)) };
}

/** Steps that the home runs: what speech needs to set them off. */
function run(said: Said, steps: readonly Step[]): Done | { result: "absent"; reason: Reason } {
  const { book, intent, slots, targets, context } = said;
  const { id, routine, reply, failed } = intent;
  const isTrusted = routine?.trusted === true;
  const { inSlot } = givenBy(said);
  const weighed = programAccess(book, steps, { slots, inSlot, context, isTrusted });
  const { access, device = "it", barred } = weighed;
  if (access === "barred") return { result: "absent", reason: { reason: "barred", device } };
  const skipped = [
    ...[...targets.values()].flatMap((target) => target.skipped),
    ...barred.map((each): Skipped => ({ device: each.id, why: whyBarred(each) })),
  ];
  // An intent that runs one routine and says nothing of its own is that routine; a routine is itself.
  const isOwn = routine !== undefined || reply.size > 0 || failed.size > 0;
  const [only, more] = steps;
  const runs = isOwn || only?.step !== "run" || more ? undefined : routineOf(book, only, slots)?.id;
  return { result: "do", runs: runs ?? id, slots, targets, effects: [], skipped, access };
}

function act(
  said: Said,
  orders: readonly Order[],
  optional: ReadonlySet<string>,
): Exclude<Meaning, NotSaid> | Missing {
  const { book, slots, targets } = said;
  let wanted = orders;
  for (const order of orders) {
    const slot = unsaidIn(order, said);
    if (slot === undefined) continue;
    if (!optional.has(slot)) return { result: "missing", slot };
    wanted = wanted.filter((each) => each !== order);
  }
  const given = givenBy(said);
  const { effects: asked, unable, refused } = effectsOfOrders(wanted, given);
  if (refused.size > 0) {
    // What one device alone was asked, and cannot, refuses the whole; of many, some may stay behind.
    const [alone] = wanted.flatMap(({ target }) => {
      const [only, more] = targetDevices(book, target, given.inSlot);
      return only && !more ? (refused.get(only.id) ?? []) : [];
    });
    const refusal = alone ?? (asked.length === 0 ? [...refused.values()][0] : undefined);
    if (refusal) return { result: refusal.ordered, reason: refusal.reason };
  }
  const [lacking] = unable;
  if (asked.length === 0 && wanted.length > 0) {
    return { result: "unfit", reason: lacking?.why ?? { reason: "nothing" } };
  }
  const [only, more] = targets.values();
  const bulk =
    only && !more
      ? only.bulk
      : new Set([...targets.values()].flatMap((target) => [...target.bulk]));
  const { access, effects, skipped } = guard(asked, book.devices, bulk);
  if (effects.length === 0 && wanted.length > 0) {
    const reason = skipped[0]?.why ?? { reason: "nothing" };
    return { result: "absent", reason };
  }
  const all = [...skipped, ...unable];
  for (const [device, { reason }] of refused) all.push({ device, why: reason });
  for (const target of targets.values()) all.push(...target.skipped);
  return { result: "do", slots, targets, effects, skipped: all, access };
}

function ask(said: Said, tells: readonly TellStep[]): Exclude<Meaning, NotSaid> | Missing {
  const { book, slots, targets } = said;
  const { inSlot } = givenBy(said);
  const questions: Question[] = [];
  for (const tell of tells) {
    if (tell.target.refer === "slot" && !targets.has(tell.target.slot)) {
      return { result: "missing", slot: tell.target.slot };
    }
    const question = questionAbout(tell, slots, targetDevices(book, tell.target, inSlot));
    if (question) questions.push(question);
  }
  if (questions.length === 0) {
    return { result: "unfit", reason: { reason: "nothing" } };
  }
  return { result: "tell", slots, targets, questions };
}

function idsOf({ devices }: Devices): string[] {
  return devices.map(({ id }) => id);
}
