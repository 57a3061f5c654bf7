import { isDate, parseClock } from "../time/local.ts";
import { parseDuration } from "../time/duration.ts";
import { type Context, report, reportUnknown } from "./context.ts";
import type { Document, Path } from "./document.ts";
import type { Days, SunEvent, Trigger } from "./model.ts";
import type { TriggerDefinition } from "./schema.ts";
import { readLength } from "./lengths.ts";
import { checkRule } from "./recurrence.ts";
import { readConditions } from "./states.ts";
import type { Home } from "./steps.ts";

type Written = Exclude<TriggerDefinition, { phrase: unknown }>;

const sunEvents: readonly SunEvent[] = ["sunrise", "sunset", "dawn", "dusk", "noon"];
const weekdayNames = ["monday", "tuesday", "wednesday", "thursday", "friday", "saturday", "sunday"];

/** Reads a trigger that is no phrase; undefined when it cannot be as written. */
export function readTrigger(
  context: Context,
  document: Document,
  path: Path,
  written: Written,
  home: Home,
  people: ReadonlySet<string>,
): Trigger | undefined {
  const at = document.at(path);
  const wrong = (key: string, message: string, fix: string): undefined => {
    report(context, "wrong-value", document.at([...path, key]), message, fix);
    return undefined;
  };
  if ("time" in written) {
    const clock = parseClock(written.time);
    const days = readDays(context, document, path, written);
    return clock === undefined || !days ? undefined : { trigger: "time", clock, days, at };
  }
  if ("sun" in written) {
    const found = /^(?:(.+) (before|after) )?(\w+)$/.exec(written.sun.trim());
    const event = sunEvents.find((each) => each === found?.[3]);
    const length = found?.[1] === undefined ? 0 : spelledDuration(found[1]);
    const days = readDays(context, document, path, written);
    if (event === undefined || length === undefined) {
      const fix = `write 20 minutes after sunset, or one of ${sunEvents.join(", ")} alone`;
      wrong("sun", `"${written.sun}" is no time of the sun`, fix);
      return;
    }
    const offset = found?.[2] === "before" ? -length : length;
    return days && { trigger: "sun", event, offset, days, at };
  }
  if ("state" in written) {
    const lasting =
      written.lasting === undefined
        ? 0
        : readLength(context, document, [...path, "lasting"], written.lasting);
    if (lasting === undefined) return undefined;
    const under = [...path, "state"];
    const states = readConditions(context, document, under, written.state, home.devices);
    return { trigger: "state", states, lasting, at };
  }
  if ("presence" in written) {
    const [who = "", is] = written.presence.trim().split(/\s+/);
    if (is !== "home" && is !== "away") {
      const fix = "write everyone away, first home, last away, nobody home or mara home";
      wrong("presence", `"${written.presence}" tells no presence`, fix);
      return;
    }
    if (!["everyone", "first", "last", "nobody", "anyone"].includes(who) && !people.has(who)) {
      reportUnknown(context, document.at([...path, "presence"]), "person", who, people);
      return undefined;
    }
    return { trigger: "presence", who, is, at };
  }
  const device = home.devices.get(written.press);
  if (device?.actions.includes("press")) return { trigger: "press", device: device.id, at };
  const buttons = [...home.devices.values()].filter(({ actions }) => actions.includes("press"));
  const known = buttons.map(({ id }) => id);
  reportUnknown(context, document.at([...path, "press"]), "button", written.press, known);
  return undefined;
}

/** "20 minutes", "1 hour", or a duration as it is written elsewhere. */
function spelledDuration(text: string): number | undefined {
  const found = /^(\d+(?:\.\d+)?)\s*(second|minute|hour)s?$/.exec(text.trim());
  const sizes: Readonly<Record<string, number>> = { second: 1, minute: 60, hour: 3600 };
  return found ? Number(found[1]) * (sizes[found[2] ?? ""] ?? 1) : parseDuration(text);
}

function readDays(
  context: Context,
  document: Document,
  path: Path,
  written: { repeat?: string | string[] | undefined; date?: string | string[] | undefined },
): Days | undefined {
  if (written.date !== undefined) {
    const dates = [written.date].flat();
    const broken = dates.find((date) => !isDate(date));
    if (broken === undefined) return { days: "dates", dates };
    const message = `"${broken}" is no day of the calendar`;
    report(context, "wrong-value", document.at([...path, "date"]), message, "write another date");
    return undefined;
  }
  const repeat = [written.repeat ?? "daily"].flat();
  const [only = ""] = repeat;
  if (repeat.length === 1) {
    if (only === "daily") return { days: "every" };
    if (only === "weekdays") return { days: "weekdays", weekdays: [1, 2, 3, 4, 5] };
    if (only === "weekends") return { days: "weekdays", weekdays: [6, 7] };
    if (/=|^(?:RRULE|FREQ|DTSTART)/u.test(only)) {
      const rule = only.trim().replace(/^RRULE:/u, "");
      const problems = checkRule(rule);
      for (const { message, fix, severity } of problems) {
        report(context, "wrong-value", document.at([...path, "repeat"]), message, fix, {
          severity,
        });
      }
      const isWrong = problems.some(({ severity }) => severity === "error");
      return isWrong ? undefined : { days: "rule", rule };
    }
  }
  const weekdays = repeat.map((name) => weekdayNames.indexOf(name.toLowerCase()) + 1);
  if (weekdays.every((day) => day > 0)) return { days: "weekdays", weekdays };
  const fix =
    "write daily, weekdays, weekends, [monday, friday], or an RFC 5545 rule such as FREQ=WEEKLY;BYDAY=TU";
  const at = document.at([...path, "repeat"]);
  report(context, "wrong-value", at, `"${repeat.join(", ")}" are no days`, fix);
  return undefined;
}
