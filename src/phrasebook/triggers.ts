import type { Cursor } from "../document/cursor.ts";
import { readLength } from "../document/lengths.ts";
import { buttonIds } from "../model/members.ts";
import type { Days, Trigger } from "../model/trigger.ts";
import { isDate, parseClock } from "../time/local.ts";
import { parseSun, sunEvents } from "../time/sun.ts";
import { checkRule } from "./recurrence.ts";
import type { TriggerDefinition } from "./definition/intents.ts";
import type { Scope } from "./scope.ts";
import { readConditions } from "./states.ts";

type Written<Key extends string> = Cursor<
  Extract<TriggerDefinition, Readonly<Record<Key, unknown>>>
>;

const weekdayNames = ["monday", "tuesday", "wednesday", "thursday", "friday", "saturday", "sunday"];

/** Reads a trigger that is no phrase; undefined when it cannot be as written. */
export function readTrigger(
  cursor: Cursor<Exclude<TriggerDefinition, { phrase: unknown }>>,
  scope: Scope,
): Trigger | undefined {
  const { value: written, at } = cursor;
  if ("time" in written) {
    const clock = parseClock(written.time);
    const days = readDays(cursor.as(written));
    return clock === undefined || !days ? undefined : { trigger: "time", clock, days, at };
  }
  if ("sun" in written) return readSun(cursor.as(written));
  if ("state" in written) {
    const length = cursor.as(written).given("lasting");
    const lasting = length ? readLength(length) : 0;
    if (lasting === undefined) return undefined;
    const states = readConditions(cursor.as(written).key("state"), scope.home.devices);
    return { trigger: "state", states, lasting, at };
  }
  if ("presence" in written) return readPresence(cursor.as(written).key("presence"), scope);
  return cursor
    .as(written)
    .key("press")
    .refers("button", buttonIds(scope.home.devices, written.press))
    ? { trigger: "press", device: written.press, at }
    : undefined;
}

function readSun(cursor: Written<"sun">): Trigger | undefined {
  const { sun } = cursor.value;
  const point = parseSun(sun);
  const days = readDays(cursor);
  if (!point) {
    const fix = `write 20 minutes after sunset, or one of ${sunEvents.join(", ")} alone`;
    cursor.key("sun").report("wrong-value", `"${sun}" is no time of the sun`, fix);
    return undefined;
  }
  return days && { trigger: "sun", ...point, days, at: cursor.at };
}

/** Those who are no single person. */
const everybody = ["everyone", "first", "last", "nobody", "anyone"];

function readPresence(cursor: Cursor<string>, { people }: Scope): Trigger | undefined {
  const [who = "", is] = cursor.value.trim().split(/\s+/);
  if (is !== "home" && is !== "away") {
    const fix = "write everyone away, first home, last away, nobody home or mara home";
    cursor.report("wrong-value", `"${cursor.value}" tells no presence`, fix);
    return undefined;
  }
  if (!everybody.includes(who) && !cursor.refers("person", people, { id: who })) return undefined;
  return { trigger: "presence", who, is, at: cursor.at };
}

interface Repeated {
  repeat?: string | string[] | undefined;
  date?: string | string[] | undefined;
}

function readDays(cursor: Cursor<Repeated>): Days | undefined {
  const { repeat: written = "daily", date } = cursor.value;
  if (date !== undefined) {
    const dates = [date].flat();
    const broken = dates.find((each) => !isDate(each));
    if (broken === undefined) return { days: "dates", dates };
    const message = `"${broken}" is no day of the calendar`;
    cursor.key("date").report("wrong-value", message, "write another date");
    return undefined;
  }
  const repeat = [written].flat();
  const [only = ""] = repeat;
  if (repeat.length === 1) {
    if (only === "daily") return { days: "every" };
    if (only === "weekdays") return { days: "weekdays", weekdays: [1, 2, 3, 4, 5] };
    if (only === "weekends") return { days: "weekdays", weekdays: [6, 7] };
    if (/=|^(?:RRULE|FREQ|DTSTART)/u.test(only)) return readRule(cursor.key("repeat"), only);
  }
  const weekdays = repeat.map((name) => weekdayNames.indexOf(name.toLowerCase()) + 1);
  if (weekdays.every((day) => day > 0)) return { days: "weekdays", weekdays };
  const fix =
    "write daily, weekdays, weekends, [monday, friday], or an RFC 5545 rule such as FREQ=WEEKLY;BYDAY=TU";
  cursor.key("repeat").report("wrong-value", `"${repeat.join(", ")}" are no days`, fix);
  return undefined;
}

function readRule(cursor: Cursor<unknown>, written: string): Days | undefined {
  const rule = written.trim().replace(/^RRULE:/u, "");
  const problems = checkRule(rule);
  for (const { message, fix, severity } of problems) {
    cursor.report("wrong-value", message, fix, { severity });
  }
  return problems.some(({ severity }) => severity === "error") ? undefined : { days: "rule", rule };
}
