import type { Book } from "../book/book.ts";
import { aloud } from "../language/aloud.ts";
import { packOf } from "../language/packs.ts";
import type { Device } from "../model/home.ts";
import { nameIn } from "../model/names.ts";
import { distanceBetween, phonesOf } from "../sounds/distance.ts";
import type { Sounds } from "../sounds/pronounce.ts";
import { namesIn } from "./alike.ts";

/** A name that nothing in the home sounds like. */
export interface NameSuggestion {
  text: string;
  /** How far the nearest name of the home is from it; `undefined` for further than is looked. */
  apart: number | undefined;
}

/** How far a name has to be from all others to be suggested, in hundredths. */
const clear = 120;

/**
 * Other names for a device, those that sound least like any name of the home first: what it is, where it is,
 * and both.
 */
export function suggestNames(
  book: Book,
  device: Device,
  language: string,
  sounds: Sounds,
): NameSuggestion[] {
  const pack = packOf(book, language);
  const own = book.kindNouns.filter(
    (noun) => noun.kind === device.kind && !noun.many && noun.language === language,
  );
  const nouns = [...(pack.kinds[device.kind]?.one ?? []), ...own.map(({ text }) => text)];
  const places = [book.rooms.get(device.room ?? ""), ...book.zones.values()].flatMap((place) =>
    place && (place.type === "room" || place.rooms.includes(device.room ?? ""))
      ? (nameIn(book, place, language) ?? [])
      : [],
  );
  const names = namesIn(book, language);
  const taken = new Set(names.map(({ text }) => text.toLowerCase()));
  const spelled = names
    .filter(({ id }) => id !== device.id)
    .map(({ text }) => phonesOf(aloud(text, pack), sounds));
  const candidates = new Set(
    places.flatMap((place) => nouns.map((noun) => `${place} ${noun}`)).concat(nouns),
  );
  return [...candidates]
    .filter((text) => !taken.has(text.toLowerCase()))
    .map((text): NameSuggestion => {
      const phones = phonesOf(aloud(text, pack), sounds);
      const away = spelled.map((other) => distanceBetween(other, phones, sounds.costs) ?? Infinity);
      const least = Math.min(...away);
      return { text, apart: Number.isFinite(least) ? least / 100 : undefined };
    })
    .filter(({ apart }) => (apart ?? Infinity) * 100 >= clear)
    .sort((one, other) => (other.apart ?? Infinity) - (one.apart ?? Infinity));
}
