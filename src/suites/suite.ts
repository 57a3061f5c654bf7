import { type Book, asBook } from "../book/book.ts";
import type { Fault } from "../home/simulated/devices.ts";
import { asWritten, countPhrases, phrases } from "../pattern/phrases.ts";
import type { Conditions } from "../phrasebook/condition.ts";
import { contextOf, report, reportUnknown } from "../phrasebook/context.ts";
import { type Path, type SourceText, readDocument, readTexts } from "../phrasebook/document.ts";
import { readLength } from "../phrasebook/lengths.ts";
import { fragmentTree } from "../phrasebook/references.ts";
import { readPatterns } from "../phrasebook/said.ts";
import type { States } from "../phrasebook/states.ts";
import { validate } from "../phrasebook/validate.ts";
import { WrongUse } from "../source/wrong-use.ts";
import type { Finding } from "../source/finding.ts";
import type { Position } from "../source/position.ts";
import { parseLocal } from "../time/local.ts";
import { type Expectation, readExpectation } from "./expectation.ts";
import { type Happening, readFaults, readHappening } from "./happenings.ts";
import { type Reading, checkNamed, conditionsAt, statesAt } from "./reading.ts";
import { type CaseDefinition, suiteSchema } from "./schema.ts";

/** A checked suite: utterances and what each must come to. */
export interface Suite {
  name: string;
  file: string;
  cases: readonly (Case | UnreadCase)[];
}

/** A case, or the whole suite, that cannot be read as it is written: it fails. */
export interface UnreadCase {
  phrase: string;
  position: Position;
  problem: string;
}

/** One case; a pattern makes one for each of its phrases. */
export interface Case {
  /** What is said; what happens, for a case without a phrase. */
  phrase: string;
  /** What is said or happens in turn, where it is more than one phrase. */
  script?: Script;
  /** What must hold at no time. */
  never?: Conditions;
  faults: Readonly<Record<string, Fault | undefined>>;
  language: string;
  /** The voicepoint. */
  at?: string;
  /** Local time there. */
  time?: string;
  given: States;
  expect: Expectation;
  position: Position;
}

export type Script =
  | { script: "talk"; turns: readonly SuiteTurn[] }
  | { script: "after"; happenings: readonly Happening[] };

export interface SuiteTurn {
  hear: string;
  /** The voicepoint, where it is not that of the case. */
  at?: string;
  /** Seconds that pass before it. */
  wait?: number;
  /** As it is shown: an answer to the question for the code is in no report. */
  shown: string;
  expect: Expectation;
  position: Position;
}

/** Most phrases that one case may make. */
const mostPhrases = 20_000;

