import type { Match, Recognise } from "../automaton/chart.ts";
import type { Cursor } from "../document/cursor.ts";
import { date as written } from "../document/shapes.ts";
import { monthNames, weekdayNames } from "../language/calendar.ts";
import type { NumberReader } from "../language/numbers.ts";
import type { LanguagePack } from "../language/pack.ts";
import type { Lexicon } from "../lexicon/lexicon.ts";
import { choice, fillReferences, nothingToSay, phrase } from "../pattern/build.ts";
import type { Pattern } from "../pattern/tree.ts";
import { given } from "../source/given.ts";
import { dateText, isDate } from "../time/local.ts";
import { type Form, createForms } from "./forms.ts";
import type { MomentDefinition } from "./definition.ts";
import { settleDate } from "./moments.ts";
import { recognisePhrases } from "./phrases.ts";
import { momentShape, momentSlot } from "./ranges.ts";
import {
  type SlotBase,
  type ValueReading,
  type ValuedSlot,
  type Writing,
  nothingSettled,
  taken,
} from "./slot.ts";

const shape = momentShape("date", written);

/** A day of the calendar, as `2026-03-02`. */
export const date = {
  shape,
  read(cursor: Cursor<MomentDefinition>, base: SlotBase): ValuedSlot {
    for (const key of ["minimum", "maximum", "default"] as const) {
      const { value } = cursor.key(key);
      if (value === undefined || isDate(value)) continue;
      const message = `"${value}" is no day of the calendar`;
      cursor.key(key).report("wrong-value", message, "write another date");
    }
    return momentSlot(cursor, base, {
      family: "date",
      recognise: (ground) =>
        taken(ground.dates(), (read): ValueReading => ({ read: "date", date: read })),
      settle(reading, now) {
        if (reading.read !== "date") return nothingSettled;
        const settled = settleDate(reading.date, now);
        return settled.ok ? { ok: true, value: settled.text } : settled;
      },
      samples: ({ pack }) => pack.times.days[1].slice(0, 1).map(phrase),
      grammar: dateGrammar,
    });
  },
};

/** A date as said, of which today decides what it comes to. */
export type DateReading =
  | { date: "ahead"; days: number }
  /** The next such day, from 1 for Monday to 7 for Sunday. */
  | { date: "weekday"; weekday: number }
  | { date: "day"; day: number; month: number; year?: number };

interface DateParts {
  weekday: number;
  month: number;
  day: number;
  year: number;
}

/** Reads a date: "tomorrow", "on Friday", "the third of March", "2026-03-03". */
export function createDateReader(
  pack: LanguagePack,
  numbers: NumberReader,
  ordinals: Recognise<number>,
  lexicon: Lexicon,
): Recognise<DateReading> {
  const { times, language } = pack;
  const numbered = (names: readonly string[]) =>
    names.map((said, index) => ({ said, value: index + 1 }));
  const cardinals =
    (lowest: number, highest: number): Recognise<number> =>
    ({ texts }, from) =>
      numbers(texts, from)
        .filter(({ value }) => Number.isInteger(value) && value >= lowest && value <= highest)
        .map(({ end, value }) => ({ end, value }));
  const ahead = Object.entries(times.days).map(([days, said]): Form<DateParts, DateReading> => {
    return { said, make: () => ({ date: "ahead", days: Number(days) }) };
  });
  const spoken = createForms<DateParts, DateReading>(
    [
      ...ahead,
      {
        said: times.weekday,
        make: ({ weekday }) => (weekday === undefined ? undefined : { date: "weekday", weekday }),
      },
      {
        said: times.date,
        make: ({ day, month, year }) =>
          day === undefined || month === undefined ? undefined : dayOf(day, month, year),
      },
    ],
    {
      weekday: recognisePhrases(numbered(weekdayNames(language)), { pack, lexicon }),
      month: recognisePhrases(numbered(monthNames(language)), { pack, lexicon }),
      day: (utterance, from) => [
        ...cardinals(1, 31)(utterance, from),
        ...ordinals(utterance, from),
      ],
      year: cardinals(2000, 2199),
    },
    { pack, lexicon },
  );
  return (utterance, from): readonly Match<DateReading>[] => {
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
  return { date: "day", day, month, ...given({ year }) };
}

/** Days in words, without a year. */
export function dateGrammar(writing: Writing): Pattern {
  const { pack, said, parsed, define } = writing;
  return define("date", () => {
    const weekdays = said(weekdayNames(pack.language));
    const months = said(monthNames(pack.language));
    const days = define("day", () => {
      const all = Array.from({ length: 28 }, (_, index) => pack.numbers.ordinal(index + 1));
      return said(all) ?? nothingToSay;
    });
    const parts = new Map([
      ["day", days],
      ["month", months],
    ]);
    return choice([
      said(Object.values(pack.times.days).flat()),
      fillReferences(parsed(pack.times.weekday), (name) =>
        name === "weekday" ? weekdays : undefined,
      ),
      fillReferences(parsed(pack.times.date), (name) => parts.get(name)),
    ]);
  });
}
