import { type VoiceAccess, isStricter } from "../phrasebook/kinds.ts";
import type { Device, Order, Phrasebook, Routine, Step } from "../phrasebook/model.ts";
import type { StepInput } from "../phrasebook/schema.ts";
import { accessTo, isKnown } from "./access.ts";
import { targetDevices } from "./orders.ts";
import type { SlotValue } from "./outcome.ts";
import type { Devices } from "./targets.ts";

/** What speech needs to set off steps whose effects are only known as they are done. */
export interface ProgramAccess {
  access: VoiceAccess;
  /** The device that asks for it. */
  device?: string;
  /** Devices of groups and places that voice is barred from, and that are left out. */
  barred: readonly Device[];
}

/**
 * The strictest guard among all that steps may do, in whichever branch and in whatever routine they
 * run. A trusted routine needs none.
 */
export function programAccess(
  book: Phrasebook,
  steps: readonly Step[],
  slots: Readonly<Record<string, SlotValue>>,
  targets: ReadonlyMap<string, Devices>,
  isTrusted: boolean,
  context: Omit<StepInput, "slots">,
): ProgramAccess {
  let strictest: Omit<ProgramAccess, "barred"> = { access: "free" };
  const barred = new Set<Device>();
  const seen = new Set<string>();
  const weigh = (device: Device, order: Order): void => {
    const access = orderAccess(device, order);
    if (isStricter(access, strictest.access)) strictest = { access, device: device.id };
  };
  const visit = (list: readonly Step[]): void => {
    for (const step of list) {
      switch (step.step) {
        case "order":
          for (const order of step.orders) {
            const devices = targetDevices(book, order.target, targets);
            const isOne = order.target.refer === "device" || order.target.refer === "slot";
            // A group or place is what of it speech knows, if it knows any.
            const known = isOne ? devices : devices.filter(isKnown);
            const reached = known.length > 0 ? known : devices;
            for (const device of devices) if (!reached.includes(device)) barred.add(device);
            for (const device of reached) weigh(device, order);
          }
          break;
        case "if":
          visit([...step.then, ...step.otherwise]);
          break;
        case "try":
          visit([...step.steps, ...step.failed]);
          break;
        case "ask":
          visit([...step.answers.flatMap((answer) => answer.steps), ...step.silence]);
          break;
        case "run": {
          const id =
            step.routine.refer === "slot" ? slots[step.routine.slot]?.value : step.routine.id;
          const routine = book.routines.get(String(id));
          if (!routine || routine.trusted || seen.has(routine.id)) break;
          seen.add(routine.id);
          visit(stepsOf(routine, context));
          break;
        }
        default:
          break;
      }
    }
  };
  if (!isTrusted) visit(steps);
  return { ...strictest, barred: [...barred] };
}

/** Steps as a function computes them now; the home holds what it computes later to what is granted. */
function stepsOf({ compute, steps }: Routine, context: Omit<StepInput, "slots">): readonly Step[] {
  if (!compute) return steps;
  const computed = compute({ ...context, slots: {} });
  return computed.ok ? computed.steps : [];
}

/** What speech needs for an order, before it is done: a value that is only known later may be any. */
export function orderAccess(device: Device, order: Order): VoiceAccess {
  const { id } = device;
  if (order.order === "call") return accessTo(device, { device: id, call: order.action });
  if (order.order !== "set" || order.value.refer !== "value") return device.voice;
  return accessTo(device, { device: id, set: { [order.property]: order.value.value } });
}
