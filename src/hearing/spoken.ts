import type { LanguagePack } from "../language/pack.ts";
import { type DurationUnit, durationUnits } from "../language/times.ts";
import { phrases } from "../pattern/phrases.ts";
import { SaidValue } from "../phrasebook/messages.ts";
import type { ChoiceSlot, Intent, Nameable, Phrasebook, Reply } from "../phrasebook/model.ts";
import { isKnown, knownOf } from "./access.ts";
import { answerQuestion, printValue } from "./answer.ts";
import type { Conclusion } from "./conclude.ts";
import type { HearContext } from "./context.ts";
import { nameIn } from "./names.ts";
import type { HeardCommand, HeardRefuse, SlotValue, When } from "./outcome.ts";
import { daysBetween } from "../time/local.ts";
import { type Value, type ValueProblem, printQuantity } from "../phrasebook/property.ts";
import { devicesNamed } from "./targets.ts";
import { formatReply, replyIn } from "./reply.ts";

/** Everything that a reply is made from. */
export interface Speech {
  book: Phrasebook;
  pack: LanguagePack;
  language: string;
  states: NonNullable<HearContext["states"]>;
  /** The date there, if it is known. */
  today: () => string | undefined;
  /** Whether it is read by somebody, and not said: what voice is barred from is spoken of as well. */
  isForEyes?: true;
}

const nothing: Failed = new Set();

/** What is said back to an outcome, some devices of which may not have answered. */
export function replyTo(speech: Speech, outcome: Conclusion, failed: Failed = nothing): string {
  const { book, pack, language } = speech;
  switch (outcome.outcome) {
    case "answer":
    case "act": {
      if (outcome.commands) {
        const replies = outcome.commands.map((each) => replyToCommand(speech, each, failed));
        return replies.join(" ");
      }
      const isAct = outcome.outcome === "act";
      const [effects, skipped] = isAct ? [outcome.effects, outcome.skipped] : [[], []];
      return replyToCommand(speech, { ...outcome, effects, skipped }, failed);
    }
    case "ask": {
      const slot = book.intents.get(outcome.intent)?.slots.get(outcome.slot);
      const own = replyIn(slot?.ask ?? new Map(), language);
      return formatReply(own?.text ?? pack.replies.ask, language, { slot: outcome.slot });
    }
    case "unsure": {
      const list = new Intl.ListFormat(language, { type: "disjunction" });
      const choices = list.format(outcome.choices.map(({ label }) => label));
      return formatReply(pack.replies.unsure, language, { choices });
    }
    case "refuse": {
      const reason = spokenReason(speech, outcome);
      const { refuse, cannot } = pack.replies;
      return reason === "" ? cannot : formatReply(refuse, language, { reason });
    }
    default:
      return formatReply(pack.replies[outcome.outcome], language, {});
  }
}

function replyToCommand(speech: Speech, command: HeardCommand, failed: Failed): string {
  const { book, pack, language, states } = speech;
  if (command.questions) {
    const answers = command.questions.map((each) =>
      answerQuestion(book, pack, language, each, states),
    );
    return answers.join(" ");
  }
  const intent = book.routines.get(command.runs ?? "") ?? book.intents.get(command.intent);
  const ids = new Set(command.effects.map(({ device }) => device));
  const results = {
    done: [...ids].filter((id) => !failed.has(id)),
    failed: [...ids].filter((id) => failed.has(id)),
    skipped: command.skipped.map(({ device }) => device),
  };
  const hasFailed = results.failed.length > 0;
  const values = slotVariables(speech, intent, command.slots, results);
  const failure = hasFailed && intent ? replyIn(intent.failed, language) : undefined;
  if (failure) return speakReply(speech, failure, values, results);
  const written = intent && replyIn(intent.reply, language);
  const reply = written ? speakReply(speech, written, values, results) : pack.replies.act;
  const isOwn = written?.origin === "phrasebook";
  const left = isOwn ? [] : leftOut(book, command, results.done);
  const whole = tellsFailures(written) ? reply : told(speech, reply, results, left);
  const when = command.when ?? command.effects[0]?.when;
  return when ? withWhen(speech, when, whole) : whole;
}

/** Ids of devices that did not answer. */
export type Failed = ReadonlySet<string>;

/** What came of a command: ids of devices. */
export interface Results {
  done: readonly string[];
  failed: readonly string[];
  skipped: readonly string[];
}

/** Whether a reply speaks of what failed itself, so that nothing is put after it. */
export function tellsFailures(reply: Reply | undefined): boolean {
  return reply?.text.includes("$failed") === true;
}

/** To speech, what it is barred from does not exist. */
function spoken({ book }: Speech, { done, failed, skipped }: Results): Results {
  const known = (ids: readonly string[]): readonly string[] => knownOf(book.devices, ids);
  return { done: known(done), failed: known(failed), skipped: known(skipped) };
}

