import { isKnown } from "../hearing/access.ts";
import { devicesNamed } from "../hearing/targets.ts";
import { targetDevices } from "../hearing/orders.ts";
import type { Effect, Question, SlotValue } from "../hearing/outcome.ts";
import { questionAbout } from "../hearing/question.ts";
import { type Conditions, holdAll } from "../phrasebook/condition.ts";
import type {
  AskStep,
  Device,
  HearStep,
  NotifyStep,
  Order,
  Phrasebook,
  Reply,
  Routine,
  SayStep,
  SendStep,
  Step,
  TargetReference,
} from "../phrasebook/model.ts";
import {
  type State,
  type Value,
  checkValue,
  isSettable,
  landed,
  otherValue,
} from "../phrasebook/property.ts";
import { valueOf } from "./arithmetic.ts";
import { type Cause, trusted } from "./cause.ts";
import type { Ordered } from "./orders.ts";

/** Steps on their way: what they were set off with, and what came of them so far. */
export interface Run {
  /** The routine or intent whose steps they are. */
  of: string;
  slots: Readonly<Record<string, SlotValue>>;
  language: string;
  /** The voicepoint that set it off. */
  at?: string;
  /** Whether somebody waits for an answer to what they said. */
  isSpoken: boolean;
  /** What set it off: guards hold beyond what that was granted. */
  cause: Cause;
  /** Whether a routine of it is trusted beyond the guards of devices. */
  isTrusted: boolean;
  done: Set<string>;
  failed: Set<string>;
  /** Devices that cannot do it. */
  skipped: Set<string>;
  /** Devices that what set it off was not granted. */
  refused: Set<string>;
  /** Whether its steps have said something, which is reply enough. */
  hasSpoken: boolean;
  /** Routines that run within one another, so that a circle ends. */
  depth: number;
}

/** What a run waits for. */
export type Pause = { pause: "wait"; seconds: number } | { pause: "ask"; step: AskStep };

/** What comes back when a run goes on: which answer was given. */
export type Resume = { answer: number } | undefined;

/** What steps do to the world around them. */
export interface World {
  book: Phrasebook;
  state: (device: string) => State;
  order: (effect: Effect, run: Run) => Ordered;
  /** Takes a step; false once steps at one moment have no end. */
  spend: (steps: number) => boolean;
  /** The steps of a routine, which a function may compute; undefined when that fails. */
  stepsOf: (routine: Routine, run: Run) => readonly Step[] | undefined;
  tell: (question: Question, run: Run) => void;
  say: (step: SayStep, run: Run) => void;
  notify: (step: NotifyStep, run: Run) => void;
  send: (step: SendStep, run: Run) => void;
  hear: (step: HearStep, run: Run) => boolean;
  branch: (text: string, run: Run) => void;
  /** Says a routine's first words. */
  moment: (replies: ReadonlyMap<string, Reply>, run: Run) => void;
}

/** Deepest that routines may run routines, or have phrases heard. */
export const deepest = 20;

/**
 * Does steps in the order written, and pauses where they wait or ask. A step that does not work
 * does not stop the others, except within a `try`.
 *
 * @returns Whether all of it worked.
 */
export function* doSteps(
  world: World,
  run: Run,
  steps: readonly Step[],
  stopsAtFailure = false,
): Generator<Pause, boolean, Resume> {
  let ok = true;
  for (const step of steps) {
    const worked = yield* doStep(world, run, step);
    ok &&= worked;
    if (!worked && stopsAtFailure) return false;
  }
  return ok;
}

