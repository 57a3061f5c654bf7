import { type Utterance, afterSmall, pausesIn } from "../../automaton/utterance.ts";
import { unheardOf } from "../../lexicon/lexicon.ts";
import type { Engine } from "../understand/engine.ts";
import { type Stretch, indexes } from "../understand/stretch.ts";
import type { WhenFound } from "../understand/whens.ts";
import { exclaimedIn, hourTold, isForeign, isNobodys, isPerceived } from "./clauses.ts";
import { saidOfOthers } from "./statements.ts";

/** What each word of an utterance is to a remark that it may stand in. */
export interface Heeded {
  /** The clause that a word stands in, between two pauses. */
  clauseOf: (at: number) => Stretch;
  /** Whether it denies, reports, supposes, answers or leaves things as they are. */
  isHedged: readonly boolean[];
  /** Whether it may stand in any remark all the same. */
  isExcused: readonly boolean[];
  /** Whether it is of what is always said of others: "tout le monde". */
  isEverybody: readonly boolean[];
  /** Whether no remark has it. */
  isBarred: readonly boolean[];
  whens: readonly WhenFound[];
}

/** Looks at an utterance word by word, for the remarks in it. */
export function heed(engine: Engine, utterance: Utterance): Heeded {
  const { texts, numbers, small } = utterance;
  const starts = [0, ...pausesIn(utterance)];
  const clauses = starts.map((from, index): Stretch => {
    return { from, end: starts[index + 1] ?? texts.length };
  });
  const clauseOf = (at: number): Stretch =>
    clauses.find(({ end }) => at < end) ?? { from: 0, end: texts.length };
  // What is said without a pause has nothing beside it.
  const parted = clauses.length > 1 ? clauses : [];
  const answers = engine.answers(utterance);
  const hedged = engine.hedged(utterance);
  const said = engine.whens(utterance);
  const isExcused = texts.map(() => false);
  for (const at of isExcused.keys()) {
    for (const { end } of engine.excuses(utterance, at)) isExcused.fill(true, at, end);
  }
  const isEverybody = [...isExcused];
  // "The delivery has arrived" reports nothing of the home; what a clause begins with may ask.
  for (const [at, text] of texts.entries()) {
    const clause = clauseOf(at);
    const mayAsk = engine.exclaims.words.has(text) && afterSmall(utterance, clause.from) === at;
    if (!engine.auxiliaries.has(text) || mayAsk) continue;
    isExcused[at] ||= isForeign(engine, utterance, at, { clause, isHedged: hedged });
  }
  for (const clause of clauses) {
    // "Ich hör das Telefon nicht" denies nothing that is to be done.
    if (isPerceived(engine, utterance, clause)) isExcused.fill(true, clause.from, clause.end);
  }
  const hours = parted.flatMap(
    (clause) => hourTold(engine, utterance, { clause, whens: said }) ?? [],
  );
  const partings = parted.filter(({ from, end }) => {
    return engine.farewells(utterance, from).some((farewell) => farewell.end === end);
  });
  for (const { from, end } of [...hours, ...partings]) isExcused.fill(true, from, end);
  const whens = said.filter(
    ({ from, end }) => !hours.some((hour) => hour.from <= from && end <= hour.end),
  );
  for (const clause of parted) {
    const exclaimed = exclaimedIn(engine, utterance, clause);
    if (exclaimed !== undefined) isExcused[exclaimed] = true;
    // Nor does "nobody watches it".
    if (!isNobodys(engine, utterance, clause)) continue;
    for (const at of indexes(clause)) {
      const text = texts[at] ?? "";
      if (engine.nobody.words.has(text) || engine.nobody.beside.has(text)) isExcused[at] = true;
    }
  }
  // "Nos vamos todos" says who, and "todos los días" when.
  const isOfAllOfUs = (text: string, at: number): boolean =>
    engine.quantifiers.has(text) &&
    (engine.isClause(texts[at - 1] ?? "") || numbers[at - 1] === unheardOf);
  // "Or leave it", but not "leave it off".
  const leavesIt = (text: string, at: number): boolean =>
    engine.keeps.has(text) &&
    engine.isPointer(texts[at + 1] ?? "") &&
    !texts.slice(at + 2).some((after) => engine.stateWords.has(after));
  const isHedged = texts.map(
    (text, at) =>
      answers[at] === true || (hedged[at] === true && !isOfAllOfUs(text, at)) || leavesIt(text, at),
  );
  // "This is a good one" counts nothing: what it is follows the verb, after an article or none.
  const isThing = (text: string, at: number): boolean => {
    if (!engine.oneOf.has(text) || small[at - 1] === true) return false;
    const verb = small[at - 2] === true ? at - 3 : at - 2;
    return engine.isClause(texts[verb] ?? "");
  };
  const counts = texts.map((text, at) =>
    // "A" is a number in some languages, and says nothing of how many.
    small[at] === true || engine.ones.has(text) || isThing(text, at)
      ? 0
      : Math.max(0, ...engine.numbers(texts, at).map(({ end }) => end - at)),
  );
  for (const clause of parted) {
    for (const at of saidOfOthers(engine, utterance, clause, { isHedged, counts, whens })) {
      isExcused[at] = true;
    }
  }
  const isBarred = texts.map(
    (_, at) =>
      ((isHedged[at] === true || counts[at] !== 0) && !isExcused[at]) ||
      // What is excepted is never passed over, whether or not there is such a thing.
      (engine.exceptions(utterance, at).length > 0 && isExcused[at + 1] !== true),
  );
  return { clauseOf, isHedged, isExcused, isEverybody, isBarred, whens };
}
