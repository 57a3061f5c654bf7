import type { Cursor } from "../document/cursor.ts";
import { saidTexts } from "../document/said.ts";
import type { SaidDefinition } from "../document/shapes.ts";
import { packFor } from "../language/packs.ts";
import { splitWords } from "../language/words.ts";
import type { Pronunciation } from "../model/pronunciation.ts";
import { readIpa } from "../sounds/phones.ts";

/** Reads what words sound like: IPA between slashes, or other words. */
export function readPronunciations(entry: Cursor<SaidDefinition>): Pronunciation[] {
  return saidTexts(entry).flatMap(({ text, language, cursor }): Pronunciation[] => {
    const pack = packFor(entry.context, language);
    if (!pack) return [];
    const [word, more] = splitWords(entry.id, pack);
    if (!word || more) {
      const fix = "write one word, and each word of a name on its own";
      entry.report("wrong-value", `"${entry.id}" is not one word`, fix, { at: entry.keyAt });
      return [];
    }
    const base = { word: word.text, language, at: entry.keyAt };
    const [, ipa] = /^\/(.*)\/$/su.exec(text.trim()) ?? [];
    if (ipa === undefined) {
      const words = splitWords(text, pack).map((each) => each.text);
      return words.length === 0 ? [] : [{ ...base, said: { as: "words", words } }];
    }
    const read = readIpa(ipa);
    if (read.ok) return [{ ...base, said: { as: "ipa", ipa } }];
    const message = `"${read.symbol}" in /${ipa}/ is no sound of the International Phonetic Alphabet`;
    const fix = "write another, or words that it is said like, without slashes";
    cursor.report("wrong-value", message, fix);
    return [];
  });
}
