import type { Lexicon } from "../lexicon/lexicon.ts";
import { type Trie, createTrie } from "../lexicon/trie.ts";
import type { Home, Nameable } from "../model/home.ts";
import { spokenNames } from "../model/names.ts";
import type { Holder } from "./expression.ts";
import type { Spoken } from "./slot.ts";
import { isKnown, knownOf } from "../model/known.ts";

/** The names that are said in one language. */
export interface Names {
  trie: Trie<Holder>;
  holders: readonly Holder[];
}

/** Gathers the names of a language. */
export function gatherNames({ home, language, pack }: Spoken, lexicon: Lexicon): Names {
  const small = new Set(pack.small);
  const trie = createTrie<Holder>();
  const holders: Holder[] = [];
  for (const map of [home.devices, home.groups, home.rooms, home.zones]) {
    for (const entity of map.values()) {
      if (!isSpeakable(home, entity)) continue;
      for (const name of spokenNames(entity, language, home.languages[0] ?? language)) {
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
function isSpeakable({ devices }: Home, entity: Nameable): boolean {
  if (entity.type === "device") return isKnown(entity);
  if (entity.type !== "group" || entity.devices.length === 0) return true;
  return knownOf(devices, entity.devices).length > 0;
}
