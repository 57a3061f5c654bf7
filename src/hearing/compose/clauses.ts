import type { Utterance } from "../../automaton/utterance.ts";
import { unheardOf } from "../../lexicon/lexicon.ts";
import type { Engine } from "../understand/engine.ts";
import type { WhenFound } from "../understand/whens.ts";
import { type Stretch, indexes } from "../understand/stretch.ts";

/** Most words before those that tell who perceives something: "que no oigo". */
const beforeSpeaker = 2;

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

/** What is found of the words of an utterance before its clauses are looked at. */
export interface Heeded {
  isHedged: readonly boolean[];
  /** How many words a number takes that begins at each. */
  counts: readonly number[];
  whens: readonly WhenFound[];
}

/**
 * Which words of a clause deny, say how often, how many or when, of what is no business of the home: "I can't wake up",
 * "that usually does the trick", "I've lost two socks", "there's a call in five minutes".
 */
export function saidOfOthers(
  engine: Engine,
  { texts, numbers, small }: Utterance,
  clause: Stretch,
  { isHedged, counts, whens }: Heeded,
): number[] {
  const all = indexes(clause);
  const isUnheard = (at: number): boolean => numbers[at] === unheardOf && isHedged[at] !== true;
  const unheard = all.filter(isUnheard);
  const [foreign = clause.end] = unheard;
  const first = all.find((at) => small[at] !== true) ?? clause.from;
  const begin = texts[first] ?? "";
  const isOfUs = all.slice(0, beforeSpeaker + 1).some((at) => engine.isSpeaker(texts[at] ?? ""));
  const isOfSomebody = isOfUs || (engine.isClause(begin) && !engine.copulas.has(begin));
  const hasClause = all.some((at) => engine.isClause(texts[at] ?? ""));
  const isDeed = (at: number): boolean =>
    small[at] !== true && isHedged[at] !== true && !engine.isClause(texts[at] ?? "");
  // "La" of "la pelouse" points to nothing.
  const pointed = all.filter((at) => engine.isPointer(texts[at] ?? "") && !isUnheard(at + 1));
  const saysState = all.some((at) => engine.stateWords.has(texts[at] ?? ""));
  // "I'm already in bed" says what is so of those who speak.
  const saysSo = !saysState && pointed.length === 0 && hasClause && all.some(isDeed);
  const isDone =
    pointed.length === 0 &&
    (saysState || all.some((at) => engine.participles.has(texts[at] ?? "")));
  const saysWho = (at: number): boolean => isOfSomebody || foreign < at;
  const timed = whens.filter(({ from, end }) => {
    // "We open in ten minutes" says of those who speak what they do.
    const isOfDeed = isOfUs && all.some((at) => at < from && isDeed(at));
    return end <= clause.end && (isOfDeed || (from > foreign && saysWho(from) && hasClause));
  });
  const said = all.filter((at) => {
    const text = texts[at] ?? "";
    if (engine.auxiliaries.has(text)) return saysSo || (isOfUs && isDone);
    // "We've closed" is of those who speak, and "we've closed it" is not.
    if (engine.participles.has(text)) return isOfUs && isDone;
    if (engine.denies.has(text)) {
      const isOfMore = unheard.length > 1 && (foreign < at || at === first);
      const isOfOne = unheard.length > 0 && isOfSomebody;
      return pointed.length === 0 && (isOfOne || isOfMore);
    }
    // "On, always" says when, and "that always works" nothing to do.
    if (engine.habits.has(text)) return at > first && (!saysState || unheard.length > 0);
    if (timed.some(({ from, end }) => from <= at && at < end)) return true;
    return saysWho(at) && isUnheard(at + (counts[at] ?? 0)) && counts[at] !== 0;
  });
  // No order denies: "I can't read the bill" is none, however orders begin.
  return said.length > 0 && isOfSomebody ? [first, ...said] : said;
}

/** Most words after one that says nothing by itself that may tell what it is about. */
const mostAbout = 4;

/** Whether one of the next words, up to a pause, is none that the home has, and none that takes anything back. */
export function isForeign(
  engine: Engine,
  utterance: Utterance,
  at: number,
  { pauses, isHedged }: { pauses: ReadonlySet<number>; isHedged: readonly boolean[] },
): boolean {
  const { texts, numbers } = utterance;
  // "There's a gust that is coming" tells of what it stands behind.
  if (numbers[at - 1] === unheardOf && !pauses.has(at)) return true;
  // "The match has started": with nothing after it, what it says so of comes before it.
  let end = at + 1;
  while (end < texts.length && !pauses.has(end) && engine.auxiliaries.has(texts[end] ?? "")) end++;
  if (end === texts.length || pauses.has(end)) {
    const begin = Math.max(0, ...[...pauses].filter((pause) => pause <= at));
    return numbers.slice(begin, at).includes(unheardOf);
  }
  for (let next = at + 1; next <= Math.min(at + mostAbout, texts.length - 1); next++) {
    if (pauses.has(next)) return false;
    if (isHedged[next] === true) continue;
    if (numbers[next] === unheardOf || engine.measured(utterance, next).length > 0) return true;
  }
  return false;
}
