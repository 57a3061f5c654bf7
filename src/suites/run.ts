import type { State } from "../model/property.ts";
import type { HearContext } from "../hearing/context.ts";
import { describeOutcome } from "../commands/describe.ts";
import type { Why } from "../hearing/explain/why.ts";
import type { Heard } from "../commands/outcome.ts";
import { type Book, asBook } from "../book/book.ts";
import { membersOf, textsOf } from "../source/border.ts";
import { nothingDone } from "../home/conversation/turns.ts";
import { type Simulated, createSimulated } from "../home/simulated/simulate.ts";
import type { Finding } from "../source/finding.ts";
import type { Position } from "../source/position.ts";
import { doneBy, printDone } from "./effect.ts";
import { type Happening, happen } from "./happenings.ts";
import { type Check, type Failure, effectsExpected, judge, judgeNever } from "./judge.ts";
import { type Later, expectLater } from "./later.ts";
import { type Case, type Suite, type SuiteTurn, type UnreadCase } from "./suite.ts";
import { type Suites, asSuites } from "./read.ts";
import { given } from "../source/given.ts";

/** Raised when the JSON form of results changes in a way that a reader must know of. */
export const resultsVersion = 2;

/** What running suites came to. */
export interface SuiteResults {
  version: typeof resultsVersion;
  suites: readonly SuiteResult[];
  passed: number;
  /** Cases that failed, those that could not be read among them. */
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

export interface CaseBase {
  phrase: string;
  language: string;
  at?: string;
  position: Position;
}

export interface CaseFailed {
  passed: false;
  failures: readonly Failure[];
  /** What was heard, and why; left out where the case cannot be read. */
  heard?: Heard;
  why?: Why;
}

export interface RunOptions {
  /** Names of the suites to run; all when left out. */
  only?: readonly string[];
}

/**
 * Runs suites. Every case starts from a fresh home.
 *
 * @throws WrongUse for suites that `readSuites` did not read with this phrasebook.
 */
export function runSuites(given: Book, read: Suites, options: RunOptions = {}): SuiteResults {
  const book = asBook(given);
  const { suites, problems } = asSuites(book, read);
  const chosenBy: unknown = membersOf(options)["only"];
  const only = chosenBy === undefined ? undefined : textsOf(chosenBy);
  const chosen = suites.filter(({ name }) => !only || only.includes(name));
  const results = chosen.map((suite) => runSuite(book, suite));
  const cases = results.flatMap((result) => result.cases);
  const passed = cases.filter((result) => result.passed).length;
  return {
    version: resultsVersion,
    suites: results,
    passed,
    failed: cases.length - passed,
    problems,
  };
}

function runSuite(book: Book, { name, file, cases }: Suite): SuiteResult {
  return {
    suite: name,
    file,
    cases: cases.map((each) => ("problem" in each ? failUnread(book, each) : runCase(book, each))),
  };
}

function failUnread(book: Book, { phrase, position, problem }: UnreadCase): CaseResult {
  const expected = "a case that can be read";
  const failures = [{ about: "case", expected, actual: problem } as const];
  return { phrase, language: book.languages[0] ?? "en", position, passed: false, failures };
}

function runCase(book: Book, each: Case): CaseResult {
  const { phrase, language, at, position, never } = each;
  const home = homeOf(book, each);
  const base =
    at === undefined ? { phrase, language, position } : { phrase, language, at, position };
  const failures: Failure[] = [];
  const check: Check = (about, holds, expected, actual) => {
    if (!holds) failures.push({ about, expected, actual });
  };
  const heard = runIn(home, book, each, check);
  if (never) judgeNever(never, home, check);
  return failures.length === 0
    ? { ...base, passed: true }
    : { ...base, passed: false, failures, heard, why: book.why(heard, home.state) };
}

function runIn(home: Simulated, book: Book, each: Case, check: Check): Heard {
  const { script } = each;
  switch (script?.script) {
    case "talk":
      return runTalk(book, each, { turns: script.turns, home }, check);
    case "after":
      return runAfter(book, each, { happenings: script.happenings, home }, check);
    case undefined:
      return runPhrase(book, each, home, check);
  }
}

function homeOf(book: Book, { given: states, time, faults }: Case): Simulated {
  return createSimulated(book, {
    states: Object.fromEntries(states),
    faults,
    ...(time !== undefined && { time }),
  });
}

function runPhrase(book: Book, each: Case, home: Simulated, check: Check): Heard {
  const { expect, phrase } = each;
  const heard = book.hear(phrase, contextOf(each, home));
  const said = { home, now: home.elapsed(), before: statesNow(expect, home) };
  const { reply } = home.perform(heard);
  settle(expect, home);
  judge(expect, { heard, outcome: heard.outcome, reply, home, since: 0 }, check);
  judgeSame(book, each, { heard, home, since: 0 }, check);
  inTime(expectLater(expect, heard, said, check), home);
  return heard;
}

/** What happens, and what has come of it. */
function runAfter(
  book: Book,
  each: Case,
  { happenings, home }: { happenings: readonly Happening[]; home: Simulated },
  check: Check,
): Heard {
  const { language, at, expect } = each;
  const context = { language, ...given({ at }) };
  let heard: Heard | undefined;
  let { reply } = nothingDone;
  for (const happening of happenings) {
    const happened = happen(home, happening, context);
    heard = happened.heard ?? heard;
    reply = happened.performed.reply;
  }
  settle(expect, home);
  const said = home.log().findLast(({ event }) => event.event === "said")?.event;
  if (said?.event === "said") reply = said.text;
  const came = { heard: heard ?? book.hear("", { language }), reply, home, since: 0 };
  judge(expect, came, check);
  return came.heard;
}

/** The turns of a talk, up to one that came to something else. */
function runTalk(
  book: Book,
  each: Case,
  { turns, home }: { turns: readonly SuiteTurn[]; home: Simulated },
  check: Check,
): Heard {
  const { language, at } = each;
  const later: Later[] = [];
  let last: Heard | undefined;
  let broken = 0;
  for (const { hear, shown, expect, wait = 0, at: elsewhere = at } of turns) {
    home.wait(wait);
    const since = home.deeds().length;
    const said = { home, now: home.elapsed(), before: statesNow(expect, home) };
    const place = { language, ...given({ at: elsewhere }) };
    const { heard, outcome, reply } = home.converse(place).say(hear);
    last = heard;
    settle(expect, home);
    const checkTurn: Check = (about, holds, expected, actual) => {
      if (!holds) broken++;
      check(about, holds, `at “${shown}”: ${expected}`, actual);
    };
    judge(expect, { heard, outcome, reply, home, since }, checkTurn);
    judgeSame(book, { ...each, expect }, { heard, home, since }, checkTurn);
    // What follows a turn that came to something else tells nothing.
    if (broken > 0) break;
    later.push(...expectLater(expect, heard, said, checkTurn));
  }
  inTime(later, home);
  return last ?? book.hear("", { language });
}

/** Lets what an effect set moving arrive, where its end is asked about. */
function settle(expect: Case["expect"], home: Simulated): void {
  if (expect.home ?? effectsExpected(expect).length > 0) home.settle();
}

/** Judges what comes later, each once its time has come. */
function inTime(later: readonly Later[], home: Simulated): void {
  for (const { due, judge: judgeNow } of [...later].sort((a, b) => a.due - b.due)) {
    home.wait(Math.max(0, due - home.elapsed()));
    judgeNow();
  }
}

/** Another phrase, in a home in which nothing misbehaves, has to come to the same. */
function judgeSame(
  book: Book,
  each: Case,
  { heard, home, since }: { heard: Heard; home: Simulated; since: number },
  check: Check,
): void {
  const { sameAs } = each.expect;
  if (sameAs === undefined) return;
  const other = homeOf(book, { ...each, faults: {} });
  const wanted = book.hear(sameAs, contextOf(each, other));
  other.perform(wanted);
  const expected = `"${sameAs}" comes to ${describeOutcome(wanted)}`;
  const actual = describeOutcome(heard);
  if (wanted.outcome !== "act" || actual !== describeOutcome(wanted)) {
    check("same as", false, expected, actual);
    return;
  }
  const [own, its] = [home.deeds().slice(since), other.deeds()].map((deeds) =>
    printDone(doneBy(deeds), []),
  );
  check("same as", own === its, expected, `${own ?? ""} is done`);
}

/** States as they are now, whatever becomes of them, of devices that are to be as before later. */
function statesNow(expect: Case["expect"], home: Simulated): Simulated["state"] {
  const lasting = effectsExpected(expect).filter(({ when }) => when);
  if (lasting.length === 0) return () => nothing;
  const ids = lasting.flatMap(({ set }) => [...(set?.keys() ?? [])]);
  const states = new Map(ids.map((id) => [id, home.state(id)] as const));
  return (id) => states.get(id) ?? nothing;
}

const nothing: State = {};

function contextOf({ language, at, time }: Case, home: Simulated): HearContext {
  const context: HearContext = { language, states: home.state, lastOn: home.lastOn };
  if (at !== undefined) context.at = at;
  if (time !== undefined) context.time = time;
  return context;
}