/** Reads suite files; findings hold what is wrong with them. */
export function readSuites(given: Book, sources: readonly SourceText[]): Suites {
  const book = asBook(given);
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
  const reading: Reading = { context, book, document };
  const unread = new Set<number>();
  let isUnread = false;
  const leave = ([section, index]: Path): void => {
    if (section === "cases" && typeof index === "number") unread.add(index);
    else isUnread = true;
  };
  document.lost.forEach(leave);
  const content = validate(suiteSchema, document, findings, leave);
  if (!content && findings.length === 0) {
    const fix = 'write what is to be tested: suite: "closing time", cases: […]';
    report(context, "empty-suite", document.at([]), "there is nothing in this suite", fix);
  }
  if (content?.cases.length === 0 && unread.size === 0) {
    const fix = "write a case: { hear: open the gate, expect: unknown }";
    report(context, "empty-suite", document.at(["cases"]), "this suite has no cases", fix);
  }
  const before = findings.length;
  const shared = content && readSetting(reading, [], content);
  const never = content?.never && conditionsAt(reading, ["never"], content.never);
  isUnread ||= findings.length > before || !content || content.cases.length + unread.size === 0;

  const cases = new Map<number, readonly (Case | UnreadCase)[]>();
  // Where parts were left out, places are told by the text as it was written.
  const whole = unread.size > 0 || isUnread ? readDocument(source, []) : document;
  const lost = (path: Path): UnreadCase => unreadCase(whole.at(path), findings, path);
  for (const index of unread) cases.set(index, [lost(["cases", index])]);
  for (const [index, each] of (content?.cases ?? []).entries()) {
    if (!shared) break;
    const path = ["cases", index];
    const place = Number(document.written(path)[1]);
    const errors = findings.length;
    const own = readCase(reading, path, each, shared);
    const wrong = findings.slice(errors).filter(({ severity }) => severity === "error");
    if (unread.has(place)) continue;
    const isRead = wrong.length === 0;
    cases.set(place, isRead ? withNever(own, never) : [unreadCase(document.at(path), wrong, path)]);
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

function readSetting(
  reading: Reading,
  path: Path,
  { at, language, time, given }: Pick<CaseDefinition, "at" | "language" | "time" | "given">,
): CaseSetting {
  const { context, book, document } = reading;
  if (time !== undefined && !parseLocal(time)) {
    const message = `"${time}" is no time of the calendar`;
    report(context, "wrong-value", document.at([...path, "time"]), message, "write another time");
  }
  checkNamed(reading, () => document.at([...path, "at"]), "voicepoint", at);
  if (language !== undefined && !book.languages.includes(language)) {
    const known = book.languages;
    reportUnknown(context, document.at([...path, "language"]), "language", language, known);
  }
  return {
    ...(at === undefined ? {} : { at }),
    ...(language === undefined ? {} : { language }),
    ...(time === undefined ? {} : { time }),
    given: statesAt(reading, [...path, "given"], given ?? {}),
  };
}

function readCase(
  reading: Reading,
  path: Path,
  written: CaseDefinition,
  shared: CaseSetting,
): Case[] {
  const { context, book, document } = reading;
  const own = readSetting(reading, path, written);
  const under = [...path, "faults"];
  const given = new Map(shared.given);
  for (const [id, state] of own.given) given.set(id, { ...given.get(id), ...state });
  const setting: Setting = {
    language: book.languages[0] ?? "en",
    ...shared,
    ...own,
    given,
    faults: readFaults(reading, under, written.faults ?? {}),
  };
  if (!("hear" in written)) {
    return [readScript(reading, path, written, setting)];
  }
  const expect = readExpectation(reading, [...path, "expect"], written.expect);
  const position = document.at([...path, "hear"]);

  // A text without a language is in the language of the case.
  const inLanguage = { ...context, languages: [setting.language, ...context.languages] };
  const patterns = readPatterns(inLanguage, document, [...path, "hear"], written.hear);
  return patterns.flatMap((pattern): Case[] => {
    const resolve = (name: string) => fragmentTree(book.fragments.get(name), pattern.language);
    const count = countPhrases(pattern.tree, resolve);
    if (count === 0 || count > mostPhrases) {
      const message =
        count === 0
          ? "the pattern makes no phrase to hear"
          : `the pattern makes more than ${mostPhrases} phrases`;
      const fix = count === 0 ? "use words, and fragments that exist" : "split it, or say less";
      report(context, "case-phrases", pattern.at, message, fix);
      return [];
    }
    return [...phrases(pattern.tree, resolve, asWritten)].map((words) => ({
      ...setting,
      phrase: words.join(" "),
      language: pattern.language,
      expect,
      position,
    }));
  });
}

/** A case of several turns, or of things that happen. */
function readScript(
  reading: Reading,
  path: Path,
  written: Exclude<CaseDefinition, { hear: unknown }>,
  setting: Setting,
): Case {
  const { context, document } = reading;
  const reportNothing = (key: string, fix: string): void => {
    report(context, "wrong-value", document.at([...path, key]), "nothing happens here", fix);
  };
  if ("talk" in written) {
    if (written.talk.length === 0)
      reportNothing("talk", 'write a turn: { hear: "yes", expect: act }');
    const turns = written.talk.map((turn, index) => {
      const under = [...path, "talk", index];
      return readTurn(reading, under, turn, written.talk[index - 1]?.expect);
    });
    const phrase = turns.map(({ shown }) => shown).join(" / ");
    const position = document.at([...path, "talk"]);
    return { ...setting, phrase, script: { script: "talk", turns }, expect: {}, position };
  }
  const happenings = [written.after].flat();
  if (happenings.length === 0) reportNothing("after", "write what happens: { wait: 25m }");
  const read = happenings.map((happening, index) => {
    const under = [...path, "after", ...(Array.isArray(written.after) ? [index] : [])];
    return readHappening(reading, under, happening);
  });
  const expect = readExpectation(reading, [...path, "expect"], written.expect);
  const phrase = read.map(({ text }) => text).join(", ");
  const position = document.at([...path, "after"]);
  return { ...setting, phrase, script: { script: "after", happenings: read }, expect, position };
}

type TurnDefinition = Extract<CaseDefinition, { talk: unknown }>["talk"][number];

function readTurn(
  reading: Reading,
  path: Path,
  { hear, at, wait, expect }: TurnDefinition,
  before: TurnDefinition["expect"] | undefined,
): SuiteTurn {
  const { context, document } = reading;
  const isSecret =
    before === "code" ||
    (typeof before === "object" && "outcome" in before && before.outcome === "code");
  checkNamed(reading, () => document.at([...path, "at"]), "voicepoint", at);
  return {
    hear,
    shown: isSecret ? "…" : hear,
    expect: readExpectation(reading, [...path, "expect"], expect),
    position: document.at([...path, "hear"]),
    ...(at === undefined ? {} : { at }),
    ...(wait === undefined
      ? {}
      : { wait: readLength(context, document, [...path, "wait"], wait) ?? 0 }),
  };
}
