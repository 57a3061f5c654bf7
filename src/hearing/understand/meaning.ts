import { guard, whyBarred } from "../../commands/access.ts";
import { stepsOf } from "../../commands/compute.ts";
import { targetDevices } from "../../commands/members.ts";
import { type Given, effectsOfOrders, valueIn } from "../../commands/orders.ts";
import {
  type Effect,
  type Question,
  type Skipped,
  type Slots,
  filledBy,
} from "../../commands/outcome.ts";
import { type Plan, planSteps } from "../../commands/plan.ts";
import { programAccess, routineOf } from "../../commands/program.ts";
import { questionsAbout } from "../../commands/question.ts";
import { given } from "../../source/given.ts";
import type { Devices } from "../../commands/resolved.ts";
import type { Speaker } from "../../commands/targets.ts";
import type { VoiceAccess } from "../../model/kinds.ts";
import type { Reason } from "../../model/reason.ts";
import type { Order, Step, TellStep } from "../../model/step.ts";
import type { Intent, Phrasebook } from "../../phrasebook/model.ts";

/** What a reading comes to. */
export type Meaning =
  Done | Told | Choices | NotSaid | Refusal | { result: "absent"; reason: Reason };

/** Why nothing is done: a value that cannot be, or something that has no such thing at all. */
export type Refusal = { result: "refuse"; reason: Reason } | { result: "unfit"; reason: Reason };

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
export interface NotSaid {
  result: "missing";
  slot: string;
  slots: Slots;
}

type Missing = Omit<NotSaid, "slots">;

/** A name stands for several things, and nothing decides between them. */
export interface Choices {
  result: "choices";
  slot: string;
  options: readonly Devices[];
}

/** What an intent comes to, once its slots are settled. */
export function meaningOf(said: Said, plan: Plan): Exclude<Meaning, NotSaid> | Missing {
  const { intent } = said;
  const slot = unsaid(plan, said);
  if (slot !== undefined) return { result: "missing", slot };
  if (intent.compute) return computed(said);
  if (plan.program) return run(said, plan.program);
  if (plan.tells.length > 0) return ask(said, plan.tells);
  return act(said, plan.orders, plan.optional);
}

/** What was said for the slots of an intent, and where. */
export interface Said {
  book: Phrasebook;
  intent: Intent;
  slots: Slots;
  targets: ReadonlyMap<string, Devices>;
  speaker: Speaker;
}

function givenBy({ book, slots, targets, speaker }: Said): Given {
  const inSlot: Given["inSlot"] = (slot) => targets.get(slot)?.devices ?? [];
  return {
    book,
    slots,
    inSlot,
    state: speaker.context.state,
    ...given({ lastOn: speaker.lastOn }),
  };
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
  const { intent, slots, speaker } = said;
  const result = stepsOf(intent, slots, speaker.context);
  if (!result.ok) {
    return { result: "refuse", reason: { reason: "broken", what: result.problem } };
  }
  const { orders, tells, program } = planSteps(result.steps);
  if (program || intent.routine) return run(said, result.steps);
  if (tells.length > 0) return ask(said, tells);
  return act(said, orders, new Set());
}

/** Steps that the home runs: what speech needs to set them off. */
function run(said: Said, steps: readonly Step[]): Done | { result: "absent"; reason: Reason } {
  const { book, intent, slots, targets, speaker } = said;
  const { id, routine, reply, failed } = intent;
  const isTrusted = routine?.trusted === true;
  const { inSlot } = givenBy(said);
  const weighed = programAccess(book, steps, {
    slots,
    inSlot,
    context: speaker.context,
    isTrusted,
  });
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
    questions.push(...questionsAbout(tell, slots, targetDevices(book, tell.target, inSlot)));
  }
  if (questions.length === 0) {
    return { result: "unfit", reason: { reason: "nothing" } };
  }
  return { result: "tell", slots, targets, questions };
}
