import type { LanguagePack } from "../language/pack.ts";
import { splitWords } from "../language/words.ts";

const known = new WeakMap<LanguagePack["states"], ReadonlySet<string>>();

/** The words that what is said of a state begins with: "on", "closed". */
export function stateWordsIn(pack: LanguagePack): ReadonlySet<string> {
  const { states } = pack;
  let words = known.get(states);
  if (!words) {
    const said = Object.values(states).flat();
    words = new Set(said.flatMap((text) => splitWords(text, pack)[0]?.text ?? []));
    known.set(states, words);
  }
  return words;
}
