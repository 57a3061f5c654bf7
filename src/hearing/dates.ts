import type { Recognise } from "../automaton/chart.ts";
import type { NumberReader } from "../language/numbers.ts";
import type { LanguagePack } from "../language/pack.ts";
import type { Lexicon } from "../lexicon/lexicon.ts";
import { isDate } from "../time/local.ts";
import { createForms } from "./forms.ts";
import { recognisePhrases } from "./phrases.ts";

/** A date as said, of which today decides what it comes to. */
export type DateReading =
  | { date: "ahead"; days: number }
  /** The next such day, from 1 for Monday to 7 for Sunday. */
  | { date: "weekday"; weekday: number }
  | { date: "day"; day: number; month: number; year?: number };

/** Milliseconds of a Monday in January 2024, from which `Intl` tells the names of days. */
const aMonday = 1_704_067_200_000;
const dayLength = 86_400_000;

/** Reads a date: "tomorrow", "on Friday", "the third of March", "2026-03-03". */
export function createDateReader(
  { times, language }: LanguagePack,
  numbers: NumberReader,
  ordinals: Recognise,
  lexicon: Lexicon,
): (utterance: Parameters<Recognise>[0], from: number) => { end: number; value: DateReading }[] {
  const nameOf = (unit: "weekday" | "month", time: number): string =>
    new Intl.DateTimeFormat(language, { [unit]: "long", timeZone: "UTC" }).format(time);
  const numbered = (said: string, value: number) => ({ said, reading: value });
  const weekdays = [1, 2, 3, 4, 5, 6, 7].map((day) =>
    numbered(nameOf("weekday", aMonday + (day - 1) * dayLength), day),
  );
  const months = Array.from({ length: 12 }, (_, month) =>
    numbered(nameOf("month", aMonday + (month * 30.5 + 10) * dayLength), month + 1),
  );
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
      weekday: recognisePhrases(weekdays, language, lexicon),
      month: recognisePhrases(months, language, lexicon),
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
  const two = (value: number): string => String(value).padStart(2, "0");
  if (!isDate(`${year ?? 2024}-${two(month)}-${two(day)}`)) return undefined;
  return { date: "day", day, month, ...(year === undefined ? {} : { year }) };
}
