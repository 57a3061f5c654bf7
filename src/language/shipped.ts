import { dutch } from "./dutch.ts";
import { english } from "./english.ts";
import { french } from "./french.ts";
import { german } from "./german.ts";
import { italian } from "./italian.ts";
import type { Packs } from "./packs.ts";
import { spanish } from "./spanish.ts";

/** The languages that come with Calm Phrase. */
export const shippedPacks: Packs = [english, german, french, spanish, italian, dutch];
