import { dutch } from "./dutch.ts";
import { english } from "./english.ts";
import { french } from "./french.ts";
import { german } from "./german.ts";
import { italian } from "./italian.ts";
import type { LanguagePack } from "./pack.ts";
import { spanish } from "./spanish.ts";

/** Every language that Calm Phrase speaks. */
export const packs: readonly LanguagePack[] = [english, german, french, spanish, italian, dutch];

const byLanguage = new Map(packs.map((pack) => [pack.language, pack]));

/** The pack for a BCP 47 tag, by its primary language subtag (RFC 5646, section 2.2.1). */
export function packFor(tag: string): LanguagePack | undefined {
  const end = tag.indexOf("-");
  return byLanguage.get((end < 0 ? tag : tag.slice(0, end)).toLowerCase());
}

/** The language of some that a tag means: itself, or the first one of the same pack. */
export function matchLanguage(languages: readonly string[], tag: string): string | undefined {
  const exact = languages.find((language) => language.toLowerCase() === tag.toLowerCase());
  const pack = packFor(tag);
  return exact ?? languages.find((language) => pack && packFor(language) === pack);
}
