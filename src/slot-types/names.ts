import type { Lexicon } from "../lexicon/lexicon.ts";
import { type Trie, createTrie } from "../lexicon/trie.ts";
import type { Nameable, Phrasebook } from "../phrasebook/model.ts";
import { spokenNames } from "../phrasebook/names.ts";
import type { Holder } from "../commands/expression.ts";
import { isKnown, knownOf } from "../commands/access.ts";

/** The names that are said in one language. */
export interface Names {
  trie: Trie<Holder>;
  holders: readonly Holder[];
}

/** Gathers the names of a language. */
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
