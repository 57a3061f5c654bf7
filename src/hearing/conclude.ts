import type { Intent, Phrasebook } from "../phrasebook/model.ts";
import type { LocalTime } from "../time/local.ts";
import type { Command } from "./compose.ts";
import { printWhen } from "./describe.ts";
import type { Meaning, Reading } from "./evaluate.ts";
import { nameIn } from "./names.ts";
import type { Choice, Effect, Heard, HeardBase, HeardCommand, When } from "./outcome.ts";
import type { Ranked } from "./rank.ts";
import { settleWhens } from "./whens.ts";

type DistributiveOmit<T, Key extends PropertyKey> = T extends unknown ? Omit<T, Key> : never;

/** An outcome without what tells of it. */
export type Conclusion = DistributiveOmit<Heard, keyof HeardBase | "grant">;

/** Things of one name that are told apart in a question: nobody chooses among more. */
const mostChoices = 12;

/** Reasons that are told of several ways to understand what cannot be done. */
const mostReasons = 3;

/** What the commands of an utterance come to together: all of them are done, or none. */
export function conclude(concluding: Concluding, commands: readonly Command[]): Conclusion {
  return together(commands.map((command) => concludeCommand(concluding, command)));
}

/** What an outcome is concluded with. */
export interface Concluding {
  book: Phrasebook;
  language: string;
  now: LocalTime | undefined;
  /** What would be said to an outcome. */
  speak: (conclusion: Conclusion) => string;
}

function together(conclusions: readonly Conclusion[]): Conclusion {
  const [first = { outcome: "unknown" } as const] = conclusions;
  if (conclusions.length === 1) return first;
  for (const outcome of ["unknown", "refuse", "unsure", "ask"] as const) {
    const stops = conclusions.find((conclusion) => conclusion.outcome === outcome);
    if (stops) return stops;
  }
  const parts = conclusions.flatMap((conclusion): HeardCommand[] => {
    if (!("slots" in conclusion) || conclusion.outcome === "ask") return [];
    const { intent, slots } = conclusion;
    const isAnswer = conclusion.outcome === "answer";
    return [
      {
        intent,
        slots,
        effects: isAnswer ? [] : conclusion.effects,
        skipped: isAnswer ? [] : conclusion.skipped,
        ...(isAnswer && conclusion.questions ? { questions: conclusion.questions } : {}),
        ...(!isAnswer && conclusion.runs !== undefined ? { runs: conclusion.runs } : {}),
        ...(!isAnswer && conclusion.steps ? { steps: conclusion.steps } : {}),
        ...(!isAnswer && conclusion.when ? { when: conclusion.when } : {}),
      },
    ];
  });
  const { intent = "", slots = {} } = parts[0] ?? {};
  const effects = parts.flatMap((part) => part.effects);
  if (effects.length === 0 && !parts.some(({ runs }) => runs !== undefined)) {
    return { outcome: "answer", intent, slots, commands: parts };
  }
  const outcome = strictest(conclusions.map((conclusion) => conclusion.outcome));
  const skipped = parts.flatMap((part) => part.skipped);
  return { outcome, intent, slots, effects, skipped, commands: parts };
}

function strictest(outcomes: readonly Heard["outcome"][]): "act" | "confirm" | "code" {
  if (outcomes.includes("code")) return "code";
  return outcomes.includes("confirm") ? "confirm" : "act";
}

function concludeCommand(concluding: Concluding, { understood, whens }: Command): Conclusion {
  const { book, now } = concluding;
  const conclusion = concludeRanked(concluding, understood.ranked);
  if (whens.length === 0) return conclusion;
  if (!("effects" in conclusion)) {
    if (conclusion.outcome !== "answer") return conclusion;
    const { intent } = conclusion;
    return { outcome: "refuse", intent, reason: "an answer cannot wait" };
  }
  const { intent, effects } = conclusion;
  const settled = settleWhens(whens, now);
  if (!settled) return { outcome: "refuse", intent, reason: "two times are said for one command" };
  if (!settled.ok) {
    const because = settled.because ? { because: [settled.because] } : {};
    return { outcome: "refuse", intent, reason: settled.reason, ...because };
  }
  const { when } = settled;
  const ends = when.for !== undefined || when.until !== undefined;
  const endless = effects.find((effect) => "call" in effect);
  if (ends && conclusion.runs !== undefined) {
    return {
      outcome: "refuse",
      intent,
      reason: `${conclusion.runs} cannot be undone after a while`,
    };
  }
  if (ends && endless) {
    const reason = `${endless.device} cannot undo it ${printWhen(when)}`;
    return { outcome: "refuse", intent, reason };
  }
  const outcome = ends ? guardedAfter(book, effects, conclusion.outcome) : conclusion.outcome;
  const timedEffects = effects.map((effect) => timed(effect, when));
  return {
    ...conclusion,
    outcome,
    effects: timedEffects,
    ...(conclusion.runs === undefined ? {} : { when }),
  };
}

