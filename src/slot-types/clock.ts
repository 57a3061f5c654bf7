import type { Recognise } from "../automaton/chart.ts";
import type { NumberReader } from "../language/numbers.ts";
import type { LanguagePack } from "../language/pack.ts";
import type { Lexicon } from "../lexicon/lexicon.ts";
import { parseClock } from "../time/local.ts";
import { createForms } from "./forms.ts";

/** A time of day as said: whether "six" is in the morning is often left open. */
export interface ClockReading {
  /** Minutes since midnight; within the first twelve hours when open. */
  minutes: number;
  open: boolean;
}

const day = 24 * 60;

/** Reads a time of day: "half six", "18:30", "quarter past nine in the evening", "noon". */
export function createClockReader(
  { times, language }: LanguagePack,
  numbers: NumberReader,
  lexicon: Lexicon,
): (utterance: Parameters<Recognise>[0], from: number) => { end: number; value: ClockReading }[] {
  const whole =
    (lowest: number, highest: number): Recognise =>
    ({ texts }, from) =>
      numbers(texts, from).filter(
        ({ value }) => Number.isInteger(value) && value >= lowest && value <= highest,
      );
  const parts = {
    hour: whole(0, 24),
    minute: whole(1, 59),
    tens: whole(10, 59),
    clock: digits(/^(\d{1,2}):(\d{2})$/),
    dotted: digits(/^(\d{1,2})\.(\d{2})$/),
  };
  const spoken = createForms<ClockReading>(
    [
      { said: ["$clock"], make: (part) => part("clock") as ClockReading },
      ...times.clock.map(({ said, minutes, before }) => ({
        said,
        make: (part: (name: string) => unknown) => {
          const written = (part("clock") ?? part("dotted")) as ClockReading | undefined;
          if (written) return written;
          const hour = part("hour") as number;
          const counted = (part("minute") ?? part("tens") ?? minutes ?? 0) as number;
          return clockAt(hour, before ? -counted : counted);
        },
      })),
      ...Object.entries(times.moments).map(([moment, said]) => ({
        said,
        make: () => ({ minutes: (parseClock(moment) ?? 0) / 60, open: false }),
      })),
    ],
    parts,
    language,
    lexicon,
  );
  const shifted = (said: readonly string[], shift: (hour: number) => number) => ({
    said,
    make: (part: (name: string) => unknown) => {
      const { minutes, open } = part("time") as ClockReading;
      if (!open) return { minutes, open };
      const hour = Math.floor(minutes / 60);
      return { minutes: shift(hour) * 60 + (minutes % 60), open: false };
    },
  });
  const inPartOfDay = createForms<ClockReading>(
    [
      shifted(times.morning, (hour) => hour % 12),
      shifted(times.afternoon, (hour) => (hour % 12) + 12),
      // Ten at night is late in the evening, three at night is before dawn.
      shifted(times.night, (hour) => (hour >= 6 && hour < 12 ? hour + 12 : hour % 12)),
    ],
    { time: spoken },
    language,
    lexicon,
  );
  return (utterance, from) => [...spoken(utterance, from), ...inPartOfDay(utterance, from)];
}

/** Digits of a clock; a leading zero makes them those of a day of 24 hours. */
function digits(form: RegExp): Recognise {
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