/** A reply that is true of what was done, with what was not done after it. */
export function told(
  speech: Speech,
  reply: string,
  results: Results,
  left: readonly string[] = [],
): string {
  const { done, failed } = spoken(speech, results);
  const { replies } = speech.pack;
  let whole = reply;
  if (failed.length > 0) {
    const text = done.length > 0 ? replies.partly : replies.failed;
    const names = countDevices(speech, failed);
    whole = formatReply(text, speech.language, { names, reply });
  }
  if (left.length === 0) return whole;
  const names = countDevices(speech, left);
  return formatReply(replies.leftOut, speech.language, { names, reply: whole });
}

/**
 * Devices whose being left out makes a reply untrue that does not tell it: those that voice needs
 * more for, and those of a kind with what was done. That "everything off" means no sensor is plain.
 */
function leftOut(
  book: Phrasebook,
  { skipped }: HeardCommand,
  done: readonly string[],
): readonly string[] {
  const kinds = new Set(done.map((id) => book.devices.get(id)?.kind));
  const left = skipped.filter(({ device: id, needs }) => {
    const device = book.devices.get(id);
    return device && isKnown(device) && (needs !== undefined || kinds.has(device.kind));
  });
  return [...new Set(left.map(({ device }) => device))];
}

/** A reply of the phrasebook or the vocabulary, with what it may speak of. */
export function speakReply(
  speech: Speech,
  { text, states }: Reply,
  slots: Readonly<Record<string, unknown>>,
  results: Results,
): string {
  const { done, failed, skipped } = speech.isForEyes ? results : spoken(speech, results);
  const { book, pack, language } = speech;
  const variables: Record<string, unknown> = { ...slots };
  for (const [name, ids] of Object.entries({ done, failed, skipped })) {
    // Most replies speak of none of these, and lists of names take a while to write.
    if (!text.includes(`$${name}`)) continue;
    variables[name] ??= namesOf(speech, ids);
    variables[`${name}Count`] ??= ids.length;
  }
  for (const { variable, device: id, property } of states) {
    const value = speech.states(id)?.[property] ?? "";
    const device = book.devices.get(id);
    // Numbers are left to the reply, which may choose by them or format them.
    variables[variable] =
      typeof value === "number" || !device
        ? value
        : printValue(pack, language, device, property, value);
  }
  return formatReply(text, language, variables);
}

/**
 * Slots as replies speak of them: numbers to choose by, and the words that were said for others.
 *
 * A target goes by the words that were said for it, as long as all of it was done; otherwise by what
 * was, and what was said as "it" by its names.
 */
export function slotVariables(
  speech: Speech,
  intent: Pick<Intent, "slots"> | undefined,
  slots: Readonly<Record<string, SlotValue>>,
  { done, failed }: Results,
): Record<string, string | number | boolean | SaidValue> {
  const variables: Record<string, string | number | boolean | SaidValue> = {};
  for (const [name, { value, words, leans }] of Object.entries(slots)) {
    const slot = intent?.slots.get(name);
    if (slot?.type === "target" && slot.narrows === undefined) {
      if (words !== "" && leans === undefined && failed.length === 0) {
        variables[name] = words;
        continue;
      }
      const known = devicesNamed(speech.book, String(value)).filter(isKnown);
      const ids = known.map(({ id }) => id);
      const reached = ids.filter((id) => done.includes(id));
      variables[name] = countDevices(speech, reached.length > 0 ? reached : ids);
    } else if (slot?.type === "choice") {
      variables[name] = new SaidValue(
        String(value),
        words || wordFor(slot, value, speech.language),
      );
    } else if (typeof value !== "number") variables[name] = words || value;
    else variables[name] = slot?.type === "duration" ? spokenDuration(speech.pack, value) : value;
  }
  return variables;
}

/** What is said for a value of a choice: the first phrase of its first pattern in the language. */
function wordFor(slot: ChoiceSlot, value: Value, language: string): string {
  const patterns = slot.values.find((each) => each.value === value)?.patterns ?? [];
  const pattern = patterns.find((each) => each.language === language) ?? patterns[0];
  const [words] = pattern ? phrases(pattern.tree, () => undefined) : [];
  return words?.join(" ") ?? String(value);
}

/** Names that are listed; more devices are counted. */
const mostNamed = 3;

/** Devices by their names, or by how many there are: "five lights". */
export function countDevices(speech: Speech, ids: readonly string[]): string {
  const { book, pack } = speech;
  if (ids.length <= mostNamed) return namesOf(speech, ids);
  const [kind, other] = new Set(ids.map((id) => book.devices.get(id)?.kind ?? ""));
  const noun = other === undefined ? pack.kinds[kind ?? ""]?.many[0] : undefined;
  return `${pack.numbers.cardinal(ids.length)} ${noun ?? pack.replies.devices}`;
}

