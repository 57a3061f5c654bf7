import type { LanguagePack } from "../language/pack.ts";
import { printQuantity, unitSign } from "../model/property.ts";
import { toldIn } from "../model/units.ts";
import type { Speech } from "./speech.ts";
import { spokenDuration } from "./times.ts";

/** A number and its unit, as they are said: "1 degree", "60 percent", "1 hour 30 minutes". */
export function spokenQuantity(speech: Speech, said: number, from?: string): string {
  const { pack, book } = speech;
  const { value, unit } = toldIn(said, from, book.units);
  if (unit === "second") return spokenDuration(pack, value);
  const word = unitWord(pack, value, unit);
  return word === undefined ? printQuantity(value, unit) : `${spokenNumber(speech, value)} ${word}`;
}

/** A number as it is written in a language, and its unit's sign. */
export function writtenQuantity(speech: WrittenIn, said: number, from?: string): string {
  const { value, unit } = toldIn(said, from, speech.book.units);
  if (unit === "second") return spokenDuration(speech.pack, value);
  return spokenNumber(speech, value) + unitSign(unit);
}

/** What numbers are written for. */
export type WrittenIn = Pick<Speech, "book" | "pack" | "language">;

/** A number as a language writes it. */
function spokenNumber({ language }: WrittenIn, value: number): string {
  return new Intl.NumberFormat(language, { maximumFractionDigits: 2 }).format(value);
}

/** The word for so many of a unit; the first in a pack is for several, and the second for one. */
function unitWord({ units }: LanguagePack, value: number, unit?: string): string | undefined {
  switch (unit) {
    case "percent":
      return units.percent[0];
    case "kelvin":
      return units.kelvin[0];
    case "celsius":
    case "fahrenheit":
      return units.degrees[value === 1 ? 1 : 0] ?? units.degrees[0];
    default:
      return undefined;
  }
}
