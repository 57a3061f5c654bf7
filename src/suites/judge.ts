import { describeOutcome, printWhen } from "../commands/describe.ts";
import { devicesNamed } from "../model/members.ts";
import { type Heard, type HeardCommand, type SlotValue, filledBy } from "../commands/outcome.ts";
import { tellReasons } from "../model/reason.ts";
import type { Turn } from "../home/conversation/turns.ts";
import { type LogEntry, printEvent } from "../home/log.ts";
import type { CaseHome } from "../home/simulated/simulate.ts";
import { matchesGlob } from "../pattern/glob.ts";
import { type Conditions, holds, printCondition } from "../model/condition.ts";
import type { Value } from "../model/property.ts";
import { parseDuration } from "../time/duration.ts";
import { parseLocal, printClock } from "../time/local.ts";
import { doneBy, isDone, isWhen, printDone, printExpected, tellsEffect } from "./effect.ts";
import type { CommandExpectation, Expectation } from "./expectation.ts";

/** One expectation that does not hold. */
export interface Failure {
  /** What was looked at. */
  about:
    | "case"
    | "outcome"
    | "intent"
    | "effect"
    | "slot"
    | "commands"
    | "same as"
    | "reply"
    | "reason"
    | "home"
    | "routine"
    | "branch"
    | "about"
    | "said"
    | "told"
    | "sent"
    | "log"
    | "never"
    | "fails";
  expected: string;
  actual: string;
}

/** Notes an expectation that does not hold. */
export type Check = (
  about: Failure["about"],
  holds: boolean,
  expected: string,
  actual: string,
) => void;

/** What came of what was said, or of what happened. */
export interface Came {
  heard: Heard;
  /** What was said comes to this in a conversation; left out where nothing was said. */
  outcome?: Turn["outcome"];
  reply: string;
  home: CaseHome;
  /** How many orders devices had taken before. */
  since: number;
}

/** Judges all that can be told once it has happened; what is to come later is judged then. */
export function judge(expect: Expectation, came: Came, check: Check): void {
  const { heard, outcome = heard.outcome, reply, home } = came;
  // Almost all cases pass, and have nothing to tell.
  const described = (): string => (outcome === heard.outcome ? describeOutcome(heard) : outcome);
  if (expect.outcome !== undefined) {
    check("outcome", outcome === expect.outcome, expect.outcome, described());
  }
  if (expect.asks !== undefined) {
    const asked = heard.outcome === "ask" && heard.slot === expect.asks;
    check("outcome", asked, `ask: ${expect.asks}`, described());
  }
  if (expect.about !== undefined) judgeAbout(expect.about, came, described, check);
  judgeCommands(expect, came, described, check);
  if (expect.reply !== undefined) {
    check("reply", matchesGlob(expect.reply, reply), expect.reply, reply);
  }
  if (expect.reason !== undefined) {
    const { reason } = expect;
    const isRefused = heard.outcome === "refuse";
    const actual = isRefused ? tellReasons(heard.reasons) : described();
    check("reason", isRefused && matchesGlob(reason, actual), reason, actual);
  }
  if (expect.routine !== undefined) {
    const ran = home
      .log()
      .flatMap(({ event }) => (event.event === "started" ? [event.routine] : []));
    const isSo = ran.includes(expect.routine);
    check("routine", isSo, expect.routine, ran.join(", ") || "no routine ran");
  }
  // Most cases say nothing of it, and its times take a while to work out.
  const { branches, said, told, sent, log } = expect;
  if (branches ?? said ?? told ?? sent ?? log) {
    judgeLog(expect, home.log(), check);
  }
  for (const [device, conditions] of expect.home ?? []) {
    for (const [property, condition] of Object.entries(conditions)) {
      const value = home.state(device)[property];
      const actual = `${device} ${property}: ${value ?? "nothing"}`;
      const expected = `${device} ${property}: ${printCondition(condition)}`;
      check("home", value !== undefined && holds(condition, value), expected, actual);
    }
  }
}

/** A question has to be about just these devices. */
function judgeAbout(
  ids: readonly string[],
  { heard, home }: Came,
  described: () => string,
  check: Check,
): void {
  const wanted = devicesNamed(home.book, ids).map(({ id }) => id);
  const asked = heard.commands.flatMap(({ questions = [] }) => questions);
  const about = new Set(asked.flatMap(({ devices }) => devices));
  const isSo = about.size === wanted.length && wanted.every((id) => about.has(id));
  check("about", isSo, wanted.join(", "), [...about].join(", ") || described());
}

