import type { Book } from "../home/book.ts";
import type { HearContext } from "../hearing/context.ts";
import { describeOutcome, listEffects, printWhen } from "../hearing/describe.ts";
import type { Effect, Heard, HeardCommand, When } from "../hearing/outcome.ts";
import type { Home, Performed } from "../home/simulate.ts";
import { holds, printCondition } from "../phrasebook/condition.ts";
import type { Conditions } from "../phrasebook/states.ts";
import type { Value } from "../phrasebook/property.ts";
import { parseDuration } from "../time/duration.ts";
import type { Finding } from "../source/finding.ts";
import type { Position } from "../source/position.ts";
import { matchesGlob } from "../pattern/glob.ts";
import { type Case, type CommandExpectation, type Suite, readSuites } from "./suite.ts";

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
    "outcome" | "intent" | "effect" | "slot" | "commands" | "same as" | "reply" | "reason" | "home";
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
  const { phrase, language, at, position } = each;
  const heard = book.hear(phrase, contextOf(each));
  const home = book.makeHome({
    states: Object.fromEntries(each.given),
    ...(each.time === undefined ? {} : { time: each.time }),
  });
  const performed = home.perform(heard);
  if (each.expect.home) home.settle();
  const failures = judge(book, each, heard, performed, home);
  const base = { phrase, language, ...(at === undefined ? {} : { at }), position };
  return failures.length === 0
    ? { ...base, passed: true }
    : { ...base, passed: false, failures, heard };
}

function judge(
  book: Book,
  each: Case,
  heard: Heard,
  performed: Performed,
  simulated: Home,
): Failure[] {
  const { expect } = each;
  const failures: Failure[] = [];
  const check = (about: Failure["about"], holds: boolean, expected: string, actual: string) => {
    if (!holds) failures.push({ about, expected, actual });
  };
  const { outcome, commands, asks, sameAs, reply, reason, home } = expect;
  if (outcome !== undefined) {
    check("outcome", heard.outcome === outcome, outcome, describeOutcome(heard));
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
