import { durationUnits } from "../language/times.ts";
import { ownOf } from "../source/own.ts";

/** How a unit is made into the first of its quantity, and back. */
interface Unit {
  quantity: Quantity;
  /** How much of the first unit one of it is, for differences; undefined where that varies. */
  scale: number | undefined;
  toFirst: (value: number) => number;
  fromFirst: (value: number) => number;
  /** Digits after the point that are worth telling. */
  digits: number;
}

type Quantity = "temperature" | "colour-temperature" | "duration";

export const temperatureUnits = ["celsius", "fahrenheit"] as const;

/** The units that a home is spoken to in, where people differ. */
export interface SpeechUnits {
  temperature: (typeof temperatureUnits)[number];
}

function linear(quantity: Quantity, scale: number, { offset = 0, digits = 0 } = {}): Unit {
  return {
    quantity,
    scale,
    toFirst: (value) => (value - offset) * scale,
    fromFirst: (value) => value / scale + offset,
    digits,
  };
}

const reciprocal = (value: number): number => 1_000_000 / value;

const units = new Map<string, Unit>([
  ["celsius", linear("temperature", 1, { digits: 1 })],
  ["fahrenheit", linear("temperature", 5 / 9, { offset: 32, digits: 1 })],
  ["kelvin", linear("colour-temperature", 1)],
  [
    "mired",
    {
      quantity: "colour-temperature",
      scale: undefined,
      toFirst: reciprocal,
      fromFirst: reciprocal,
      digits: 0,
    },
  ],
  ["second", linear("duration", durationUnits.second)],
  ["minute", linear("duration", durationUnits.minute, { digits: 2 })],
  ["hour", linear("duration", durationUnits.hour, { digits: 2 })],
]);

/** What units are also written as: their signs, codes of UCUM, plurals. */
const written: Readonly<Record<string, string>> = {
  "%": "percent",
  "°c": "celsius",
  c: "celsius",
  cel: "celsius",
  degc: "celsius",
  "degree celsius": "celsius",
  "degrees celsius": "celsius",
  "°f": "fahrenheit",
  f: "fahrenheit",
  degf: "fahrenheit",
  "[degf]": "fahrenheit",
  "degree fahrenheit": "fahrenheit",
  "degrees fahrenheit": "fahrenheit",
  k: "kelvin",
  mireds: "mired",
  s: "second",
  seconds: "second",
  min: "minute",
  minutes: "minute",
  h: "hour",
  hours: "hour",
};

/** A unit by the one name that it has here, however it was written; others as they are. */
export function unitNamed(text: string): string {
  const key = text.toLowerCase();
  if (units.has(key)) return key;
  return ownOf(written, key) ?? text;
}

/** Whether a unit is one of several of its quantity. */
export function isMeasured(unit: string | undefined): unit is string {
  return unit !== undefined && units.has(unit);
}

/** Two units of one quantity that are not the same. */
function apart(from: string | undefined, to: string | undefined): [Unit, Unit] | undefined {
  if (from === undefined || to === undefined || from === to) return undefined;
  const [one, other] = [units.get(from), units.get(to)];
  return other && one?.quantity === other.quantity ? [one, other] : undefined;
}

/** A value in another unit of its quantity; undefined where there is nothing to convert. */
export function converted(value: number, from?: string, to?: string): number | undefined {
  const both = apart(from, to);
  if (!both) return undefined;
  const [one, other] = both;
  return Number(other.fromFirst(one.toFirst(value)).toPrecision(12));
}

/**
 * A difference of values in another unit: 5 degrees Celsius more are 9 degrees Fahrenheit more. It is
 * no number where it depends on what it is added to.
 */
export function convertedDifference(value: number, from?: string, to?: string): number | undefined {
  const both = apart(from, to);
  if (!both) return undefined;
  const [{ scale: one = NaN }, { scale: other = NaN }] = both;
  return Number(((value * one) / other).toPrecision(12));
}

/** A value to as many digits as its unit is worth. */
export function rounded(value: number, unit: string | undefined): number {
  const { digits = 12 } = units.get(unit ?? "") ?? {};
  return Number(value.toFixed(digits));
}

/** The unit that people are told a value of this unit in. */
export function toldUnit(unit: string | undefined, speech: SpeechUnits): string | undefined {
  switch (units.get(unit ?? "")?.quantity) {
    case "temperature":
      return speech.temperature;
    case "colour-temperature":
      return "kelvin";
    case "duration":
      return "second";
    case undefined:
      return unit;
  }
}

/** A value as people are told it. */
export function toldIn(
  value: number,
  unit: string | undefined,
  speech: SpeechUnits,
): { value: number; unit: string | undefined } {
  const into = toldUnit(unit, speech);
  const other = converted(value, unit, into);
  return other === undefined ? { value, unit } : { value: rounded(other, into), unit: into };
}

/**
 * Where temperatures are told in degrees Fahrenheit: regions of the unit preferences of Unicode TR 35,
 * part 6, section 4.
 */
const fahrenheitRegions: ReadonlySet<string> = new Set(["US", "BS", "BZ", "KY", "PR", "PW"]);

/** The units that are usual where a language is spoken: by the region that its tag names. */
export function unitsOfRegion(language: string): SpeechUnits {
  const { region = "" } = new Intl.Locale(language);
  return { temperature: fahrenheitRegions.has(region) ? "fahrenheit" : "celsius" };
}
