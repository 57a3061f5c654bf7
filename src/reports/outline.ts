import { stepsOf } from "../commands/compute.ts";
import { targetDevices } from "../commands/members.ts";
import { nothingSaid, orderAccess, programAccess } from "../commands/program.ts";
import { type Condition, type Conditions, printCondition } from "../model/condition.ts";
import type { Days, Trigger } from "../model/trigger.ts";
import type { Order, Step, ValueReference } from "../model/step.ts";
import type { Phrasebook, Routine } from "../phrasebook/model.ts";
import type { Reply } from "../model/spoken.ts";
import type { State } from "../model/property.ts";
import { printDuration } from "../time/duration.ts";
import { printClock } from "../time/local.ts";
import { shorten } from "./layout.ts";
import type { Paint } from "./paint.ts";
import { given } from "../source/given.ts";

/** What a routine would do, with nothing of it done. */
export interface Outline {
  routine: string;
  /** What sets it off. */
  triggers: readonly string[];
  /** What has to hold. */
  condition: string;
  /** Seconds after a run that did all, in which it does not run by itself. */
  rest: number;
  /** What is asked of whoever sets it off by voice: nothing, a yes, the code; or that voice may not. */
  asks: string;
  /** Each step in a line, those within another further in. */
  steps: readonly { depth: number; text: string; needs?: string }[];
}

export function outlineRoutine(
  book: Phrasebook,
  routine: Routine,
  states: Readonly<Record<string, State>>,
): Outline {
  const { id, trusted } = routine;
  const [language = "en"] = book.languages;
  const given = nothingSaid(book, (device) => states[device] ?? {});
  const computed = stepsOf(routine, given.slots, given.context);
  const steps = computed.ok ? computed.steps : [];
  const { access, device } = programAccess(book, steps, { ...given, isTrusted: trusted });
  const asks = {
    free: trusted ? "nothing, since it is trusted" : "nothing",
    confirm: `a yes first, for ${device ?? ""}`,
    code: `the code first, for ${device ?? ""}`,
    barred: `and does not know it: voice is barred from ${device ?? ""}`,
  }[access];
  const problem = !computed.ok ? [{ depth: 0, text: computed.problem }] : [];
  const phrases = book.intents.get(id)?.patterns ?? [];
  return {
    routine: id,
    triggers: [
      ...phrases.map(({ text, language: tag }) => `“${text}” (${tag})`),
      ...routine.triggers.map(printTrigger),
    ],
    condition: printConditions(routine.condition),
    rest: routine.rest,
    asks,
    steps: [...problem, ...outline(book, steps, language, 0)],
  };
}

export function printOutline(plan: Outline, paint: Paint): string {
  const { routine, triggers, condition, rest, asks, steps } = plan;
  return [
    paint.strong(routine),
    ...(triggers.length === 0 ? ["  set off by hand"] : triggers.map((each) => `  on ${each}`)),
    ...(condition === "" ? [] : [`  if ${condition}`]),
    ...(rest === 0 ? [] : [`  not by itself for ${printDuration(rest)} once all is done`]),
    `  said aloud, it asks ${asks}`,
    "",
    ...steps.map(({ depth, text, needs }) => {
      const more = needs === undefined ? "" : `  ${paint.warn(`needs ${needs}`)}`;
      return `  ${"  ".repeat(depth)}${shorten(text, 76 - 2 * depth)}${more}`;
    }),
  ].join("\n");
}

type Line = Outline["steps"][number];

