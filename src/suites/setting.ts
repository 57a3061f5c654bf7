import type { Book } from "../book/book.ts";
import { type Cursor, listOf } from "../document/cursor.ts";
import type { Fault } from "../home/simulated/devices.ts";
import type { States } from "../phrasebook/states.ts";
import { given } from "../source/given.ts";
import { parseLocal } from "../time/local.ts";
import { readFaults } from "./happenings.ts";
import { checkNamed, statesAt } from "./reading.ts";
import type { CaseDefinition, SuiteDefinition } from "./schema.ts";
import type { Case } from "./suite.ts";

/** Where, when and how a case is said, as far as it is told. */
export interface Setting {
  at?: string;
  language?: string;
  time?: string;
  given: States;
  faults: Readonly<Record<string, Fault | undefined>>;
}

/** Settings by their names, for all suites that are read together. */
export type Setups = ReadonlyMap<string, Setting>;

/** The setting of a case, with everything that it does not tell as it is in any case. */
export type WholeSetting = Pick<Case, "language" | "at" | "time" | "given" | "faults">;

type SettingDefinition = Pick<CaseDefinition, "at" | "language" | "time" | "given" | "faults">;

export function readSetting(book: Book, cursor: Cursor<SettingDefinition>): Setting {
  const { at, language, time } = cursor.value;
  if (time !== undefined && !parseLocal(time)) {
    const message = `"${time}" is no time of the calendar`;
    cursor.key("time").report("wrong-value", message, "write another time");
  }
  checkNamed(book, "voicepoint", cursor.given("at"));
  checkLanguage(book, cursor.given("language"));
  return {
    ...given({ at, language, time }),
    given: statesAt(book, cursor.given("given")),
    faults: readFaults(book, cursor.given("faults")),
  };
}

/** Reports a language that the home does not speak. */
export function checkLanguage(book: Book, cursor: Cursor<string> | undefined): void {
  cursor?.refers("language", book.languages);
}

/** Takes up the setups of a suite; a name may stand for one alone. */
export function readSetups(
  book: Book,
  top: Cursor<SuiteDefinition>,
  setups: Map<string, Setting>,
): void {
  for (const setup of top.given("setups")?.entries() ?? []) {
    const { findings } = setup.context;
    const before = findings.length;
    const setting = readSetting(book, setup);
    // Nothing leans on a setup that is not as it was meant.
    if (findings.length > before) continue;
    if (!setups.has(setup.id)) setups.set(setup.id, setting);
    else {
      const message = `there are two setups "${setup.id}"`;
      setup.report("defined-twice", message, "give one another name", { at: setup.keyAt });
    }
  }
}

/** A setting after others: what it tells counts, and states and faults are joined. */
export function joinSettings(before: Setting, after: Setting): Setting {
  const given = joinStates(before.given, after.given);
  return { ...before, ...after, given, faults: { ...before.faults, ...after.faults } };
}

function joinStates(before: States, after: States): States {
  if (after.size === 0) return before;
  const states = new Map(before);
  for (const [id, state] of after) states.set(id, { ...states.get(id), ...state });
  return states;
}

/** What a suite or a case tells of its setting: that of its setups in turn, then its own. */
export function settingOf(
  book: Book,
  cursor: Cursor<SettingDefinition & Pick<CaseDefinition, "setup">>,
  setups: Setups,
): Setting {
  let setting: Setting = { given: new Map(), faults: {} };
  const named = cursor.given("setup");
  const each = named ? listOf(named) : [];
  for (const name of each) {
    const setup = setups.get(name.value);
    if (setup) setting = joinSettings(setting, setup);
    name.refers("setup", setups);
  }
  return joinSettings(setting, readSetting(book, cursor));
}
