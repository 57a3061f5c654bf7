import { splitWords } from "../language/words.ts";
import type { Home } from "../model/home.ts";
import { isKnown } from "../model/known.ts";
import { spokenNames } from "../model/names.ts";
import { isHeadFirst } from "./heads.ts";
import type { Noun } from "./nouns.ts";
import type { Spoken } from "./slot.ts";

/** The kinds of devices that have a word in their names, and of those that it is the thing itself of. */
interface WordKinds {
  within: ReadonlyMap<string, ReadonlySet<string>>;
  heads: ReadonlyMap<string, ReadonlySet<string>>;
}

/** Of each home's devices, by language. */
const known = new WeakMap<Home["devices"], Map<string, WordKinds>>();

/**
 * Whether a noun for a kind is what others are called by, and nothing of the kind: beside a sauna, which is a heater,
 * "the radiator" is the thermostat that is called so. "The light" is any all the same.
 */
export function isBorrowed(spoken: Spoken, { kind, forms }: Omit<Noun, "many">): boolean {
  const { pack } = spoken;
  const [light] = pack.kinds["light"]?.one ?? [];
  if (light !== undefined && forms.includes(light)) return false;
  const { within, heads } = wordKinds(spoken);
  const ends = forms.map((form) => splitWords(form, pack).at(-1)?.text ?? form);
  if (ends.some((end) => kindsOf(within, end, spoken).has(kind))) return false;
  return ends.some((end) => kindsOf(heads, end, spoken).size > 0);
}

/** The kinds under a word, or under one that ends in it where a language writes two as one. */
function kindsOf(
  words: ReadonlyMap<string, ReadonlySet<string>>,
  word: string,
  { pack }: Spoken,
): ReadonlySet<string> {
  if (!pack.links) return words.get(word) ?? new Set();
  const kinds = new Set<string>();
  for (const [each, its] of words) if (each.endsWith(word)) for (const kind of its) kinds.add(kind);
  return kinds;
}

function wordKinds({ home, language, pack }: Spoken): WordKinds {
  const byLanguage = known.get(home.devices) ?? new Map<string, WordKinds>();
  known.set(home.devices, byLanguage);
  const made = byLanguage.get(language);
  if (made) return made;
  const within = new Map<string, Set<string>>();
  const heads = new Map<string, Set<string>>();
  const add = (to: Map<string, Set<string>>, word: string, kind: string): void => {
    const kinds = to.get(word);
    if (kinds) kinds.add(kind);
    else to.set(word, new Set([kind]));
  };
  const first = home.languages[0] ?? language;
  const isFirst = isHeadFirst(pack);
  for (const device of home.devices.values()) {
    if (!isKnown(device)) continue;
    for (const { words } of spokenNames(device, language, first)) {
      for (const word of words) add(within, word, device.kind);
      add(heads, words.at(isFirst ? 0 : -1) ?? "", device.kind);
    }
  }
  const all = { within, heads };
  byLanguage.set(language, all);
  return all;
}
