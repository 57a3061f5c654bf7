import type { Context } from "../document/context.ts";
import type { Cursor } from "../document/cursor.ts";
import { saidTexts } from "../document/said.ts";
import type { LanguagePack } from "../language/pack.ts";
import { type Packs, packFor } from "../language/packs.ts";
import type { Home } from "../model/home.ts";
import type { KindDefinition } from "./definition/home.ts";

type Words = Map<string, string[]>;

/** What a phrasebook says for properties, values and actions of its own, in one language. */
interface OwnWords {
  properties: Words;
  values: Map<string, Words>;
  actions: Words;
}

/**
 * The packs of a home with its own words in them, so that whatever knows a word of the language knows
 * these as well. What has no words anywhere goes by its id in the first language.
 */
export function withOwnWords(
  context: Context,
  kinds: readonly Cursor<KindDefinition>[],
  home: Home,
): Packs {
  const { packs, languages } = context;
  const own = new Map<LanguagePack, OwnWords>();
  const wordsOf = (language: string): OwnWords | undefined => {
    const pack = packFor({ packs }, language);
    if (!pack) return undefined;
    let words = own.get(pack);
    if (!words)
      own.set(pack, (words = { properties: new Map(), values: new Map(), actions: new Map() }));
    return words;
  };
  for (const kind of kinds) {
    const said = kind.given("said");
    for (const sort of ["properties", "actions"] as const) {
      for (const each of said?.given(sort)?.entries() ?? []) {
        for (const { text, language } of saidTexts(each))
          push(wordsOf(language)?.[sort], each.id, text);
      }
    }
    for (const property of said?.given("values")?.entries() ?? []) {
      for (const value of property.entries()) {
        for (const { text, language } of saidTexts(value)) {
          const words = wordsOf(language);
          if (!words) continue;
          const held = words.values.get(property.id) ?? new Map<string, string[]>();
          words.values.set(property.id, held);
          push(held, value.id, text);
        }
      }
    }
  }
  const [first = packs[0].language] = languages;
  const plain = wordsOf(first);
  if (plain) addIds(plain, packs, home, own);
  if (own.size === 0) return packs;
  const [one, ...others] = packs.map((pack) => extended(pack, own.get(pack)));
  return one ? [one, ...others] : packs;
}

/** What nobody gave a word is called by its id. */
function addIds(
  plain: OwnWords,
  packs: Packs,
  { devices }: Home,
  own: ReadonlyMap<LanguagePack, OwnWords>,
): void {
  const isSaid = (sort: "properties" | "actions", id: string): boolean =>
    packs.some((pack) => Object.hasOwn(pack[sort] ?? {}, id)) ||
    [...own.values()].some((words) => words[sort].has(id));
  const seen = new Set<unknown>();
  for (const { properties, actions } of devices.values()) {
    // Devices of a kind share what it has.
    if (seen.has(properties) && seen.has(actions)) continue;
    seen.add(properties).add(actions);
    for (const id of properties.keys()) {
      if (!isSaid("properties", id)) push(plain.properties, id, id.replaceAll("-", " "));
    }
    for (const id of actions) {
      if (!isSaid("actions", id)) push(plain.actions, id, id.replaceAll("-", " "));
    }
  }
}

function push(words: Words | undefined, id: string, text: string): void {
  if (!words) return;
  const held = words.get(id);
  if (held) held.push(text);
  else words.set(id, [text]);
}

function extended(pack: LanguagePack, own: OwnWords | undefined): LanguagePack {
  if (!own) return pack;
  const { properties, values, actions } = own;
  if (properties.size + values.size + actions.size === 0) return pack;
  const merged = new Map(Object.entries(pack.values));
  for (const [property, words] of values) {
    merged.set(property, { ...merged.get(property), ...Object.fromEntries(words) });
  }
  return {
    ...pack,
    properties: { ...pack.properties, ...Object.fromEntries(properties) },
    values: Object.fromEntries(merged),
    actions: { ...pack.actions, ...Object.fromEntries(actions) },
  };
}
