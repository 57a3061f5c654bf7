import type { LanguagePack } from "../language/pack.ts";
import { printQuantity } from "../model/property.ts";
import { spokenDuration } from "./times.ts";

/** A number and its unit, as they are said: "1 degree", "60 percent", "1 hour 30 minutes". */
export function spokenQuantity(
  pack: LanguagePack,
  language: string,
  value: number,
  unit?: string,
): string {
  if (unit === "second") return spokenDuration(pack, value);
  const word = unitWord(pack, value, unit);
  if (word === undefined) return printQuantity(value, unit);
  return `${new Intl.NumberFormat(language, { maximumFractionDigits: 2 }).format(value)} ${word}`;
}

/** The word for so many of a unit; the first in a pack is for several, and the second for one. */
function unitWord({ units }: LanguagePack, value: number, unit?: string): string | undefined {
  switch (unit) {
    case "percent":
      return units.percent[0];
    case "kelvin":
      return units.kelvin[0];
    case "celsius":
      return units.celsius[value === 1 ? 1 : 0] ?? units.celsius[0];
    default:
      return undefined;
  }
}
