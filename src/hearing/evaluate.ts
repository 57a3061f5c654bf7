import type { Path } from "../automaton/paths.ts";
import type { Utterance } from "../automaton/utterance.ts";
import type { VoiceAccess } from "../phrasebook/kinds.ts";
import type {
  Intent,
  Phrasebook,
  Slot,
  SpokenPattern,
  TargetReference,
  TellStep,
} from "../phrasebook/model.ts";
import { slotDefault } from "../phrasebook/slots.ts";
import { stateTests } from "../phrasebook/state-words.ts";
import { guard } from "./access.ts";
import type { Engine } from "./engine.ts";
import { narrow, placeOf } from "./expression.ts";
import { type Filling, fillingsOf, nameWords } from "./fillings.ts";
import { type Missing, type Refusal, carryOut, unsaidSlot } from "./orders.ts";
import { programAccess } from "./program.ts";
import type { Plan } from "./plan.ts";
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
  /** Set when the home has to run the steps to know what they come to. */
  isProgram?: true;
  effects: readonly Effect[];
  skipped: readonly Skipped[];
  access: Exclude<VoiceAccess, "barred">;
}

/** A question about states. */
interface Told extends Settled {
  result: "tell";
  question: Question;
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

/** Works out what a path through a pattern comes to in this home. */
export function evaluatePath(
  book: Phrasebook,
  engine: Engine,
  utterance: Utterance,
  path: Path,
  speaker: Speaker,
): Reading | undefined {
  const rule = engine.rules[path.rule];
  if (!rule) return undefined;
  const { intent, pattern, plan } = rule;
  const fillings = fillingsOf(engine, utterance, path, intent);
  const meaning = understand(book, intent, plan, fillings, speaker);
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
  return { intent, pattern, path, fillings, meaning, nameWords: named, aliases };
}

function understand(
  book: Phrasebook,
  intent: Intent,
  plan: Plan,
  fillings: readonly Filling[],
  speaker: Speaker,
): Meaning {
  const slots: Record<string, SlotValue> = {};
  const targets = new Map<string, Devices>();
  for (const { slot, reading, words } of fillings) {
    if (reading.read === "target") continue;
    const settled = settleSlot(slot, reading, speaker.time);
    if (!settled.ok) return { result: "refuse", reason: settled.reason };
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
  const { tell } = plan;
  const asked = (slot: Slot & { type: "target" }): Asked => ({
    slot,
    properties: plan.asked.get(slot.name)?.properties ?? [],
    actions: plan.asked.get(slot.name)?.actions ?? [],
    ...(tell && refersTo(tell.target, slot.name) ? { readable: toRead(tell, slots) } : {}),
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
    slots[slot.name] = { value: resolved.value, words };
  }
  const meaning = plan.program
    ? run(book, intent, plan, slots, targets)
    : tell
      ? ask(tell, slots, targets)
      : act(book, plan, slots, targets);
  return meaning.result === "missing" ? { ...meaning, slots } : meaning;
}

/** Steps that the home runs: what they need to be set off, and that their slots are said. */
function run(
  book: Phrasebook,
  { routine }: Intent,
  { orders, program = [], needs, optional }: Plan,
  slots: Readonly<Record<string, SlotValue>>,
  targets: ReadonlyMap<string, Devices>,
): Exclude<Meaning, NotSaid> | Missing {
  const unsaid = [
    ...orders.map((order) => unsaidSlot(order, slots, targets)),
    ...needs.filter((slot) => !slots[slot]),
  ];
  for (const slot of unsaid) {
    if (slot !== undefined && !optional.has(slot)) return { result: "missing", slot };
  }
  const { access, device } = programAccess(
    book,
    program,
    slots,
    targets,
    routine?.trusted === true,
  );
  if (access === "barred") {
    return { result: "absent", reason: `voice is barred from ${device ?? "it"}` };
  }
  const skipped = [...targets.values()].flatMap((target) => target.skipped);
  return { result: "do", isProgram: true, slots, targets, effects: [], skipped, access };
}

function act(
  book: Phrasebook,
  { orders, optional }: Plan,
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

function refersTo(target: TargetReference, slot: string): boolean {
  return target.refer === "slot" && target.slot === slot;
}

/** The properties that a question reads, of which a device has to have one. */
function toRead(tell: TellStep, slots: Readonly<Record<string, SlotValue>>): string[] {
  if (tell.form === "value") {
    const { property } = tell;
    return [typeof property === "string" ? property : String(slots[property.slot]?.value ?? "")];
  }
  return testsOf(tell, slots).map(({ property }) => property);
}

function testsOf(
  tell: Exclude<TellStep, { form: "value" }>,
  slots: Readonly<Record<string, SlotValue>>,
) {
  const word = typeof tell.state === "string" ? tell.state : slots[tell.state.slot]?.value;
  return Object.entries(stateTests).find(([state]) => state === word)?.[1] ?? [];
}

function ask(
  tell: TellStep,
  slots: Readonly<Record<string, SlotValue>>,
  targets: ReadonlyMap<string, Devices>,
): Exclude<Meaning, NotSaid> | Missing {
  const target = tell.target.refer === "slot" ? targets.get(tell.target.slot) : undefined;
  if (!target) {
    return { result: "missing", slot: tell.target.refer === "slot" ? tell.target.slot : "" };
  }
  const devices = target.devices.filter(({ voice }) => voice !== "barred").map(({ id }) => id);
  if (devices.length === 0)
    return { result: "unfit", reason: "there is nothing of the kind there" };
  const settled = { result: "tell", slots, targets } as const;
  if (tell.form === "value") {
    return {
      ...settled,
      question: { form: "value", devices, property: toRead(tell, slots)[0] ?? "" },
    };
  }
  const state = typeof tell.state === "string" ? tell.state : slots[tell.state.slot]?.words;
  const question = { form: tell.form, devices, state: state ?? "", tests: testsOf(tell, slots) };
  return { ...settled, question };
}
