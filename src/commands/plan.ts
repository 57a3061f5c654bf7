import type { Intent } from "../phrasebook/model.ts";
import type { Order, Step, TellStep, ValueReference } from "../model/step.ts";

/** What steps come to, worked out once: what they order, tell, and need. */
export interface StepsPlan {
  orders: readonly Order[];
  tells: readonly TellStep[];
  /** Steps whose effects are only known as they are done. */
  program: readonly Step[] | undefined;
  /** Slots that they need beside those of orders. */
  needs: readonly string[];
}

/** What is asked of whatever fills a target slot. */
export interface AskedOfSlot {
  properties: readonly string[];
  actions: readonly string[];
  /** Whether it is to be on. */
  turnsOn: boolean;
}

/** What an intent comes to, and what it asks of its targets. */
export interface Plan extends StepsPlan {
  /** Slots that may be left unsaid, and with them what uses them. */
  optional: ReadonlySet<string>;
  /** By target slot: the properties and actions that whatever fills it must have. */
  asked: ReadonlyMap<string, AskedOfSlot>;
  /** The target slots of what is ordered or told. */
  targets: ReadonlySet<string>;
}

export function planIntent({ steps, slots, routine, compute }: Intent): Plan {
  const plan = planSteps(steps);
  const asked = new Map<string, { properties: string[]; actions: string[]; turnsOn: boolean }>();
  for (const order of plan.orders) {
    if (order.target.refer !== "slot") continue;
    const of = asked.get(order.target.slot) ?? { properties: [], actions: [], turnsOn: false };
    if (order.order === "call") of.actions.push(order.action);
    else of.properties.push(order.property);
    if (isOn(order)) of.turnsOn = true;
    asked.set(order.target.slot, of);
  }
  const optional = new Set([...slots.values()].flatMap((slot) => (slot.optional ? slot.name : [])));
  return {
    ...plan,
    // A routine has a condition and runs of its own that only the home knows.
    program: routine ? steps : plan.program,
    // A function may use any of its slots, and what is asked for is needed wherever it is used.
    needs: [...slots.values()].flatMap(({ name, ask }) =>
      compute || ask || plan.needs.includes(name) ? [name] : [],
    ),
    optional,
    asked,
    targets: new Set([
      ...asked.keys(),
      ...plan.tells.flatMap(({ target }) => (target.refer === "slot" ? target.slot : [])),
    ]),
  };
}

function isOn(order: Order): boolean {
  if (order.order !== "set" || order.property !== "power") return false;
  return order.value.refer === "value" && order.value.value === "on";
}

export function planSteps(steps: readonly Step[]): StepsPlan {
  const every = everyStep(steps);
  return {
    orders: every.flatMap((step) => (step.step === "order" ? step.orders : [])),
    tells: every.flatMap((step) => (step.step === "tell" ? [step] : [])),
    program: isProgram(steps) ? steps : undefined,
    needs: slotsIn(every),
  };
}

/** Steps with the steps within them, in every branch. */
export function everyStep(steps: readonly Step[]): Step[] {
  return steps.flatMap((step): Step[] => {
    switch (step.step) {
      case "if":
        return [step, ...everyStep([...step.then, ...step.otherwise])];
      case "try":
        return [step, ...everyStep([...step.steps, ...step.failed])];
      case "ask": {
        const answered = step.answers.flatMap((answer) => answer.steps);
        return [step, ...everyStep([...answered, ...step.silence])];
      }
      default:
        return [step];
    }
  });
}

/** Slots that steps beside orders need: how long to wait, and what to run. */
function slotsIn(steps: readonly Step[]): string[] {
  return steps.flatMap((step) => {
    const value = step.step === "wait" ? step.wait : step.step === "run" ? step.routine : undefined;
    return value?.refer === "slot" ? [value.slot] : [];
  });
}

/**
 * Whether what steps come to is only known as they are done: there are waits, states or choices, or
 * something is told after something was done.
 */
function isProgram(steps: readonly Step[]): boolean {
  const sorts = new Set(steps.map(({ step }) => step));
  if (sorts.has("order") && sorts.has("tell")) return true;
  return steps.some(
    (step) =>
      (step.step !== "order" && step.step !== "tell") ||
      (step.step === "order" && step.orders.some(isOpen)),
  );
}

function isOpen(order: Order): boolean {
  switch (order.order) {
    case "set":
      return isOpenValue(order.value);
    case "nudge":
      return isOpenValue(order.by);
    case "toggle":
      return true;
    case "call":
      return order.input !== undefined && isOpenValue(order.input);
  }
}

/** Whether it takes the state of a device to work a value out. */
function isOpenValue(value: ValueReference): boolean {
  if (value.refer === "sum") return isOpenValue(value.left) || isOpenValue(value.right);
  return value.refer === "state";
}
