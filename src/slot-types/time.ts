import type { Recognise } from "../automaton/chart.ts";
import type { Cursor } from "../document/cursor.ts";
import { clock } from "../document/shapes.ts";
import type { NumberReader } from "../language/numbers.ts";
import type { LanguagePack } from "../language/pack.ts";
import type { Lexicon } from "../lexicon/lexicon.ts";
import { choice, fillReferences, phrase } from "../pattern/build.ts";
import type { Pattern } from "../pattern/tree.ts";
import { parseClock } from "../time/local.ts";
import { type Form, createForms } from "./forms.ts";
import type { MomentDefinition } from "./definition.ts";
import { settleClock } from "./moments.ts";
import { spelled } from "./quantities.ts";
import { momentShape, momentSlot } from "./ranges.ts";
import {
  type SlotBase,
  type ValueReading,
  type ValuedSlot,
  type Writing,
  nothingSettled,
  taken,
} from "./slot.ts";

const shape = momentShape("time", clock);

/** A time of day, as `HH:MM`. */
export const time = {
  shape,
  read: (cursor: Cursor<MomentDefinition>, base: SlotBase): ValuedSlot =>
    momentSlot(cursor, base, {
      family: "time",
      recognise: (ground) =>
        taken(ground.clocks(), (read): ValueReading => ({ read: "time", time: read })),
      settle: (reading, now) =>
        reading.read === "time"
          ? { ok: true, value: settleClock(reading.time, now) }
          : nothingSettled,
      samples: ({ pack }) => (pack.times.moments["12:00"] ?? []).slice(0, 1).map(phrase),
      grammar: timeGrammar,
    }),
};

/** A time of day as said: whether "six" is in the morning is often left open. */
export interface ClockReading {
  /** Minutes since midnight; within the first twelve hours when open. */
  minutes: number;
  open: boolean;
  /** Whether the part of the day was said: "tonight at nine". */
  isOfDay?: true;
}

const day = 24 * 60;

interface ClockParts {
  hour: number;
  face: number;
  minute: number;
  tens: number;
  clock: ClockReading;
  dotted: ClockReading;
}

/** Reads a time of day: "half six", "18:30", "quarter past nine in the evening", "noon". */
export function createClockReader(
  pack: LanguagePack,
  numbers: NumberReader,
  lexicon: Lexicon,
): Recognise<ClockReading> {
  const { times } = pack;
  const whole =
    (lowest: number, highest: number): Recognise<number> =>
    ({ texts }, from) =>
      numbers(texts, from).filter(
        ({ value }) => Number.isInteger(value) && value >= lowest && value <= highest,
      );
  const spoken = createForms<ClockParts, ClockReading>(
    [
      { said: ["$clock"], make: ({ clock }) => clock },
      ...times.clock.map(({ said, minutes = 0, before }): Form<ClockParts, ClockReading> => {
        return {
          said,
          make({ clock, dotted, face, hour = face, minute, tens }) {
            if (clock ?? dotted) return clock ?? dotted;
            if (hour === undefined) return undefined;
            const counted = minute ?? tens ?? minutes;
            return clockAt(hour, before ? -counted : counted);
          },
        };
      }),
      ...Object.entries(times.moments).map(([moment, said]): Form<ClockParts, ClockReading> => {
        const minutes = (parseClock(moment) ?? 0) / 60;
        return { said, make: () => ({ minutes, open: false, isOfDay: true }) };
      }),
    ],
    {
      hour: whole(0, 24),
      face: whole(1, 12),
      minute: whole(1, 59),
      tens: whole(10, 59),
      clock: digits(/^(\d{1,2}):(\d{2})$/),
      dotted: digits(/^(\d{1,2})\.(\d{2})$/),
    },
    { pack, lexicon },
  );
  const inPartOfDay = createForms(
    partsOfDay.map((part): Form<{ time: ClockReading }, ClockReading> => {
      return { said: times[part], make: ({ time: read }) => read && clockIn(part, read) };
    }),
    { time: spoken },
    { pack, lexicon },
  );
  return (utterance, from) => [...spoken(utterance, from), ...inPartOfDay(utterance, from)];
}

/** The parts of a day that tell which of two times is meant. */
export const partsOfDay = ["morning", "afternoon", "night"] as const;

export type PartOfDay = (typeof partsOfDay)[number];

/** A time in a part of the day. */
export function clockIn(part: PartOfDay, read: ClockReading): ClockReading {
  if (!read.open) return read;
  const hour = Math.floor(read.minutes / 60);
  return { minutes: hourIn(part, hour) * 60 + (read.minutes % 60), open: false, isOfDay: true };
}

function hourIn(part: PartOfDay, hour: number): number {
  switch (part) {
    case "morning":
      return hour % 12;
    case "afternoon":
      return (hour % 12) + 12;
    // Ten at night is late in the evening, three at night is before dawn.
    case "night":
      return hour >= 6 && hour < 12 ? hour + 12 : hour % 12;
  }
}

/** Digits of a clock; a leading zero makes them those of a day of 24 hours. */
function digits(form: RegExp): Recognise<ClockReading> {
  return ({ texts }, from) => {
    const found = form.exec(texts[from] ?? "");
    const [hour, minute] = [Number(found?.[1]), Number(found?.[2])];
    if (!found || hour > 24 || minute > 59) return [];
    const reading = clockAt(hour, minute);
    const isExact = found[1]?.startsWith("0") === true;
    return [{ end: from + 1, value: isExact ? { ...reading, open: false } : reading }];
  };
}

/** An hour that a clock face shows is open; none and those past twelve are not. */
function clockAt(hour: number, minutes: number): ClockReading {
  const open = hour >= 1 && hour <= 12;
  const total = (((hour * 60 + minutes) % day) + day) % day;
  return { minutes: open && total >= 13 * 60 ? total - 12 * 60 : total, open };
}

/** Times of day in words; digits are for what is written. */
export function timeGrammar(writing: Writing): Pattern {
  return writing.define("time", () => choice([clockGrammar(writing), timeOfDayGrammar(writing)]));
}

/** Times that say a part of the day: "tonight at nine". */
export function timeOfDayGrammar(writing: Writing): Pattern {
  const { pack, parsed, define } = writing;
  return define("time-of-day", () => {
    const clock = clockGrammar(writing);
    const ofDay = parsed(partsOfDay.flatMap((part) => pack.times[part]));
    return fillReferences(ofDay, (name) => (name === "time" ? clock : undefined));
  });
}

function clockGrammar(writing: Writing): Pattern {
  const { pack, said, parsed, define } = writing;
  return define("clock", () => {
    const parts = new Map([
      ["hour", define("hour", () => spelled(writing, 0, 24))],
      ["face", define("face", () => spelled(writing, 1, 12))],
      ["minute", define("minute", () => spelled(writing, 1, 59))],
      ["tens", define("tens", () => spelled(writing, 10, 59))],
    ]);
    const spoken = pack.times.clock.flatMap(({ said: texts }) => texts);
    return choice([
      fillReferences(parsed(spoken), (name) => parts.get(name)),
      said(Object.values(pack.times.moments).flat()),
    ]);
  });
}
