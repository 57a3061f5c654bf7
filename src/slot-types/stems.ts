import { closed } from "../language/syllables.ts";
import type { LanguagePack } from "../language/pack.ts";

/** Shortest beginning of a word that is written as one with what follows. */
const shortest = 3;

/**
 * What stands before one of some words where a language writes both as one: "Spiegel" of "Spiegellampe", "Katzen"
 * and "Katze" of "Katzenfutterautomat", "kat" of "kattenvoerbak". The longest words and links go first.
 */
export function stemsOf(word: string, heads: readonly string[], pack: LanguagePack): string[] {
  const { links = [], imperatives } = pack;
  const ends = heads.filter((head) => word.endsWith(head));
  const stems = ends.flatMap((head) => {
    const start = word.slice(0, word.length - head.length);
    return links
      .filter((link) => start.endsWith(link))
      .map((link) => start.slice(0, start.length - link.length));
  });
  const whole = stems.map((stem) => (imperatives?.isOpen === true ? closed(stem) : stem));
  return [...new Set([...stems, ...whole])].filter(({ length }) => length >= shortest);
}
