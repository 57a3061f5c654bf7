import { ruleOf, slotSymbol } from "../../automaton/network.ts";
import { type Utterance, afterSmall, pausesIn } from "../../automaton/utterance.ts";
import { unheardOf } from "../../lexicon/lexicon.ts";
import type { Engine } from "../understand/engine.ts";
import { type Stretch, countedIn, indexes, pick } from "../understand/stretch.ts";
import type { WhenFound } from "../understand/whens.ts";
import { isAgainst, isForeign, isPerceived, isSomebodys } from "./clauses.ts";
import { heed } from "./heeded.ts";

/** Most words of a remark. */
const longestRemark = 14;

/** Most words that only say how much of something there shall be. */
const longestLevel = 2;

/** What tells remarks. */
interface Remarks {
  is: (stretch: Stretch) => boolean;
  /** The same of what a word says to be a reason, which is no order however it begins: "que da el sol". */
  isGiven: (stretch: Stretch) => boolean;
  /** The same where nothing parts it off, so that "I forgot the lights on" is none. */
  isUnmarked: (stretch: Stretch) => boolean;
  /** A clause that may name things and places, mostly of those who speak: "we're off out by the back door". */
  isOurs: (stretch: Stretch) => boolean;
  /** Whether a remark is no one more thing of the home, which is hardly told in so many words. */
  isClause: (stretch: Stretch) => boolean;
  /** Whether it is a single word that the home does not have, as what somebody is called. */
  isName: (stretch: Stretch) => boolean;
  /** Whether it says that what the home does not have shall be on or off: "flibber off". */
  isOrder: (stretch: Stretch) => boolean;
  /** Whether words before one of a remark say, as a clause, what is of somebody or something that the home does not know. */
  isOfOthers: (from: number, at: number) => boolean;
  /** Whether it says at what time something is, which may be when it is to be done: "I get up at seven". */
  saysClock: (stretch: Stretch) => boolean;
  /** Whether a word is part of what may be said in any remark. */
  isExcused: (at: number) => boolean;
  /** Whether something of the home could begin like it. */
  begins: (stretch: Stretch) => boolean;
  /** The one device that a remark begins with and says something of, and whether as a clause. */
  about: (stretch: Stretch) => { id: string; isClause: boolean } | undefined;
}

