import { doneIn } from "../coverage/done.ts";
import type { Edit } from "../document/mending.ts";
import { createSimulated } from "../home/simulated/simulate.ts";
import type { State } from "../model/property.ts";
import { textOf } from "../source/border.ts";
import { given } from "../source/given.ts";
import { itemAdded } from "./adding.ts";
import { fileIn } from "./texts.ts";
import { type Workspace, asked } from "./workspace.ts";

/** What was said, and in what setting. */
export interface SaidCase {
  hear: string;
  /** What was said before it in the same conversation, where it answers that: "open the gate". */
  before?: readonly string[];
  at?: string;
  language?: string;
  /** `2026-03-02T18:05`. */
  time?: string;
  given?: Readonly<Record<string, State>>;
}

/** A case of a suite, as it is written. */
export type WrittenCase = Readonly<Record<string, unknown>>;

/** A case for what was said: what comes of it in a home that is as the case tells is what is expected. */
export function caseOf(workspace: Workspace, said: SaidCase): WrittenCase {
  return asked(workspace, "phrase", () => {
    const { book } = workspace;
    const { hear, before = [], at, language, time, given: states = {} } = said;
    const home = createSimulated(book, { states, ...given({ time }) });
    const talk = home.converse(given({ language, at }));
    const turns = before.map((each) => ({ hear: each, expect: talk.say(each).outcome }));
    const { outcome, reply } = talk.say(hear);
    home.settle();
    const done = outcome === "act" ? doneIn(home) : {};
    const isPlain = reply !== "" && !reply.includes("*");
    const setting = {
      at,
      language: language === book.languages[0] ? undefined : language,
      time,
      given: Object.keys(states).length > 0 ? states : undefined,
    };
    const expect = { outcome, ...done, ...(isPlain && { reply }) };
    return turns.length === 0
      ? { hear, ...given(setting), expect }
      : { ...given(setting), talk: [...turns, { hear, expect }] };
  });
}

/** The edit that adds a case at the end of a suite; undefined where the file has no list of cases. */
export function caseAdded(
  workspace: Workspace,
  path: string,
  written: WrittenCase,
): Edit | undefined {
  return asked(workspace, "case", () => {
    const file = fileIn(workspace, path);
    return file && itemAdded(file, ["cases"], written);
  });
}

/**
 * The edit that adds something that happens to a day, before what happens later than `time` says; undefined
 * where the file has no list of happenings.
 */
export function happeningAdded(
  workspace: Workspace,
  path: string,
  written: Readonly<Record<string, unknown>>,
): Edit | undefined {
  return asked(workspace, "happening", () => {
    const { days } = workspace;
    const file = fileIn(workspace, path);
    if (!file) return undefined;
    const time = textOf(written["time"]);
    const happenings = days.find((day) => day.file === path)?.happenings ?? [];
    const later = happenings.findIndex((each) => time !== undefined && (each.time ?? "") > time);
    return itemAdded(file, ["happenings"], written, later < 0 ? Infinity : later);
  });
}
