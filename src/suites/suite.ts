import type { Book } from "../home/book.ts";
import { countPhrases, phrases } from "../pattern/phrases.ts";
import { type Context, report, reportUnknown } from "../phrasebook/context.ts";
import { type Document, type Path, readDocument } from "../phrasebook/document.ts";
import type { SourceText } from "../phrasebook/document.ts";
import { fragmentTree } from "../phrasebook/references.ts";
import { readPatterns } from "../phrasebook/said.ts";
import type { Conditions } from "../phrasebook/condition.ts";
import { type States, readConditions, readStates } from "../phrasebook/states.ts";
import { validate } from "../phrasebook/validate.ts";
import type { Finding } from "../source/finding.ts";
import { nearest } from "../source/nearest.ts";
import type { Position } from "../source/position.ts";
import { parseDuration } from "../time/duration.ts";
import { parseClock, parseLocal } from "../time/local.ts";
import type { Value } from "../phrasebook/property.ts";
import type { When } from "../hearing/outcome.ts";
import type { Fault } from "../home/devices.ts";
import { devicesOf } from "../hearing/targets.ts";
import { checkDuration, checkFaults, checkHappening, describeHappening } from "./happenings.ts";
import {
  type CaseDefinition,
  type CommandDefinition,
  type ExpectDefinition,
  type HappeningDefinition,
  type LogDefinition,
  type ExpectedOutcome,
  type SuiteDefinition,
  outcomes,
  suiteSchema,
} from "./schema.ts";

/** A checked suite: utterances and what each must come to. */
export interface Suite {
  name: string;
  file: string;
  cases: readonly Case[];
}

/** One case; a pattern makes one for each of its phrases. */
export interface Case {
  /** What is said; what happens, for a case without a phrase. */
  phrase: string;
  /** What is said or happens in turn, where it is more than one phrase. */
  script?: Script;
  /** What must hold at no time. */
  never?: Conditions;
  faults: Readonly<Record<string, Fault>>;
  language: string;
  /** The voicepoint. */
  at?: string;
  /** Local time there. */
  time?: string;
  given: States;
  expect: Expectation;
  position: Position;
}

/** What one command is to come to. */
export interface CommandExpectation {
  intent?: string;
  /** The exact effect: these properties of these devices, and no others. */
  set?: Conditions;
  nudge?: Conditions;
  scale?: Conditions;
  call?: ReadonlyMap<string, string>;
  /** When it is to be done; an effect that has a when and is expected to have none fails. */
  when?: When;
  slots?: Readonly<Record<string, Value>>;
}

export type Script =
  | { script: "talk"; turns: readonly SuiteTurn[] }
  | { script: "after"; happenings: readonly HappeningDefinition[] };

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

export interface Expectation extends CommandExpectation {
  /** The routine that ran. */
  routine?: string;
  /** Ways that its steps went, in this order. */
  branches?: readonly string[];
  /** Globs over what people are told, and over what is sent to places. */
  told?: Readonly<Record<string, string>>;
  sent?: Readonly<Record<string, string>>;
  /** Lines of the log, each of which must be there. */
  log?: readonly LogExpectation[];
  outcome?: ExpectedOutcome;
  /** Each command of several, in the order said. */
  commands?: readonly CommandExpectation[];
  /** The slot that is asked for. */
  asks?: string;
  /** A phrase that must have the same effect. */
  sameAs?: string;
  /** Globs over what is said and over the reason of a refusal. */
  reply?: string;
  reason?: string;
  /** States that must hold afterwards. */
  home?: Conditions;
}

/** A glob over a line of the log, and the time of day that the line has to be of. */
export interface LogExpectation {
  line: string;
  /** Seconds since the day began, and seconds that it may be off by. */
  clock?: number;
  within: number;
}

/** Most phrases that one case may make. */
const mostPhrases = 20_000;

/** Reads suite files; findings hold what is wrong with them. */
export function readSuites(
  book: Book,
  sources: readonly SourceText[],
): { suites: Suite[]; problems: Finding[] } {
  const context: Context = {
    findings: [],
    languages: book.languages,
    kinds: book.kinds,
    origin: "phrasebook",
  };
  const suites = sources.flatMap((source): Suite[] => {
    const document = readDocument(source, context.findings);
    const content = validate(suiteSchema, document, context.findings);
    return content ? [readSuite(context, book, document, content)] : [];
  });
  return { suites, problems: context.findings };
}