/** What tells a remark, looked at word by word. */
export function createRemarks(engine: Engine, utterance: Utterance): Remarks {
  const { texts, numbers, small } = utterance;
  const heeded = heed(engine, utterance);
  const { clauseOf, isHedged, isExcused, isBarred } = heeded;
  const names = texts.map((_, at) => engine.mentions(utterance, at));
  const pauses = new Set(pausesIn(utterance));
  const saysState = (stretch: Stretch): boolean =>
    indexes(stretch).some((at) => engine.stateWords.has(texts[at] ?? ""));
  const isUnheard = (at: number): boolean => numbers[at] === unheardOf;
  // "The lawn is like straw" says how a thing is, and nothing that it is to be.
  const saysHow = (at: number, end: number): boolean => {
    const said = { from: end + 1, end: clauseOf(at).end };
    const isCopula = engine.copulas.has(texts[end] ?? "");
    return isCopula && indexes(said).some(isUnheard) && !saysState(said);
  };
  // "Everything is soaked", "tout est trempé": all of something else.
  const isOfAll = (at: number, end: number): boolean =>
    engine.isEverything(utterance, at) &&
    (engine.isClause(texts[end] ?? "") || engine.isClause(texts[at - 1] ?? "")) &&
    isForeign(engine, utterance, at, { clause: clauseOf(at), isHedged });
  // "It's like an oven in here" is no oven of the home.
  const isAnyOne = (at: number): boolean => {
    const before = { from: clauseOf(at).from, end: at - 1 };
    return (
      engine.ones.has(texts[at - 1] ?? "") &&
      indexes(before).some((each) => engine.isClause(texts[each] ?? "") || isUnheard(each))
    );
  };
  const isNamed = (at: number, last: number): boolean => {
    const end = names[at];
    if (end === undefined || heeded.isEverybody[at] === true) return false;
    if (isOfAll(at, end) || saysHow(at, end) || isAnyOne(at)) return false;
    // What goes on after a pause is no name: "I'm done in here, lights off".
    return end <= last || !pauses.has(last);
  };
  // "What a day" is no time.
  const whensIn = ({ from, end }: Stretch): WhenFound[] =>
    heeded.whens.filter((when) => {
      return when.from >= from && when.end <= end && isExcused[when.from - 1] !== true;
    });
  const { sets } = engine;
  // "Das Spiel hat angefangen": after an article no command begins.
  const begins = numbers.map((number, at) => {
    return sets.start.moves.has(number) && !engine.articles.has(texts[at - 1] ?? "");
  });
  // Sentences begin like commands, "I need the lamp on", "off with the lights", and then go on in another way
  // before anything could be named: "off we go".
  const isSentence = ({ from, end }: Stretch): boolean => {
    const first = afterSmall(utterance, from);
    const begin = texts[first] ?? "";
    // "Wind's picking up" has something else for its subject.
    if (first + 1 < end && engine.copulas.has(texts[first + 1] ?? "")) return true;
    // "Mi fa volare i fogli" and "a alguien se le ha caído" say so one word earlier, or later.
    const isSaidOf = texts.slice(from, first + 2).some(engine.isClause);
    // "A la cama, …" is no value of anything, which nothing begins with.
    const isWhereTo =
      from === 0 && engine.besides.has(begin) && isUnheard(afterSmall(utterance, first + 1));
    if (!isSaidOf && !isWhereTo && !engine.stateWords.has(begin)) return false;
    let set = sets.move(sets.start, numbers[first] ?? -1);
    for (let at = first + 1; at < end && set; at++) {
      const current = set;
      // Nothing is named in it, so that a question has nothing to be about.
      if (set.slotTypes.length > 0) {
        const filled = set.slotTypes.flatMap((type) => sets.move(current, slotSymbol(type)) ?? []);
        return filled.every(({ states }) => states.every((state) => isQuestion(engine, state)));
      }
      if (small[at] === true) continue;
      set = sets.move(set, numbers[at] ?? -1);
    }
    return !set;
  };
  const joiners = engine.joiners(utterance);
  const isPlain = ({ from, end }: Stretch): boolean =>
    isUnbarred({ from, end }) && indexes({ from, end }).every((at) => !isNamed(at, end));
  // "The kids won't go up to the loft alone": what somebody does, and not how anything is to be.
  const isOfOther = (stretch: Stretch): boolean => {
    const isVerb = engine.dropsSubject && stretch.end - stretch.from > 1 && isUnheard(stretch.from);
    const saysWho = indexes(stretch).some((at) => {
      const text = texts[at] ?? "";
      return engine.isClause(text) || engine.denies.has(text);
    });
    return (isVerb || saysWho) && !saysState(stretch) && indexes(stretch).some(isUnheard);
  };
  const isUnbarred = ({ from, end }: Stretch): boolean => {
    if (isBarred.slice(from, end).includes(true)) return false;
    if (isAgainst(engine, utterance, { clause: { from, end }, isExcused })) return false;
    if (whensIn({ from, end }).some((when) => isExcused[when.from] !== true)) return false;
    // What is joined by a word is one more thing or command, but for what is a sentence: "then it's cheaper".
    return !joiners.some((joiner) => {
      // "Dan slaap ik al": the verb may go before who does it.
      const goesOn = texts.slice(joiner.end, joiner.end + 2).some(engine.isClause);
      return joiner.end === end || (joiner.from === from && !goesOn);
    });
  };
  const saysLevel = (part: Stretch): boolean => {
    const counted = countedIn(utterance, part);
    // "It's full" says what is so.
    const isSaidOf = counted.some((at) => engine.isClause(texts[at] ?? ""));
    if (counted.length > longestLevel || isSaidOf) return false;
    return counted.some((at) => engine.levels(utterance, at).some(({ end }) => end === part.end));
  };
  const isGiven = ({ from, end }: Stretch): boolean => {
    if (end - from > longestRemark || !isPlain({ from, end })) return false;
    // "Off, on" and "off, sorry, on" say something else.
    const begun = Math.max(from, ...engine.repairs(utterance, from).map((mark) => mark.end));
    const counted = countedIn(utterance, { from: begun, end });
    const areStates = counted.every((at) => engine.stateWords.has(texts[at] ?? ""));
    if (counted.length > 0 && areStates) return false;
    // "Violet, quite dim" says what it shall be, and "schnell, …" does not.
    const parts = [begun, ...[...pauses].filter((at) => at > begun && at < end)];
    const isLevel = parts.some((at, index) =>
      saysLevel({ from: at, end: parts[index + 1] ?? end }),
    );
    if (from > 0 && isLevel) return false;
    // "It's raining outside" and "crumbs everywhere" are, and "outside" alone says where.
    const words = texts.slice(from, end);
    const isOpen = words.some((_, at) => engine.openPlace(utterance, from + at));
    const saysMore = words.some((text, at) => {
      return engine.isClause(text) || isUnheard(from + at);
    });
    return !isOpen || saysMore;
  };
  const is = ({ from, end }: Stretch): boolean => {
    if (!isGiven({ from, end })) return false;
    // The first word that counts is none that a command begins with.
    const first = afterSmall(utterance, from);
    if (first >= end || begins[first] !== true || isExcused[first] === true) return true;
    return isSentence({ from, end });
  };
  return {
    is,
    isGiven,
    isClause(stretch) {
      return (
        countedIn(utterance, stretch).length !== 1 ||
        indexes(stretch).some((at) => isExcused[at] === true || engine.isClause(texts[at] ?? ""))
      );
    },
    isName(stretch) {
      const [only, more] = countedIn(utterance, stretch);
      if (only === undefined || more !== undefined || !isUnheard(only)) return false;
      // "Radio on, quietly" may say how; what is called something is written with a capital.
      const first = utterance.text.charAt(utterance.words[only]?.start ?? 0);
      return stretch.from === 0 || first !== first.toLowerCase();
    },
    isOrder(stretch) {
      const [what, last, more] = countedIn(utterance, stretch);
      if (what === undefined || last === undefined || more !== undefined) return false;
      // "Hang on" opens what is said.
      const isOpening = engine.starts(pick(utterance, stretch, [])).size > 1;
      return isUnheard(what) && engine.switched.has(texts[last] ?? "") && !isOpening;
    },
    isOfOthers(from, at) {
      const before = indexes({ from, end: at });
      const subject = before.findIndex(isUnheard);
      return (
        subject >= 0 && before.slice(subject + 1).some((each) => engine.isClause(texts[each] ?? ""))
      );
    },
    saysClock: (stretch) => {
      const within = whensIn(stretch);
      const soon = within.filter(({ readings }) =>
        readings.every((reading) => "seconds" in reading),
      );
      // "In five minutes" and "for an hour" say no time.
      return within.some(
        (when) => !soon.some((each) => each.from <= when.from && each.end >= when.end),
      );
    },
    isExcused: (at) => isExcused[at] === true,
    isUnmarked: ({ from, end }) => !isHedged.slice(from, end).includes(true) && is({ from, end }),
    isOurs({ from, end }) {
      const first = afterSmall(utterance, from);
      const isHeard = isPerceived(engine, utterance, { from: first, end });
      const isThem = isSomebodys(engine, utterance, { from, end });
      const isOfUs = isHeard || isThem || engine.isSpeaker(texts[first] ?? "");
      if (end - from > longestRemark || !(isOfUs || isOfOther({ from: first, end }))) return false;
      // "I mean the oven" and "I'd like the oven on" are no remarks.
      const isSaidAnew = engine.repairs(utterance, first).length > 0;
      const mayAsk = engine.starts(pick(utterance, { from: first, end }, [])).size > 1;
      if (isSaidAnew || (mayAsk && !isThem)) return false;
      const isNoOrder = isHeard || begins[first] !== true || isSentence({ from, end });
      return isNoOrder && isUnbarred({ from, end });
    },
    begins: ({ from }) => begins[afterSmall(utterance, from)] === true,
    about({ from, end }) {
      const named = engine.deviceNamed(utterance, afterSmall(utterance, from));
      if (!named || named.end >= end || end - from > longestRemark) return undefined;
      if (!isPlain({ from: named.end, end })) return undefined;
      // "The lamp flickers, turn it off."
      const isClause = indexes({ from: named.end, end }).some((at) => {
        return engine.isClause(texts[at] ?? "") || isUnheard(at);
      });
      return { id: named.id, isClause };
    },
  };
}

function isQuestion({ network, rules }: Engine, state: number): boolean {
  const plan = rules[ruleOf(network, state)]?.plan;
  return plan !== undefined && plan.tells.length > 0 && plan.orders.length === 0;
}
