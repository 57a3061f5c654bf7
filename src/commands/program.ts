import { type VoiceAccess, isStricter } from "../model/kinds.ts";
import type { State } from "../model/property.ts";
import type { Device } from "../model/home.ts";
import type { Order, RunStep, Step } from "../model/step.ts";
import type { Phrasebook, Routine } from "../phrasebook/model.ts";
import { accessTo } from "./access.ts";
import { isKnown } from "../model/known.ts";
import { type ComputeContext, stepsOf } from "./compute.ts";
import { targetDevices } from "./members.ts";
import { type Slots, valueBy } from "./outcome.ts";
import { initialState } from "./states.ts";

/** What speech needs to set off steps whose effects are only known as they are done. */
export interface ProgramAccess {
  access: VoiceAccess;
  /** The device that asks for it. */
  device?: string;
  /** Devices of groups and places that voice is barred from, and that are left out. */
  barred: readonly Device[];
}

/** What steps are weighed with. */
export interface ProgramGiven {
  slots: Slots;
  /** The devices that a target slot stands for. */
  inSlot: (slot: string) => readonly Device[];
  context: ComputeContext;
  /** Whether a routine that does them is trusted. */
  isTrusted?: boolean;
}

/** The same where nothing was said, and no device is in any slot. */
export function nothingSaid(
  book: Phrasebook,
  state = (device: string): State => initialState(book, device),
): ProgramGiven {
  const context = { language: book.languages[0] ?? "en", state };
  return { slots: {}, inSlot: () => [], context };
}

/** The routine that a step runs, which may be the value of a slot. */
export function routineOf(
  { routines }: Phrasebook,
  { routine }: RunStep,
  slots: Slots,
): Routine | undefined {
  if (routine.refer !== "slot") return routines.get(routine.id);
  return routines.get(String(valueBy(slots, routine.slot)));
}

/**
 * The strictest guard among all that steps may do, in whichever branch and in whatever routine they
 * run. A trusted routine needs none.
 */
export function programAccess(
  book: Phrasebook,
  steps: readonly Step[],
  { slots, inSlot, context, isTrusted = false }: ProgramGiven,
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
            const devices = targetDevices(book, order.target, inSlot);
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
          const routine = routineOf(book, step, slots);
          if (!routine || routine.trusted || seen.has(routine.id)) break;
          seen.add(routine.id);
          visit(stepsNow(routine, context));
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

/** Steps as they are now; the home holds what a function computes later to what is granted. */
function stepsNow(routine: Routine, context: ComputeContext): readonly Step[] {
  const computed = stepsOf(routine, {}, context);
  return computed.ok ? computed.steps : [];
}

/** What speech needs for an order, before it is done: a value that is only known later may be any. */
export function orderAccess(device: Device, order: Order): VoiceAccess {
  const { id } = device;
  if (order.order === "call") return accessTo(device, { device: id, call: order.action });
  if (order.order !== "set" || order.value.refer !== "value") return device.voice;
  return accessTo(device, { device: id, set: { [order.property]: order.value.value } });
}
