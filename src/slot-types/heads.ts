import type { LanguagePack } from "../language/pack.ts";

/** Whether a name begins with the thing itself, as "lampe du bureau" does, or ends with it. */
export function isHeadFirst({ plurals }: LanguagePack): boolean {
  return plurals?.head === "first";
}

/** By language: a home may have a hundred thousand names. */
const between = new WeakMap<LanguagePack, ReadonlySet<string>>();

/** Words between a thing and what tells which one it is. */
export function betweenWords(pack: LanguagePack): ReadonlySet<string> {
  let words = between.get(pack);
  if (!words) {
    words = new Set([...pack.small, ...pack.targets.inPlace, ...pack.elisions]);
    between.set(pack, words);
  }
  return words;
}

/** The words of a name that tell which one it is, without those for the thing itself. */
export function whichOf(words: readonly string[], pack: LanguagePack): readonly string[] {
  if (!isHeadFirst(pack)) return words.slice(0, -1);
  const others = betweenWords(pack);
  return words.slice(1).filter((word) => !others.has(word));
}
