import type { LanguagePack } from "../language/pack.ts";

/** Whether a name begins with the thing itself, as "lampe du bureau" does, or ends with it. */
export function isHeadFirst({ plurals }: LanguagePack): boolean {
  return plurals?.head === "first";
}

/** Words between a thing and what tells which one it is. */
export function betweenWords({ small, targets, elisions }: LanguagePack): ReadonlySet<string> {
  return new Set([...small, ...targets.inPlace, ...elisions]);
}

/** The words of a name that tell which one it is, without those for the thing itself. */
export function whichOf(words: readonly string[], pack: LanguagePack): readonly string[] {
  if (!isHeadFirst(pack)) return words.slice(0, -1);
  const between = betweenWords(pack);
  return words.slice(1).filter((word) => !between.has(word));
}
