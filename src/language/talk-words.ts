import type { LanguagePack } from "./pack.ts";
import { splitWords } from "./words.ts";

/** Words of talk that is no command, as far as the language has them, each once. */
export function wordsOfTalk(pack: LanguagePack): string[] {
  const { hedges, denies, habits, participles, clauses, fillers } = pack;
  const said = [...hedges, ...denies, ...habits, ...participles, ...clauses, ...fillers];
  return [...new Set(said.flatMap((text) => splitWords(text, pack).map((word) => word.text)))];
}
