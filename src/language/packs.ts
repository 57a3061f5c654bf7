import type { LanguagePack } from "./pack.ts";

/** The languages that are known of, at least one. */
export type Packs = readonly [LanguagePack, ...LanguagePack[]];

/** What speaks languages: a phrasebook, and what reads one. */
export interface Speaks {
  packs: Packs;
}

/** The pack for a BCP 47 tag, by its primary language subtag (RFC 5646, section 2.2.1). */
export function packFor({ packs }: Speaks, tag: string): LanguagePack | undefined {
  const end = tag.indexOf("-");
  const primary = (end < 0 ? tag : tag.slice(0, end)).toLowerCase();
  return packs.find(({ language }) => language === primary);
}

/** The pack of a language that is spoken; the first one for any other. */
export function packOf(speaks: Speaks, tag: string): LanguagePack {
  return packFor(speaks, tag) ?? speaks.packs[0];
}

/** The language of some that a tag means: itself, or the first one of the same pack. */
export function matchLanguage(
  { languages, packs }: Speaks & { languages: readonly string[] },
  tag: string,
): string | undefined {
  const exact = languages.find((language) => language.toLowerCase() === tag.toLowerCase());
  const pack = packFor({ packs }, tag);
  return exact ?? languages.find((language) => pack && packFor({ packs }, language) === pack);
}
