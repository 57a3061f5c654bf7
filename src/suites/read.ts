import { type Book, asBook } from "../book/book.ts";
import { contextOf } from "../document/context.ts";
import { Cursor } from "../document/cursor.ts";
import { type Path, type SourceText, readDocument, readTexts } from "../document/document.ts";
import { readLength } from "../document/lengths.ts";
import { firstLanguage, readPatterns } from "../document/said.ts";
import { validate } from "../document/validate.ts";
import type { Conditions } from "../model/condition.ts";
import { asWritten, countPhrases, phrases } from "../pattern/phrases.ts";
import { fragmentTree } from "../phrasebook/references.ts";
import type { States } from "../phrasebook/states.ts";
import type { Finding } from "../source/finding.ts";
import { given } from "../source/given.ts";
import type { Position } from "../source/position.ts";
import { WrongUse } from "../source/wrong-use.ts";
import { parseLocal } from "../time/local.ts";
import { readExpectation } from "./expectation-reader.ts";
import { readFaults, readHappening } from "./happenings.ts";
import { checkNamed, conditionsAt, statesAt } from "./reading.ts";
import { type CaseDefinition, suiteSchema } from "./schema.ts";
import type { Case, Suite, SuiteTurn, UnreadCase } from "./suite.ts";

/** Most phrases that one case may make. */
const mostPhrases = 20_000;

/** Reads suite files; findings hold what is wrong with them. */
export function readSuites(of: Book, sources: readonly SourceText[]): Suites {
  const book = asBook(of);
  const each = readTexts(sources).map((source) => readSuite(book, source));
  const suites = {
    suites: each.map(({ suite }) => suite),
    problems: each.flatMap(({ problems }) => problems),
  };
  readBy.set(suites, book);
  return suites;
}

/** Suites as they were read, and what is wrong with them. */
export interface Suites {
  suites: readonly Suite[];
  problems: readonly Finding[];
}

/** The phrasebook against which suites were read. */
const readBy = new WeakMap<Suites, Book>();

/**
 * Suites as somebody passes them who need not have read their type.
 *
 * @throws WrongUse for what `readSuites` did not read against this phrasebook.
 */
export function asSuites(book: Book, suites: Suites): Suites {
  if (typeof suites === "object" && readBy.get(suites) === book) return suites;
  throw new WrongUse("pass the suites that readSuites read with this phrasebook");
}

function readSuite(book: Book, source: SourceText): { suite: Suite; problems: Finding[] } {
  const context = contextOf(book);
  const { findings } = context;
  const document = readDocument(source, findings);
  const unread = new Set<number>();
  let isUnread = false;
  const leave = ([section, index]: Path): void => {
    if (section === "cases" && typeof index === "number") unread.add(index);
    else isUnread = true;
  };
  document.lost.forEach(leave);
  const content = validate(suiteSchema, document, findings, leave);
  const top = new Cursor(content, { context, document });
  if (!content && findings.length === 0) {
    const fix = 'write what is to be tested: suite: "closing time", cases: […]';
    top.report("empty-suite", "there is nothing in this suite", fix);
  }
  if (content?.cases.length === 0 && unread.size === 0) {
    const fix = "write a case: { hear: open the gate, expect: unknown }";
    top.key("cases").report("empty-suite", "this suite has no cases", fix);
  }
  const before = findings.length;
  const shared = content && readSetting(book, top.as(content));
  const forbidden = top.given("never");
  const never = forbidden && conditionsAt(book, forbidden);
  isUnread ||= findings.length > before || !content || content.cases.length + unread.size === 0;

  const cases = new Map<number, readonly (Case | UnreadCase)[]>();
  // Where parts were left out, places are told by the text as it was written.
  const whole = unread.size > 0 || isUnread ? readDocument(source, []) : document;
  const lost = (path: Path): UnreadCase => unreadCase(whole.at(path), findings, path);
  for (const index of unread) cases.set(index, [lost(["cases", index])]);
  for (const each of top.given("cases")?.items() ?? []) {
    if (!shared) break;
    const { path } = each;
    const place = Number(document.written(path)[1]);
    const errors = findings.length;
    const own = readCase(book, each, shared);
    const wrong = findings.slice(errors).filter(({ severity }) => severity === "error");
    if (unread.has(place)) continue;
    const isRead = wrong.length === 0;
    cases.set(place, isRead ? withNever(own, never) : [unreadCase(each.at, wrong, path)]);
  }
  const inOrder = [...cases].sort(([a], [b]) => a - b).flatMap(([, each]) => each);
  const name = content?.suite ?? document.path;
  return {
    suite: { name, file: document.path, cases: [...(isUnread ? [lost([])] : []), ...inOrder] },
    problems: findings,
  };
}

function withNever(cases: readonly Case[], never: Conditions | undefined): readonly Case[] {
  return never ? cases.map((one) => ({ ...one, never })) : cases;
}

/** What stands in the place of a case that cannot be read, with the first finding about it. */
function unreadCase(position: Position, findings: readonly Finding[], path: Path): UnreadCase {
  const isWhole = path.length === 0;
  const errors = findings.filter(({ severity }) => severity === "error");
  const about = isWhole ? errors[0] : errors.find(({ at }) => at.line >= position.line);
  const phrase = isWhole ? "the whole suite" : "a case that cannot be read";
  return { phrase, position, problem: about?.message ?? "it cannot be read" };
}

