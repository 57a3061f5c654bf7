import { printWhen } from "../commands/describe.ts";
import type { When } from "../commands/outcome.ts";
import type { Deed } from "../home/scene.ts";
import { type Condition, type Conditions, holds, printCondition } from "../model/condition.ts";
import type { State, Value } from "../model/property.ts";
import type { CommandExpectation } from "./expectation.ts";

type Effects = Pick<CommandExpectation, "set" | "nudge" | "scale" | "call" | "when">;

/** Whether an expectation says what is to be done. */
export function tellsEffect({ set, nudge, scale, call }: Effects): boolean {
  return [set, nudge, scale, call].some((each) => each !== undefined);
}

/** What devices did: by device, what became of each property, and which actions were invoked. */
export interface Done {
  properties: ReadonlyMap<string, ReadonlyMap<string, Change>>;
  calls: ReadonlyMap<string, readonly string[]>;
}

interface Change {
  value: Value;
  /** The sum of what was added, where nothing else was done to it; likewise the product. */
  nudge?: number;
  scale?: number;
}

/**
 * What orders came to that devices took.
 *
 * @param state States as they are afterwards; without it, values are those that orders came to.
 */
export function doneBy(deeds: readonly Deed[], state?: (device: string) => State): Done {
  const properties = new Map<string, Map<string, Change>>();
  const calls = new Map<string, string[]>();
  for (const { effect, values } of deeds) {
    const { device } = effect;
    if ("call" in effect) calls.set(device, [...(calls.get(device) ?? []), effect.call]);
    for (const [property, came] of Object.entries(values)) {
      const changes = properties.get(device) ?? new Map<string, Change>();
      properties.set(device, changes);
      const before = changes.get(property);
      const value = state?.(device)[property] ?? came;
      const change: Change = { value };
      if ("nudge" in effect && (!before || before.nudge !== undefined)) {
        change.nudge = (before?.nudge ?? 0) + (effect.nudge[property] ?? 0);
      }
      if ("scale" in effect && (!before || before.scale !== undefined)) {
        change.scale = (before?.scale ?? 1) * (effect.scale[property] ?? 1);
      }
      changes.set(property, change);
    }
  }
  return { properties, calls };
}

/** Whether what was done is what is expected, by one or by several together, and nothing else. */
export function isDone(expected: readonly Effects[], done: Done, isAll: boolean): boolean {
  return areMet(expected, done) && (!isAll || areExpected(expected, done));
}

function areMet(expected: readonly Effects[], done: Done): boolean {
  const meets = (
    conditions: Conditions | undefined,
    valueOf: (change: Change) => Value | undefined,
  ): boolean =>
    [...(conditions ?? [])].every(([device, each]) =>
      Object.entries(each).every(([property, condition]) => {
        const change = done.properties.get(device)?.get(property);
        const value = change && valueOf(change);
        return value !== undefined && isSo(condition, value);
      }),
    );
  return expected.every(
    ({ set, nudge, scale, call = [] }) =>
      meets(set, ({ value }) => value) &&
      meets(nudge, (change) => change.nudge) &&
      meets(scale, (change) => change.scale) &&
      [...call].every(([device, action]) => done.calls.get(device)?.includes(action) === true),
  );
}

/** Whether nothing was done that nobody expects. */
function areExpected(expected: readonly Effects[], { properties, calls }: Done): boolean {
  for (const [device, changes] of properties) {
    for (const name of changes.keys()) {
      const isNamed = expected.some(({ set, nudge, scale }) =>
        [set, nudge, scale].some((each) => each?.get(device)?.[name] !== undefined),
      );
      if (!isNamed) return false;
    }
  }
  for (const [device, actions] of calls) {
    const isCalled = (action: string): boolean =>
      expected.some(({ call = [] }) =>
        [...call].some(([other, wanted]) => other === device && wanted === action),
      );
    if (!actions.every(isCalled)) return false;
  }
  return true;
}

/** Amounts are worked out, and may miss a written one by a little. */
function isSo(condition: Condition, value: Value): boolean {
  if (holds(condition, value)) return true;
  if (condition.is !== "equal" || typeof condition.value !== "number") return false;
  return typeof value === "number" && Math.abs(value - condition.value) < 1e-9;
}

/** What was done, in the notation in which it is expected. */
export function printDone({ properties, calls }: Done, expected: readonly Effects[]): string {
  const isNudge = (device: string, name: string): boolean =>
    expected.some(({ nudge }) => nudge?.get(device)?.[name] !== undefined);
  const isScale = (device: string, name: string): boolean =>
    expected.some(({ scale }) => scale?.get(device)?.[name] !== undefined);
  const lines: string[] = [];
  for (const [device, changes] of properties) {
    const sets: string[] = [];
    for (const [name, { value, nudge, scale }] of changes) {
      if (nudge !== undefined && isNudge(device, name)) {
        lines.push(`nudge ${device} { ${name}: ${nudge} }`);
      } else if (scale !== undefined && isScale(device, name)) {
        lines.push(`scale ${device} { ${name}: ${scale} }`);
      } else sets.push(`${name}: ${value}`);
    }
    if (sets.length > 0) lines.push(`${device} { ${sets.sort().join(", ")} }`);
  }
  for (const [device, actions] of calls) {
    for (const action of actions) lines.push(`${device} ${action}`);
  }
  return lines.length === 0 ? "nothing is done" : lines.sort().join(", ");
}

export function printExpected(expected: readonly Effects[], also?: "anything"): string {
  const each = expected.map((one) => printOne(one)).filter((text) => text !== "");
  const whole = each.length === 0 ? "nothing is done" : each.join(", ");
  return also ? `${whole}, and anything else` : whole;
}

function printOne({ set, nudge, scale, call, when }: Effects): string {
  const values = (conditions: Conditions | undefined, before: string): string[] =>
    [...(conditions ?? [])].map(([device, each]) => {
      const list = Object.entries(each).map(
        ([name, condition]) => `${name}: ${printCondition(condition)}`,
      );
      return `${before}${device} { ${list.sort().join(", ")} }`;
    });
  const all = [
    ...values(set, ""),
    ...values(nudge, "nudge "),
    ...values(scale, "scale "),
    ...[...(call ?? [])].map(([device, action]) => `${device} ${action}`),
  ];
  const timed = when ? all.map((text) => `${printWhen(when)}: ${text}`) : all;
  return timed.sort().join(", ");
}

/** Whether something is to be done when it is expected to be; a time of day is met on any day. */
export function isWhen(expected: When = {}, actual: When = {}): boolean {
  const isPoint = (wanted: string | undefined, said: string | undefined): boolean =>
    wanted === said || (wanted !== undefined && said?.endsWith(`T${wanted}`) === true);
  return (
    expected.in === actual.in &&
    expected.for === actual.for &&
    isPoint(expected.at, actual.at) &&
    isPoint(expected.until, actual.until)
  );
}
