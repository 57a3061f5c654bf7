import type { Conclusion, HeardCommand, Question, Slots } from "../commands/outcome.ts";
import { intentOf } from "../commands/outcome.ts";
import { isKnown, knownOf } from "../model/known.ts";
import { phrases } from "../pattern/phrases.ts";
import { SaidValue } from "../document/messages.ts";
import type { Slot, ValuedSlot } from "../slot-types/slot.ts";
import type { Intent, Phrasebook } from "../phrasebook/model.ts";
import type { Reply } from "../model/spoken.ts";
import type { Value } from "../model/property.ts";
import { toldIn } from "../model/units.ts";
import { answerQuestion, printValue } from "./answers.ts";
import { formatReply, replyIn } from "./format.ts";
import { countDevices, namesOf } from "./names.ts";
import { spokenReasons } from "./reasons.ts";
import type { Speech } from "./speech.ts";
import { spokenDuration, withWhen } from "./times.ts";

const nothing: Failed = new Set();

/** What is said back to an outcome, some devices of which may not have answered. */
export function replyTo(speech: Speech, outcome: Conclusion, failed: Failed = nothing): string {
  const { book, pack, language } = speech;
  switch (outcome.outcome) {
    case "answer":
    case "act": {
      const { commands } = outcome;
      const replies = commands.map((each) => {
        // What is asked twice in one breath has come to the last of it.
        const others = commands.filter((other) => other !== each);
        const again = new Set(others.flatMap(({ effects }) => effects.map(({ device }) => device)));
        return replyToCommand(speech, each, { failed, again });
      });
      return replies.join(" ");
    }
    case "offer": {
      const { commands } = outcome;
      const reply = replyTo(speech, { outcome: "act", commands }, failed).replace(/\.$/u, "");
      return formatReply(pack.replies.offer, language, { reply });
    }
    case "ask": {
      const slot = book.intents.get(intentOf(outcome) ?? "")?.slots.get(outcome.slot);
      const own = replyIn(slot?.ask ?? new Map(), language);
      if (own) book.witness?.used(own);
      return formatReply(own?.text ?? pack.replies.ask, language, { slot: outcome.slot });
    }
    case "unsure": {
      const list = new Intl.ListFormat(language, { type: "disjunction" });
      const choices = list.format(outcome.choices.map(({ label }) => label));
      return formatReply(pack.replies.unsure, language, { choices });
    }
    case "refuse": {
      const reason = spokenReasons(speech, outcome.reasons);
      const { refuse, cannot } = pack.replies;
      return reason === "" ? cannot : formatReply(refuse, language, { reason });
    }
    default:
      return formatReply(pack.replies[outcome.outcome], language, {});
  }
}

/** Devices that did not answer, and those that other commands were about as well. */
interface Came {
  failed: Failed;
  again: ReadonlySet<string>;
}

function replyToCommand(speech: Speech, command: HeardCommand, came: Came): string {
  const { failed } = came;
  const { book, pack, language } = speech;
  if (command.questions) {
    const answers = command.questions.map((each) => answerAfter(speech, each, failed));
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
  const landed = tellsStates(written) ? [] : landedElsewhere(speech, command, came);
  const isTrue = landed.length < results.done.length || landed.length === 0;
  const actual = landed.map((each) => answerQuestion(speech, each));
  const whole = [
    ...(isTrue ? [tellsFailures(written) ? reply : told(speech, reply, results, left)] : []),
    ...actual,
  ].join(" ");
  const when = command.when ?? command.effects[0]?.when;
  return when ? withWhen(speech, when, whole) : whole;
}

/** What is asked, of whatever was there to ask. */
function answerAfter(speech: Speech, question: Question, failed: Failed): string {
  const silent = question.devices.filter((id) => failed.has(id));
  if (silent.length === 0) return answerQuestion(speech, question);
  const devices = question.devices.filter((id) => !failed.has(id));
  const answer = devices.length > 0 ? answerQuestion(speech, { ...question, devices }) : "";
  return told(speech, answer, { done: devices, failed: silent, skipped: [] });
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

/** Whether a reply tells what devices have come to by itself. */
function tellsStates(reply: Reply | undefined): boolean {
  return reply !== undefined && reply.states.length > 0;
}

/** Devices that did what they were asked, and came to another value: each as the question what that is. */
function landedElsewhere(
  { book, states }: Speech,
  { effects, when }: HeardCommand,
  { failed, again }: Came,
): Question[] {
  if (when) return [];
  return effects.flatMap((effect): Question[] => {
    const { device } = effect;
    if (!("set" in effect) || effect.when || failed.has(device) || again.has(device)) {
      return [];
    }
    const is = states(device);
    const other = Object.entries(effect.set).find(
      ([property, value]) => is?.[property] !== undefined && is[property] !== value,
    );
    const known = book.devices.get(device);
    if (!other || !known || !isKnown(known)) return [];
    return [{ form: "value", devices: [device], property: other[0] }];
  });
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
  const left = skipped.filter(({ device: id, why }) => {
    const device = book.devices.get(id);
    return device && isKnown(device) && (why.reason === "guarded" || kinds.has(device.kind));
  });
  return [...new Set(left.map(({ device }) => device))];
}

/** A reply of the phrasebook or the vocabulary, with what it may speak of. */
export function speakReply(
  speech: Speech,
  reply: Reply,
  slots: Readonly<Record<string, unknown>>,
  results: Results,
): string {
  const { text, states } = reply;
  const { done, failed, skipped } = speech.isForEyes ? results : spoken(speech, results);
  const { book, language } = speech;
  book.witness?.used(reply);
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
      typeof value === "number"
        ? toldIn(value, device?.properties.get(property)?.unit, book.units).value
        : device
          ? printValue(speech, device, property, value)
          : value;
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
  slots: Slots,
  { done, failed }: Results,
): Record<string, string | number | boolean | SaidValue> {
  const variables: Record<string, string | number | boolean | SaidValue> = {};
  for (const [name, filled] of Object.entries(slots)) {
    const { words } = filled;
    if ("devices" in filled) {
      const isWhole = words !== "" && filled.leans === undefined && failed.length === 0;
      const ids = knownOf(speech.book.devices, filled.devices);
      const reached = ids.filter((id) => done.includes(id));
      variables[name] = isWhole ? words : countDevices(speech, reached.length > 0 ? reached : ids);
      continue;
    }
    const { value } = filled;
    const slot = intent?.slots.get(name);
    if (slot?.fills === "value" && slot.family === "choice") {
      const word = words || wordFor(slot, value, speech.language);
      variables[name] = new SaidValue(String(value), word);
    } else if (typeof value !== "number") variables[name] = words || value;
    else variables[name] = isDuration(slot) ? spokenDuration(speech.pack, value) : value;
  }
  return variables;
}

function isDuration(slot: Slot | undefined): boolean {
  return slot?.fills === "value" && slot.unit === "second";
}

/** What is said for a value of a choice: the first phrase of its first pattern in the language. */
function wordFor({ values = [] }: ValuedSlot, value: Value, language: string): string {
  const patterns = values.find((each) => each.value === value)?.patterns ?? [];
  const pattern = patterns.find((each) => each.language === language) ?? patterns[0];
  const [words] = pattern ? phrases(pattern.tree, () => undefined) : [];
  return words?.join(" ") ?? String(value);
}