/** The commands of which an effect is expected. */
export function effectsExpected(expect: Expectation): readonly CommandExpectation[] {
  const all = [expect, ...(expect.commands ?? [])];
  return all.some(tellsEffect) ? all.filter(tellsEffect) : [];
}

/**
 * An effect is as expected only if the home did it: speech has to come to `act`, and devices to
 * have taken just those orders, whatever set them off.
 */
function judgeCommands(
  expect: Expectation,
  came: Came,
  described: () => string,
  check: Check,
): void {
  const { heard, outcome, home, since } = came;
  const actual = heard.commands;
  const { commands } = expect;
  if (commands) {
    const isAsMany = actual.length === commands.length;
    check(
      "commands",
      isAsMany,
      countOf(commands.length),
      `${countOf(actual.length)}: ${described()}`,
    );
    for (const [index, wanted] of isAsMany ? commands.entries() : []) {
      const command = actual[index];
      if (command) judgeUnderstood(wanted, { home, commands: [command], described }, check);
    }
  }
  judgeUnderstood(expect, { home, commands: actual, described }, check);
  const effects = effectsExpected(expect);
  if (effects.length === 0) return;
  if (outcome !== undefined && outcome !== "act") {
    check("effect", false, printExpected(effects, expect.also), described());
    return;
  }
  if (effects.some(({ when }) => when)) return;
  const done = doneBy(home.deeds().slice(since), home.state);
  if (isDone(effects, done, expect.also === undefined)) return;
  const expected = printExpected(effects, expect.also);
  const failed = failuresIn(home);
  const said = printDone(done, effects);
  check("effect", false, expected, failed === "" ? said : `${said} (${failed})`);
}

/** What did not answer, since that is why something was not done. */
function failuresIn(home: CaseHome): string {
  const lines = home
    .log()
    .flatMap(({ event }) =>
      event.event === "failed" || event.event === "refused" ? [printEvent(event)] : [],
    );
  return [...new Set(lines)].join(", ");
}

interface Understood extends Pick<Came, "home"> {
  commands: readonly HeardCommand[];
  described: () => string;
}

/** What a command was understood as: its intent, its slots, and when it is to be done. */
function judgeUnderstood(
  expect: CommandExpectation,
  { commands, described, home }: Understood,
  check: Check,
): void {
  const [first] = commands;
  if (expect.intent !== undefined) {
    check("intent", first?.intent === expect.intent, expect.intent, first?.intent ?? described());
  }
  // Without effects, a when is expected of whatever is done; with them, a missing one as well.
  if (expect.when ?? (tellsEffect(expect) && commands.length > 0)) {
    const whens = commands.flatMap(({ when, effects }) =>
      effects.length === 0 ? [when] : effects.map((effect) => effect.when),
    );
    const isSo = whens.every((when) => isWhen(expect.when, when));
    const expected = expect.when ? printWhen(expect.when) : "at once";
    const isUnderstood = whens.length > 0 || expect.when === undefined;
    if (!isSo || !isUnderstood) check("effect", false, expected, described());
  }
  for (const [name, wanted] of Object.entries(expect.slots ?? {})) {
    const filled = first && filledBy(first.slots, name);
    const isSo =
      first !== undefined && filled !== undefined && isFilled(home, first, filled, wanted);
    check(
      "slot",
      isSo,
      `${name}: ${[wanted].flat().join(", ")}`,
      printSlot(name, filled, described()),
    );
  }
}

/** Whether a slot stands for a value, or for all that ids name and that had a part in it. */
function isFilled(
  { book }: CaseHome,
  { skipped }: HeardCommand,
  filled: SlotValue,
  wanted: Value | readonly string[],
): boolean {
  if ("value" in filled) {
    const seconds = typeof wanted === "string" ? parseDuration(wanted) : undefined;
    return filled.value === wanted || (seconds !== undefined && filled.value === seconds);
  }
  const ids = new Set(devicesNamed(book, [wanted].flat().map(String)).map(({ id }) => id));
  const left = new Set(skipped.map(({ device }) => device));
  const isAll = [...ids].every((id) => filled.devices.includes(id) || left.has(id));
  return ids.size > 0 && isAll && filled.devices.every((id) => ids.has(id));
}

