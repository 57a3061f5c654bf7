import type { Utterance } from "../../automaton/utterance.ts";
import type { Stretch } from "../understand/stretch.ts";

/** What stands between quotation marks of any language. */
const quotation = /["“”„«»][^"“”„«»]+["“”„«»]/gu;

/** Tells whether words stand in a quotation: nothing in it parts a command, and nothing stands apart from it. */
export function quotedIn({ text, words }: Utterance): (stretch: Stretch) => boolean {
  const quotations = [...text.matchAll(quotation)].map(({ 0: quoted, index }) => {
    return { start: index, end: index + quoted.length };
  });
  return ({ from }) => {
    const at = words[from]?.start;
    if (at === undefined) return false;
    return quotations.some(({ start, end }) => start < at && at < end);
  };
}
