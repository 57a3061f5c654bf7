import type { Utterance } from "../../automaton/utterance.ts";
import { unheardOf } from "../../lexicon/lexicon.ts";
import type { Engine } from "../understand/engine.ts";
import type { WhenFound } from "../understand/whens.ts";
import { type Stretch, countedIn, indexes } from "../understand/stretch.ts";

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
  const counted = countedIn({ small }, clause);
  const [, other] = counted.filter((at) => !nobody.beside.has(texts[at] ?? ""));
  return other !== undefined && counted.some((at) => nobody.words.has(texts[at] ?? ""));
}

/**
 * Whether a clause says of somebody what they do or where they are: "someone's at the door". "Someone open the
 * door" asks for it.
 */
export function isSomebodys(engine: Engine, utterance: Utterance, clause: Stretch): boolean {
  const { texts, numbers, small } = utterance;
  const saysState = indexes(clause).some((at) => {
    // "Aan de deur" says where.
    return engine.stateWords.has(texts[at] ?? "") && small[at + 1] !== true;
  });
  if (saysState) return false;
  const begun = indexes(clause).slice(0, beforeSpeaker + 1);
  return begun.some((at) => {
    const word = texts[at] ?? "";
    const [before, after] = [texts[at - 2] ?? "", texts[at + 1] ?? ""];
    // "Er staat iemand": the verb goes before.
    const isSaidOf = engine.isClause(after) || engine.isClause(before);
    const hasVerb = word.includes("'") || isSaidOf || numbers[at + 1] === unheardOf;
    return engine.isSomebody(word) && hasVerb;
  });
}

/** Most words in which somebody may be against what is said to be done: "someone's left a glove in it" says more. */
const longestAgainst = 4;

/** Whether words, but for those excused, may say that somebody is against a command: "someone's using it". */
export function isAgainst(
  engine: Engine,
  { texts, numbers }: Utterance,
  { clause, isExcused }: { clause: Stretch; isExcused: readonly boolean[] },
): boolean {
  if (clause.end - clause.from > longestAgainst) return false;
  const all = indexes(clause).filter((at) => isExcused[at] !== true);
  return (
    all.some((at) => engine.isSomebody(texts[at] ?? "")) &&
    all.some((at) => engine.isPointer(texts[at] ?? "") && numbers[at + 1] !== unheardOf)
  );
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
  const counted = countedIn({ small }, clause);
  if (counted.length < 2 || counted.length > longestExclamation) return undefined;
  if (exclaims.that.has(texts[clause.end] ?? "")) return undefined;
  return counted.slice(0, beforeExclaimed + 1).find((at) => exclaims.words.has(texts[at] ?? ""));
}

/** The words in which a clause tells what time it is, which is no when: "it's nearly nine". */
export function hourTold(
  engine: Engine,
  utterance: Utterance,
  { clause, whens }: { clause: Stretch; whens: readonly WhenFound[] },
): Stretch | undefined {
  const { texts, numbers, small } = utterance;
  const all = indexes(clause);
  const first = all.find((at) => small[at] !== true) ?? clause.from;
  // "Het" and "es" may be passed over elsewhere.
  const is = [clause.from, first].find((at) => saysOfNothing(engine, texts, at));
  if (is === undefined) return undefined;
  const isUnsaid = (at: number): boolean =>
    numbers[at] === unheardOf ||
    small[at] === true ||
    engine.auxiliaries.has(texts[at] ?? "") ||
    engine.isPolite(texts[at] ?? "") ||
    engine.copulas.has(texts[at] ?? "");
  for (const from of all.slice(is - clause.from + 1)) {
    const end = Math.max(0, ...engine.clocks(utterance, from).filter((at) => at <= clause.end));
    // "It's on at nine" says when.
    const isWhen = whens.some((when) => when.from < from && when.end >= end);
    if (end > 0) {
      const rest = indexes({ from: end, end: clause.end });
      return !isWhen && rest.every(isUnsaid) ? { from, end } : undefined;
    }
    if (!isUnsaid(from)) return undefined;
  }
  return undefined;
}

/** Whether a clause that begins at a word says of nothing how it is: "it's late", "son las nueve". */
export function saysOfNothing(engine: Engine, texts: readonly string[], at: number): boolean {
  const [text = "", next = ""] = texts.slice(at, at + 2);
  if (engine.isPointer(text)) return text.includes("'") || engine.copulas.has(next);
  return engine.dropsSubject && engine.copulas.has(text);
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
