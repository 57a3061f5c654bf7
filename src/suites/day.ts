import type { Book } from "../home/book.ts";
import type { LogEntry } from "../home/log.ts";
import { createHome } from "../home/simulate.ts";
import { type Context, report, reportUnknown } from "../phrasebook/context.ts";
import { type SourceText, readDocument } from "../phrasebook/document.ts";
import { readStates } from "../phrasebook/states.ts";
import { validate } from "../phrasebook/validate.ts";
import type { Finding } from "../source/finding.ts";
import { isDate, laterDate } from "../time/local.ts";
import { checkFaults, checkHappening, happen } from "./happenings.ts";
import { type DayDefinition, daySchema } from "./schema.ts";

/** A day that is played through: what people do and sensors measure, hour by hour. */
export interface Day {
  name: string;
  file: string;
  definition: DayDefinition;
}

/** Reads day files; findings hold what is wrong with them. */
export function readDays(book: Book): { days: Day[]; problems: Finding[] } {
  const { languages, kinds } = book;
  const context: Context = { findings: [], languages, kinds, origin: "phrasebook" };
  const days = book.daySources.flatMap((source: SourceText): Day[] => {
    const document = readDocument(source, context.findings);
    const definition = validate(daySchema, document, context.findings);
    if (!definition) return [];
    const { at, date, away = [], given = {}, faults = {}, happenings } = definition;
    if (date !== undefined && !isDate(date)) {
      const message = `"${date}" is no day of the calendar`;
      report(context, "wrong-value", document.at(["date"]), message, "write another date");
    }
    if (at !== undefined && !book.voicepoints.has(at)) {
      reportUnknown(context, document.at(["at"]), "voicepoint", at, book.voicepoints.keys());
    }
    for (const [index, person] of away.entries()) {
      if (book.people.has(person)) continue;
      const place = document.at(["away", index]);
      reportUnknown(context, place, "person", person, book.people.keys());
    }
    readStates(context, document, ["given"], given, book.devices);
    checkFaults(context, book, document, ["faults"], faults);
    let last = "";
    for (const [index, happening] of happenings.entries()) {
      const path = ["happenings", index];
      checkHappening(context, book, document, path, happening);
      const { time = last } = happening;
      if (time < last) {
        const message = `${time} is before ${last}, which stands above it`;
        const fix = "put what happens in the order of the day";
        report(context, "wrong-value", document.at([...path, "time"]), message, fix);
      }
      last = time;
    }
    return [{ name: definition.day, file: source.path, definition }];
  });
  return { days, problems: context.findings };
}

/**
 * Plays a day from midnight to midnight.
 *
 * @param date `2026-03-02`.
 * @param day What happens beside the triggers of the home.
 */
export function runDay(book: Book, date: string, day?: Day): readonly LogEntry[] {
  const { at, language, given, away, faults = {}, happenings = [] } = day?.definition ?? {};
  const home = createHome(book, {
    time: `${date}T00:00`,
    ...(given === undefined ? {} : { states: given }),
    ...(away === undefined ? {} : { away }),
  });
  const context = {
    ...(at === undefined ? {} : { at }),
    ...(language === undefined ? {} : { language }),
  };
  happen(book, home, { faults }, context);
  for (const happening of happenings) happen(book, home, happening, context);
  // The day on which clocks change is an hour longer or shorter.
  home.waitUntil(`${laterDate(date, 1)}T00:00`);
  return home.log();
}
