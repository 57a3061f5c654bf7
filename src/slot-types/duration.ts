import * as z from "zod/mini";
import type { Recognise } from "../automaton/chart.ts";
import type { Cursor } from "../document/cursor.ts";
import { readLength } from "../document/lengths.ts";
import { valuesSchema } from "../document/shapes.ts";
import type { NumberReader } from "../language/numbers.ts";
import type { LanguagePack } from "../language/pack.ts";
import { durationUnitNames, durationUnits } from "../language/times.ts";
import { splitWords } from "../language/words.ts";
import type { Lexicon } from "../lexicon/lexicon.ts";
import { createTrie } from "../lexicon/trie.ts";
import { choice, optional, sequence } from "../pattern/build.ts";
import type { Pattern } from "../pattern/tree.ts";
import { readChoices } from "./choices.ts";
import { need } from "./need.ts";
import {
  asNumbers,
  checkRange,
  fraction,
  hundred,
  mixed,
  quantitySlot,
  unitWords,
} from "./quantities.ts";
import {
  type Ground,
  type SlotBase,
  type ValueReading,
  type ValuedSlot,
  type Writing,
  valueRead,
} from "./slot.ts";

const length = z.union([z.number(), z.string()], {
  error: "write a duration such as 10m, 1h 30m or 45s",
});

const shape = z.strictObject({
  type: z.literal("duration"),
  minimum: z.optional(length),
  maximum: z.optional(length),
  step: z.optional(length),
  values: z.optional(valuesSchema),
  default: z.optional(length),
  unit: z.optional(z.enum(["second", "minute", "hour"])),
  ...need,
});

/** A length of time, in seconds. */
export const duration = {
  shape,
  read(cursor: Cursor<z.output<typeof shape>>, base: SlotBase): ValuedSlot {
    const read = (key: "minimum" | "maximum" | "step" | "default"): number | undefined => {
      const { value } = cursor.key(key);
      return typeof value === "string" ? readLength(cursor.key(key).as(value)) : value;
    };
    const limits = {
      minimum: read("minimum"),
      maximum: read("maximum"),
      step: read("step"),
      default: read("default"),
    };
    checkRange(cursor, limits.minimum, limits.maximum);
    const { unit } = cursor.value;
    return quantitySlot(base, limits, readChoices(cursor.given("values")), {
      unit: "second",
      family: "duration",
      alike: "duration",
      recognise(ground) {
        const lengths = asNumbers(ground.durations());
        return unit === undefined ? lengths : orCounting(lengths, ground, durationUnits[unit]);
      },
      sample: ({ pack }) => `10 ${pack.times.units.minute[1] ?? ""}`,
      grammar: durationGrammar,
    });
  },
};

/** Lengths, or a number alone that counts so many seconds each. */
function orCounting(
  lengths: Recognise<ValueReading>,
  { numbers }: Ground,
  seconds: number,
): Recognise<ValueReading> {
  return (utterance, from) => [
    ...lengths(utterance, from),
    ...numbers(utterance.texts, from).map(({ end, value }) => ({
      end,
      value: valueRead(value * seconds),
    })),
  ];
}

/** A number of units, and lengths that have names. */
export function durationGrammar(writing: Writing): Pattern {
  const { pack, said, define } = writing;
  return define("duration", () => {
    const { units, one, durations, joiners } = pack.times;
    const words = unitWords(writing, Object.values(units).flat());
    const count = choice([hundred(writing), mixed(writing), said(one), fraction(writing)]);
    const part = define("length", () => sequence(count, words));
    const joiner = said(joiners);
    const named = said(Object.values(durations).flat());
    return choice([
      sequence(
        part,
        optional(
          choice([
            sequence(joiner && optional(joiner), part),
            joiner && sequence(joiner, fraction(writing)),
          ]),
        ),
      ),
      named,
    ]);
  });
}

interface Part {
  end: number;
  seconds: number;
  /** The unit that it was said in, in seconds. */
  unit: number;
}

/** Reads a duration as seconds: "an hour and a half", "ten minutes", "1 h 30". */
export function createDurationReader(
  pack: LanguagePack,
  numbers: NumberReader,
  lexicon: Lexicon,
): Recognise<number> {
  const { times } = pack;
  const wordsOf = (said: string): number[] =>
    splitWords(said, pack).map(({ text }) => lexicon.add(text));
  const units = createTrie<number>();
  for (const unit of durationUnitNames) {
    for (const text of times.units[unit]) units.insert(wordsOf(text), durationUnits[unit]);
  }
  const named = createTrie<number>();
  for (const [seconds, said] of Object.entries(times.durations)) {
    for (const text of said) named.insert(wordsOf(text), Number(seconds));
  }
  const one = new Set(times.one);
  const joiners = new Set(times.joiners);
  const more = new Set(times.more);

  return ({ texts, numbers: words }, from) => {
    const quantities = (at: number): Part[] => {
      const found: Part[] = [];
      const counts = numbers(texts, at).map(({ end, value }) => ({ end, value }));
      if (one.has(texts[at] ?? "")) counts.push({ end: at + 1, value: 1 });
      for (const { end, value } of counts) {
        // "Half an hour" and "ten more minutes" have a word between.
        const isPassed = (one.has(texts[end] ?? "") && value < 1) || more.has(texts[end] ?? "");
        for (const start of isPassed ? [end, end + 1] : [end]) {
          units.match(words, start, (after, [unit = 1]) => {
            if (value >= 0) found.push({ end: after, seconds: value * unit, unit });
          });
        }
      }
      return found;
    };
    const afterJoiner = (at: number): number[] =>
      joiners.has(texts[at] ?? "") ? [at, at + 1] : [at];
    const continued = (part: Part): Part[] => {
      const found = [part];
      for (const at of afterJoiner(part.end)) {
        for (const next of quantities(at)) {
          if (next.unit >= part.unit) continue;
          const whole = { ...next, seconds: part.seconds + next.seconds };
          found.push(...continued(whole));
        }
        if (at === part.end) continue;
        // "An hour and a half."
        for (const { end, value, fraction } of numbers(texts, at)) {
          if (!fraction || value >= 1 || value <= 0) continue;
          found.push({ end, seconds: part.seconds + value * part.unit, unit: part.unit });
        }
      }
      return found;
    };
    const starts = quantities(from);
    named.match(words, from, (end, [seconds = 0]) => starts.push({ end, seconds, unit: 60 }));
    const known = new Set<string>();
    return starts.flatMap(continued).flatMap(({ end, seconds }) => {
      const key = `${end} ${seconds}`;
      if (known.has(key)) return [];
      known.add(key);
      return [{ end, value: seconds }];
    });
  };
}
