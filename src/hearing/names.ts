import type { Lexicon } from "../lexicon/lexicon.ts";
import { type Trie, createTrie } from "../lexicon/trie.ts";
import type { Name, Nameable, Phrasebook } from "../phrasebook/model.ts";
import { isKnown, knownOf } from "./access.ts";

/** Something under one of its names. */
export interface Holder {
  entity: Nameable;
  name: Name;
}

/** The names that are said in one language. */
export interface Names {
  trie: Trie<Holder>;
  holders: readonly Holder[];
}

/**
 * Gathers the names of a language. What has none in it goes by its names in the first language,
 * since people say those then.
 */
export function gatherNames(
  book: Phrasebook,
  language: string,
  lexicon: Lexicon,
  small: ReadonlySet<string>,
): Names {
  const trie = createTrie<Holder>();
  const holders: Holder[] = [];
  for (const map of [book.devices, book.groups, book.rooms, book.zones]) {
    for (const entity of map.values()) {
      if (!isSpeakable(book, entity)) continue;
      for (const name of spokenNames(entity, language, book.languages[0] ?? language)) {
        const holder = { entity, name };
        holders.push(holder);
        trie.insert(name.words.map(lexicon.add), holder);
        const short = name.words.filter((word) => !small.has(word));
        if (short.length > 0 && short.length < name.words.length) {
          trie.insert(short.map(lexicon.add), holder);
        }
      }
    }
  }
  return { trie, holders };
}

/** What voice is barred from has no name for it, and neither has a group of nothing else. */
function isSpeakable({ devices }: Phrasebook, entity: Nameable): boolean {
  if (entity.type === "device") return isKnown(entity);
  if (entity.type !== "group" || entity.devices.length === 0) return true;
  return knownOf(devices, entity.devices).length > 0;
}

/** What something is called in a language. */
export function nameIn(book: Phrasebook, entity: Nameable, language: string): string | undefined {
  return spokenNames(entity, language, book.languages[0] ?? language)[0]?.text;
}

/** The names of something in a language. */
export function spokenNames(
  entity: { names: readonly Name[] },
  language: string,
  first: string,
): readonly Name[] {
  const own = entity.names.filter((name) => name.language === language);
  return own.length > 0 ? own : entity.names.filter((name) => name.language === first);
}
