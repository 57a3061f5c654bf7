import type { LanguagePack } from "../language/pack.ts";
import { type DurationUnit, durationUnits } from "../language/times.ts";
import type { Intent, Nameable, Phrasebook } from "../phrasebook/model.ts";
import { answerQuestion } from "./answer.ts";
import type { Conclusion } from "./conclude.ts";
import type { HearContext } from "./context.ts";
import { nameIn } from "./names.ts";
import type { HeardCommand, SlotValue, When } from "./outcome.ts";
import { formatReply, replyIn } from "./reply.ts";

/** Everything that a reply is made from. */
export interface Speech {
  book: Phrasebook;
  pack: LanguagePack;
  language: string;
  states: NonNullable<HearContext["states"]>;
}

/** What is said back to an outcome. */
export function replyTo(speech: Speech, outcome: Conclusion): string {
  const { book, pack, language } = speech;
  switch (outcome.outcome) {
    case "answer":
    case "act": {
      if (outcome.commands) {
        return outcome.commands.map((command) => replyToCommand(speech, command)).join(" ");
      }
      const effects = outcome.outcome === "act" ? outcome.effects : [];
      return replyToCommand(speech, { ...outcome, effects, skipped: [] });
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
    case "refuse":
      return formatReply(pack.replies.refuse, language, {
        reason: withNames(book, outcome.reason, language),
      });
    default:
      return formatReply(pack.replies[outcome.outcome], language, {});
  }
}

function replyToCommand(speech: Speech, command: HeardCommand): string {
  const { book, pack, language, states } = speech;
  if (command.question) return answerQuestion(book, pack, language, command.question, states);
  const intent: Intent | undefined = book.intents.get(command.intent);
  const own = replyIn(intent?.reply ?? new Map(), language);
  const variables = Object.fromEntries(
    Object.entries(command.slots).map(([name, slot]) => [name, spokenValue(slot)]),
  );
  const reply = formatReply(own?.text ?? pack.replies.act, language, variables);
  const when = command.when ?? command.effects[0]?.when;
  return when ? withWhen(speech, when, reply) : reply;
}

function spokenValue({ value, words }: SlotValue): string | number | boolean {
  return typeof value === "number" ? value : words || value;
}

/** A reply with the when of its command before it. */
function withWhen({ pack, language }: Speech, when: When, reply: string): string {
  let whole = reply;
  for (const key of ["until", "for", "at", "in"] as const) {
    const said = when[key];
    if (said === undefined) continue;
    const variables =
      typeof said === "number"
        ? { duration: spokenDuration(pack, said), reply: whole }
        : { time: spokenTime(said), reply: whole };
    whole = formatReply(pack.replies[key], language, variables);
  }
  return whole;
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