function timed(effect: Effect, when: When): Effect {
  return { ...effect, when };
}

/** What is undone after a while ends in the other state, which may be the one that is guarded. */
function guardedAfter(
  { devices }: Phrasebook,
  effects: readonly Effect[],
  outcome: "act" | "confirm" | "code",
): "act" | "confirm" | "code" {
  const needs = effects.map(({ device }) => devices.get(device)?.voice);
  if (needs.includes("code")) return "code";
  return needs.includes("confirm") && outcome === "act" ? "confirm" : outcome;
}

function concludeRanked(concluding: Concluding, ranked: readonly Ranked[]): Conclusion {
  const best = ranked.filter(({ kept }) => kept).map(({ reading }) => reading);
  const [only] = best;
  // What voice is barred from does not exist as far as speech is concerned.
  if (!only || only.meaning.result === "absent") return { outcome: "unknown" };
  const { meaning } = only;
  const intent = only.intent.id;
  if (meaning.result === "unfit" || meaning.result === "refuse") {
    const reasons = best.flatMap((reading) =>
      "reason" in reading.meaning ? reading.meaning.reason : [],
    );
    const reason = [...new Set(reasons)].slice(0, mostReasons).join("; ");
    const because = best.flatMap(({ meaning: each }) => ("because" in each ? [each.because] : []));
    return { outcome: "refuse", intent, reason, ...(because.length > 0 ? { because } : {}) };
  }
  if (best.length > 1 || meaning.result === "choices") {
    const choices = apart(
      concluding,
      best.flatMap((reading) => choicesOf(concluding, reading)),
    );
    return { outcome: "unsure", choices };
  }
  return concludeMeaning(intent, meaning);
}

/** What one reading comes to that can be done, told or asked for. */
function concludeMeaning(intent: string, meaning: Meant): Conclusion {
  const { slots } = meaning;
  if (meaning.result === "missing") return { outcome: "ask", intent, slot: meaning.slot, slots };
  if (meaning.result === "tell") {
    return { outcome: "answer", intent, slots, questions: meaning.questions };
  }
  const { effects, skipped, access } = meaning;
  if (meaning.runs !== undefined) {
    const outcome = access === "free" ? "act" : access;
    const steps = meaning.computed ? { steps: meaning.computed } : {};
    return { outcome, intent, slots, effects, skipped, runs: meaning.runs, ...steps };
  }
  if (effects.length === 0) return { outcome: "answer", intent, slots };
  const outcome = access === "free" ? "act" : access;
  return { outcome, intent, slots, effects, skipped };
}

type Meant = Extract<Meaning, { result: "do" | "tell" | "missing" }>;

/** A reading in words to choose it by: what would be said to it, or what it is called. */
function labelOf({ book, speak }: Concluding, intent: Intent, meaning: Meant): string {
  const name = intent.id.replaceAll("-", " ");
  const conclusion = concludeMeaning(intent.id, meaning);
  // A question is not answered before it was chosen, and a reply that any command has tells nothing.
  const of =
    book.routines.get(conclusion.outcome === "act" ? (conclusion.runs ?? "") : "") ?? intent;
  if (!("effects" in conclusion) || of.reply.size === 0) return name;
  return speak({ ...conclusion, outcome: "act" }).replace(/\.$/u, "") || name;
}

/** Choices that are worded the same are told apart by the devices that they are about. */
function apart({ book, language }: Concluding, choices: readonly Choice[]): Choice[] {
  return choices.map((choice) => {
    const isAlone = choices.filter(({ label }) => label === choice.label).length === 1;
    const ids = new Set(choice.effects.map(({ device }) => device));
    if (isAlone || ids.size === 0) return choice;
    const names = [...ids].flatMap((id) => {
      const device = book.devices.get(id);
      return (device && nameIn(book, device, language)) ?? id;
    });
    const list = new Intl.ListFormat(language, { type: "conjunction" }).format(names.slice(0, 3));
    return { ...choice, label: `${choice.label} (${list})` };
  });
}

function choicesOf(concluding: Concluding, { intent, meaning }: Reading): Choice[] {
  const { book, language } = concluding;
  switch (meaning.result) {
    case "do":
    case "tell":
    case "missing": {
      const label = labelOf(concluding, intent, meaning);
      const effects = meaning.result === "do" ? meaning.effects : [];
      return [{ label, id: intent.id, intent: intent.id, effects }];
    }
    case "choices":
      return meaning.options.slice(0, mostChoices).map(({ label: said, value, devices }) => {
        const [device] = devices;
        const own = device && devices.length === 1 ? nameIn(book, device, language) : undefined;
        const label = own ?? said;
        const room = book.rooms.get(device?.room ?? "");
        const place = room && nameIn(book, room, language);
        const full = place === undefined ? label : `${label} (${place})`;
        return { label: full, id: value, intent: intent.id, effects: [] };
      });
    default:
      return [{ label: meaning.reason, intent: intent.id, effects: [] }];
  }
}
