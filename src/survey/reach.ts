import { isKnown } from "../model/known.ts";
import { everyStep } from "../commands/plan.ts";
import { nothingSaid, programAccess } from "../commands/program.ts";
import type { Book } from "../book/book.ts";
import type { Routine } from "../phrasebook/model.ts";
import type { Trigger } from "../model/trigger.ts";
import { isSettable } from "../model/property.ts";
import type { Finding } from "../source/finding.ts";

/**
 * Routines with guarded steps that speech can set off by way of a state or a button. Set off so,
 * they leave those steps out, which may surprise; trusted ones do them, which may as well.
 */
export function checkReach(book: Book): Finding[] {
  return [...book.routines.values()].flatMap((routine) => {
    if (!routine.enabled) return [];
    const { steps } = routine;
    const { access, device = "it" } = programAccess(book, steps, nothingSaid(book));
    if (access === "free") return [];
    const trigger = routine.triggers.find((each) => isReached(book, each));
    return trigger ? [tell(routine, trigger, device)] : [];
  });
}

function tell({ id, trusted }: Routine, trigger: Trigger, device: string): Finding {
  const way = trigger.trigger === "press" ? "pressing it" : "changing it";
  return {
    rule: "spoken-trigger",
    severity: "note",
    message: trusted
      ? `speech can set off ${id} by ${way}, and since it is trusted it does what ${device} is guarded from`
      : `speech can set off ${id} by ${way}, and then leaves out ${device}, which is guarded`,
    fix: trusted
      ? "take trusted out unless that is what you mean"
      : "leave it so, or write trusted: true if speech is to do all of it",
    at: trigger.at,
  };
}

/** Whether something that speech may do freely can make a trigger fire. */
function isReached({ devices, intents }: Book, trigger: Trigger): boolean {
  if (trigger.trigger === "press") {
    const button = devices.get(trigger.device);
    if (!button || !isKnown(button)) return false;
    return [...intents.values()].some(({ steps, compute }) =>
      compute
        ? true
        : everyStep(steps).some(
            (step) =>
              step.step === "order" &&
              step.orders.some((order) => order.order === "call" && order.action === "press"),
          ),
    );
  }
  if (trigger.trigger !== "state") return false;
  return [...trigger.states].some(([id, properties]) => {
    const device = devices.get(id);
    if (!device || !isKnown(device)) return false;
    return Object.keys(properties).some((property) => isSettable(device.properties.get(property)));
  });
}