function readSuite(
  context: Context,
  book: Book,
  document: Document,
  content: SuiteDefinition,
): Suite {
  const shared = readSetting(context, book, document, [], content);
  const never =
    content.never === undefined
      ? undefined
      : readConditions(
          context,
          document,
          ["never"],
          expandGroups(book, content.never),
          book.devices,
        );
  const cases = content.cases.flatMap((each, index) =>
    readCase(context, book, document, ["cases", index], each, shared).map((one): Case =>
      never === undefined ? one : { ...one, never },
    ),
  );
  return { name: content.suite, file: document.path, cases };
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
  context: Context,
  book: Book,
  document: Document,
  path: Path,
  { at, language, time, given }: Pick<CaseDefinition, "at" | "language" | "time" | "given">,
): CaseSetting {
  if (time !== undefined && !parseLocal(time)) {
    const message = `"${time}" is no time of the calendar`;
    report(context, "wrong-value", document.at([...path, "time"]), message, "write another time");
  }
  if (at !== undefined && !book.voicepoints.has(at)) {
    const known = book.voicepoints.keys();
    reportUnknown(context, document.at([...path, "at"]), "voicepoint", at, known);
  }
  if (language !== undefined && !book.languages.includes(language)) {
    const known = book.languages;
    reportUnknown(context, document.at([...path, "language"]), "language", language, known);
  }
  const under = [...path, "given"];
  const states = readStates(
    context,
    document,
    under,
    expandGroups(book, given ?? {}),
    book.devices,
  );
  return {
    ...(at === undefined ? {} : { at }),
    ...(language === undefined ? {} : { language }),
    ...(time === undefined ? {} : { time }),
    given: states,
  };
}

function readCase(
  context: Context,
  book: Book,
  document: Document,
  path: Path,
  written: CaseDefinition,
  shared: CaseSetting,
): Case[] {
  const own = readSetting(context, book, document, path, written);
  const under = [...path, "faults"];
  const given = new Map(shared.given);
  for (const [id, state] of own.given) given.set(id, { ...given.get(id), ...state });
  const setting: Setting = {
    language: book.languages[0] ?? "en",
    ...shared,
    ...own,
    given,
    faults: checkFaults(context, book, document, under, written.faults ?? {}),
  };
  if (!("hear" in written)) {
    return [readScript(context, book, document, path, written, setting)];
  }
  const expect = readExpectation(context, book, document, [...path, "expect"], written.expect);
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
    return [...phrases(pattern.tree, resolve)].map((words) => ({
      ...setting,
      phrase: words.join(" "),
      language: pattern.language,
      expect,
      position,
    }));
  });
}

const sameAs = /^same as "(.+)"$/;

function readExpectation(
  context: Context,
  book: Book,
  document: Document,
  path: Path,
  written: ExpectDefinition,
): Expectation {
  if (typeof written === "string") {
    const phrase = sameAs.exec(written)?.[1];
    if (phrase !== undefined) return { sameAs: phrase };
    const outcome = outcomes.find((each) => each === written);
    if (outcome) return { outcome };
    const near = nearest(written, outcomes);
    report(
      context,
      "wrong-value",
      document.at(path),
      `"${written}" is no outcome`,
      near ? `write ${near}` : `write one of ${outcomes.join(", ")}, or same as "…"`,
    );
    return {};
  }
  if (Array.isArray(written))
    return { commands: readCommands(context, book, document, path, written) };
  for (const person of Object.keys(written.told ?? {})) {
    if (book.people.has(person)) continue;
    const place = document.atKey([...path, "told", person]);
    reportUnknown(context, place, "person", person, book.people.keys());
  }
  const {
    outcome,
    commands,
    asks,
    reply,
    reason,
    home,
    routine,
    branch,
    told,
    sent,
    log,
    ...effect
  } = written;
  if (routine !== undefined && !book.routines.has(routine)) {
    const known = book.routines.keys();
    reportUnknown(context, document.at([...path, "routine"]), "routine", routine, known);
  }
  const under = [...path, "commands"];
  return {
    ...readCommand(context, book, document, path, effect),
    ...(outcome === undefined ? {} : { outcome }),
    ...(commands === undefined
      ? {}
      : { commands: readCommands(context, book, document, under, commands) }),
    ...(asks === undefined ? {} : { asks }),
    ...(routine === undefined ? {} : { routine }),
    ...(branch === undefined ? {} : { branches: [branch].flat() }),
    ...(told === undefined ? {} : { told }),
    ...(sent === undefined ? {} : { sent }),
    ...(log === undefined ? {} : { log: readLog(context, document, [...path, "log"], log) }),
    ...(reply === undefined ? {} : { reply }),
    ...(reason === undefined ? {} : { reason }),
    ...(home === undefined
      ? {}
      : {
          home: readConditions(
            context,
            document,
            [...path, "home"],
            expandGroups(book, home),
            book.devices,
          ),
        }),
  };
}

function readLog(
  context: Context,
  document: Document,
  path: Path,
  written: LogDefinition | LogDefinition[],
): LogExpectation[] {
  return [written].flat().map((line): LogExpectation => {
    if (typeof line === "string") return { line, within: 0 };
    const { within = "0s", time } = line;
    checkDuration(context, document, [...path, "within"], within);
    const clock = time === undefined ? undefined : parseClock(time);
    return {
      line: line.line,
      within: parseDuration(within) ?? 0,
      ...(clock === undefined ? {} : { clock }),
    };
  });
}

