import type { HeardUnsure } from "../../commands/outcome.ts";
import type { LanguagePack } from "../../language/pack.ts";
import { splitWords } from "../../language/words.ts";

/** The choice that an answer names: by words of its own, or by its place. */
export function chooseFrom(
  { choices }: HeardUnsure,
  text: string,
  pack: LanguagePack,
): string | undefined {
  const small = new Set(pack.small);
  const wordsOf = (said: string): string[] =>
    splitWords(said, pack)
      .map((word) => word.text)
      .filter((word) => !small.has(word));
  const said = wordsOf(text);
  const labels = new Set(choices.flatMap(({ label }) => wordsOf(label)));
  const place = choices.findIndex((_, index) => {
    const ordinal = wordsOf(pack.numbers.ordinal(index + 1))[0] ?? "";
    return said.includes(ordinal) && !labels.has(ordinal);
  });
  if (place >= 0) return choices[place]?.id;
  const shared = choices.map(({ label }) => {
    const words = wordsOf(label);
    return said.filter((word) => words.includes(word)).length;
  });
  const most = Math.max(0, ...shared);
  const named = choices.filter((_, index) => shared[index] === most);
  return most > 0 && named.length === 1 ? named[0]?.id : undefined;
}
