import { isKnown } from "../model/known.ts";
import { devicesIn, targetDevices } from "../commands/members.ts";
import { type Given, effectsOfOrders } from "../commands/orders.ts";
import { type Effect, type Question, type Slots, filledBy } from "../commands/outcome.ts";
import { routineOf } from "../commands/program.ts";
import { questionsAbout } from "../commands/question.ts";
import { type Conditions, holdAll } from "../model/condition.ts";
import type {
  AskStep,
  HearStep,
  NotifyStep,
  Order,
  SayStep,
  SendStep,
  Step,
} from "../model/step.ts";
import type { Intent, Phrasebook, Routine } from "../phrasebook/model.ts";
import type { Reply } from "../model/spoken.ts";
import type { State } from "../model/property.ts";
import { valueOf } from "../commands/values.ts";
import { type Cause, trusted } from "./cause.ts";
import { type Eventually, allThere, mapped } from "./eventually.ts";
import type { Ordered } from "./orders.ts";

/** Steps on their way: what they were set off with, and what came of them so far. */
export interface Run {
  /** The routine or intent whose steps they are. */
  of: string;
  slots: Slots;
  language: string;
  /** The voicepoint that set it off. */
  at?: string;
  /** Whether an address set it off, and who called is answered. */
  isCalled: boolean;
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
export type Pause =
  | { pause: "wait"; seconds: number }
  | { pause: "ask"; step: AskStep }
  /** For devices to answer. */
  | { pause: "answers"; goOn: (then: () => void) => void };

/** What comes back when a run goes on: which answer was given. */
export type Resume = { answer: number } | undefined;

/** What steps do to the world around them. */
export interface World {
  book: Phrasebook;
  state: (device: string) => State;
  order: (effect: Effect, run: Run) => Eventually<Ordered>;
  /** Takes a step; false once steps at one moment have no end. */
  spend: (steps: number) => boolean;
  /** The steps of a routine, which a function may compute; undefined when that fails. */
  stepsOf: (of: Routine | Intent, run: Run) => readonly Step[] | undefined;
  tell: (question: Question, run: Run) => void;
  say: (step: SayStep, run: Run) => void;
  notify: (step: NotifyStep, run: Run) => Eventually<boolean>;
  send: (step: SendStep, run: Run) => Eventually<boolean>;
  hear: (step: HearStep, run: Run) => Eventually<boolean>;
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
  const { witness } = book;
  witness?.used(step);
  switch (step.step) {
    case "order":
      return yield* doOrders(world, run, step.orders);
    case "tell": {
      const { inSlot } = givenBy(world, run);
      const devices = targetDevices(book, step.target, inSlot);
      const questions = questionsAbout(step, run.slots, devices);
      for (const question of questions) world.tell(question, run);
      return questions.length > 0;
    }
    case "say":
      world.say(step, run);
      return true;
    case "notify":
      return yield* awaited(world.notify(step, run));
    case "send":
      return yield* awaited(world.send(step, run));
    case "wait": {
      const seconds = valueOf(step.wait, { slots: run.slots, state });
      if (typeof seconds === "number" && seconds > 0) yield { pause: "wait", seconds };
      return true;
    }
    case "if": {
      const isSo = holdsFor(step.condition, state);
      world.branch(isSo ? "then" : "else", run);
      witness?.used(step, isSo ? "then" : "else");
      return yield* doSteps(world, run, isSo ? step.then : step.otherwise);
    }
    case "try": {
      const worked = yield* doSteps(world, run, step.steps, true);
      witness?.used(step, worked ? "works" : "failed");
      if (worked) return true;
      world.branch("failed", run);
      // What the other branch mends is no failure of the whole.
      return yield* doSteps(world, run, step.failed);
    }
    case "ask": {
      const resume = yield { pause: "ask", step };
      const answer = resume && step.answers[resume.answer];
      const way = answer ? `answer ${resume.answer + 1}` : "silence";
      world.branch(way, run);
      witness?.used(step, way);
      if (!answer) return yield* doSteps(world, run, step.silence);
      // Whoever answers speaks: what nobody said so far goes on with a yes, and no further.
      const { cause, isTrusted } = run;
      if (cause.grant === "all" && !isTrusted) run.cause = { grant: "confirm" };
      const worked = yield* doSteps(world, run, answer.steps);
      run.cause = cause;
      return worked;
    }
    case "run": {
      const routine = routineOf(book, step, run.slots);
      if (!routine?.enabled || run.depth >= deepest) return false;
      const isSo = holdsFor(routine.condition, state);
      witness?.used(routine, isSo ? "starts" : "condition");
      if (!isSo) return true;
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
      return yield* awaited(world.hear(step, run));
  }
}

/** Whether conditions on states hold, all of them. */
export function holdsFor(conditions: Conditions, state: (device: string) => State): boolean {
  return [...conditions].every(([device, each]) => holdAll(each, state(device)));
}

/** Does the orders of one step, all at once, and waits for the answers. */
function* doOrders(
  world: World,
  run: Run,
  orders: readonly Order[],
): Generator<Pause, boolean, Resume> {
  const { effects, unable, refused } = effectsOfOrders(orders, givenBy(world, run));
  for (const { device } of unable) run.skipped.add(device);
  for (const device of refused.keys()) run.failed.add(device);
  let ok = refused.size === 0;
  const answers = allThere(
    effects.map((effect) => mapped(world.order(effect, run), (ordered) => ({ effect, ordered }))),
  );
  for (const { effect, ordered } of yield* awaited(answers)) {
    const { device } = effect;
    const sets = { done: run.done, failed: run.failed, refused: run.refused };
    sets[ordered].add(device);
    // To speech, what it is barred from does not exist, and so is no part of what did not work.
    const known = world.book.devices.get(device);
    ok &&= ordered === "done" || (ordered === "refused" && known !== undefined && !isKnown(known));
  }
  return ok;
}

/** Pauses until something is there, if it is not. */
function* awaited<T>(eventually: Eventually<T>): Generator<Pause, T, Resume> {
  if ("now" in eventually) return eventually.now;
  const pending: { there?: { value: T }; goOn?: () => void } = {};
  eventually.later((value) => {
    pending.there = { value };
    pending.goOn?.();
  });
  while (!pending.there) {
    yield {
      pause: "answers",
      goOn: (then) => {
        pending.goOn = then;
      },
    };
  }
  return pending.there.value;
}

function givenBy({ book, state }: World, { slots }: Run): Given {
  return { book, slots, state, inSlot: (slot) => devicesIn(book, filledBy(slots, slot)) };
}