/** Where, when and how a case is said, with what the suite says of all its cases. */
type Setting = Pick<Case, "language" | "at" | "time" | "given" | "faults">;

interface CaseSetting {
  at?: string;
  language?: string;
  time?: string;
  given: States;
}

type SettingDefinition = Pick<CaseDefinition, "at" | "language" | "time" | "given">;

function readSetting(book: Book, cursor: Cursor<SettingDefinition>): CaseSetting {
  const { at, language, time } = cursor.value;
  if (time !== undefined && !parseLocal(time)) {
    const message = `"${time}" is no time of the calendar`;
    cursor.key("time").report("wrong-value", message, "write another time");
  }
  checkNamed(book, "voicepoint", cursor.given("at"));
  if (language !== undefined && !book.languages.includes(language)) {
    cursor.key("language").unknown("language", language, book.languages);
  }
  return { ...given({ at, language, time }), given: statesAt(book, cursor.given("given")) };
}

function readCase(book: Book, cursor: Cursor<CaseDefinition>, shared: CaseSetting): Case[] {
  const { value: written } = cursor;
  const own = readSetting(book, cursor);
  const states = new Map(shared.given);
  for (const [id, state] of own.given) states.set(id, { ...states.get(id), ...state });
  const setting: Setting = {
    language: firstLanguage(book),
    ...shared,
    ...own,
    given: states,
    faults: readFaults(book, cursor.given("faults")),
  };
  if ("talk" in written) return [readTalk(book, cursor.as(written), setting)];
  if ("after" in written) return [readAfter(book, cursor.as(written), setting)];
  return readPhrases(book, cursor.as(written), setting);
}

/** A case for each phrase that a pattern makes. */
function readPhrases(
  book: Book,
  cursor: Cursor<Extract<CaseDefinition, { hear: unknown }>>,
  setting: Setting,
): Case[] {
  const hear = cursor.key("hear");
  const expect = readExpectation(book, cursor.key("expect"));
  const { context, at: position } = hear;
  // A text without a language is in the language of the case.
  const languages = [setting.language, ...context.languages];
  const patterns = readPatterns(hear.within({ ...context, languages }));
  return patterns.flatMap((pattern): Case[] => {
    const resolve = (name: string) => fragmentTree(book.fragments.get(name), pattern.language);
    const count = countPhrases(pattern.tree, resolve);
    if (count > 0 && count <= mostPhrases) {
      const { language } = pattern;
      const one: Case = { ...setting, phrase: "", language, expect, position };
      return [...phrases(pattern.tree, resolve, asWritten)].map((words) => {
        return { ...one, phrase: words.join(" ") };
      });
    }
    const [message, fix] =
      count === 0
        ? ["the pattern makes no phrase to hear", "use words, and fragments that exist"]
        : [`the pattern makes more than ${mostPhrases} phrases`, "split it, or say less"];
    hear.report("case-phrases", message, fix, { at: pattern.at });
    return [];
  });
}

function reportNothing(cursor: Cursor<unknown>, fix: string): void {
  cursor.report("wrong-value", "nothing happens here", fix);
}

/** A case of several turns. */
function readTalk(
  book: Book,
  cursor: Cursor<Extract<CaseDefinition, { talk: unknown }>>,
  setting: Setting,
): Case {
  const talk = cursor.key("talk");
  if (talk.value.length === 0) reportNothing(talk, 'write a turn: { hear: "yes", expect: act }');
  const turns = talk.items().map((turn, index) => {
    return readTurn(book, turn, talk.value[index - 1]?.expect);
  });
  const phrase = turns.map(({ shown }) => shown).join(" / ");
  const script = { script: "talk", turns } as const;
  return { ...setting, phrase, script, expect: {}, position: talk.at };
}

type TurnDefinition = Extract<CaseDefinition, { talk: unknown }>["talk"][number];

function readTurn(
  book: Book,
  cursor: Cursor<TurnDefinition>,
  before: TurnDefinition["expect"] | undefined,
): SuiteTurn {
  const { hear, at } = cursor.value;
  const isSecret =
    before === "code" ||
    (typeof before === "object" && "outcome" in before && before.outcome === "code");
  checkNamed(book, "voicepoint", cursor.given("at"));
  const wait = cursor.given("wait");
  return {
    hear,
    shown: isSecret ? "…" : hear,
    expect: readExpectation(book, cursor.key("expect")),
    position: cursor.key("hear").at,
    ...given({ at, wait: wait && (readLength(wait) ?? 0) }),
  };
}

/** A case of things that happen. */
function readAfter(
  book: Book,
  cursor: Cursor<Extract<CaseDefinition, { after: unknown }>>,
  setting: Setting,
): Case {
  const after = cursor.key("after");
  const { value } = after;
  const each = Array.isArray(value) ? after.as(value).items() : [after.as(value)];
  if (each.length === 0) reportNothing(after, "write what happens: { wait: 25m }");
  const happenings = each.map((happening) => readHappening(book, happening));
  const expect = readExpectation(book, cursor.key("expect"));
  const phrase = happenings.map(({ text }) => text).join(", ");
  const script = { script: "after", happenings } as const;
  return { ...setting, phrase, script, expect, position: after.at };
}
