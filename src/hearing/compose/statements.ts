import type { Utterance } from "../../automaton/utterance.ts";
import { unheardOf } from "../../lexicon/lexicon.ts";
import type { Engine } from "../understand/engine.ts";
import { type Stretch, indexes } from "../understand/stretch.ts";
import type { WhenFound } from "../understand/whens.ts";
import { beforeSpeaker, saysOfNothing } from "./clauses.ts";

/** What is found of the words of an utterance before its clauses are looked at. */
interface Found {
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
  utterance: Utterance,
  clause: Stretch,
  found: Found,
): number[] {
  const { texts } = utterance;
  const statement = statementIn(engine, utterance, clause, found);
  const { first, isOfUs, isOfSomebody, pointsBack, saysState } = statement;
  const times = found.whens.filter((when) => isTimeOf(statement, when));
  const passes = (at: number): boolean => {
    const text = texts[at] ?? "";
    // "I'm already in bed" says what is so, and "we've closed" what those who speak did; not "we've closed it".
    const isDone = isOfUs && !pointsBack && (saysState || statement.saysDone);
    if (engine.auxiliaries.has(text)) return saysSo(statement) || isDone;
    if (engine.participles.has(text)) return isDone;
    if (engine.denies.has(text)) return deniesOther(statement, at);
    // "On, always" says when, and "that always works" nothing to do.
    if (engine.habits.has(text)) return at > first && (!saysState || statement.unheard.length > 0);
    return (
      times.some(({ from, end }) => from <= at && at < end) ||
      countsOther(statement, at, found.counts[at] ?? 0)
    );
  };
  const passed = indexes(clause).filter(passes);
  // No order denies: "I can't read the bill" is none, however orders begin.
  return passed.length > 0 && isOfSomebody ? [first, ...passed] : passed;
}

/** What a clause says, as far as that is told without knowing its words. */
interface Statement {
  clause: Stretch;
  /** The first word that counts. */
  first: number;
  /** Words that neither the home nor its commands have. */
  unheard: readonly number[];
  /** Words that neither say who, nor deny or report, nor are said of any command. */
  content: readonly number[];
  /** Whether those who speak are its subject, and whether anybody who is only pointed to is. */
  isOfUs: boolean;
  isOfSomebody: boolean;
  /** Whether it has any word that makes a clause. */
  hasClause: boolean;
  /** Whether it points to what was spoken of, which may be the command. */
  pointsBack: boolean;
  /** Whether it begins by saying of nothing how it is: "it's already late". */
  isOfNothing: boolean;
  /** Whether it says a state, and what was done. */
  saysState: boolean;
  saysDone: boolean;
}

function statementIn(
  engine: Engine,
  utterance: Utterance,
  clause: Stretch,
  { isHedged }: Found,
): Statement {
  const { texts, numbers, small } = utterance;
  const all = indexes(clause);
  const has = (isMeant: (text: string) => boolean): boolean =>
    all.some((at) => isMeant(texts[at] ?? ""));
  const isUnheard = (at: number): boolean => numbers[at] === unheardOf && isHedged[at] !== true;
  const first = all.find((at) => small[at] !== true) ?? clause.from;
  const begin = texts[first] ?? "";
  const isOfUs = all.slice(0, beforeSpeaker + 1).some((at) => engine.isSpeaker(texts[at] ?? ""));
  return {
    clause,
    first,
    unheard: all.filter(isUnheard),
    content: all.filter((at) => {
      const text = texts[at] ?? "";
      const saysWho = engine.isSpeaker(text) || engine.isPointer(text) || engine.copulas.has(text);
      return small[at] !== true && isHedged[at] !== true && !saysWho && !engine.isPolite(text);
    }),
    isOfUs,
    isOfSomebody: isOfUs || (engine.isClause(begin) && !engine.copulas.has(begin)),
    hasClause: has(engine.isClause),
    pointsBack: all.some((at) => {
      const text = texts[at] ?? "";
      // "La" of "la pelouse" points to nothing, nor does "die" of "ik kan die rekening niet lezen".
      const isOfWord = isUnheard(at + 1) && (at > first || engine.articles.has(text));
      return engine.isPointer(text) && !isOfWord;
    }),
    isOfNothing: [clause.from, first].some((at) => {
      return engine.isPointer(texts[at] ?? "") && saysOfNothing(engine, texts, at);
    }),
    saysState: has((text) => engine.stateWords.has(text)),
    saysDone: has((text) => engine.participles.has(text)),
  };
}

function saysSo({ saysState, pointsBack, isOfNothing, hasClause, content }: Statement): boolean {
  return !saysState && (!pointsBack || isOfNothing) && hasClause && content.length > 0;
}

/** Whether a word denies what somebody else does, or what is of something that the home does not have. */
function deniesOther(
  { unheard, content, first, isOfSomebody, pointsBack }: Statement,
  at: number,
): boolean {
  const [foreign] = unheard;
  if (foreign === undefined || pointsBack) return false;
  // "The twins never sleep"; "no leo la factura" leaves out who.
  const saysWhat = foreign < at ? content.length > 1 : at === first && unheard.length > 1;
  return isOfSomebody || saysWhat;
}

/** Whether a number counts what the home does not have: "two socks". */
function countsOther({ unheard, isOfSomebody }: Statement, at: number, count: number): boolean {
  const [foreign = at] = unheard;
  return count > 0 && unheard.includes(at + count) && (isOfSomebody || foreign < at);
}

/** Whether it is when something happens that the home has no part in. */
function isTimeOf(
  { clause, unheard, content, isOfUs, hasClause }: Statement,
  { from, end }: Stretch,
): boolean {
  if (from < clause.from || end > clause.end) return false;
  // "We open in ten minutes" says of those who speak what they do.
  if (isOfUs && content.some((at) => at < from)) return true;
  const [foreign = end, more = end] = unheard;
  return foreign < from && (hasClause || more < from);
}
