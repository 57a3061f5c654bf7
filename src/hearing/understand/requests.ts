import type { Utterance } from "../../automaton/utterance.ts";
import { type Verbs, orderOf } from "../../lexicon/verb-forms.ts";
import type { LanguagePack } from "../../language/pack.ts";
import type { Around } from "./around.ts";
import { pick, reworded } from "./stretch.ts";

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
      const spoken = reworded(
        utterance,
        (text, place) => (place === verb ? order : text),
        verbs.lexicon.find,
      );
      return pick(spoken, { from: 0, end: texts.length }, [
        { from: at, end: verb },
        { from: verb + 1, end },
      ]);
    }
    return utterance;
  };
}
