import type { LanguagePack } from "../language/pack.ts";
import { isHeadFirst } from "./heads.ts";

/** Shortest beginning of a word that takes another ending. */
const shortest = 3;

/** A name as it is said of several: "ceiling lights", "lámparas de techo". */
export function pluralOf(words: readonly string[], pack: LanguagePack): string[] | undefined {
  const { endings = [] } = pack.plurals ?? {};
  const found = endings.find(([one]) => headOf(words, pack).endsWith(one));
  return found && withEnding(words, pack, found);
}

/** The same of several, or of one, by every ending: "barn light" for "barn lights". */
export function inOtherNumber(words: readonly string[], pack: LanguagePack): string[][] {
  const { endings = [] } = pack.plurals ?? {};
  const head = headOf(words, pack);
  return endings
    .flatMap(([one, many]) => [[one, many] as const, [many, one] as const])
    .filter(([from]) => head.endsWith(from))
    .filter(([from]) => from === "" || head.length - from.length >= shortest)
    .map((ending) => withEnding(words, pack, ending));
}

/** The thing itself in a name. */
function headOf(words: readonly string[], pack: LanguagePack): string {
  return words.at(isHeadFirst(pack) ? 0 : -1) ?? "";
}

function withEnding(
  words: readonly string[],
  pack: LanguagePack,
  [from, to]: readonly [from: string, to: string],
): string[] {
  const head = headOf(words, pack);
  const at = isHeadFirst(pack) ? 0 : words.length - 1;
  return words.with(at, head.slice(0, head.length - from.length) + to);
}