function printSlot(name: string, filled: SlotValue | undefined, described: string): string {
  if (!filled) return `${name}: nothing (${described})`;
  return `${name}: ${"value" in filled ? filled.value : filled.devices.join(", ")}`;
}

/** What happened in the home beside its states. */
function judgeLog(expect: Expectation, log: readonly LogEntry[], check: Check): void {
  const { branches, said = {}, told = {}, sent = {}, log: lines = [] } = expect;
  if (branches) {
    const went = log.flatMap(({ event }) => (event.event === "branch" ? [event.branch] : []));
    const isSo =
      went.length === branches.length && branches.every((branch, index) => went[index] === branch);
    check("branch", isSo, branches.join(", "), went.join(", ") || "no branch");
  }
  const judgeTexts = (
    about: "said" | "told" | "sent",
    globs: Readonly<Record<string, string>>,
    textsTo: (place: string) => string[],
  ): void => {
    for (const [place, glob] of Object.entries(globs)) {
      const texts = textsTo(place);
      const isSo = texts.some((text) => matchesGlob(glob, text));
      check(about, isSo, `${place}: ${glob}`, `${place}: ${texts.join("; ") || "nothing"}`);
    }
  };
  judgeTexts("said", said, (where) =>
    log.flatMap(({ event }) =>
      event.event === "said" && event.where === where ? [event.text] : [],
    ),
  );
  judgeTexts("told", told, (person) =>
    log.flatMap(({ event }) =>
      event.event === "notified" && event.person === person ? [event.text] : [],
    ),
  );
  judgeTexts("sent", sent, (place) =>
    log.flatMap(({ event }) => (event.event === "sent" && event.to === place ? [event.text] : [])),
  );
  // Lines stand in the order in which they are expected, one after another.
  let from = 0;
  for (const { line, clock, within } of lines) {
    const isTime = (time: string): boolean =>
      clock === undefined || Math.abs((parseLocal(time)?.seconds ?? 0) - clock) <= within;
    const alike = log.filter(({ event }) => matchesGlob(line, printEvent(event)));
    const isMeant = ({ time, event }: LogEntry): boolean =>
      isTime(time) && matchesGlob(line, printEvent(event));
    const place = log.slice(from).findIndex(isMeant);
    const isThere = place >= 0;
    if (isThere) from += place + 1;
    const shown = alike.length > 0 ? alike : log.slice(-6);
    const actual = shown.map(({ time, event }) => `${time.slice(11)} ${printEvent(event)}`);
    const at = clock === undefined ? "" : `${printClock(clock)} `;
    check("log", isThere, at + line, actual.join("; ") || "nothing happened");
  }
}

/** Looks at the log for a moment at which what must never hold did. */
export function judgeNever(never: Conditions, home: CaseHome, check: Check): void {
  const states = new Map<string, Record<string, Value>>();
  const told: string[] = [];
  const isBroken = (device: string): boolean =>
    Object.entries(never.get(device) ?? {}).some(([property, condition]) => {
      const value = states.get(device)?.[property] ?? home.state(device)[property];
      return value !== undefined && holds(condition, value);
    });
  const tell = (device: string, time: string): void => {
    const expected = Object.entries(never.get(device) ?? {})
      .map(([property, condition]) => `never ${device} ${property}: ${printCondition(condition)}`)
      .join(", ");
    told.push(device);
    check("never", false, expected, `it was so at ${time}`);
  };
  for (const { time, event } of home.log()) {
    if (event.event !== "changed" || !never.has(event.device)) continue;
    states.set(event.device, { ...states.get(event.device), [event.property]: event.to });
    if (isBroken(event.device)) tell(event.device, time);
  }
  for (const device of never.keys()) {
    if (told.length === 0 && isBroken(device)) tell(device, home.time());
  }
}

/** How many commands a phrase is. */
function countOf(commands: number): string {
  return commands === 1 ? "the phrase is a single command" : `the phrase is ${commands} commands`;
}

/** The parts of what is told of an expectation: each device with its values, each line. */
export function partsTold(text: string): string[] {
  return text.split(/; |, (?![^{]*\})/u);
}
