import { isKnown } from "../model/known.ts";
import { everyStep } from "../commands/plan.ts";
import { askedBy, isAble } from "../commands/ability.ts";
import { targetDevices } from "../commands/members.ts";
import type { Book } from "../book/book.ts";
import type { Order, Step } from "../model/step.ts";
import { printDuration } from "../time/duration.ts";
import type { Finding } from "../source/finding.ts";

/** Steps of intents and routines that will disappoint: that nothing can do, or that keep silent. */
export function checkSteps(book: Book): Finding[] {
  const all = new Set<Step>();
  const spoken = new Set<Step>();
  for (const { steps, patterns } of book.intents.values()) {
    if (patterns.every(({ origin }) => origin === "vocabulary")) continue;
    for (const step of everyStep(steps)) {
      all.add(step);
      spoken.add(step);
    }
  }
  for (const { steps } of book.routines.values())
    for (const step of everyStep(steps)) all.add(step);
  return [...all].flatMap((step): Finding[] => {
    if (step.step === "order") {
      const isSpoken = spoken.has(step);
      return step.orders.flatMap((order) => checkOrder(book, order, isSpoken));
    }
    if (step.step === "ask") {
      const branches = [...step.answers.map((answer) => answer.steps), step.silence];
      return branches.flatMap(checkSilence);
    }
    return [];
  });
}

/** Orders to a group or a place of which some can do nothing; of one device they are errors. */
function checkOrder(book: Book, order: Order, isSpoken: boolean): Finding[] {
  const { target, at } = order;
  if (target.refer === "slot" || target.refer === "device") return [];
  const devices = targetDevices(book, target, () => []);
  const able = devices.filter((device) => isAble(device, askedBy(order)));
  if (isSpoken && able.length > 0 && !able.some(isKnown)) {
    const message = `voice is barred from all of ${target.id} that can do it, so said aloud this does nothing`;
    const fix = "name a device that voice may know of, or take the step out";
    return [{ rule: "step-unable", severity: "warning", message, fix, at }];
  }
  const unable = devices.filter((device) => !isAble(device, askedBy(order)));
  const what = order.order === "call" ? `the action ${order.action}` : `${order.property} to set`;
  if (unable.length === devices.length) {
    const message = `nothing in ${target.id} has ${what}, so this does nothing`;
    const fix = "name a device that has it, or take the step out";
    return [{ rule: "step-unable", severity: "warning", message, fix, at }];
  }
  // A place means those in it that can; a group is a list that somebody made.
  if (unable.length === 0 || target.refer !== "group") return [];
  const names = unable.map(({ id }) => id).join(", ");
  const message = `of ${target.id}, ${names} ${unable.length === 1 ? "has" : "have"} no ${what}`;
  const fix = "name the devices that have it, or leave it if that is what you mean";
  return [{ rule: "step-unable", severity: "note", message, fix, at }];
}

/** Whoever has answered a question hears nothing while the steps wait first. */
function checkSilence(steps: readonly Step[]): Finding[] {
  for (const step of steps) {
    if (step.step === "say" || step.step === "ask" || step.step === "tell") return [];
    if (step.step !== "wait") continue;
    const length =
      step.wait.refer === "value" ? ` for ${printDuration(Number(step.wait.value))}` : "";
    return [
      {
        rule: "wait-in-ask",
        severity: "warning",
        message: `whoever answers hears nothing${length}, and cannot tell whether it was understood`,
        fix: "say something before the wait",
        at: step.at,
      },
    ];
  }
  return [];
}
