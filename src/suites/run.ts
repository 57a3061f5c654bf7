import type { Book } from "../home/book.ts";
import type { Effect, Heard } from "../hearing/outcome.ts";
import { type Performed, performHeard } from "../home/simulate.ts";
import { type StateStore, createStates } from "../home/states.ts";
import { holds, printCondition } from "../phrasebook/condition.ts";
import type { Conditions } from "../phrasebook/steps.ts";
import type { Value } from "../phrasebook/property.ts";
import type { Finding } from "../source/finding.ts";
import type { Position } from "../source/position.ts";
import { matchesGlob } from "./glob.ts";
import { type Case, type Suite, readSuites } from "./suite.ts";

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
  about: "outcome" | "intent" | "set" | "same as" | "reply" | "reason" | "home";
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
  const heard = book.hear(phrase, { language, ...(at === undefined ? {} : { at }) });
  const store = createStates(book.initialStates, each.given);
  const performed = performHeard(store, heard);
  const failures = judge(book, each, heard, performed, store);
  const base = { phrase, language, ...(at === undefined ? {} : { at }), position };
  return failures.length === 0
    ? { ...base, passed: true }
    : { ...base, passed: false, failures, heard };
}

function judge(
  book: Book,
  { expect, language, at }: Case,
  heard: Heard,
  performed: Performed,
  store: StateStore,
): Failure[] {
  const failures: Failure[] = [];
  const check = (about: Failure["about"], holds: boolean, expected: string, actual: string) => {
    if (!holds) failures.push({ about, expected, actual });
  };
  const effects = heard.outcome === "act" ? heard.effects : [];
  const { outcome, intent, set, sameAs, reply, reason, home } = expect;
  if (outcome !== undefined) {
    check("outcome", heard.outcome === outcome, outcome, describeOutcome(heard));
  }
  if (intent !== undefined) {
    const actual = "intent" in heard ? heard.intent : describeOutcome(heard);
    check("intent", actual === intent, intent, actual);
  }
  if (set) check("set", isExactly(set, effects), printConditions(set), describeOutcome(heard));
  if (sameAs !== undefined) {
    const other = book.hear(sameAs, { language, ...(at === undefined ? {} : { at }) });
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
      const value = store.get(device)[property];
      const actual = `${device} ${property}: ${value ?? "nothing"}`;
      const expected = `${device} ${property}: ${printCondition(condition)}`;
      check("home", value !== undefined && holds(condition, value), expected, actual);
    }
  }
  return failures;
}

/** Whether the effects are these and no others. */
function isExactly(set: Conditions, effects: readonly Effect[]): boolean {
  if (effects.length !== set.size) return false;
  return effects.every(({ device, set: values }) => {
    const conditions = set.get(device);
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

function printConditions(set: Conditions): string {
  const devices = [...set].map(([device, conditions]) => {
    const each = Object.entries(conditions).map(
      ([name, condition]) => `${name}: ${printCondition(condition)}`,
    );
    return `${device} { ${each.join(", ")} }`;
  });
  return devices.length === 0 ? "no effect" : devices.sort().join(", ");
}

/** An outcome in one line: its effects, or its name and reason. */
export function describeOutcome(heard: Heard): string {
  switch (heard.outcome) {
    case "act":
      return printEffects(heard.effects);
    case "refuse":
      return `refuse: ${heard.reason}`;
    case "unsure":
      return `unsure: ${heard.choices.map(({ label }) => label).join(" or ")}`;
    case "answer":
      return `answer: ${heard.intent}`;
    case "unknown":
      return "unknown";
  }
}

/** Effects in one line, in the order of device ids. */
export function printEffects(effects: readonly Effect[]): string {
  return effects
    .map(({ device, set }) => {
      const values = Object.entries(set).map(
        ([name, value]: [string, Value]) => `${name}: ${value}`,
      );
      return `${device} { ${values.sort().join(", ")} }`;
    })
    .sort()
    .join(", ");
}
