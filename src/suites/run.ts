import type { Book } from "../home/book.ts";
import type { HearContext } from "../hearing/context.ts";
import { describeOutcome, listEffects, printWhen } from "../hearing/describe.ts";
import type { Effect, Heard, HeardCommand, When } from "../hearing/outcome.ts";
import { type Turn, nothingDone } from "../home/converse.ts";
import { type LogEntry, printEvent } from "../home/log.ts";
import type { Performed } from "../home/scene.ts";
import { type Home, createHome } from "../home/simulate.ts";
import { type Conditions, holds, printCondition } from "../phrasebook/condition.ts";
import type { Value } from "../phrasebook/property.ts";
import { parseDuration } from "../time/duration.ts";
import { printClock } from "../time/local.ts";
import type { Finding } from "../source/finding.ts";
import type { Position } from "../source/position.ts";
import { matchesGlob } from "../pattern/glob.ts";
import { happen } from "./happenings.ts";
import {
  type Case,
  type CommandExpectation,
  type Expectation,
  type Script,
  type Suite,
  readSuites,
} from "./suite.ts";

/** Raised when the JSON form of results changes in a way that a reader must know of. */
export const resultsVersion = 1;

/** What running suites came to. */
export interface SuiteResults {
  version: typeof resultsVersion;
  suites: readonly SuiteResult[];
  passed: number;
  failed: number;
  /** What is wrong with the suite files themselves. */
  problems: readonly Finding[];
}

export interface SuiteResult {
  suite: string;
  file: string;
  cases: readonly CaseResult[];
}

export type CaseResult = CaseBase & ({ passed: true } | CaseFailed);

interface CaseBase {
  phrase: string;
  language: string;
  at?: string;
  position: Position;
}

interface CaseFailed {
  passed: false;
  failures: readonly Failure[];
  /** What was heard, with its why. */
  heard: Heard;
}

/** One expectation that does not hold. */
export interface Failure {
  /** What was looked at. */
  about:
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
    | "told"
    | "sent"
    | "log"
    | "never";
  expected: string;
  actual: string;
}

export interface RunOptions {
  /** Names of the suites to run; all when left out. */
  only?: readonly string[];
}

/** Runs the suites of a phrasebook. Every case starts from a fresh home. */
export function runSuites(book: Book, { only }: RunOptions = {}): Promise<SuiteResults> {
  const { suites, problems } = readSuites(book, book.suiteSources);
  const chosen = suites.filter(({ name }) => !only || only.includes(name));
  const results = chosen.map((suite) => runSuite(book, suite));
  const cases = results.flatMap((result) => result.cases);
  const passed = cases.filter((result) => result.passed).length;
  return Promise.resolve({
    version: resultsVersion,
    suites: results,
    passed,
    failed: cases.length - passed,
    problems,
  });
}

function runSuite(book: Book, { name, file, cases }: Suite): SuiteResult {
  return { suite: name, file, cases: cases.map((each) => runCase(book, each)) };
}

function runCase(book: Book, each: Case): CaseResult {
  const { phrase, language, at, position, script } = each;
  const home = createHome(book, {
    states: Object.fromEntries(each.given),
    faults: each.faults,
    ...(each.time === undefined ? {} : { time: each.time }),
  });
  const base = { phrase, language, ...(at === undefined ? {} : { at }), position };
  const judged = script ? runScript(book, each, script, home) : runPhrase(book, each, home);
  const failures = [...judged.failures, ...judgeNever(each, home)];
  return failures.length === 0
    ? { ...base, passed: true }
    : { ...base, passed: false, failures, heard: judged.heard };
}

interface Judged {
  failures: Failure[];
  heard: Heard;
}

function runPhrase(book: Book, each: Case, home: Home): Judged {
  const heard = book.hear(each.phrase, contextOf(each));
  const performed = home.perform(heard);
  if (each.expect.home) home.settle();
  return { heard, failures: judge(book, each, heard, performed, home) };
}

