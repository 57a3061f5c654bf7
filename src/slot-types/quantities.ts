import * as z from "zod/mini";
import type { Match, Recognise } from "../automaton/chart.ts";
import type { Utterance } from "../automaton/utterance.ts";
import type { Cursor } from "../document/cursor.ts";
import { positive, valuesSchema } from "../document/shapes.ts";
import { cardinalsOf } from "../language/numbers.ts";
import { splitWords } from "../language/words.ts";
import { type DataSchema, type Value, checkValue, onStep } from "../model/property.ts";
import { converted } from "../model/units.ts";
import type { ChoiceValue } from "../model/spoken.ts";
import { choice, nothingToSay, optional, phrase, sequence } from "../pattern/build.ts";
import type { Pattern } from "../pattern/tree.ts";
import { given } from "../source/given.ts";
import { choicePatterns, readChoices, recogniseChoices } from "./choices.ts";
import type { LimitsDefinition } from "./definition.ts";
import { need } from "./need.ts";
import type {
  Ground,
  SlotBase,
  SlotSettled,
  Spoken,
  ValueReading,
  ValuedSlot,
  Writing,
} from "./slot.ts";
import { nothingSettled, taken, valueRead } from "./slot.ts";

/** How a slot for numbers is written: `{ type: percent, minimum: 10, maximum: 90, step: 10 }`. */
export function quantityShape<Type extends string>(type: Type) {
  return z.strictObject({
    type: z.literal(type),
    minimum: z.optional(z.number()),
    maximum: z.optional(z.number()),
    step: z.optional(positive),
    values: z.optional(valuesSchema),
    default: z.optional(z.number()),
    ...need,
  });
}

/** What numbers a slot takes. */
export interface Limits {
  minimum?: number | undefined;
  maximum?: number | undefined;
  step?: number | undefined;
  default?: number | undefined;
}

/** Reports a range that goes backwards. */
export function checkRange<T extends number | string>(
  cursor: Cursor<{ minimum?: unknown }>,
  minimum: T | undefined,
  maximum: T | undefined,
): void {
  if (minimum === undefined || maximum === undefined || minimum <= maximum) return;
  const fix = `write minimum: ${maximum}, maximum: ${minimum}`;
  const message = `the range of $${cursor.id} goes backwards`;
  cursor.key("minimum").report("wrong-value", message, fix);
}

/** What is peculiar to a type of number. */
export interface Quantity {
  unit?: string | undefined;
  family?: string;
  /** Left out for one that has words of its own. */
  alike?: string;
  isWhole?: boolean;
  recognise: (ground: Ground) => Recognise<ValueReading>;
  /** What may be said for a usual number, or for the least one that the slot takes. */
  sample: (spoken: Spoken, least: number | undefined) => string | undefined;
  grammar: (writing: Writing) => Pattern;
}

/** A slot for numbers, some of which may also have words of their own: "low" for 33. */
export function quantitySlot(
  base: SlotBase,
  limits: Limits,
  values: readonly ChoiceValue[],
  quantity: Quantity,
): ValuedSlot {
  const { minimum, maximum, step, default: start } = limits;
  const { unit, alike, family = "number", isWhole = false } = quantity;
  const isOwn = values.length > 0;
  const takes: DataSchema = {
    type: isWhole ? "integer" : "number",
    default: 0,
    ...given({ minimum, maximum, multipleOf: step, unit }),
  };
  return {
    ...base,
    fills: "value",
    family,
    values,
    ...given({ alike: isOwn ? undefined : alike, default: start, unit }),
    limits: given({ minimum, maximum }),
    recognise(ground) {
      const number = quantity.recognise(ground);
      if (!isOwn) return number;
      const named = recogniseChoices(values, ground);
      return (utterance, from) => {
        const plain = number(utterance, from);
        const said = named(utterance, from);
        return plain.length === 0 ? said : said.length === 0 ? plain : [...plain, ...said];
      };
    },
    settle: (reading) => settleNumber(base.name, takes, reading),
    misfit(value: Value) {
      if (typeof value !== "number") return "is no number";
      const check = checkValue(takes, value);
      if (check.ok) return undefined;
      return check.problem.problem === "range" ? "is out of its range" : "is off its step";
    },
    samples: (spoken) =>
      [quantity.sample(spoken, minimum)].flatMap((text) =>
        text === undefined ? [] : phrase(text),
      ),
    grammar(writing) {
      const number = quantity.grammar(writing);
      if (!isOwn) return number;
      const own = choicePatterns(values, writing.language).map(writing.led);
      return writing.define(`choice-${writing.owner}`, () => choice([number, ...own]));
    },
  };
}

