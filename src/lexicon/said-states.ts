import type { LanguagePack } from "../language/pack.ts";
import { firstWordsOf } from "../language/words.ts";

const known = new WeakMap<LanguagePack["states"], ReadonlySet<string>>();

/** The words that what is said of a state begins with: "on", "closed". */
export function stateWordsIn(pack: LanguagePack): ReadonlySet<string> {
  const { states } = pack;
  let words = known.get(states);
  if (!words) {
    words = firstWordsOf(Object.values(states).flat(), pack);
    known.set(states, words);
  }
  return words;
}