/** The turns of a talk, or what happens and what has come of it. */
function runScript(book: Book, each: Case, script: Script, home: Home): Judged {
  const { language, at } = each;
  const context = { language, ...(at === undefined ? {} : { at }) };
  const silence = book.hear("", { language });
  if (script.script === "talk") {
    let last = silence;
    for (const { hear, shown, expect, wait, at: elsewhere } of script.turns) {
      if (wait !== undefined) home.wait(wait);
      const place = elsewhere === undefined ? context : { ...context, at: elsewhere };
      const { heard, outcome, performed, reply } = home.converse(place).say(hear);
      last = heard;
      if (expect.home) home.settle();
      const turn = { ...each, phrase: shown, expect };
      const failures = judge(book, turn, heard, { ...performed, reply }, home, outcome);
      if (failures.length > 0) {
        const where = `at “${shown}”: `;
        return {
          heard,
          failures: failures.map((one) => ({ ...one, expected: where + one.expected })),
        };
      }
    }
    return { heard: last, failures: [] };
  }
  let heard = silence;
  let performed = nothingDone;
  for (const happening of script.happenings) {
    const happened = happen(book, home, happening, context);
    heard = happened.heard ?? heard;
    performed = happened.performed;
  }
  if (each.expect.home) home.settle();
  const said = home.log().findLast(({ event }) => event.event === "said")?.event;
  const reply = said?.event === "said" ? said.text : performed.reply;
  return { heard, failures: judge(book, each, heard, { ...performed, reply }, home) };
}

/** Looks at the log for a moment at which what must never hold did. */
function judgeNever({ never }: Case, home: Home): Failure[] {
  if (!never) return [];
  const states = new Map<string, Record<string, Value>>();
  const isBroken = (device: string): boolean =>
    Object.entries(never.get(device) ?? {}).some(([property, condition]) => {
      const value = states.get(device)?.[property] ?? home.state(device)[property];
      return value !== undefined && holds(condition, value);
    });
  const failures: Failure[] = [];
  const tell = (device: string, time: string): void => {
    const expected = Object.entries(never.get(device) ?? {})
      .map(([property, condition]) => `never ${device} ${property}: ${printCondition(condition)}`)
      .join(", ");
    failures.push({ about: "never", expected, actual: `it was so at ${time}` });
  };
  for (const { time, event } of home.log()) {
    if (event.event !== "changed" || !never.has(event.device)) continue;
    states.set(event.device, { ...states.get(event.device), [event.property]: event.to });
    if (isBroken(event.device)) tell(event.device, time);
  }
  for (const device of never.keys()) {
    if (failures.length === 0 && isBroken(device)) tell(device, home.time());
  }
  return failures;
}