/** What is said in words for a value is that value, number or not. */
function settleNumber(name: string, takes: DataSchema, reading: ValueReading): SlotSettled {
  if (reading.read !== "value") return nothingSettled;
  const { value, unit } = reading;
  const { minimum, maximum, multipleOf, type } = takes;
  const isOpen = minimum === undefined && maximum === undefined && multipleOf === undefined;
  if (isOpen && type !== "integer") return { ok: true, value };
  // The slot's numbers are in its own unit. What was converted need not be one of its steps.
  const other = typeof value === "number" ? converted(value, unit, takes.unit) : undefined;
  const check = checkValue(takes, other === undefined ? value : onStep(takes, other));
  if (check.ok) return { ok: true, value };
  return { ok: false, reason: { reason: "value", property: name, problem: check.problem } };
}

/** A type of number of which nothing is peculiar but how it is said. */
export function quantityType<Type extends string>(type: Type, quantity: Quantity) {
  return {
    shape: quantityShape(type),
    read(cursor: Cursor<LimitsDefinition>, base: SlotBase): ValuedSlot {
      const { value } = cursor;
      checkRange(cursor, value.minimum, value.maximum);
      const values = readChoices(cursor.given("values"));
      return quantitySlot(base, value, values, { alike: type, ...quantity });
    },
  };
}

/** Words that may follow a number, and the unit that they say. */
interface SaidUnit {
  said: readonly string[];
  /** Where it may be another than the slot's. */
  unit?: string;
}

/**
 * A number with or without its unit, which is then the first; with `whole`, a part of a whole counts as
 * that many of it; below `bareFrom` the unit has to be said.
 */
export function recogniseQuantity(
  { numbers: reader, pack }: Ground,
  all: readonly SaidUnit[],
  { whole = 1, bareFrom = -Infinity }: { whole?: number; bareFrom?: number } = {},
): Recognise<ValueReading> {
  const usual = given({ unit: all[0]?.unit });
  const units = all.flatMap(({ said, unit }) =>
    said.map((text): UnitWords => {
      const words = splitWords(text, pack).map((word) => word.text);
      return { words, ...given({ unit }) };
    }),
  );
  const byFirst = byFirstWord(units);
  // "A degree" is one of them.
  const ones = byFirstWord(
    pack.times.one.flatMap((one) =>
      units.map((each) => ({ ...each, words: [one, ...each.words] })),
    ),
  );
  const isOne = new Set(pack.times.one);
  const joiners = new Set(pack.numbers.fractionJoiners);
  const wholes = new Set(whole === 1 ? [] : saidOnce(pack.units.whole ?? [], pack));
  const starting = (
    among: ReadonlyMap<string, readonly UnitWords[]>,
    { texts }: Utterance,
    { from, value }: { from: number; value: number },
  ): Match<ValueReading>[] => {
    const said = among.get(texts[from] ?? "");
    if (!said) return none;
    return said
      .filter(({ words }) => words.every((word, index) => texts[from + index] === word))
      .map(({ words, unit }) => ({
        end: from + words.length,
        value: { read: "value", value, ...given({ unit }) },
      }));
  };
  /** "Twenty one degrees and a half", "a degree and a half". */
  const withParts = (
    { texts }: Utterance,
    whole: number,
    measured: Match<ValueReading>[],
  ): Match<ValueReading>[] => [
    ...measured,
    ...measured.flatMap(({ end, value }) => {
      if (!Number.isInteger(whole) || !joiners.has(texts[end] ?? "")) return [];
      return reader(texts, end + 1).flatMap((part) =>
        part.fraction ? { end: part.end, value: { ...value, value: whole + part.value } } : [],
      );
    }),
  ];
  const numbersFrom = (utterance: Utterance, from: number): Match<ValueReading>[] => {
    const numbers = reader(utterance.texts, from);
    if (numbers.length === 0) return none;
    return numbers.flatMap(({ end, value, fraction }) => {
      // "Half a degree".
      const isPart = fraction && isOne.has(utterance.texts[end] ?? "");
      const after = starting(isPart ? ones : byFirst, utterance, { from: end, value });
      const measured = withParts(utterance, value, after);
      if (value < bareFrom) return measured;
      const bare: ValueReading =
        fraction && whole !== 1
          ? { read: "value", value: Math.round(value * whole), part: value }
          : { read: "value", value, ...usual };
      // "Half power".
      const isOfWhole = fraction && wholes.has(utterance.texts[end] ?? "");
      return [{ end: isOfWhole ? end + 1 : end, value: bare }, ...measured];
    });
  };
  return (utterance, from) =>
    isOne.has(utterance.texts[from] ?? "")
      ? [
          ...withParts(utterance, 1, starting(ones, utterance, { from, value: 1 })),
          ...numbersFrom(utterance, from),
        ]
      : numbersFrom(utterance, from);
}

