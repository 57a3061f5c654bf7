import type { Path } from "../automaton/paths.ts";
import type { Utterance } from "../automaton/utterance.ts";
import type { VoiceAccess } from "../phrasebook/kinds.ts";
import type {
  ComputedSteps,
  Device,
  Intent,
  Order,
  Phrasebook,
  Slot,
  SpokenPattern,
  Step,
  TellStep,
} from "../phrasebook/model.ts";
import { slotDefault } from "../phrasebook/slots.ts";
import { guard, isSafeEffect, whyBarred } from "./access.ts";
import { takeAlong } from "./bulk.ts";
import type { Engine } from "./engine.ts";
import { narrow, placeOf } from "./expression.ts";
import { type Filling, fillingsOf, nameWords } from "./fillings.ts";
import { type Missing, type Refusal, carryOut, targetDevices, unsaidSlot } from "./orders.ts";
import { programAccess } from "./program.ts";
import { type Plan, planSteps } from "./plan.ts";
import { propertiesRead, questionAbout } from "./question.ts";
import type { Effect, Question, Skipped, SlotValue } from "./outcome.ts";
import { type Asked, type Devices, type Speaker, resolveTarget } from "./targets.ts";
import { settleSlot } from "./values.ts";

/** A way to understand an utterance, with what it comes to. */
export interface Reading {
  intent: Intent;
  pattern: SpokenPattern;
  path: Path;
  fillings: readonly Filling[];
  meaning: Meaning;
  /** What each target slot was settled on, whatever came of it. */
  targets: ReadonlyMap<string, Devices>;
  /** What the rules of rank look at. */
  nameWords: number;
  aliases: number;
}

export type Meaning =
  Done | Told | Choices | NotSaid | Refusal | { result: "absent"; reason: string };

interface Settled {
  slots: Readonly<Record<string, SlotValue>>;
  /** What each target slot was settled on. */
  targets: ReadonlyMap<string, Devices>;
}

interface Done extends Settled {
  result: "do";
  /** The intent or routine whose steps the home has to run to know what they come to. */
  runs?: string;
  /** Those that a function computed. */
  computed?: readonly Step[];
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
  slots: Readonly<Record<string, SlotValue>>;
}

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
  path: Path,
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
    const readings = engine.readAnswer(intent, slot, text);
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
  path: Path,
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
  const slots: Record<string, SlotValue> = {};
  for (const { slot, reading, words } of fillings) {
    if (reading.read === "target") continue;
    const settled = settleSlot(slot, reading, speaker.time);
    if (!settled.ok) {
      const { reason, because } = settled;
      return { result: "refuse", reason, ...(because ? { because } : {}) };
    }
    const { value } = settled;
    const other = slots[slot.name];
    if (other && other.value !== value) {
      const reason = `${slot.name} cannot be both ${other.value} and ${value}`;
      return { result: "refuse", reason };
    }
    const part = reading.read === "number" && reading.part !== undefined ? reading.part : undefined;
    slots[slot.name] = { value, words, ...(part === undefined ? {} : { part }) };
  }
  for (const slot of intent.slots.values()) {
    const value = slotDefault(slot);
    if (value !== undefined) slots[slot.name] ??= { value, words: "" };
  }
  const asked = (slot: Slot & { type: "target" }): Asked => ({
    slot,
    properties: plan.asked.get(slot.name)?.properties ?? [],
    actions: plan.asked.get(slot.name)?.actions ?? [],
    ...readable(plan.tells, slot.name, slots),
  });
  for (const { slot, reading, words } of fillings) {
    if (reading.read !== "target" || slot.type !== "target" || slot.narrows !== undefined) continue;
    let expression = reading.target;
    for (const other of fillings) {
      if (other.slot.type !== "target" || other.slot.narrows !== slot.name) continue;
      const place = other.reading.read === "target" ? placeOf(other.reading.target) : undefined;
      const narrowed = place && narrow(expression, place);
      if (!narrowed) return { result: "unfit", reason: `"${other.words}" is no place for it` };
      expression = narrowed;
    }
    const resolved = resolveTarget(book, expression, asked(slot), speaker);
    if (resolved.result === "choices") return { ...resolved, slot: slot.name };
    if (resolved.result !== "devices") return resolved;
    targets.set(slot.name, resolved);
    const leans = reading.target.target === "it" || reading.target.target === "there";
    slots[slot.name] = { value: resolved.value, words, ...(leans ? { leans } : {}) };
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
      const reason = `${first.id} has to be named itself`;
      return { result: "unfit", reason, because: { because: "alone", device: first.id } };
    }
    targets.set(name, left);
    const before = slots[name];
    if (before) slots[name] = { ...before, value: left.value };
  }
  return undefined;
}

/** Whether an order leaves a device in a state that is safe whatever guards it. */
function isSafer(
  device: Device,
  order: Order,
  slots: Readonly<Record<string, SlotValue>>,
): boolean {
  const { id } = device;
  if (order.order === "call") return isSafeEffect(device, { device: id, call: order.action });
  if (order.order !== "set") return false;
  const value =
    order.value.refer === "value"
      ? order.value.value
      : order.value.refer === "slot"
        ? slots[order.value.slot]?.value
        : undefined;
  if (value === undefined) return false;
  return isSafeEffect(device, { device: id, set: { [order.property]: value } });
}