function judge(
  book: Book,
  each: Case,
  heard: Heard,
  performed: Performed,
  simulated: Home,
  // In a conversation words can come to something else than they do alone.
  turned: Turn["outcome"] = heard.outcome,
): Failure[] {
  const { expect } = each;
  const failures: Failure[] = [];
  const check = (about: Failure["about"], holds: boolean, expected: string, actual: string) => {
    if (!holds) failures.push({ about, expected, actual });
  };
  const { outcome, commands, asks, sameAs, reply, reason, home } = expect;
  if (outcome !== undefined) {
    const actual = turned === heard.outcome ? describeOutcome(heard) : turned;
    check("outcome", turned === outcome, outcome, actual);
  }
  if (asks !== undefined) {
    const asked = heard.outcome === "ask" && heard.slot === asks;
    check("outcome", asked, `ask: ${asks}`, describeOutcome(heard));
  }
  const slots = "slots" in heard ? heard.slots : {};
  const effects = "effects" in heard ? heard.effects : [];
  const intent = "intent" in heard ? heard.intent : undefined;
  judgeCommand(expect, { intent, slots, effects }, describeOutcome(heard), check);
  if (commands) {
    const actual = "commands" in heard ? (heard.commands ?? []) : [];
    const isAsMany = actual.length === commands.length;
    const many = `${commands.length} commands`;
    check("commands", isAsMany, many, `${actual.length}: ${describeOutcome(heard)}`);
    for (const [index, wanted] of isAsMany ? commands.entries() : []) {
      const command = actual[index];
      if (command) judgeCommand(wanted, command, listEffects(command.effects).join(", "), check);
    }
  }
  if (sameAs !== undefined) {
    const other = book.hear(sameAs, contextOf(each));
    const wanted = describeOutcome(other);
    const isSame = other.outcome === "act" && wanted === describeOutcome(heard);
    check("same as", isSame, `"${sameAs}" comes to ${wanted}`, describeOutcome(heard));
  }
  if (reply !== undefined) {
    check("reply", matchesGlob(reply, performed.reply), reply, performed.reply);
  }
  if (reason !== undefined) {
    const actual = heard.outcome === "refuse" ? heard.reason : describeOutcome(heard);
    check("reason", heard.outcome === "refuse" && matchesGlob(reason, actual), reason, actual);
  }
  if (expect.routine !== undefined) {
    const ran = simulated
      .log()
      .flatMap(({ event }) => (event.event === "started" ? [event.routine] : []));
    const isSo = ran.includes(expect.routine);
    check("routine", isSo, expect.routine, ran.join(", ") || "no routine ran");
  }
  // Most cases say nothing of it, and its times take a while to work out.
  if (expect.branches ?? expect.told ?? expect.sent ?? expect.log) {
    judgeLog(expect, simulated.log(), check);
  }
  for (const [device, conditions] of home ?? []) {
    for (const [property, condition] of Object.entries(conditions)) {
      const value = simulated.state(device)[property];
      const actual = `${device} ${property}: ${value ?? "nothing"}`;
      const expected = `${device} ${property}: ${printCondition(condition)}`;
      check("home", value !== undefined && holds(condition, value), expected, actual);
    }
  }
  return failures;
}

/** What happened in the home beside its states. */
function judgeLog(expect: Expectation, log: readonly LogEntry[], check: Check): void {
  const { branches, told = {}, sent = {}, log: lines = [] } = expect;
  if (branches) {
    const went = log.flatMap(({ event }) => (event.event === "branch" ? [event.branch] : []));
    const isSo = branches.every((branch, index) => went[index] === branch);
    check(
      "branch",
      isSo && went.length === branches.length,
      branches.join(", "),
      went.join(", ") || "no branch",
    );
  }
  for (const [person, glob] of Object.entries(told)) {
    const texts = log.flatMap(({ event }) =>
      event.event === "notified" && event.person === person ? [event.text] : [],
    );
    const isSo = texts.some((text) => matchesGlob(glob, text));
    check("told", isSo, `${person}: ${glob}`, `${person}: ${texts.join("; ") || "nothing"}`);
  }
  for (const [place, glob] of Object.entries(sent)) {
    const texts = log.flatMap(({ event }) =>
      event.event === "sent" && event.to === place ? [event.text] : [],
    );
    const isSo = texts.some((text) => matchesGlob(glob, text));
    check("sent", isSo, `${place}: ${glob}`, `${place}: ${texts.join("; ") || "nothing"}`);
  }
  for (const { line, clock, within } of lines) {
    const isTime = (time: string): boolean =>
      clock === undefined || Math.abs(secondsOf(time) - clock) <= within;
    const alike = log.filter(({ event }) => matchesGlob(line, printEvent(event)));
    const isThere = alike.some(({ time }) => isTime(time));
    const shown = alike.length > 0 ? alike : log.slice(-6);
    const actual = shown.map(({ time, event }) => `${time.slice(11)} ${printEvent(event)}`);
    const at = clock === undefined ? "" : `${printClock(clock)} `;
    check("log", isThere, at + line, actual.join("; ") || "nothing happened");
  }
}

/** Seconds since the day began. */
function secondsOf(time: string): number {
  const [hours = 0, minutes = 0, seconds = 0] = time.slice(11).split(":").map(Number);
  return hours * 3600 + minutes * 60 + seconds;
}

function contextOf({ language, at, time }: Case): HearContext {
  return {
    language,
    ...(at === undefined ? {} : { at }),
    ...(time === undefined ? {} : { time }),
  };
}

