import type { Recognise } from "../automaton/chart.ts";
import { monthNames, weekdayNames } from "../language/calendar.ts";
import type { NumberReader } from "../language/numbers.ts";
import type { LanguagePack } from "../language/pack.ts";
import type { Lexicon } from "../lexicon/lexicon.ts";
import { dateText, isDate } from "../time/local.ts";
import { createForms } from "./forms.ts";
import { recognisePhrases } from "./phrases.ts";

/** A date as said, of which today decides what it comes to. */
export type DateReading =
  | { date: "ahead"; days: number }
  /** The next such day, from 1 for Monday to 7 for Sunday. */
  | { date: "weekday"; weekday: number }
  | { date: "day"; day: number; month: number; year?: number };

/** Reads a date: "tomorrow", "on Friday", "the third of March", "2026-03-03". */
export function createDateReader(
  { times, language }: LanguagePack,
  numbers: NumberReader,
  ordinals: Recognise,
  lexicon: Lexicon,
): (utterance: Parameters<Recognise>[0], from: number) => { end: number; value: DateReading }[] {
  const numbered = (names: readonly string[]) =>
    names.map((said, index) => ({ said, reading: index + 1 }));
  const cardinals =
    (lowest: number, highest: number): Recognise =>
    ({ texts }, from) =>
      numbers(texts, from)
        .filter(({ value }) => Number.isInteger(value) && value >= lowest && value <= highest)
        .map(({ end, value }) => ({ end, value }));
  const days: Recognise = (utterance, from) => [
    ...cardinals(1, 31)(utterance, from),
    ...ordinals(utterance, from).map(({ end, value }) => {
      return { end, value: (value as { value: number }).value };
    }),
  ];
  const spoken = createForms<DateReading>(
    [
      ...Object.entries(times.days).map(([ahead, said]) => ({
        said,
        make: (): DateReading => ({ date: "ahead", days: Number(ahead) }),
      })),
      {
        said: times.weekday,
        make: (part): DateReading => ({ date: "weekday", weekday: part("weekday") as number }),
      },
      {
        said: times.date,
        make: (part) => {
          const year = part("year") as number | undefined;
          return dayOf(part("day") as number, part("month") as number, year);
        },
      },
    ],
    {
      weekday: recognisePhrases(numbered(weekdayNames(language)), language, lexicon),
      month: recognisePhrases(numbered(monthNames(language)), language, lexicon),
      day: days,
      year: cardinals(2000, 2199),
    },
    language,
    lexicon,
  );
  return (utterance, from) => {
    const { texts } = utterance;
    const [year = "", month = "", day = ""] = texts.slice(from, from + 3);
    if (/^\d{4}$/.test(year) && /^\d{2}$/.test(month) && /^\d{2}$/.test(day)) {
      const value = dayOf(Number(day), Number(month), Number(year));
      return value ? [{ end: from + 3, value }] : [];
    }
    const dotted = /^(\d{1,2})\.(\d{1,2})\.(\d{4})$/.exec(year);
    if (!dotted) return spoken(utterance, from);
    const value = dayOf(Number(dotted[1]), Number(dotted[2]), Number(dotted[3]));
    return value ? [{ end: from + 1, value }] : [];
  };
}

/** A day that the calendar has, in a leap year when no year is said. */
function dayOf(day: number, month: number, year: number | undefined): DateReading | undefined {
  if (!isDate(dateText(year ?? 2024, month, day))) return undefined;
  return { date: "day", day, month, ...(year === undefined ? {} : { year }) };
}