/** Single words as they are compared. */
function saidOnce(said: readonly string[], pack: Ground["pack"]): string[] {
  return said.flatMap((text) => splitWords(text, pack).map((word) => word.text));
}

/** The words of a unit, and which it is. */
interface UnitWords {
  words: readonly string[];
  unit?: string;
}

/** Units by the first of their words: most words begin none. */
function byFirstWord(units: readonly UnitWords[]): ReadonlyMap<string, readonly UnitWords[]> {
  const groups = new Map<string, UnitWords[]>();
  for (const unit of units) {
    const [first = ""] = unit.words;
    const same = groups.get(first);
    if (same) same.push(unit);
    else groups.set(first, [unit]);
  }
  return groups;
}

const none: Match<ValueReading>[] = [];

/** What a recogniser of plain numbers finds, as readings. */
export function asNumbers(recognise: Recognise<number>): Recognise<ValueReading> {
  return taken(recognise, valueRead);
}

/** A number, and its unit, which may be left out; or one of them: "a degree". */
export function withUnit(
  { pack, said }: Writing,
  number: Pattern,
  unit: Pattern | undefined,
): Pattern {
  const one = said(pack.times.one);
  return choice([sequence(number, unit && optional(unit)), unit && one && sequence(one, unit)]);
}

/** Words for a unit, without its signs: nobody says "h" for hours. */
export function unitWords({ said }: Pick<Writing, "said">, texts: readonly string[]) {
  return said(
    texts.filter((text) => /[\p{L}\p{M}]{2}/u.test(text) && /[aeiouyàéíóöü]/iu.test(text)),
  );
}

/** Parts of a whole: "a quarter". */
export function fraction({ pack, said, define }: Writing): Pattern {
  return define("fraction", () => {
    const all = pack.numbers.fractions.flatMap((each) => each.said);
    return said(all) ?? nothingToSay;
  });
}

/** "Two and a half", "zweieinhalb". */
export function mixed(writing: Writing): Pattern {
  const { pack, said, define } = writing;
  const { fractions, fractionJoiners, fractionEndings, cardinal } = pack.numbers;
  const ofOne = fractions.filter(({ value }) => value < 1).flatMap((each) => each.said);
  return define("mixed", () => {
    const joiner = said(fractionJoiners);
    const numbers = Array.from({ length: highestMixed }, (_, index) => cardinal(index + 1));
    const inOne = fractionEndings.flatMap(({ ending }) => numbers.map((word) => word + ending));
    return choice([
      joiner && sequence(hundred(writing), joiner, said(ofOne) ?? nothingToSay),
      said(inOne),
    ]);
  });
}

/** Highest number that is spelled out with a part of a whole in the same word. */
const highestMixed = 30;

/** Whole numbers that a grammar spells out. */
export function spelled(
  { pack, said }: Writing,
  lowest: number,
  highest: number,
  step = 1,
): Pattern {
  const values: string[] = [];
  for (let value = lowest; value <= highest; value += step) {
    values.push(...cardinalsOf(value, pack.numbers));
  }
  return said(values) ?? nothingToSay;
}

/**
 * Whole numbers, as a rule of their own: all up to a hundred, unless fewer are wanted, and round ones above.
 * What is out of every range can be said all the same, so that it is refused, and not heard as what is in it.
 */
export function hundred(writing: Writing): Pattern {
  const { least, most } = writing.numbers;
  return writing.define("hundred", () =>
    choice([
      spelled(writing, least, most),
      ...(most < 100
        ? []
        : [spelled(writing, most + 10, 200, 10), spelled(writing, 300, 1000, 100)]),
    ]),
  );
}

/** Numbers with a digit after the point, and less than nothing. */
export function decimal(writing: Writing): Pattern {
  const { pack, said, define } = writing;
  return define("decimal", () => {
    const whole = hundred(writing);
    const point = said(pack.numbers.point);
    const digit = define("digit", () => spelled(writing, 0, 9));
    const minus = said(pack.numbers.minus);
    const after = point && optional(sequence(point, digit));
    return choice([sequence(minus && optional(minus), whole, after), mixed(writing)]);
  });
}