function readCommands(
  context: Context,
  book: Book,
  document: Document,
  path: Path,
  written: readonly CommandDefinition[],
): CommandExpectation[] {
  return written.map((each, index) => readCommand(context, book, document, [...path, index], each));
}

function readCommand(
  context: Context,
  book: Book,
  document: Document,
  path: Path,
  { intent, set, nudge, scale, call, when, slots }: CommandDefinition,
): CommandExpectation {
  if (intent !== undefined && !book.intents.has(intent)) {
    const known = book.intents.keys();
    reportUnknown(context, document.at([...path, "intent"]), "intent", intent, known);
  }
  const under = [...path, "set"];
  return {
    ...(intent === undefined ? {} : { intent }),
    ...(set === undefined
      ? {}
      : { set: readConditions(context, document, under, expandGroups(book, set), book.devices) }),
    ...(nudge === undefined ? {} : { nudge: readNudges(nudge) }),
    ...(scale === undefined ? {} : { scale: readNudges(scale) }),
    ...(call === undefined ? {} : { call: new Map(Object.entries(expandGroups(book, call))) }),
    ...(when === undefined ? {} : { when: readWhen(context, document, [...path, "when"], when) }),
    ...(slots === undefined ? {} : { slots }),
  };
}

function readWhen(
  context: Context,
  document: Document,
  path: Path,
  written: NonNullable<CommandDefinition["when"]>,
): When {
  const seconds = (key: "in" | "for"): Partial<When> => {
    const text = written[key];
    if (text === undefined) return {};
    const length = parseDuration(text);
    if (length !== undefined) return { [key]: length };
    const fix = "write a duration such as 10m, 1h 30m or 45s";
    report(context, "wrong-value", document.at([...path, key]), `"${text}" is no duration`, fix);
    return {};
  };
  const { at, until } = written;
  return {
    ...seconds("in"),
    ...seconds("for"),
    ...(at === undefined ? {} : { at }),
    ...(until === undefined ? {} : { until }),
  };
}

/** A case of several turns, or of things that happen. */
function readScript(
  context: Context,
  book: Book,
  document: Document,
  path: Path,
  written: Exclude<CaseDefinition, { hear: unknown }>,
  setting: Setting,
): Case {
  if ("talk" in written) {
    const turns = written.talk.map((turn, index) => {
      const under = [...path, "talk", index];
      const expect = readExpectation(context, book, document, [...under, "expect"], turn.expect);
      const before = written.talk[index - 1]?.expect;
      const isSecret =
        before === "code" ||
        (typeof before === "object" && "outcome" in before && before.outcome === "code");
      const shown = isSecret ? "…" : turn.hear;
      const { hear, at, wait } = turn;
      if (wait !== undefined) checkDuration(context, document, [...under, "wait"], wait);
      if (at !== undefined && !book.voicepoints.has(at)) {
        const known = book.voicepoints.keys();
        reportUnknown(context, document.at([...under, "at"]), "voicepoint", at, known);
      }
      const position = document.at([...under, "hear"]);
      return {
        hear,
        shown,
        expect,
        position,
        ...(at === undefined ? {} : { at }),
        ...(wait === undefined ? {} : { wait: parseDuration(wait) ?? 0 }),
      };
    });
    const phrase = turns.map(({ shown }) => shown).join(" / ");
    const position = document.at([...path, "talk"]);
    return { ...setting, phrase, script: { script: "talk", turns }, expect: {}, position };
  }
  const happenings = [written.after].flat();
  for (const [index, happening] of happenings.entries()) {
    const under = [...path, "after", ...(Array.isArray(written.after) ? [index] : [])];
    checkHappening(context, book, document, under, happening);
  }
  const expect = readExpectation(context, book, document, [...path, "expect"], written.expect);
  const phrase = happenings.map(describeHappening).join(", ");
  const position = document.at([...path, "after"]);
  return { ...setting, phrase, script: { script: "after", happenings }, expect, position };
}

function readNudges(
  written: Readonly<Record<string, Readonly<Record<string, number>>>>,
): Conditions {
  const conditions = (amounts: Readonly<Record<string, number>>) =>
    Object.fromEntries(
      Object.entries(amounts).map(([name, value]) => [name, { is: "equal", value } as const]),
    );
  return new Map(Object.entries(written).map(([id, amounts]) => [id, conditions(amounts)]));
}

/** A group, room or zone stands for those of its devices that have what is asked for. */
function expandGroups<T extends string | Readonly<Record<string, unknown>>>(
  book: Book,
  states: Readonly<Record<string, T>>,
): Record<string, T> {
  return Object.fromEntries(
    Object.entries(states).flatMap(([id, values]): [string, T][] => {
      const entity = book.groups.get(id) ?? book.rooms.get(id) ?? book.zones.get(id);
      if (!entity || book.devices.has(id)) return [[id, values]];
      return devicesOf(book, entity)
        .filter(({ properties, actions }) =>
          typeof values === "string"
            ? actions.includes(values)
            : Object.keys(values).every((name) => properties.has(name)),
        )
        .map((device) => [device.id, values]);
    }),
  );
}
