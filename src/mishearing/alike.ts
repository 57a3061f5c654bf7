import { type Book, asBook } from "../book/book.ts";
import { aloud } from "../language/aloud.ts";
import { packOf } from "../language/packs.ts";
import type { Name } from "../model/home.ts";
import { given } from "../source/given.ts";
import type { Position } from "../source/position.ts";
import { distanceBetween, phonesOf } from "../sounds/distance.ts";
import type { Phone } from "../sounds/phones.ts";
import type { Dictionary, Sounds } from "../sounds/pronounce.ts";
import { languagesMeant, readOptions } from "./options.ts";
import { soundsIn } from "./sounds-in.ts";

/** Something that is said by a name of its own. */
export interface SoundName {
  text: string;
  language: string;
  /** What it is a name of. */
  of: "device" | "group" | "room" | "zone" | "routine" | "source" | "colour" | "value";
  id: string;
  at?: Position;
}

/** Two names that sound alike. */
export interface SoundAlike {
  /** The one that was spoken, and what it is more easily taken for. */
  spoken: SoundName;
  taken: SoundName;
  /** 0 where both sound the same; 1 for one sound that is well apart from another. */
  distance: number;
}

export interface SoundAlikeOptions {
  /** In these languages, as `de` or `de-DE`; in all when left out. */
  languages?: readonly string[];
  /** A pronouncing dictionary of English. */
  dictionary?: Dictionary;
  /** The furthest that two names are told of; 1.5 when left out. */
  furthest?: number;
}

/**
 * The names of a home that sound alike, in each of its languages, the nearest first: of devices, groups,
 * places, routines, sources and values.
 *
 * @throws WrongUse for a language that the home does not speak.
 */
export function findSoundAlikes(of: Book, options: SoundAlikeOptions = {}): SoundAlike[] {
  const book = asBook(of);
  const { dictionary, furthest, languages } = readOptions(options);
  return [...languagesMeant(book, languages)]
    .flatMap((language) => {
      const sounds = soundsIn(book, language, dictionary);
      return alikeIn(spelledOut(book, language, sounds), sounds, furthest);
    })
    .sort((one, other) => one.distance - other.distance);
}

interface Spelled {
  name: SoundName;
  phones: readonly Phone[];
}

function spelledOut(book: Book, language: string, sounds: Sounds): Spelled[] {
  const pack = packOf(book, language);
  return namesIn(book, language).map((name) => ({
    name,
    phones: phonesOf(aloud(name.text, pack), sounds),
  }));
}

function alikeIn(names: readonly Spelled[], { costs }: Sounds, furthest: number): SoundAlike[] {
  const found: SoundAlike[] = [];
  names.forEach((one, index) => {
    for (const other of names.slice(index + 1)) {
      if (one.name.id === other.name.id && one.name.of === other.name.of) continue;
      if (one.name.text === other.name.text) continue;
      const there = distanceBetween(one.phones, other.phones, costs, furthest);
      const back = distanceBetween(other.phones, one.phones, costs, furthest);
      if (there === undefined && back === undefined) continue;
      const isBack = (back ?? Infinity) < (there ?? Infinity);
      const [spoken, taken] = isBack ? [other, one] : [one, other];
      const distance = Math.min(there ?? Infinity, back ?? Infinity) / 100;
      found.push({ spoken: spoken.name, taken: taken.name, distance });
    }
  });
  return found;
}

/** Everything in a home that has a name in a language. */
export function namesIn(book: Book, language: string): SoundName[] {
  const names: SoundName[] = [];
  const add = (of: SoundName["of"], id: string, all: readonly Name[]): void => {
    for (const { text, language: tag, at } of all) {
      if (tag === language) names.push({ text, language, of, id, at });
    }
  };
  for (const { id, kind, names: all } of book.devices.values()) {
    add(kind === "source" ? "source" : "device", id, all);
  }
  for (const { id, names: all } of book.groups.values()) add("group", id, all);
  for (const { id, names: all } of book.rooms.values()) add("room", id, all);
  for (const { id, names: all } of book.zones.values()) add("zone", id, all);
  for (const { id, names: all } of book.routines.values()) add("routine", id, all);
  for (const { value, text, language: tag } of book.colours) {
    if (tag === language) names.push({ text, language, of: "colour", id: value });
  }
  return [...names, ...valuesIn(book, language)];
}

/** Values of slots that have words of their own, and of the properties of the home's devices. */
function valuesIn(book: Book, language: string): SoundName[] {
  const found = new Map<string, SoundName>();
  const add = (id: string, text: string, at?: Position): void => {
    if (/[[(|$<"]/u.test(text)) return;
    found.set(`${id} ${text}`, { text, language, of: "value", id, ...given({ at }) });
  };
  for (const intent of book.intents.values()) {
    for (const slot of intent.slots.values()) {
      if (slot.fills !== "value") continue;
      for (const { value, patterns } of slot.values ?? []) {
        for (const pattern of patterns) {
          if (pattern.language === language && pattern.origin === "phrasebook") {
            add(String(value), pattern.text, pattern.at);
          }
        }
      }
    }
  }
  const { values } = packOf(book, language);
  for (const { properties } of book.devices.values()) {
    for (const property of properties.keys()) {
      for (const [value, said] of Object.entries(values[property] ?? {})) {
        for (const text of said) add(value, text);
      }
    }
  }
  return [...found.values()];
}
