import type { Book } from "../book/book.ts";
import { type Cursor, listOf } from "../document/cursor.ts";
import { readLength } from "../document/lengths.ts";
import { firstLanguage, readPatterns } from "../document/said.ts";
import { asWritten, countPhrases, phrases } from "../pattern/phrases.ts";
import { fragmentTree } from "../phrasebook/references.ts";
import { given } from "../source/given.ts";
import { readExpectation } from "./expectation-reader.ts";
import { readHappening } from "./happenings.ts";
import { checkNamed } from "./reading.ts";
import type { CaseDefinition } from "./schema.ts";
import {
  type Setting,
  type Setups,
  type WholeSetting,
  checkLanguage,
  joinSettings,
  settingOf,
} from "./setting.ts";
import type { Case, CaseFacts, SuiteTurn } from "./suite.ts";

/** Most phrases that one case may make. */
const mostPhrases = 20_000;

/** What a suite says of all its cases. */
export interface Shared {
  setting: Setting;
  setups: Setups;
  tags: readonly string[];
}

/** Reads a case as it is written: one for each phrase that its pattern makes. */
export function readCase(book: Book, cursor: Cursor<CaseDefinition>, shared: Shared): Case[] {
  const { value: written } = cursor;
  const own = settingOf(book, cursor, shared.setups);
  const setting: CaseSetting = {
    language: firstLanguage(book),
    ...joinSettings(shared.setting, own),
    ...readFacts(cursor, shared),
  };
  if ("talk" in written) return [readTalk(book, cursor.as(written), setting)];
  if ("after" in written) return [readAfter(book, cursor.as(written), setting)];
  return readPhrases(book, cursor.as(written), setting);
}

type CaseSetting = WholeSetting & CaseFacts;

function readFacts(cursor: Cursor<CaseDefinition>, { tags }: Shared): CaseFacts {
  const { name, note, skip, fails } = cursor.value;
  if (skip !== undefined && fails !== undefined) {
    const message = "a case that is left out cannot be known to fail";
    cursor.key("fails").report("wrong-value", message, "keep skip or fails");
  }
  const own = cursor.given("tags");
  const all = [...tags, ...(own ? listOf(own).map((tag) => tag.value) : [])];
  const apart = cursor.given("apart-from");
  return given({
    name,
    note,
    skip,
    fails,
    tags: all.length === 0 ? undefined : [...new Set(all)],
    apartFrom: apart && listOf(apart).map(({ value }) => value),
  });
}

/** A case for each phrase that a pattern makes. */
function readPhrases(
  book: Book,
  cursor: Cursor<Extract<CaseDefinition, { hear: unknown }>>,
  setting: CaseSetting,
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
      return [...phrases(pattern.tree, resolve, asWritten)].map((words) => {
        return caseOf(setting, language, { phrase: words.join(" "), expect, position });
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

/** A case in its setting. Members are written out, so that all cases have one shape: thousands are made and run. */
function caseOf(
  setting: CaseSetting,
  language: string,
  { phrase, expect, position }: Pick<Case, "phrase" | "expect" | "position">,
): Case {
  const { faults, at, time, name, note, tags, skip, fails, apartFrom } = setting;
  const made: Case = { phrase, language, given: setting.given, faults, expect, position };
  if (at !== undefined) made.at = at;
  if (time !== undefined) made.time = time;
  if (name !== undefined) made.name = name;
  if (note !== undefined) made.note = note;
  if (tags !== undefined) made.tags = tags;
  if (skip !== undefined) made.skip = skip;
  if (fails !== undefined) made.fails = fails;
  if (apartFrom !== undefined) made.apartFrom = apartFrom;
  return made;
}

function reportNothing(cursor: Cursor<unknown>, fix: string): void {
  cursor.report("wrong-value", "nothing happens here", fix);
}

/** A case of several turns. */
function readTalk(
  book: Book,
  cursor: Cursor<Extract<CaseDefinition, { talk: unknown }>>,
  setting: CaseSetting,
): Case {
  const talk = cursor.key("talk");
  if (talk.value.length === 0) reportNothing(talk, 'write a turn: { hear: "yes", expect: act }');
  const turns = talk.items().map((turn, index) => {
    return readTurn(book, turn, talk.value[index - 1]?.expect);
  });
  const phrase = turns.map(({ shown }) => shown).join(" / ");
  const script = { script: "talk", turns } as const;
  return {
    ...caseOf(setting, setting.language, { phrase, expect: {}, position: talk.at }),
    script,
  };
}

type TurnDefinition = Extract<CaseDefinition, { talk: unknown }>["talk"][number];

function readTurn(
  book: Book,
  cursor: Cursor<TurnDefinition>,
  before: TurnDefinition["expect"] | undefined,
): SuiteTurn {
  const { hear, at, language } = cursor.value;
  const isSecret =
    before === "code" ||
    (typeof before === "object" && "outcome" in before && before.outcome === "code");
  checkNamed(book, "voicepoint", cursor.given("at"));
  checkLanguage(book, cursor.given("language"));
  const wait = cursor.given("wait");
  return {
    hear,
    shown: isSecret ? "…" : hear,
    expect: readExpectation(book, cursor.key("expect")),
    position: cursor.key("hear").at,
    ...given({ at, language, wait: wait && (readLength(wait) ?? 0) }),
  };
}

/** A case of things that happen. */
function readAfter(
  book: Book,
  cursor: Cursor<Extract<CaseDefinition, { after: unknown }>>,
  setting: CaseSetting,
): Case {
  const after = cursor.key("after");
  const { value } = after;
  const each = Array.isArray(value) ? after.as(value).items() : [after.as(value)];
  if (each.length === 0) reportNothing(after, "write what happens: { wait: 25m }");
  const happenings = each.map((happening) => readHappening(book, happening));
  const expect = readExpectation(book, cursor.key("expect"));
  const phrase = happenings.map(({ text }) => text).join(", ");
  const script = { script: "after", happenings } as const;
  return { ...caseOf(setting, setting.language, { phrase, expect, position: after.at }), script };
}
