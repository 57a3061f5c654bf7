import type { Utterance } from "../automaton/utterance.ts";
import type { LanguagePack } from "../language/pack.ts";
import type { Lexicon } from "../lexicon/lexicon.ts";
import { type Trie, createTrie } from "../lexicon/trie.ts";
import type { Home, Nameable } from "../model/home.ts";
import { spokenNames } from "../model/names.ts";
import type { Holder } from "./expression.ts";
import { pluralOf } from "./name-counts.ts";
import { numbersOtherwise } from "./name-numbers.ts";
import { nameEndings, looseNames } from "./loose-names.ts";
import { isPlace } from "./narrowing.ts";
import type { Spoken } from "./slot.ts";
import { isKnown, knownOf } from "../model/known.ts";

/** The names that are said in one language. */
export interface Names {
  trie: Trie<Holder>;
  holders: readonly Holder[];
  /** Whose names end in a word that is written as one with what stands before it. */
  endings: (text: string) => readonly Holder[] | undefined;
}

/**
 * Gathers the names that may be said in a language: those of the language, and after them those that
 * things have in another language of the home, since a household may mix.
 *
 * @param isOfPatterns Whether patterns of the language have a word.
 */
export function gatherNames(
  spoken: Spoken,
  lexicon: Lexicon,
  isOfPatterns: (word: string) => boolean,
): Names {
  const { home, language, pack } = spoken;
  const first = home.languages[0] ?? language;
  const { floors = [] } = pack;
  const forms = createNameForms(pack);
  const trie = createTrie<Holder>();
  const holders: Holder[] = [];
  const { shared, known } = sharedNames(home);
  const insertMany = (words: readonly string[], holder: Holder): void => {
    const several = pluralOf(words, pack);
    if (several) trie.insert(several.map(lexicon.add), { ...holder, many: true });
  };
  const insert = (holder: Holder): void => {
    const { words } = holder.name;
    for (const form of forms(words)) trie.insert(form.map(lexicon.add), holder);
    const text = words.join(" ");
    if (shared.has(text)) insertMany(words, holder);
    // "Up here" is upstairs, where a place is called so.
    for (const [place, said] of isPlace(holder.entity.type) ? floors : []) {
      if (place === text) trie.insert(said.split(" ").map(lexicon.add), holder);
    }
  };
  for (const map of [home.devices, home.groups, home.rooms, home.zones]) {
    for (const entity of map.values()) {
      if (!isSpeakable(home, entity)) continue;
      const own = spokenNames(entity, language, first);
      for (const name of own) {
        const holder = { entity, name };
        holders.push(holder);
        insert(holder);
      }
      if (own.length === entity.names.length) continue;
      const texts = new Set(own.map(({ words }) => words.join(" ")));
      for (const name of entity.names) {
        if (own.includes(name) || texts.has(name.words.join(" "))) continue;
        insert({ entity, name: { ...name, alias: true } });
      }
    }
  }
  for (const { words, holder, isShared } of looseNames(spoken, holders, { known, isOfPatterns })) {
    trie.insert(words.map(lexicon.add), holder);
    if (isShared) insertMany(words, holder);
  }
  return { trie, holders, endings: nameEndings(spoken, holders, known) };
}

/** Words that are a name, and the things that have it. */
interface Longest {
  end: number;
  holders: readonly Holder[];
}

function isLoose({ holders }: Longest): boolean {
  return holders.every(({ name }) => name.loose);
}

/** Tells the longest name from a word on: "rack light two" is never "rack light" and a number. */
export function longestNames(
  { trie, endings }: Names,
  { numbers, small, texts }: Utterance,
): (from: number) => Longest | undefined {
  const known: (Longest | null)[] = [];
  const written = (from: number): Longest | undefined => {
    let found: Longest | undefined;
    trie.match(numbers, from, (end, holders) => (found = { end, holders }));
    return found;
  };
  /** "Warm floor" is what is called so, and never to warm what "floor" is enough for. */
  const isWithin = (from: number): boolean => {
    for (let before = 0; before < from; before++) {
      const name = written(before);
      if (name && name.end > from && !isLoose(name)) return true;
    }
    return false;
  };
  const find = (from: number): Longest | undefined => {
    const found = written(from);
    if (found) return isLoose(found) && isWithin(from) ? undefined : found;
    const parts = small[from] ? undefined : endings(texts[from] ?? "");
    return parts && { end: from + 1, holders: parts };
  };
  return (from) => {
    let longest = known[from];
    if (longest === undefined) known[from] = longest = find(from) ?? null;
    return longest ?? undefined;
  };
}

/**
 * All names of a home, in whatever language, and those that several devices have: "ceiling light" in two
 * rooms.
 */
function sharedNames(home: Home): { known: ReadonlySet<string>; shared: ReadonlySet<string> } {
  const shared = new Set<string>();
  const seen = new Map<string, Nameable>();
  for (const map of [home.devices, home.groups, home.rooms, home.zones]) {
    for (const entity of map.values()) {
      if (!isSpeakable(home, entity)) continue;
      for (const { words } of entity.names) {
        const text = words.join(" ");
        const other = seen.get(text);
        if (other === undefined) seen.set(text, entity);
        else if (other !== entity && entity.type === "device") shared.add(text);
      }
    }
  }
  return { shared, known: new Set(seen.keys()) };
}

/**
 * The ways in which a name is said: with and without small words, with numbers in words and in digits,
 * and with the endings that words before the last one take.
 */
function createNameForms(
  pack: LanguagePack,
): (words: readonly string[]) => Iterable<readonly string[]> {
  const small = new Set(pack.small);
  const otherwise = numbersOtherwise(pack);
  const { inflections = [] } = pack;
  return (words) => {
    const forms: (readonly string[])[] = [words];
    // Most names have neither, and a home may have a hundred thousand.
    if (words.some((word) => small.has(word))) {
      // "Dortoir un" is no "dortoir": what a name ends in is no article.
      const short = words.filter((word, at) => at === words.length - 1 || !small.has(word));
      if (short.length > 0) forms.push(short);
    }
    if (words.some((word) => otherwise.has(word))) {
      forms.push(words.map((word) => otherwise.get(word) ?? word));
    }
    if (inflections.length === 0) return forms;
    const [stem, ending] = inflected(words, inflections);
    if (ending === undefined) return forms;
    for (const other of inflections) {
      if (other !== ending)
        forms.push([
          ...stem.slice(0, -1),
          `${stem.at(-1) ?? ""}${other}`,
          ...words.slice(stem.length),
        ]);
    }
    return forms;
  };
}

/** A name up to the stem of its first word that takes an ending, and that ending. */
function inflected(
  words: readonly string[],
  inflections: readonly string[],
): [stem: readonly string[], ending: string | undefined] {
  for (const [at, word] of words.slice(0, -1).entries()) {
    const ending = inflections.find((each) => word.endsWith(each) && word.length > each.length + 2);
    if (ending === undefined) continue;
    return [[...words.slice(0, at), word.slice(0, word.length - ending.length)], ending];
  }
  return [words, undefined];
}

/** What voice is barred from has no name for it, and neither has a group of nothing else. */
function isSpeakable({ devices }: Home, entity: Nameable): boolean {
  if (entity.type === "device") return isKnown(entity);
  if (entity.type !== "group" || entity.devices.length === 0) return true;
  return knownOf(devices, entity.devices).length > 0;
}