function namesOf({ book, language }: Speech, ids: readonly string[]): string {
  const names = ids.map((id) => {
    const entity: Nameable | undefined =
      book.devices.get(id) ?? book.groups.get(id) ?? book.rooms.get(id) ?? book.zones.get(id);
    return (entity && nameIn(book, entity, language)) ?? id;
  });
  return new Intl.ListFormat(language, { type: "conjunction" }).format(names);
}

/** A reply with the when of its command before it. */
function withWhen(speech: Speech, when: When, reply: string): string {
  const { pack, language } = speech;
  let whole = reply;
  for (const key of ["until", "at"] as const) {
    const said = when[key];
    if (said === undefined) continue;
    const day = dayOf(speech, said);
    const form = pack.replies[day === undefined ? key : key === "at" ? "atDay" : "untilDay"];
    const variables = {
      time: spokenTime(said),
      reply: whole,
      ...(day === undefined ? {} : { day }),
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

function capitalised(text: string, language: string): string {
  return text.slice(0, 1).toLocaleUpperCase(language) + text.slice(1);
}

/** A time of day without the date that it was worked out for. */
function spokenTime(time: string): string {
  return time.slice(time.indexOf("T") + 1);
}

/** A duration in the words of a language: "1 hour 30 minutes". */
export function spokenDuration({ times }: LanguagePack, seconds: number): string {
  const parts: string[] = [];
  let left = seconds;
  const units = Object.entries(durationUnits).filter(([unit]) => unit !== "week");
  for (const [unit, size] of units.reverse()) {
    const count = unit === "second" ? Math.round(left) : Math.floor(left / size);
    left -= count * size;
    const [one = unit, many = one] = times.units[unit as DurationUnit];
    if (count > 0) parts.push(`${count} ${count === 1 ? one : many}`);
  }
  return parts.join(" ");
}

/** Reasons that are spoken. */
const mostReasons = 2;

/** Why something cannot be, in the words of a language; empty where they do not have any. */
function spokenReason(
  { book, pack, language }: Speech,
  { reason, because = [] }: Pick<HeardRefuse, "reason" | "because">,
): string {
  const { refusals } = pack;
  const say = (text: string, variables: Record<string, unknown>): string =>
    formatReply(text, language, variables);
  const nameOf = (id: string): string => {
    const device: Nameable | undefined = book.devices.get(id) ?? book.groups.get(id);
    return (device && nameIn(book, device, language)) ?? id;
  };
  const reasons = because.map((each): string => {
    switch (each.because) {
      case "unable":
        return say(refusals.unable, { name: nameOf(each.device) });
      case "alone":
        return say(refusals.alone, { name: nameOf(each.device) });
      case "length":
        return refusals.length;
      case "broken":
        return "";
      case "nowhere":
        return refusals.nowhere;
      case "past":
        return say(refusals.past, { time: spokenTime(each.time) });
      case "value": {
        const { device, property, problem } = each;
        const spoken = pack.properties[property]?.[0] ?? property;
        const what =
          device === undefined
            ? spoken
            : say(refusals.of, { property: spoken, name: nameOf(device) });
        return say(...valueRefusal(refusals, what, problem));
      }
    }
  });
  if (reasons.length > 0 && reasons.every((each) => each === "")) return "";
  if (reasons.length > 0) return [...new Set(reasons)].slice(0, mostReasons).join("; ");
  return say(refusals.other, { reason: withNames(book, reason, language) });
}

function valueRefusal(
  refusals: LanguagePack["refusals"],
  what: string,
  problem: ValueProblem,
): [string, Record<string, unknown>] {
  switch (problem.problem) {
    case "range": {
      const { minimum, maximum, unit } = problem;
      const text =
        minimum === undefined
          ? refusals.atMost
          : maximum === undefined
            ? refusals.atLeast
            : refusals.between;
      const print = (value: number | undefined): string =>
        value === undefined ? "" : printQuantity(value, unit);
      // A duration has its units within it; others are told once.
      const first = maximum === undefined || unit === "second" ? print(minimum) : minimum;
      const range = { minimum: first, maximum: print(maximum), said: print(problem.value) };
      return [text, { what, ...range }];
    }
    case "step": {
      const { nearest, unit, value } = problem;
      const choices = nearest.map((each) => printQuantity(each, unit)).join(" / ");
      return [refusals.oneOf, { what, choices, said: printQuantity(value, unit) }];
    }
    case "choice":
      return [refusals.oneOf, { what, choices: problem.choices.join(", "), said: problem.value }];
    case "type":
      return [refusals.oneOf, { what, choices: problem.expected, said: problem.value }];
  }
}

/** A reason as it is spoken: with the names of devices in the place of their ids. */
function withNames(book: Phrasebook, reason: string, language: string): string {
  return reason
    .split(" ")
    .map((word) => {
      const device: Nameable | undefined = book.devices.get(word);
      return (device && nameIn(book, device, language)) ?? word;
    })
    .join(" ");
}