function outline(
  book: Phrasebook,
  steps: readonly Step[],
  language: string,
  depth: number,
): Line[] {
  const within = (list: readonly Step[]): Line[] => outline(book, list, language, depth + 1);
  const line = (text: string): Line => ({ depth, text });
  const words = (replies: ReadonlyMap<string, Reply>): string => {
    const text = (replies.get(language) ?? [...replies.values()][0])?.text ?? "";
    // Of a message that chooses between several, the first stands for all.
    const first = /^\s*\..*?\{\{(.*?)\}\}/su.exec(text)?.[1];
    return first === undefined ? `“${text}”` : `“${first}” or the like`;
  };
  return steps.flatMap((step): Line[] => {
    switch (step.step) {
      case "order":
        return step.orders.map((order) => {
          const needs = needsOf(book, order);
          return { ...line(printOrder(order)), ...given({ needs }) };
        });
      case "tell":
        return [line(`tell what ${referred(step.target)} is`)];
      case "say":
        return [
          line(`say ${words(step.text)}${step.where === "voicepoint" ? "" : ` in ${step.where}`}`),
        ];
      case "notify":
        return [line(`tell ${step.people.join(" and ")} ${words(step.text)}`)];
      case "wait":
        return [
          line(
            `wait ${step.wait.refer === "value" ? printDuration(Number(step.wait.value)) : printValue(step.wait)}`,
          ),
        ];
      case "if":
        return [
          line(`if ${printConditions(step.condition)}`),
          ...within(step.then),
          ...(step.otherwise.length > 0 ? [line("else"), ...within(step.otherwise)] : []),
        ];
      case "try":
        return [line("try"), ...within(step.steps), line("if that fails"), ...within(step.failed)];
      case "ask":
        return [
          line(`ask ${words(step.text)} and wait ${printDuration(step.within)}`),
          ...step.answers.flatMap(({ patterns, steps: then }) => [
            { depth: depth + 1, text: `on “${patterns[0]?.text ?? ""}”` },
            ...outline(book, then, language, depth + 2),
          ]),
          ...(step.silence.length > 0
            ? [
                { depth: depth + 1, text: "on silence" },
                ...outline(book, step.silence, language, depth + 2),
              ]
            : []),
        ];
      case "run":
        return [
          line(`run ${step.routine.refer === "slot" ? `$${step.routine.slot}` : step.routine.id}`),
        ];
      case "hear":
        return [line(`do what “${step.phrase}” would`)];
      case "send":
        return [line(`send ${step.text === "" ? "" : `“${step.text}” `}to ${step.to}`)];
    }
  });
}

/** What voice needs for an order, for the strictest of its devices. */
function needsOf(book: Phrasebook, order: Order): string | undefined {
  const needs = targetDevices(book, order.target, () => []).map((device) =>
    orderAccess(device, order),
  );
  if (needs.includes("barred")) return "another way than voice";
  if (needs.includes("code")) return "the code";
  return needs.includes("confirm") ? "a yes" : undefined;
}

function referred(target: Order["target"]): string {
  if (target.refer === "slot") return `$${target.slot}`;
  return target.except ? `${target.id} except ${target.except.join(" and ")}` : target.id;
}

function printOrder(order: Order): string {
  const target = referred(order.target);
  switch (order.order) {
    case "set":
      return `${target} ${order.property}: ${printValue(order.value)}`;
    case "nudge":
      return `${target} ${order.property}: ${order.factor < 0 ? "less" : "more"} by ${printValue(order.by)}`;
    case "toggle":
      return `${target} ${order.property}: the other way`;
    case "call":
      return `${target} ${order.action}${order.input ? ` ${printValue(order.input)}` : ""}`;
  }
}

function printValue(value: ValueReference): string {
  switch (value.refer) {
    case "value":
      return String(value.value);
    case "slot":
      return `$${value.slot}`;
    case "state":
      return `$${value.device}.${value.property}`;
    case "first":
      return [...(value.isLast ? ["what it was last"] : []), ...value.values].join(" or ");
    case "sum":
      return `${printValue(value.left)} ${value.operator} ${printValue(value.right)}`;
  }
}

function printConditions(conditions: Conditions): string {
  return [...conditions]
    .flatMap(([device, each]) =>
      Object.entries(each).map(
        ([property, condition]: [string, Condition]) =>
          `${device} ${property} is ${printCondition(condition)}`,
      ),
    )
    .join(" and ");
}

function printTrigger(trigger: Trigger): string {
  switch (trigger.trigger) {
    case "time":
      return `${printClock(trigger.clock)}${printDays(trigger.days)}`;
    case "sun": {
      const { offset, event, days } = trigger;
      const side = offset < 0 ? "before" : "after";
      const way = offset === 0 ? "" : `${printDuration(Math.abs(offset))} ${side} `;
      return `${way}${event}${printDays(days)}`;
    }
    case "state": {
      const long = trigger.lasting === 0 ? "" : ` for ${printDuration(trigger.lasting)}`;
      return `${printConditions(trigger.states)}${long}`;
    }
    case "presence":
      return `${trigger.who} ${trigger.is}`;
    case "press":
      return `${trigger.device} pressed`;
  }
}

const weekdays = [
  "Mondays",
  "Tuesdays",
  "Wednesdays",
  "Thursdays",
  "Fridays",
  "Saturdays",
  "Sundays",
];

function printDays(days: Days): string {
  switch (days.days) {
    case "every":
      return "";
    case "weekdays": {
      const all = days.weekdays.join();
      if (all === "1,2,3,4,5") return " on weekdays";
      if (all === "6,7") return " on weekends";
      return ` on ${days.weekdays.map((day) => weekdays[day - 1] ?? "").join(", ")}`;
    }
    case "dates":
      return ` on ${days.dates.join(", ")}`;
    case "rule":
      return ` by ${days.rule}`;
  }
}
