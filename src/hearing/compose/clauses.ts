import type { Utterance } from "../../automaton/utterance.ts";
import { unheardOf } from "../../lexicon/lexicon.ts";
import type { Engine } from "../understand/engine.ts";
import { type Stretch, indexes } from "../understand/stretch.ts";

/** Most words before those that tell who perceives something: "que no oigo". */
export const beforeSpeaker = 2;

/** Whether those who speak say in a clause what they perceive, or cannot: "I can't hear", "ik kan niets vinden". */
export function isPerceived(engine: Engine, { texts }: Utterance, clause: Stretch): boolean {
  const words = texts.slice(clause.from, clause.end);
  const speaker = words.findIndex(engine.isSpeaker);
  const isOfUs = speaker >= 0 && speaker <= beforeSpeaker;
  return isOfUs && words.slice(speaker).some((text) => engine.perceives.has(text));
}

/** Whether a clause says that nobody does something. */
export function isNobodys(
  { nobody }: Engine,
  { texts, small }: Utterance,
  clause: Stretch,
): boolean {
  const counted = indexes(clause).filter((at) => small[at] !== true);
  const [, other] = counted.filter((at) => !nobody.beside.has(texts[at] ?? ""));
  return other !== undefined && counted.some((at) => nobody.words.has(texts[at] ?? ""));
}

/** Most words of an exclamation, and before the word that it begins with. */
const longestExclamation = 5;
const beforeExclaimed = 1;

/** The word that asks in what is only exclaimed: "what a day, …". */
export function exclaimedIn(
  { exclaims }: Engine,
  { texts, small }: Utterance,
  clause: Stretch,
): number | undefined {
  const counted = indexes(clause).filter((at) => small[at] !== true);
  if (counted.length < 2 || counted.length > longestExclamation) return undefined;
  if (exclaims.that.has(texts[clause.end] ?? "")) return undefined;
  return counted.slice(0, beforeExclaimed + 1).find((at) => exclaims.words.has(texts[at] ?? ""));
}

/** Most words after one that says nothing by itself that may tell what it is about. */
const mostAbout = 4;

/** Whether one of the next words of its clause is none that the home has, and none that takes anything back. */
export function isForeign(
  engine: Engine,
  utterance: Utterance,
  at: number,
  { clause, isHedged }: { clause: Stretch; isHedged: readonly boolean[] },
): boolean {
  const { texts, numbers } = utterance;
  // "There's a gust that is coming" tells of what it stands behind.
  if (at > clause.from && numbers[at - 1] === unheardOf) return true;
  // "The match has started": with nothing after it, what it says so of comes before it.
  let end = at + 1;
  while (end < clause.end && engine.auxiliaries.has(texts[end] ?? "")) end++;
  if (end === clause.end) return numbers.slice(clause.from, at).includes(unheardOf);
  return indexes({ from: at + 1, end: Math.min(at + 1 + mostAbout, clause.end) }).some((next) => {
    const isSaid = numbers[next] === unheardOf || engine.measured(utterance, next).length > 0;
    return isSaid && isHedged[next] !== true;
  });
}