function mean(
  book: Phrasebook,
  intent: Intent,
  plan: Plan,
  slots: Readonly<Record<string, SlotValue>>,
  targets: ReadonlyMap<string, Devices>,
  speaker: Speaker,
): Exclude<Meaning, NotSaid> | Missing {
  const slot = unsaid(plan, slots, targets);
  if (slot !== undefined) return { result: "missing", slot };
  if (intent.compute) return computed(book, intent, intent.compute, slots, targets, speaker);
  if (plan.program) return run(book, intent, plan.program, slots, targets, speaker.context);
  if (plan.tells.length > 0) return ask(book, plan.tells, slots, targets);
  return act(book, plan.orders, plan.optional, slots, targets);
}

/** The first slot that steps need and that nothing was said for. */
function unsaid(
  { orders, needs, optional }: Plan,
  slots: Readonly<Record<string, SlotValue>>,
  targets: ReadonlyMap<string, Devices>,
): string | undefined {
  const all = [
    ...orders.map((order) => unsaidSlot(order, slots, targets)),
    ...needs.filter((slot) => !slots[slot]),
  ];
  return all.find((slot) => slot !== undefined && !optional.has(slot));
}

/** Steps that a function computes from what was said and what is so. */
function computed(
  book: Phrasebook,
  intent: Intent,
  compute: ComputedSteps,
  slots: Readonly<Record<string, SlotValue>>,
  targets: ReadonlyMap<string, Devices>,
  { context }: Speaker,
): Exclude<Meaning, NotSaid> | Missing {
  const values = Object.entries(slots).map(([name, { value }]) => {
    const target = targets.get(name);
    return [name, target ? target.devices.map(({ id }) => id) : value] as const;
  });
  const result = compute({ ...context, slots: Object.fromEntries(values) });
  if (!result.ok) {
    return { result: "refuse", reason: result.problem, because: { because: "broken" } };
  }
  const { orders, tells, program } = planSteps(result.steps);
  if (program || intent.routine) {
    const meaning = run(book, intent, result.steps, slots, targets, context);
    // Steps that are another routine are computed again when that starts.
    const isOwn = meaning.result === "do" && meaning.runs === intent.id;
    return isOwn ? { ...meaning, computed: result.steps } : meaning;
  }
  if (tells.length > 0) return ask(book, tells, slots, targets);
  return act(book, orders, new Set(), slots, targets);
}

/** The properties of which a device has to have one, where a question is about it. */
function readable(
  tells: readonly TellStep[],
  name: string,
  slots: Readonly<Record<string, SlotValue>>,
): Pick<Asked, "readable"> {
  const about = tells.filter(({ target }) => target.refer === "slot" && target.slot === name);
  if (about.length === 0) return {};
  return { readable: about.flatMap((tell) => propertiesRead(tell, slots)) };
}

/** Steps that the home runs: what speech needs to set them off. */
function run(
  book: Phrasebook,
  { id, routine, reply, failed }: Intent,
  steps: readonly Step[],
  slots: Readonly<Record<string, SlotValue>>,
  targets: ReadonlyMap<string, Devices>,
  context: Speaker["context"],
): Done | { result: "absent"; reason: string } {
  const { access, device, barred } = programAccess(
    book,
    steps,
    slots,
    targets,
    routine?.trusted === true,
    context,
  );
  if (access === "barred") {
    return { result: "absent", reason: `voice is barred from ${device ?? "it"}` };
  }
  const skipped = [
    ...[...targets.values()].flatMap((target) => target.skipped),
    ...barred.map((each): Skipped => ({ device: each.id, reason: whyBarred(each) })),
  ];
  // An intent that runs one routine and says nothing of its own is that routine; a routine is itself.
  const isOwn = routine !== undefined || reply.size > 0 || failed.size > 0;
  const runs = isOwn ? undefined : onlyRoutine(steps, slots);
  return { result: "do", runs: runs ?? id, slots, targets, effects: [], skipped, access };
}

/** The routine that steps of an intent run and nothing else. */
function onlyRoutine(
  [only, more]: readonly Step[],
  slots: Readonly<Record<string, SlotValue>>,
): string | undefined {
  if (only?.step !== "run" || more) return undefined;
  const { routine } = only;
  return routine.refer === "slot" ? String(slots[routine.slot]?.value) : routine.id;
}

function act(
  book: Phrasebook,
  orders: readonly Order[],
  optional: ReadonlySet<string>,
  slots: Readonly<Record<string, SlotValue>>,
  targets: ReadonlyMap<string, Devices>,
): Exclude<Meaning, NotSaid> | Missing {
  const carried = carryOut(book, orders, slots, targets, optional);
  if (carried.result !== "effects") return carried;
  const bulk = new Set([...targets.values()].flatMap((target) => [...target.bulk]));
  const { access, effects, skipped } = guard(carried.effects, book.devices, bulk);
  const unable = [...targets.values()].flatMap((target) => target.skipped);
  if (effects.length === 0 && orders.length > 0) {
    return { result: "absent", reason: skipped[0]?.reason ?? "voice may do none of it" };
  }
  const all = [...skipped, ...carried.skipped, ...unable];
  return { result: "do", slots, targets, effects, skipped: all, access };
}

function ask(
  book: Phrasebook,
  tells: readonly TellStep[],
  slots: Readonly<Record<string, SlotValue>>,
  targets: ReadonlyMap<string, Devices>,
): Exclude<Meaning, NotSaid> | Missing {
  const questions: Question[] = [];
  for (const tell of tells) {
    if (tell.target.refer === "slot" && !targets.has(tell.target.slot)) {
      return { result: "missing", slot: tell.target.slot };
    }
    const question = questionAbout(tell, slots, targetDevices(book, tell.target, targets));
    if (question) questions.push(question);
  }
  if (questions.length === 0) {
    return { result: "unfit", reason: "there is nothing of the kind there" };
  }
  return { result: "tell", slots, targets, questions };
}
