import type { Book } from "../book/book.ts";
import type { When } from "../commands/outcome.ts";
import { type Cursor, listOf } from "../document/cursor.ts";
import { readLength } from "../document/lengths.ts";
import type { Condition, Conditions } from "../model/condition.ts";
import { thingIds } from "../model/members.ts";
import { knownProperty } from "../phrasebook/written.ts";
import { given } from "../source/given.ts";
import { withoutQuotes } from "../source/quotes.ts";
import { nearest } from "../source/nearest.ts";
import { parseClock } from "../time/local.ts";
import type { CommandExpectation, Expectation, LogExpectation } from "./expectation.ts";
import { checkNamed, conditionsAt, expandPlaces } from "./reading.ts";
import {
  type CommandDefinition,
  type ExpectDefinition,
  type LogDefinition,
  outcomes,
} from "./schema.ts";

const sameAs = /^same as "(.+)"$/;

/** Reads what a phrase must come to, held against the home. */
export function readExpectation(book: Book, cursor: Cursor<ExpectDefinition>): Expectation {
  const { value: written } = cursor;
  if (typeof written === "string") return readWord(cursor, written);
  if (Array.isArray(written)) return { commands: readCommands(book, cursor.as(written)) };
  const inside = cursor.as(written);
  if (Object.keys(written).length === 0) reportEmpty(cursor);
  const { outcome, also, asks, reply, reason, routine, branch, said, about, told, sent } = written;
  for (const person of inside.given("told")?.entries() ?? []) {
    person.refers("person", book.people, { on: "key" });
  }
  checkNamed(book, "routine", inside.given("routine"));
  const things = inside.given("about");
  for (const thing of things ? listOf(things) : []) {
    thing.refers("device or group", thingIds(book));
  }
  const commands = inside.given("commands");
  const log = inside.given("log");
  const home = inside.given("home");
  return {
    ...readCommand(book, inside),
    ...given({
      ...{ outcome, also, asks, routine, said, told, sent, reply, reason },
      about: about === undefined ? undefined : [about].flat(),
      commands: commands && readCommands(book, commands),
      branches: branch === undefined ? undefined : [branch].flat(),
      log: log && readLog(book, log),
      home: home && conditionsAt(book, home),
    }),
  };
}

function readWord(cursor: Cursor<unknown>, written: string): Expectation {
  const phrase = sameAs.exec(written)?.[1];
  cursor.lists("expect", outcomes, `write one of ${outcomes.join(", ")}`);
  if (phrase !== undefined) return { sameAs: phrase };
  const outcome = outcomes.find((each) => each === written);
  if (outcome) return { outcome };
  const near = nearest(written, outcomes);
  const fix = near ? `write ${near}` : `write one of ${outcomes.join(", ")}, or same as "…"`;
  cursor.report("wrong-value", `"${written}" is no outcome`, fix);
  return {};
}

function reportEmpty(cursor: Cursor<unknown>): void {
  const fix = "say what it must come to: act, unknown, { set: … }, { reply: … }";
  cursor.report("wrong-value", "nothing is expected, so nothing is tested", fix);
}

function readLog(book: Book, cursor: Cursor<LogDefinition | LogDefinition[]>): LogExpectation[] {
  const { value } = cursor;
  const lines = Array.isArray(value) ? cursor.as(value).items() : [cursor.as(value)];
  return lines.map((entry): LogExpectation => {
    const { value: line } = entry;
    const text = typeof line === "string" ? entry.as(line) : entry.as(line).key("line");
    seeIds(book, text);
    if (typeof line === "string") return { line, within: 0 };
    const within = entry.as(line).given("within");
    return {
      line: line.line,
      within: (within && readLength(within)) ?? 0,
      ...given({ clock: line.time === undefined ? undefined : parseClock(line.time) }),
    };
  });
}

/** Tells of the words of a line of a log, which may be ids; what is said stands in quotes, and has none. */
function seeIds(book: Book, cursor: Cursor<string>): void {
  if (!cursor.context.watcher) return;
  const { routines, people, voicepoints } = book;
  const things = thingIds(book);
  for (const [id] of withoutQuotes(cursor.value).matchAll(/[\p{L}\p{N}-]+/gu)) {
    cursor.mentions("routine", routines, { id });
    cursor.mentions("person", people, { id });
    cursor.mentions("voicepoint", voicepoints, { id });
    cursor.mentions("device or group", things, { id });
  }
}

function readCommands(book: Book, cursor: Cursor<CommandDefinition[]>): CommandExpectation[] {
  if (cursor.value.length === 0) reportEmpty(cursor);
  return cursor.items().map((each) => readCommand(book, each));
}

function readCommand(book: Book, cursor: Cursor<CommandDefinition>): CommandExpectation {
  const { intent, slots } = cursor.value;
  checkNamed(book, "intent", cursor.given("intent"));
  const set = cursor.given("set");
  const nudge = cursor.given("nudge");
  const scale = cursor.given("scale");
  const call = cursor.given("call");
  const when = cursor.given("when");
  return given({
    intent,
    set: set && conditionsAt(book, set),
    nudge: nudge && readAmounts(book, nudge),
    scale: scale && readAmounts(book, scale),
    call: call && readCalls(book, call),
    when: when && readWhen(when),
    slots,
  });
}

function readAmounts(
  book: Book,
  cursor: Cursor<NonNullable<CommandDefinition["nudge"]>>,
): Conditions {
  const { devices } = book;
  const conditions = new Map<string, Record<string, Condition>>();
  for (const amounts of expandPlaces(book, cursor).entries()) {
    const device = devices.get(amounts.id);
    if (!device) continue;
    const each: Record<string, Condition> = {};
    for (const amount of amounts.entries()) {
      knownProperty(amount, device);
      each[amount.id] = { is: "equal", value: amount.value };
    }
    conditions.set(amounts.id, each);
  }
  return conditions;
}

function readCalls(
  book: Book,
  cursor: Cursor<NonNullable<CommandDefinition["call"]>>,
): Map<string, string> {
  const calls = expandPlaces(book, cursor).entries();
  for (const call of calls) {
    const device = book.devices.get(call.id);
    if (device) call.refers(`action of ${call.id}`, device.actions);
  }
  return new Map(calls.map(({ id, value }) => [id, value]));
}

function readWhen(cursor: Cursor<NonNullable<CommandDefinition["when"]>>): When {
  const seconds = (key: "in" | "for"): number | undefined => {
    const length = cursor.given(key);
    return length && readLength(length);
  };
  const { at, until } = cursor.value;
  return given({ in: seconds("in"), for: seconds("for"), at, until });
}
