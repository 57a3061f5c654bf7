import type { State } from "../model/property.ts";
import type { Fault } from "../home/simulated/devices.ts";
import type { HearContext } from "../hearing/context.ts";
import { describeOutcome } from "../commands/describe.ts";
import type { Heard } from "../commands/outcome.ts";
import type { Book } from "../book/book.ts";
import { nothingDone } from "../home/conversation/turns.ts";
import { type CaseHome, createSimulated } from "../home/simulated/simulate.ts";
import { doneBy, printDone } from "./effect.ts";
import { type Happening, happen } from "./happenings.ts";
import { type Check, type Failure, effectsExpected, judge, judgeNever } from "./judge.ts";
import { type Later, expectLater } from "./later.ts";
import type { CaseBase, CaseResult } from "./results.ts";
import type { Case, SuiteTurn, UnreadCase } from "./suite.ts";
import { given } from "../source/given.ts";

/** A case as it was run: what it came to, and what was heard in which home on the way. */
export interface CaseRun {
  result: CaseResult;
  turns: readonly RunTurn[];
  /** The home as it is in the end; none where the case was left out or cannot be read. */
  home?: CaseHome;
}

/** Something that was said, and what came of it. */
export interface RunTurn {
  heard: Heard;
  reply: string;
}

/** What the home of a case begins with. */
export interface CaseStart {
  states: Readonly<Record<string, State>>;
  faults: Readonly<Record<string, Fault | undefined>>;
  /** Local time; any where the case says none. */
  time?: string;
}

/** Makes a home for a case. */
export type HomeMaker = (start: CaseStart) => CaseHome;

/** Runs one case, in a home of its own. */
export function runCase(
  book: Book,
  each: Case | UnreadCase,
  make: HomeMaker = (start) => createSimulated(book, start),
): CaseRun {
  if ("problem" in each) return { result: failUnread(book, each), turns: [] };
  if (each.skip !== undefined) {
    return { result: { ...baseOf(each), passed: true, skipped: each.skip }, turns: [] };
  }
  const home = homeOf(make, each);
  const turns: RunTurn[] = [];
  return { result: judgeCase({ book, make, home, turns }, each), turns, home };
}

function judgeCase(stage: Stage, each: Case): CaseResult {
  const { book, home, turns } = stage;
  const base = baseOf(each);
  const failures: Failure[] = [];
  const check: Check = (about, holds, expected, actual) => {
    if (!holds) failures.push({ about, expected, actual });
  };
  runIn(stage, each, check);
  if (each.never) judgeNever(each.never, home, check);
  if (each.fails !== undefined) {
    if (failures.length > 0) return { ...base, passed: true, fails: each.fails, failures };
    const expected = `it fails: ${each.fails}`;
    const actual = "it passes: take out fails, which holds no longer";
    failures.push({ about: "fails", expected, actual });
  }
  if (failures.length === 0) return { ...base, passed: true };
  const heard = lastHeard(book, each, turns);
  const why = book.why(heard, home.state);
  const isTimed = each.script?.script === "after";
  const log = home.log();
  return { ...base, passed: false, failures, heard, why, log, ...(isTimed && { isTimed }) };
}

/** What a case is, as its result tells it. */
function baseOf({ phrase, language, at, position, name, note, tags }: Case): CaseBase {
  // Written out, since it is done for every case.
  const base: CaseBase = { phrase, language, position };
  if (at !== undefined) base.at = at;
  if (name !== undefined) base.name = name;
  if (note !== undefined) base.note = note;
  if (tags !== undefined) base.tags = tags;
  return base;
}

function failUnread(book: Book, { phrase, position, problem }: UnreadCase): CaseResult {
  const expected = "a case that can be read";
  const failures = [{ about: "case", expected, actual: problem } as const];
  return { phrase, language: book.languages[0] ?? "en", position, passed: false, failures };
}

/** Where a case is run, and what was said so far. */
interface Stage {
  book: Book;
  make: HomeMaker;
  home: CaseHome;
  turns: RunTurn[];
}

function runIn(stage: Stage, each: Case, check: Check): void {
  const { script } = each;
  switch (script?.script) {
    case "talk":
      runTalk(stage, each, script.turns, check);
      return;
    case "after":
      runAfter(stage, each, script.happenings, check);
      return;
    case undefined:
      runPhrase(stage, each, check);
  }
}

function lastHeard(book: Book, { language }: Case, turns: readonly RunTurn[]): Heard {
  return turns.at(-1)?.heard ?? book.hear("", { language });
}

function homeOf(make: HomeMaker, { given: states, time, faults }: Case): CaseHome {
  const start = { states: Object.fromEntries(states), faults };
  return make(time === undefined ? start : { ...start, time });
}

