import type { Question } from "../../commands/outcome.ts";
import { packOf } from "../../language/packs.ts";
import type { Intent, Phrasebook } from "../../phrasebook/model.ts";
import { nameIn } from "../../model/names.ts";
import { namesOf } from "../../speech/names.ts";
import type { LocalTime } from "../../time/local.ts";
import {
  type Choice,
  type Conclusion,
  type Effect,
  type Heard,
  type HeardCommand,
  effectsOf,
  isToDo,
} from "../../commands/outcome.ts";
import { type Reason, tellReason } from "../../model/reason.ts";
import type { Meaning } from "../understand/meaning.ts";
import type { Reading } from "../understand/evaluate.ts";
import type { Ranked } from "../understand/rank.ts";
import { settleWhens } from "../understand/whens.ts";
import type { Command } from "./parting.ts";
import { spared } from "./spared.ts";

/** Things of one name that are told apart in a question: nobody chooses among more. */
const mostChoices = 12;

/** Reasons that are told of several ways to understand what cannot be done. */
const mostReasons = 3;

/** What an outcome is concluded with. */
export interface Concluding {
  book: Phrasebook;
  language: string;
  now: LocalTime | undefined;
  /** What would be said to an outcome. */
  speak: (conclusion: Conclusion) => string;
}

/** What the commands of an utterance come to together: all of them are done, or none. */
export function conclude(concluding: Concluding, commands: readonly Command[]): Conclusion {
  const conclusions = commands.map((command) => concludeCommand(concluding, command));
  return together(spared(commands, conclusions));
}

function together(conclusions: readonly Conclusion[]): Conclusion {
  const [first = unknown] = conclusions;
  if (conclusions.length === 1) return first;
  for (const outcome of ["unknown", "refuse", "unsure", "ask"] as const) {
    const stops = conclusions.find((conclusion) => conclusion.outcome === outcome);
    if (stops) return stops;
  }
  const commands = conclusions.flatMap((conclusion) => conclusion.commands);
  if (!isToDo({ commands })) return { outcome: "answer", commands };
  return { outcome: strictest(conclusions.map((conclusion) => conclusion.outcome)), commands };
}

const unknown: Conclusion = { outcome: "unknown", commands: [] };

function strictest(outcomes: readonly Heard["outcome"][]): Guarded {
  if (outcomes.includes("code")) return "code";
  return outcomes.includes("confirm") ? "confirm" : "act";
}

type Guarded = "act" | "confirm" | "code";

function isGuarded(outcome: Heard["outcome"]): outcome is Guarded {
  return outcome === "act" || outcome === "confirm" || outcome === "code";
}

function concludeCommand(concluding: Concluding, { understood, whens }: Command): Conclusion {
  const { book, now } = concluding;
  const conclusion = concludeRanked(concluding, understood.ranked);
  const { outcome, commands } = conclusion;
  const [command] = commands;
  if (whens.length === 0 || !command) return conclusion;
  if (outcome === "answer") return refused(command, [{ reason: "later" }]);
  if (!isGuarded(outcome)) return conclusion;
  const settled = settleWhens(whens, { now, place: book.place });
  if (!settled.ok) return refused(command, [settled.reason]);
  const { when } = settled;
  const { effects, runs } = command;
  const ends = when.for !== undefined || when.until !== undefined;
  const endless = runs ?? effects.find((effect) => "call" in effect)?.device;
  if (ends && endless !== undefined) return refused(command, [{ reason: "stays", id: endless }]);
  const timed = {
    ...command,
    effects: effects.map((effect) => ({ ...effect, when })),
    ...(runs === undefined ? {} : { when }),
  };
  return { outcome: ends ? guardedAfter(book, effects, outcome) : outcome, commands: [timed] };
}

/** What is understood and cannot be done: nothing of it is. */
function refused(command: HeardCommand, reasons: readonly Reason[]): Conclusion {
  return { outcome: "refuse", commands: [nothingOf(command)], reasons };
}

function nothingOf({ intent, slots }: Pick<HeardCommand, "intent" | "slots">): HeardCommand {
  return { intent, slots, effects: [], skipped: [] };
}

/** What is undone after a while ends in the other state, which may be the one that is guarded. */
function guardedAfter(
  { devices }: Phrasebook,
  effects: readonly Effect[],
  outcome: Guarded,
): Guarded {
  const needs = effects.map(({ device }) => devices.get(device)?.voice);
  if (needs.includes("code")) return "code";
  return needs.includes("confirm") && outcome === "act" ? "confirm" : outcome;
}