function* doStep(world: World, run: Run, step: Step): Generator<Pause, boolean, Resume> {
  const { book, state } = world;
  if (!world.spend(1)) return false;
  switch (step.step) {
    case "order":
      return doOrders(world, run, step.orders);
    case "tell": {
      const question = questionAbout(step, run.slots, devicesFor(book, step.target, run));
      if (question) world.tell(question, run);
      return question !== undefined;
    }
    case "say":
      world.say(step, run);
      return true;
    case "notify":
      world.notify(step, run);
      return true;
    case "send":
      world.send(step, run);
      return true;
    case "wait": {
      const seconds = valueOf(step.wait, run.slots, state);
      if (typeof seconds === "number" && seconds > 0) yield { pause: "wait", seconds };
      return true;
    }
    case "if": {
      const isSo = holdsFor(step.condition, state);
      world.branch(isSo ? "then" : "else", run);
      return yield* doSteps(world, run, isSo ? step.then : step.otherwise);
    }
    case "try": {
      const worked = yield* doSteps(world, run, step.steps, true);
      if (worked) return true;
      world.branch("failed", run);
      // What the other branch mends is no failure of the whole.
      return yield* doSteps(world, run, step.failed);
    }
    case "ask": {
      const resume = yield { pause: "ask", step };
      const answer = resume && step.answers[resume.answer];
      world.branch(answer ? `answer ${resume.answer + 1}` : "silence", run);
      if (!answer) return yield* doSteps(world, run, step.silence);
      // Whoever answers speaks: what nobody said so far goes on with a yes, and no further.
      const { cause, isTrusted } = run;
      if (cause.grant === "all" && !isTrusted) run.cause = { grant: "confirm" };
      const worked = yield* doSteps(world, run, answer.steps);
      run.cause = cause;
      return worked;
    }
    case "run": {
      const id =
        step.routine.refer === "slot" ? run.slots[step.routine.slot]?.value : step.routine.id;
      const routine = book.routines.get(String(id));
      if (!routine?.enabled || run.depth >= deepest) return false;
      if (!holdsFor(routine.condition, state)) return true;
      const steps = world.stepsOf(routine, run);
      if (!steps) return false;
      const { cause, isTrusted } = run;
      run.depth++;
      if (routine.trusted) {
        run.cause = trusted(cause);
        run.isTrusted = true;
      }
      if (routine.moment.size > 0) world.moment(routine.moment, run);
      const worked = yield* doSteps(world, run, steps);
      run.cause = cause;
      run.isTrusted = isTrusted;
      run.depth--;
      return worked;
    }
    case "hear":
      return world.hear(step, run);
  }
}

/** Whether conditions on states hold, all of them. */
export function holdsFor(conditions: Conditions, state: (device: string) => State): boolean {
  return [...conditions].every(([device, each]) => holdAll(each, state(device)));
}

/** Orders of one step, those that set several properties of a device as one. */
function doOrders(world: World, run: Run, orders: readonly Order[]): boolean {
  const effects: { device: Device; effect: Effect | undefined }[] = [];
  const sets = new Map<Device, { device: string; set: Record<string, Value> }>();
  for (const order of orders) {
    for (const device of devicesFor(world.book, order.target, run)) {
      const effect = effectFor(world, run, order, device);
      if (effect === "unable") {
        run.skipped.add(device.id);
        continue;
      }
      const before = sets.get(device);
      if (before && effect && "set" in effect) Object.assign(before.set, effect.set);
      else if (effect && "set" in effect) {
        const whole = { device: device.id, set: { ...effect.set } };
        sets.set(device, whole);
        effects.push({ device, effect: whole });
      } else effects.push({ device, effect });
    }
  }
  let ok = true;
  for (const { device, effect } of effects) {
    const ordered = effect === undefined ? "failed" : world.order(effect, run);
    const sets = { done: run.done, failed: run.failed, refused: run.refused };
    sets[ordered].add(device.id);
    // To speech, what it is barred from does not exist, and so is no part of what did not work.
    ok &&= ordered === "done" || (ordered === "refused" && !isKnown(device));
  }
  return ok;
}

/** A slot was settled on ids when it was heard. */
function devicesFor(book: Phrasebook, target: TargetReference, { slots }: Run): readonly Device[] {
  if (target.refer !== "slot") return targetDevices(book, target, new Map());
  return devicesNamed(book, String(slots[target.slot]?.value ?? ""));
}

/** What an order comes to for one device; undefined when the value cannot be. */
function effectFor(
  { state }: World,
  { slots }: Run,
  order: Order,
  device: Device,
): Effect | "unable" | undefined {
  const { id } = device;
  if (order.order === "call") {
    if (!device.actions.includes(order.action)) return "unable";
    const input = order.input && valueOf(order.input, slots, state);
    return { device: id, call: order.action, ...(input === undefined ? {} : { with: input }) };
  }
  const { property } = order;
  const schema = device.properties.get(property);
  if (!isSettable(schema)) return "unable";
  if (order.order === "toggle") {
    const value = otherValue(schema, state(id)[property] ?? schema.default);
    return value === undefined ? undefined : { device: id, set: { [property]: value } };
  }
  if (order.order === "nudge") {
    const by = valueOf(order.by, slots, state);
    if (typeof by !== "number") return undefined;
    return { device: id, nudge: { [property]: by * order.factor } };
  }
  const value = valueOf(order.value, slots, state);
  if (value === undefined) return undefined;
  // What was worked out lands on a step of the device; what was written or said has to be exact.
  const isWorkedOut = order.value.refer === "sum" || order.value.refer === "state";
  const fitting = isWorkedOut && typeof value === "number" ? landed(schema, value) : value;
  return checkValue(schema, fitting).ok ? { device: id, set: { [property]: fitting } } : undefined;
}