function runPhrase(stage: Stage, each: Case, check: Check): void {
  const { book, home, turns } = stage;
  const { expect, phrase } = each;
  const heard = book.hear(phrase, contextOf(each, home));
  const said = { home, now: home.elapsed(), before: statesNow(expect, home) };
  const { reply } = home.perform(heard);
  turns.push({ heard, reply });
  settle(expect, home);
  judge(expect, { heard, outcome: heard.outcome, reply, home, since: 0 }, check);
  judgeSame(stage, each, { heard, since: 0 }, check);
  inTime(expectLater(expect, heard, said, check), home);
}

/** What happens, and what has come of it. */
function runAfter(
  { book, home, turns }: Stage,
  each: Case,
  happenings: readonly Happening[],
  check: Check,
): void {
  const { language, at, expect } = each;
  const context = { language, ...given({ at }) };
  let { reply } = nothingDone;
  for (const happening of happenings) {
    const { heard, performed } = happen(home, happening, context);
    ({ reply } = performed);
    if (heard) turns.push({ heard, reply });
  }
  settle(expect, home);
  const said = home.log().findLast(({ event }) => event.event === "said")?.event;
  if (said?.event === "said") reply = said.text;
  judge(expect, { heard: lastHeard(book, each, turns), reply, home, since: 0 }, check);
}

/** The turns of a talk, up to one that came to something else. */
function runTalk(stage: Stage, each: Case, script: readonly SuiteTurn[], check: Check): void {
  const { home, turns } = stage;
  const { language, at } = each;
  const later: Later[] = [];
  let broken = 0;
  for (const turn of script) {
    const { hear, shown, expect, wait = 0, at: elsewhere = at } = turn;
    home.wait(wait);
    const since = home.deeds().length;
    const said = { home, now: home.elapsed(), before: statesNow(expect, home) };
    const place = { language: turn.language ?? language, ...given({ at: elsewhere }) };
    const { heard, outcome, reply } = home.converse(place).say(hear);
    turns.push({ heard, reply });
    settle(expect, home);
    const checkTurn: Check = (about, holds, expected, actual) => {
      if (!holds) broken++;
      check(about, holds, `at “${shown}”: ${expected}`, actual);
    };
    judge(expect, { heard, outcome, reply, home, since }, checkTurn);
    judgeSame(stage, { ...each, expect }, { heard, since }, checkTurn);
    // What follows a turn that came to something else tells nothing.
    if (broken > 0) break;
    later.push(...expectLater(expect, heard, said, checkTurn));
  }
  inTime(later, home);
}

/** Lets what an effect set moving arrive, where its end is asked about. */
function settle(expect: Case["expect"], home: CaseHome): void {
  if (expect.home ?? effectsExpected(expect).length > 0) home.settle();
}

/** Judges what comes later, each once its time has come. */
function inTime(later: readonly Later[], home: CaseHome): void {
  for (const { due, judge: judgeNow } of [...later].sort((a, b) => a.due - b.due)) {
    home.wait(Math.max(0, due - home.elapsed()));
    judgeNow();
  }
}

/** Another phrase, in a home in which nothing misbehaves, has to come to the same. */
function judgeSame(
  { book, make, home }: Stage,
  each: Case,
  { heard, since }: { heard: Heard; since: number },
  check: Check,
): void {
  const { sameAs } = each.expect;
  if (sameAs === undefined) return;
  const done = home.deeds().slice(since);
  const other = homeOf(make, { ...each, faults: {} });
  const wanted = book.hear(sameAs, contextOf(each, other));
  other.perform(wanted);
  const expected = `"${sameAs}" comes to ${describeOutcome(wanted)}`;
  const actual = describeOutcome(heard);
  if (wanted.outcome !== "act" || actual !== describeOutcome(wanted)) {
    check("same as", false, expected, actual);
    return;
  }
  const [own, its] = [done, other.deeds()].map((deeds) => printDone(doneBy(deeds), []));
  check("same as", own === its, expected, `${own ?? ""} is done`);
}

/** States as they are now, whatever becomes of them, of devices that are to be as before later. */
function statesNow(expect: Case["expect"], home: CaseHome): CaseHome["state"] {
  const lasting = effectsExpected(expect).filter(({ when }) => when);
  if (lasting.length === 0) return () => nothing;
  const ids = lasting.flatMap(({ set }) => [...(set?.keys() ?? [])]);
  const states = new Map(ids.map((id) => [id, home.state(id)] as const));
  return (id) => states.get(id) ?? nothing;
}

const nothing: State = {};

function contextOf({ language, at, time }: Case, home: CaseHome): HearContext {
  const context: HearContext = { language, states: home.state, lastOn: home.lastOn };
  if (at !== undefined) context.at = at;
  if (time !== undefined) context.time = time;
  return context;
}
