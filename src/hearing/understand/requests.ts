import type { Utterance } from "../../automaton/utterance.ts";
import { type Verbs, orderOf } from "../../lexicon/verb-forms.ts";
import type { LanguagePack } from "../../language/pack.ts";
import type { Around } from "./around.ts";

/**
 * Reads what somebody is asked whether they do as an order to do it: "machst du das Licht an", "tu allumes la
 * lampe", "¿me enciendes la luz?".
 */
export function createRequests(
  pack: LanguagePack,
  verbs: Verbs,
  { starts }: Pick<Around, "starts">,
): (utterance: Utterance) => Utterance {
  if (!pack.requests) return (utterance) => utterance;
  const { before = [], after = [] } = pack.requests;
  return (utterance) => {
    const { texts, small } = utterance;
    // "Wärst du" of "wärst du so lieb und" is no request itself.
    for (const start of [...starts(utterance)].sort((a, b) => b - a)) {
      let at = start;
      while (small[at] === true && !before.includes(texts[at] ?? "")) at++;
      let verb = at;
      while (before.includes(texts[verb] ?? "")) verb++;
      const order = orderOf(texts[verb] ?? "", pack, verbs);
      const isFollowed = after.includes(texts[verb + 1] ?? "");
      // "Wärst du so lieb und sperrst die Tür ab" says who before.
      const isBegun = start > 0 && order !== texts[verb];
      if (order === undefined || (verb === at && !isFollowed && !isBegun)) continue;
      const end = isFollowed ? verb + 2 : verb + 1;
      return without({ ...utterance, ...said(utterance, verb, order, verbs.lexicon.find) }, [
        ...range(at, verb),
        ...range(verb + 1, end),
      ]);
    }
    return utterance;
  };
}

/** The same with another word at a place. */
function said(
  { texts }: Utterance,
  place: number,
  text: string,
  numberOf: (word: string) => number,
): Pick<Utterance, "texts" | "numbers"> {
  const all = texts.map((each, at) => (at === place ? text : each));
  return { texts: all, numbers: all.map(numberOf) };
}

function range(from: number, end: number): number[] {
  return Array.from({ length: end - from }, (_, index) => from + index);
}

function without(utterance: Utterance, places: readonly number[]): Utterance {
  const isLeft = (_: unknown, at: number): boolean => !places.includes(at);
  const { text, words, texts, numbers, small } = utterance;
  return {
    text,
    words: words.filter(isLeft),
    texts: texts.filter(isLeft),
    numbers: numbers.filter(isLeft),
    small: small.filter(isLeft),
  };
}
