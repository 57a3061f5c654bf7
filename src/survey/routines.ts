import { targetDevices } from "../commands/members.ts";
import { everyStep } from "../commands/plan.ts";
import { nothingSaid, programAccess } from "../commands/program.ts";
import type { Book } from "../book/book.ts";
import { nextFiring } from "../home/schedule.ts";
import { type Condition, type Conditions, canHold } from "../model/condition.ts";
import type { Days, Trigger } from "../model/trigger.ts";
import type { Routine } from "../phrasebook/model.ts";
import type { Value } from "../model/property.ts";
import type { Finding } from "../source/finding.ts";
import { weekdayOf } from "../time/local.ts";

/** What is likely to go wrong with routines, beside their steps. */
export function checkRoutines(book: Book): Finding[] {
  const routines = [...book.routines.values()];
  return [
    ...routines.flatMap((routine) => checkTriggers(book, routine)),
    ...routines.flatMap((routine) => checkTrust(book, routine)),
    ...routines.flatMap((routine, index) =>
      routines.slice(index + 1).flatMap((other) => checkOpposed(book, routine, other)),
    ),
  ];
}

/** Triggers that never fire, and routines that nothing ever starts. */
function checkTriggers(book: Book, routine: Routine): Finding[] {
  const { id, triggers, condition, enabled, at } = routine;
  if (!enabled) return [];
  const dead = triggers.flatMap((trigger): Finding[] => {
    const why = whyNever(book, trigger);
    if (why === undefined) return [];
    const message = `this never sets off ${id}: ${why.message}`;
    return [{ rule: "trigger-dead", severity: "warning", message, fix: why.fix, at: trigger.at }];
  });
  const never = (message: string, fix: string): Finding[] => [
    { rule: "routine-never-runs", severity: "warning", message, fix, at },
  ];
  if (!canAllHold(book, [condition])) {
    return [...dead, ...never(`${id} can never run: its "if" can never hold`, 'change "if"')];
  }
  const isSaid = book.intents.has(id) || book.intents.has("run-routine");
  const isRun = [...book.routines.values(), ...book.intents.values()].some(({ steps, compute }) =>
    // What a function computes may run anything.
    compute
      ? true
      : everyStep(steps).some(
          (step) =>
            step.step === "run" && (step.routine.refer === "slot" || step.routine.id === id),
        ),
  );
  if (isSaid || isRun) return dead;
  const alive = triggers.filter(
    (trigger) =>
      whyNever(book, trigger) === undefined &&
      (trigger.trigger !== "state" || canAllHold(book, [trigger.states, condition])),
  );
  if (alive.length > 0) return dead;
  return triggers.length === 0
    ? [...dead, ...never(`nothing ever sets off ${id}`, "add a trigger, or run it in a step")]
    : [
        ...dead,
        ...never(
          `${id} can never run: none of its triggers fires while its "if" holds`,
          'change a trigger or "if"',
        ),
      ];
}

/** A day to look ahead from; whether a rule ever comes does not depend on it. */
const someDay = Date.UTC(2026, 0, 1) / 1000;

function whyNever(book: Book, trigger: Trigger): { message: string; fix: string } | undefined {
  switch (trigger.trigger) {
    case "sun":
      if (book.place) break;
      return {
        message: "nobody knows where the home is, and so when its sun sets",
        fix: "add place: { latitude: 52.57, longitude: 1.72, timezone: Europe/London }",
      };
    case "state":
      if (canAllHold(book, [trigger.states])) return undefined;
      return { message: "what it waits for can never be", fix: "change what it waits for" };
    case "presence":
      if (book.people.size > 0) return undefined;
      return { message: "the home has no people", fix: "add people: { mara: {} }" };
    case "press":
      return undefined;
    case "time":
      break;
  }
  // Dates may lie in the past, which only the calendar knows.
  if (trigger.days.days !== "rule") return undefined;
  const zone = book.place?.timezone ?? "UTC";
  if (nextFiring(trigger, someDay, zone, book.place) !== undefined) return undefined;
  return { message: `no day is one of ${trigger.days.rule}`, fix: "change the rule" };
}

/** Whether there are states in which all conditions hold at once. */
function canAllHold({ devices }: Book, all: readonly Conditions[]): boolean {
  const together = new Map<string, Condition[]>();
  for (const conditions of all) {
    for (const [device, each] of conditions) {
      for (const [property, condition] of Object.entries(each)) {
        const key = `${device} ${property}`;
        together.set(key, [...(together.get(key) ?? []), condition]);
      }
    }
  }
  return [...together].every(([key, conditions]) => {
    const [device = "", property = ""] = key.split(" ");
    const schema = devices.get(device)?.properties.get(property);
    return schema === undefined || canHold(schema, conditions);
  });
}

