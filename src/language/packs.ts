import { dutch } from "./dutch.ts";
import { english } from "./english.ts";
import { french } from "./french.ts";
import { german } from "./german.ts";
import { italian } from "./italian.ts";
import type { LanguagePack } from "./pack.ts";
import { spanish } from "./spanish.ts";

/** Every language that Calm Phrase speaks. */
export const packs: readonly LanguagePack[] = [english, german, french, spanish, italian, dutch];

/** The pack for a BCP 47 tag, by its primary language subtag (RFC 5646, section 2.2.1). */
export function packFor(tag: string): LanguagePack | undefined {
  const primary = tag.split("-")[0]?.toLowerCase();
  return packs.find((pack) => pack.language === primary);
}
