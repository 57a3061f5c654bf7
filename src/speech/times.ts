import type { When } from "../commands/outcome.ts";
import type { LanguagePack } from "../language/pack.ts";
import { durationUnits } from "../language/times.ts";
import { daysBetween } from "../time/local.ts";
import { type SunPoint, parseSun } from "../time/sun.ts";
import { formatReply } from "./format.ts";
import type { Speech } from "./speech.ts";
import { given } from "../source/given.ts";

/** A reply with the when of its command before it. */
export function withWhen(speech: Speech, when: When, reply: string): string {
  const { pack, language } = speech;
  let whole = reply;
  for (const key of ["until", "at"] as const) {
    const said = when[key];
    if (said === undefined) continue;
    const sun = parseSun(said);
    if (sun) {
      const told = { when: spokenSun(pack, key, sun), reply: whole };
      whole = capitalised(formatReply(pack.times.sun?.reply ?? "", language, told), language);
      continue;
    }
    const day = dayOf(speech, said);
    const form = pack.replies[day === undefined ? key : key === "at" ? "atDay" : "untilDay"];
    const variables = {
      time: spokenTime(said),
      reply: whole,
      ...given({ day }),
    };
    whole = capitalised(formatReply(form, language, variables), language);
  }
  for (const key of ["for", "in"] as const) {
    const said = when[key];
    if (said === undefined) continue;
    const variables = { duration: spokenDuration(pack, said), reply: whole };
    whole = formatReply(pack.replies[key], language, variables);
  }
  return whole;
}

/** The day of a local time as people say it: none for today, "tomorrow", a weekday, a date. */
function dayOf({ language, today }: Speech, time: string): string | undefined {
  const now = today();
  const [date = "", clock] = time.split("T");
  if (clock === undefined || now === undefined || date === now) return undefined;
  const days = daysBetween(now, date);
  if (days === 1)
    return new Intl.RelativeTimeFormat(language, { numeric: "auto" }).format(1, "day");
  const form: Intl.DateTimeFormatOptions =
    days > 1 && days < 7 ? { weekday: "long" } : { weekday: "long", day: "numeric", month: "long" };
  return new Intl.DateTimeFormat(language, { ...form, timeZone: "UTC" }).format(
    new Date(`${date}T12:00Z`),
  );
}

/** A moment of the sun with what stands before it: "at sunset", "30 minutes before sunrise". */
function spokenSun(pack: LanguagePack, key: "at" | "until", { event, offset }: SunPoint): string {
  const words = event === "noon" ? undefined : pack.times.sun?.[event];
  const said = offset === 0 ? words?.[key] : offset < 0 ? words?.before : words?.after;
  return (said?.[0] ?? event).replace("$duration", spokenDuration(pack, Math.abs(offset)));
}

function capitalised(text: string, language: string): string {
  return text.slice(0, 1).toLocaleUpperCase(language) + text.slice(1);
}

/** A time of day without the date that it was worked out for. */
export function spokenTime(time: string): string {
  return time.slice(time.indexOf("T") + 1);
}

/** A duration in the words of a language: "1 hour 30 minutes". */
export function spokenDuration({ times }: LanguagePack, seconds: number): string {
  const parts: string[] = [];
  let left = seconds;
  for (const unit of ["day", "hour", "minute", "second"] as const) {
    const size = durationUnits[unit];
    const count = unit === "second" ? Math.round(left) : Math.floor(left / size);
    left -= count * size;
    const [one = unit, many = one] = times.units[unit];
    if (count > 0) parts.push(`${count} ${count === 1 ? one : many}`);
  }
  return parts.join(" ");
}