type Check = (about: Failure["about"], holds: boolean, expected: string, actual: string) => void;

function judgeCommand(
  expect: CommandExpectation,
  {
    intent,
    slots,
    effects,
  }: Pick<HeardCommand, "slots" | "effects"> & { intent: string | undefined },
  outcome: string,
  check: Check,
): void {
  if (expect.intent !== undefined) {
    check("intent", intent === expect.intent, expect.intent, intent ?? outcome);
  }
  if (expect.set ?? expect.nudge ?? expect.scale ?? expect.call) {
    check("effect", isExactly(expect, effects), printExpected(expect), outcome);
  } else if (expect.when) {
    const isSo = effects.every(({ when }) => isWhen(expect.when, when));
    check("effect", isSo && effects.length > 0, printWhen(expect.when), outcome);
  }
  for (const [name, value] of Object.entries(expect.slots ?? {})) {
    const actual = slots[name]?.value;
    const seconds = typeof value === "string" ? parseDuration(value) : undefined;
    const isSo = actual === value || (seconds !== undefined && actual === seconds);
    check("slot", isSo, `${name}: ${value}`, `${name}: ${actual ?? "nothing"}`);
  }
}

/** Whether the effects are these and no others, each when it is to be. */
function isExactly(
  { set, nudge, scale, call, when }: CommandExpectation,
  effects: readonly Effect[],
): boolean {
  const sets: [string, Record<string, Value>][] = [];
  const nudges: [string, Record<string, Value>][] = [];
  const scales: [string, Record<string, Value>][] = [];
  const calls = new Map<string, string>();
  for (const effect of effects) {
    if (!isWhen(when, effect.when)) return false;
    if ("set" in effect) sets.push([effect.device, effect.set]);
    else if ("nudge" in effect) nudges.push([effect.device, effect.nudge]);
    else if ("scale" in effect) scales.push([effect.device, effect.scale]);
    else calls.set(effect.device, effect.call);
  }
  const called = call ?? new Map<string, string>();
  const areCalled = [...calls].every(([device, action]) => called.get(device) === action);
  return (
    areValues(set, sets) &&
    areValues(nudge, nudges) &&
    areValues(scale, scales) &&
    areCalled &&
    calls.size === called.size
  );
}

/** A time of day is met on any day. */
function isWhen(expected: When = {}, actual: When = {}): boolean {
  const isPoint = (wanted: string | undefined, said: string | undefined): boolean =>
    wanted === said || (wanted !== undefined && said?.endsWith(`T${wanted}`) === true);
  return (
    expected.in === actual.in &&
    expected.for === actual.for &&
    isPoint(expected.at, actual.at) &&
    isPoint(expected.until, actual.until)
  );
}

function areValues(
  expected: Conditions | undefined,
  actual: readonly [string, Readonly<Record<string, Value>>][],
): boolean {
  if (actual.length !== (expected?.size ?? 0)) return false;
  return actual.every(([device, values]) => {
    const conditions = expected?.get(device);
    if (!conditions) return false;
    const names = Object.keys(values);
    if (names.length !== Object.keys(conditions).length) return false;
    return names.every((name) => {
      const condition = conditions[name];
      const value = values[name];
      return condition !== undefined && value !== undefined && holds(condition, value);
    });
  });
}

function printExpected({ set, nudge, scale, call, when }: CommandExpectation): string {
  const values = (conditions: Conditions | undefined, print: (text: string) => string): string[] =>
    [...(conditions ?? [])].map(([device, each]) => {
      const list = Object.entries(each).map(
        ([name, condition]) => `${name}: ${printCondition(condition)}`,
      );
      return print(`${device} { ${list.sort().join(", ")} }`);
    });
  const all = [
    ...values(set, (text) => text),
    ...values(nudge, (text) => `nudge ${text}`),
    ...values(scale, (text) => `scale ${text}`),
    ...[...(call ?? [])].map(([device, action]) => `${device} ${action}`),
  ];
  const timed = when ? all.map((text) => `${printWhen(when)}: ${text}`) : all;
  return timed.length === 0 ? "no effect" : timed.sort().join(", ");
}
