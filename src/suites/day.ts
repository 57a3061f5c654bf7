import { type Book, asBook } from "../book/book.ts";
import { shown } from "../source/border.ts";
import { WrongUse } from "../source/wrong-use.ts";
import type { Fault } from "../home/simulated/devices.ts";
import type { LogEntry } from "../home/log.ts";
import { createSimulated } from "../home/simulated/simulate.ts";
import { contextOf } from "../document/context.ts";
import { Cursor } from "../document/cursor.ts";
import { type SourceText, readDocument, readTexts } from "../document/document.ts";
import type { States } from "../phrasebook/states.ts";
import { validate } from "../document/validate.ts";
import type { Finding } from "../source/finding.ts";
import { given } from "../source/given.ts";
import { isDate, laterDate } from "../time/local.ts";
import { type Happening, happen, readFaults, readHappening } from "./happenings.ts";
import { checkNamed, statesAt } from "./reading.ts";
import { type DayDefinition, daySchema } from "./schema.ts";

/** A day that is played through: what people do and sensors measure, hour by hour. */
export interface Day {
  name: string;
  file: string;
  /** The day that it is meant for, `2026-03-02`. */
  date?: string;
  /** Where and in which language it is spoken. */
  at?: string;
  language?: string;
  given: States;
  /** Who is not at home when it begins. */
  away: readonly string[];
  faults: Readonly<Record<string, Fault | undefined>>;
  happenings: readonly Happening[];
}

/** The days that were read. */
const read = new WeakSet<Day>();

/** Reads day files; findings hold what is wrong with them. */
export function readDays(
  of: Book,
  sources: readonly SourceText[],
): { days: Day[]; problems: Finding[] } {
  const book = asBook(of);
  const context = contextOf(book);
  const days = readTexts(sources).flatMap((source): Day[] => {
    const document = readDocument(source, context.findings);
    const definition = validate(daySchema, document, context.findings);
    return definition ? [readDay(book, new Cursor(definition, { context, document }))] : [];
  });
  for (const day of days) read.add(day);
  return { days, problems: context.findings };
}

function readDay(book: Book, top: Cursor<DayDefinition>): Day {
  const { day, at, language, date, away = [] } = top.value;
  if (date !== undefined && !isDate(date)) {
    const message = `"${date}" is no day of the calendar`;
    top.key("date").report("wrong-value", message, "write another date");
  }
  checkNamed(book, "voicepoint", top.given("at"));
  for (const person of top.given("away")?.items() ?? []) checkNamed(book, "person", person);
  let last = "";
  const happenings = top
    .key("happenings")
    .items()
    .map((happening) => {
      const { time = last } = happening.value;
      if (time < last) {
        const message = `${time} is before ${last}, which stands above it`;
        const fix = "put what happens in the order of the day";
        happening.key("time").report("wrong-value", message, fix);
      }
      last = time;
      return readHappening(book, happening);
    });
  return {
    name: day,
    file: top.document.path,
    ...given({ date, at, language }),
    given: statesAt(book, top.given("given")),
    away,
    faults: readFaults(book, top.given("faults")),
    happenings,
  };
}

/**
 * Plays a day from midnight to midnight.
 *
 * @param date `2026-03-02`.
 * @param day What happens beside the triggers of the home: one that `readDays` read.
 * @throws WrongUse for a date that is none.
 */
export function runDay(book: Book, date: string, day?: Day): readonly LogEntry[] {
  if (!isDate(date)) {
    throw new WrongUse(`${shown(date)} is no date: write it as 2026-03-02`, "wrong-time");
  }
  if (day !== undefined && !read.has(day)) {
    throw new WrongUse("pass a day that readDays read, or none");
  }
  const { at, language, given: states = [], away, faults = {}, happenings = [] } = day ?? {};
  const home = createSimulated(asBook(book), {
    time: `${date}T00:00`,
    states: Object.fromEntries(states),
    ...given({ away }),
  });
  const context = given({ at, language });
  for (const [device, fault] of Object.entries(faults)) home.fault(device, fault);
  for (const happening of happenings) happen(home, happening, context);
  // The day on which clocks change is an hour longer or shorter.
  home.waitUntil(`${laterDate(date, 1)}T00:00`);
  return home.log();
}
