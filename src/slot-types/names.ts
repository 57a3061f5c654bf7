import type { LanguagePack } from "../language/pack.ts";
import { splitWords } from "../language/words.ts";
import type { Lexicon } from "../lexicon/lexicon.ts";
import { type Trie, createTrie } from "../lexicon/trie.ts";
import type { Home, Name, Nameable } from "../model/home.ts";
import { spokenNames } from "../model/names.ts";
import type { Holder } from "./expression.ts";
import type { Spoken } from "./slot.ts";
import { isKnown, knownOf } from "../model/known.ts";

/** The names that are said in one language. */
export interface Names {
  trie: Trie<Holder>;
  holders: readonly Holder[];
}

/**
 * Gathers the names that may be said in a language: those of the language, and after them those that
 * things have in another language of the home, since a household may mix.
 */
export function gatherNames({ home, language, pack }: Spoken, lexicon: Lexicon): Names {
  const first = home.languages[0] ?? language;
  const forms = createNameForms(pack);
  const trie = createTrie<Holder>();
  const holders: Holder[] = [];
  const shared = sharedNames(home);
  const insert = (holder: Holder): void => {
    for (const words of forms(holder.name)) trie.insert(words.map(lexicon.add), holder);
    const { words } = holder.name;
    const several = shared.has(words.join(" ")) && pluralOf(words, pack);
    if (several) trie.insert(several.map(lexicon.add), { ...holder, many: true });
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
  return { trie, holders };
}

/** Names that several devices have, in whatever language: "ceiling light" in two rooms. */
function sharedNames({ devices }: Home): ReadonlySet<string> {
  const shared = new Set<string>();
  const seen = new Map<string, string>();
  for (const { id, names } of devices.values()) {
    for (const { words } of names) {
      const text = words.join(" ");
      const other = seen.get(text);
      if (other === undefined) seen.set(text, id);
      else if (other !== id) shared.add(text);
    }
  }
  return shared;
}

/** A name as it is said of several: "ceiling lights", "lámparas de techo". */
function pluralOf(words: readonly string[], { plurals }: LanguagePack): string[] | undefined {
  if (!plurals) return undefined;
  const at = plurals.head === "first" ? 0 : words.length - 1;
  const word = words[at] ?? "";
  const [ending, instead] = plurals.endings.find(([each]) => word.endsWith(each)) ?? [];
  if (ending === undefined || instead === undefined) return undefined;
  return words.with(at, word.slice(0, word.length - ending.length) + instead);
}

/** Highest number that a name is found by in words and in digits. */
const highest = 20;

/**
 * The ways in which a name is said: with and without small words, with numbers in words and in digits,
 * and with the endings that words before the last one take.
 */
function createNameForms(pack: LanguagePack): (name: Name) => Iterable<readonly string[]> {
  const small = new Set(pack.small);
  // Digits for number words, and the reverse.
  const otherwise = new Map<string, string>();
  for (let value = 0; value <= highest; value++) {
    const [word, more] = splitWords(pack.numbers.cardinal(value), pack);
    if (!word || more) continue;
    otherwise.set(word.text, String(value));
    otherwise.set(String(value), word.text);
  }
  const { inflections = [] } = pack;
  return ({ words }) => {
    const forms: (readonly string[])[] = [words];
    // Most names have neither, and a home may have a hundred thousand.
    if (words.some((word) => small.has(word))) {
      const short = words.filter((word) => !small.has(word));
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