/** Trust lets speech by the guards of devices, and is worth a second look. */
function checkTrust(book: Book, routine: Routine): Finding[] {
  if (!routine.trusted) return [];
  const { access, device } = programAccess(book, routine.steps, nothingSaid(book));
  const isIdle = access === "free" && !routine.compute;
  const need = { free: "", confirm: "a confirmation", code: "the code", barred: "" }[access];
  const passed =
    access === "barred"
      ? `is barred from ${device ?? "it"}`
      : `needs ${need} for ${device ?? "what it does"}`;
  return [
    {
      rule: "trusted",
      severity: isIdle ? "warning" : "note",
      message: isIdle
        ? `${routine.id} is trusted, and does nothing that is guarded`
        : `${routine.id} is trusted: a phrase sets it off at once, though voice ${passed}`,
      fix: isIdle ? "take trusted out" : "take trusted out unless that is what you mean",
      at: routine.at,
    },
  ];
}

interface Driven {
  device: string;
  property: string;
  value: Value;
}

/** Two routines that one trigger sets off, and that leave a device in opposite states. */
function checkOpposed(book: Book, one: Routine, other: Routine): Finding[] {
  if (!one.enabled || !other.enabled) return [];
  const shared = one.triggers.flatMap((a) => (other.triggers.some((b) => isSame(a, b)) ? [a] : []));
  const [trigger] = shared;
  if (!trigger || !canAllHold(book, [one.condition, other.condition])) return [];
  const others = new Map(
    drivenBy(book, other).map((each) => [`${each.device} ${each.property}`, each.value]),
  );
  const opposed = drivenBy(book, one).find(({ device, property, value }) => {
    const wanted = others.get(`${device} ${property}`);
    return wanted !== undefined && wanted !== value;
  });
  if (!opposed) return [];
  const { device, property, value } = opposed;
  const wanted = String(others.get(`${device} ${property}`));
  return [
    {
      rule: "routines-oppose",
      severity: "warning",
      message: `the same trigger sets off ${one.id} and ${other.id}: one leaves ${device} with ${property} ${value}, the other with ${wanted}`,
      fix: "give them different triggers, or an if of their own",
      at: other.at,
      also: [one.at],
    },
  ];
}

/** Values that a routine leaves devices with, whatever is so: of two for one property the later. */
function drivenBy(book: Book, { steps }: Routine): Driven[] {
  const driven = new Map<string, Driven>();
  for (const step of steps) {
    for (const order of step.step === "order" ? step.orders : []) {
      if (order.order !== "set" || order.value.refer !== "value") continue;
      const { property, value } = order;
      for (const { id, properties } of targetDevices(book, order.target, () => [])) {
        if (!properties.has(property)) continue;
        driven.set(`${id} ${property}`, { device: id, property, value: value.value });
      }
    }
  }
  return [...driven.values()];
}

function isSame(a: Trigger, b: Trigger): boolean {
  if (a.trigger === "time" && b.trigger === "time") {
    return a.clock === b.clock && canMeet(a.days, b.days);
  }
  if (a.trigger === "sun" && b.trigger === "sun") {
    return a.event === b.event && a.offset === b.offset && canMeet(a.days, b.days);
  }
  if (a.trigger === "press" && b.trigger === "press") return a.device === b.device;
  if (a.trigger === "presence" && b.trigger === "presence") return a.who === b.who && a.is === b.is;
  if (a.trigger !== "state" || b.trigger !== "state") return false;
  const key = ({ states }: typeof a): string => JSON.stringify([...states]);
  return a.lasting === b.lasting && key(a) === key(b);
}

function canMeet(a: Days, b: Days): boolean {
  if (a.days === "every" || b.days === "every") return true;
  if (a.days === "rule" || b.days === "rule") {
    return a.days === "rule" && b.days === "rule" && a.rule === b.rule;
  }
  const isOn = (days: Exclude<Days, { days: "every" | "rule" }>, date: string): boolean =>
    days.days === "dates" ? days.dates.includes(date) : days.weekdays.includes(weekdayOf(date));
  if (a.days === "dates") return a.dates.some((date) => isOn(b, date));
  if (b.days === "dates") return b.dates.some((date) => isOn(a, date));
  return a.weekdays.some((day) => b.weekdays.includes(day));
}
