import type { Book } from "../book/book.ts";
import { packOf } from "../language/packs.ts";
import { type Phone, readIpa } from "../sounds/phones.ts";
import {
  type Dictionary,
  type Pronunciations,
  type Sounds,
  createSounds,
} from "../sounds/pronounce.ts";

/**
 * How words sound in one language of a home: as the phrasebook says, then as a dictionary does, which tells
 * only of English, then by their letters.
 */
export function soundsIn(book: Book, language: string, dictionary?: Dictionary): Sounds {
  const pack = packOf(book, language);
  const told = pack.language === "en" ? dictionary : undefined;
  const written = createSounds(pack, { dictionary: told });
  const own = new Map<string, (readonly Phone[])[]>();
  for (const { word, language: tag, said } of book.pronunciations) {
    if (tag !== language) continue;
    const phones =
      said.as === "ipa"
        ? ipaOf(said.ipa)
        : said.words.flatMap((each) => written.waysOf(each)[0] ?? []);
    own.set(word, [...(own.get(word) ?? []), phones]);
  }
  const known: Pronunciations = own;
  return own.size === 0 ? written : createSounds(pack, { own: known, dictionary: told });
}

function ipaOf(ipa: string): readonly Phone[] {
  const read = readIpa(ipa);
  return read.ok ? read.phones : [];
}