function concludeRanked(concluding: Concluding, ranked: readonly Ranked[]): Conclusion {
  const best = ranked.filter(({ kept }) => kept).map(({ reading }) => reading);
  const [only] = best;
  // What voice is barred from does not exist as far as speech is concerned.
  if (!only || only.meaning.result === "absent") return unknown;
  const { meaning } = only;
  const intent = only.intent.id;
  if (meaning.result === "unfit" || meaning.result === "refuse") {
    const reasons = best.flatMap(({ meaning: each }) => ("reason" in each ? [each.reason] : []));
    const distinct = new Map(reasons.map((reason) => [tellReason(reason), reason]));
    return refused(nothingOf({ intent, slots: {} }), [...distinct.values()].slice(0, mostReasons));
  }
  if (best.length > 1 || meaning.result === "choices") {
    const choices = apart(
      concluding,
      best.flatMap((reading) => choicesOf(concluding, reading)),
    );
    return { outcome: "unsure", commands: [], choices };
  }
  return concludeMeaning(intent, meaning);
}

/** What one reading comes to that can be done, told or asked for. */
function concludeMeaning(intent: string, meaning: Meant): Conclusion {
  const nothing = nothingOf({ intent, slots: meaning.slots });
  if (meaning.result === "missing") {
    return { outcome: "ask", commands: [nothing], slot: meaning.slot };
  }
  if (meaning.result === "tell") {
    return { outcome: "answer", commands: [{ ...nothing, questions: meaning.questions }] };
  }
  const { effects, skipped, access, runs } = meaning;
  const command: HeardCommand = { ...nothing, effects, skipped };
  if (runs !== undefined) command.runs = runs;
  if (effects.length === 0 && runs === undefined) return { outcome: "answer", commands: [nothing] };
  return { outcome: access === "free" ? "act" : access, commands: [command] };
}

type Meant = Extract<Meaning, { result: "do" | "tell" | "missing" }>;

/** A reading in words to choose it by: what would be said to it, or what it is called. */
function labelOf(concluding: Concluding, intent: Intent, meaning: Meant): string {
  const { book, speak } = concluding;
  const name = intent.id.replaceAll("-", " ");
  const conclusion = concludeMeaning(intent.id, meaning);
  const { outcome, commands } = conclusion;
  // A question is not answered before it was chosen, and a reply that any command has tells nothing.
  const questions = commands.flatMap((command) => command.questions ?? []);
  if (questions.length > 0) {
    return questions.map((question) => askedAbout(concluding, question)).join(", ");
  }
  const of = book.routines.get(commands[0]?.runs ?? "") ?? intent;
  if (!isGuarded(outcome) || of.reply.size === 0) return name;
  return speak({ outcome: "act", commands }).replace(/\.$/u, "") || name;
}

/** What a question is about: the devices, and the state or property that is asked after. */
function askedAbout({ book, language }: Concluding, question: Question): string {
  const { properties } = packOf(book, language);
  const asked =
    question.form === "value"
      ? (properties[question.property]?.[0] ?? question.property)
      : question.state;
  return `${namesOf({ book, language }, question.devices)}: ${asked}`;
}

/** Choices that are worded the same are told apart by the devices that they are about. */
function apart({ book, language }: Concluding, choices: readonly Choice[]): Choice[] {
  return choices.map((choice) => {
    const isAlone = choices.filter(({ label }) => label === choice.label).length === 1;
    const ids = new Set(effectsOf(choice).map(({ device }) => device));
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
      const { commands } = concludeMeaning(intent.id, meaning);
      return [{ label, id: intent.id, commands }];
    }
    case "choices":
      return meaning.options.slice(0, mostChoices).map(({ label: said, id, devices }) => {
        const [device] = devices;
        const own = device && devices.length === 1 ? nameIn(book, device, language) : undefined;
        const label = own ?? said;
        const room = book.rooms.get(device?.room ?? "");
        const place = room && nameIn(book, room, language);
        const full = place === undefined ? label : `${label} (${place})`;
        return { label: full, id, commands: [nothingOf({ intent: intent.id, slots: {} })] };
      });
    default:
      return [];
  }
}
