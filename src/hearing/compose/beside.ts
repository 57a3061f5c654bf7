import { ruleOf, slotSymbol } from "../../automaton/network.ts";
import { type Utterance, pausesIn } from "../../automaton/utterance.ts";
import type { Phrasebook } from "../../phrasebook/model.ts";
import { unheardOf } from "../../lexicon/lexicon.ts";
import { isWish } from "../../language/vocabulary.ts";
import type { Engine } from "../understand/engine.ts";
import { leans } from "../understand/fillings.ts";
import { clearReading } from "../understand/understand.ts";
import { devicesDone } from "./about.ts";
import { isCounted } from "./apart.ts";
import type { Composition } from "./parting.ts";
import { namesAny, namesOwn } from "./joiners.ts";
import { type Stretch, pick } from "../understand/stretch.ts";

type Parted = Omit<Composition, "nearest" | "steps">;

/** What is said, and in which room. */
interface Beside {
  book: Phrasebook;
  engine: Engine;
  utterance: Utterance;
  room: string | undefined;
}

/** Most words of a remark. */
const longestRemark = 14;

/** Most places at which an utterance is cut into a command and a remark. */
const mostCuts = 12;

/**
 * Finds what is to be done in an utterance in which something is said beside it: a reason, an address,
 * a remark. It is told by what it lacks: nothing of the home, no negation, no when, no other command.
 * Where a pause parts it off, or a word that begins a reason, it is passed over; where nothing does, or
 * it might be one more thing of the home, what is to be done is only offered.
 */
export function beside(
  { book, engine, utterance, room }: Beside,
  part: (stretch: Stretch, of?: readonly string[]) => Parted | undefined,
): Parted | undefined {
  const count = utterance.words.length;
  const remarks = createRemarks(engine, utterance);
  // Where nothing of the home is named, "faster, girls" is no command, and "a latte, I'm tired" is one.
  const isNamed = namesOwn(engine, utterance);
  const isSaid = ({ commands }: Parted): boolean =>
    isNamed ||
    commands.every(({ understood }) =>
      clearReading(understood)?.fillings.some(
        ({ slot, from }) =>
          from >= 0 &&
          (slot.fills === "target" || (slot.fills === "value" && slot.family === "value")),
      ),
    );
  const told = (stretch: Stretch, of?: readonly string[]): Parted | undefined => {
    const parted = part(stretch, of);
    return parted && isToDo(parted) && isSaid(parted) ? parted : undefined;
  };
  /** Whether words say that something is wrong, which beside an order is the reason for it. */
  const isReason = (stretch: Stretch): boolean => {
    const commands = engine.hasWishes ? part(stretch)?.commands : undefined;
    return (
      commands?.every(({ understood }) => isWish(clearReading(understood)?.intent.id ?? "")) ??
      false
    );
  };
  /**
   * Whether what is done is where a remark says that something is, so that it narrows nothing: "I'm done in
   * here". What is done to one thing may stand beside it, and only be offered: "the delivery is here".
   */
  const whereOf = ({ from, end }: Stretch, { commands }: Parted): "within" | "one" | "apart" => {
    const pointed = utterance.texts.slice(from, end).map((_, at) => {
      // "There's a fox about" points nowhere, nor does "the delivery is here".
      const isElsewhere = remarks.isExcused(from + at) || remarks.isOfOthers(from, from + at);
      return isElsewhere ? undefined : engine.pointsTo(utterance, from + at);
    });
    if (pointed.every((where) => where === undefined)) return "within";
    const devices = devicesDone(commands);
    const isHere = [...devices].every((id) => {
      return room !== undefined && book.devices.get(id)?.room === room;
    });
    const rooms = new Set([...devices].map((id) => book.devices.get(id)?.room));
    // "Library lights off, I'm done in there."
    const isThere = rooms.size === 1 && !rooms.has(room);
    if (devices.size === 0) return "apart";
    if (pointed.includes("there")) return isThere ? "within" : "apart";
    return isHere ? "within" : devices.size === 1 ? "one" : "apart";
  };
  /** What is left between two remarks, either of which may be nothing. */
  const between = (start: number, from: number, to: number, end: number): Parted | undefined => {
    const around: Stretch[] = [
      { from: 0, end: start },
      { from: end, end: count },
    ].filter((remark) => remark.end > remark.from);
    // "The lamp is too bright, turn it down."
    const about = start > 0 ? remarks.about({ from: 0, end: start }) : undefined;
    const isAbout =
      about !== undefined && engine.speaksOfIt(pick(utterance, { from, end: to }, []));
    const isPlain = (remark: Stretch): boolean =>
      (isAbout && remark.from === 0) ||
      (isGiven(remark) ? remarks.isGiven(remark) : remarks.is(remark)) ||
      isReason(remark);
    const ours = around.filter((remark) => !isPlain(remark));
    if (!ours.every(remarks.isOurs)) return undefined;
    const found = told({ from, end: to }, isAbout ? [about.id] : undefined);
    if (!found || !ours.every((remark) => isElsewhere(remark, found) && isThere(remark, found))) {
      return undefined;
    }
    const places = around.map((remark) => (isReason(remark) ? "within" : whereOf(remark, found)));
    if (places.includes("apart")) return undefined;
    const isClear = around.every((remark) => {
      if (isAbout && remark.from === 0) return about.isClause;
      if (isGiven(remark)) return !saysHowLong(remark);
      return remarks.isClause(remark) || !isNextTo(utterance, remark, found);
    });
    if (isClear && !places.includes("one")) return found;
    return book.offers ? { ...found, isOffer: true } : undefined;
  };
  /** Whether what is done is said without the words beside it, and to none of what they name. */
  const isElsewhere = (remark: Stretch, { commands }: Parted): boolean => {
    const done = devicesDone(commands);
    const named = indexes(remark).map((at) => engine.deviceNamed(utterance, at)?.id);
    const said = commands.flatMap(({ understood }) => clearReading(understood)?.fillings ?? []);
    return (
      said.every(({ reading }) => reading.read !== "target" || !leans(reading.target)) &&
      named.every((id) => id === undefined || !done.has(id))
    );
  };
  /** Whether what a remark says of places is where what is done stands: "open the garage, I'm on the drive". */
  const isThere = (remark: Stretch, { commands }: Parted): boolean => {
    const named = new Set(indexes(remark).flatMap((at) => engine.roomsNamed(utterance, at)));
    if (named.size === 0) return true;
    return [...devicesDone(commands)].every((id) => named.has(book.devices.get(id)?.room ?? ""));
  };
  /** "For a good long hour" is no reason. */
  const saysHowLong = ({ from, end }: Stretch): boolean => {
    const words = utterance.texts.slice(from, end);
    return words.some((text) => engine.timeUnits.has(text)) && !words.some(engine.isClause);
  };
  /** Whether a word before it says that it is a reason. */
  const isGiven = ({ from }: Stretch): boolean =>
    marks.some((mark) => mark.of === "reason" && mark.end === from);
  const marks = marksIn(engine, utterance);
  for (const { from, end, of } of marks) {
    // A word that begins a reason parts off what comes after it: "tengo que apagar la luz" is no remark.
    const one =
      (of === "command" ? undefined : between(0, 0, from, end)) ??
      (of === "reason" ? undefined : between(from, end, count, count));
    if (one) return one;
    for (const next of marks) {
      const inner = next.from > end ? between(from, end, next.from, next.end) : undefined;
      if (inner) return inner;
    }
  }
  if (!book.offers || !namesAny(engine, utterance)) return undefined;
  for (let at = 1; at < Math.min(count, mostCuts); at++) {
    const offers = [
      { remark: { from: 0, end: at }, rest: { from: at, end: count } },
      { remark: { from: count - at, end: count }, rest: { from: 0, end: count - at } },
    ].flatMap(({ remark, rest }) => {
      // Words after a number say of what there are so many: "one notch".
      if (!remarks.isUnmarked(remark) || isCounted(engine, utterance, remark.from)) return [];
      // What begins like a question and has no pause in it is one.
      if (remark.from === 0 && remarks.begins(remark)) return [];
      const found = told(rest);
      return found && whereOf(remark, found) !== "apart" ? found : [];
    });
    // The fewest words beside what is understood; where two ways take as many, nothing is offered.
    const [only, more] = offers;
    if (only) return more ? undefined : { ...only, isOffer: true };
  }
  return undefined;
}

/** What parts an utterance, and what a word there begins. */
interface Mark extends Stretch {
  of?: "reason" | "command";
}

/** Pauses, words that begin a reason, and words that begin a command after one. */
function marksIn(engine: Engine, utterance: Utterance): Mark[] {
  const marks: Mark[] = pausesIn(utterance).map((at) => ({ from: at, end: at }));
  for (let from = 1; from < utterance.texts.length; from++) {
    for (const { end } of engine.reasons(utterance, from)) marks.push({ from, end, of: "reason" });
    for (const { end } of engine.therefore(utterance, from)) {
      marks.push({ from, end, of: "command" });
    }
  }
  return marks.sort((a, b) => a.from - b.from);
}

/** What tells remarks. */
interface Remarks {
  is: (stretch: Stretch) => boolean;
  /** The same of what a word says to be a reason, which is no order however it begins: "que da el sol". */
  isGiven: (stretch: Stretch) => boolean;
  /** The same where nothing parts it off, so that "I forgot the lights on" is none. */
  isUnmarked: (stretch: Stretch) => boolean;
  /** A clause of those who speak, which may name things and places: "we're off out by the back door". */
  isOurs: (stretch: Stretch) => boolean;
  /** Whether a remark is no one more thing of the home, which is hardly told in so many words. */
  isClause: (stretch: Stretch) => boolean;
  /** Whether words before one of a remark say, as a clause, what is of somebody or something that the home does not know. */
  isOfOthers: (from: number, at: number) => boolean;
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
  const names = texts.map((_, at) => engine.mentions(utterance, at));
  const pauses = new Set(pausesIn(utterance));
  // What goes on after a pause is no name: "I'm done in here, lights off".
  const isNamed = (at: number, last: number): boolean => {
    const end = names[at];
    return end !== undefined && (end <= last || !pauses.has(last));
  };
  const answers = engine.answers(utterance);
  const isExcused = texts.map(() => false);
  for (const at of isExcused.keys()) {
    for (const { end } of engine.excuses(utterance, at)) isExcused.fill(true, at, end);
  }
  // "The delivery has arrived" reports nothing of the home.
  for (const [at, text] of texts.entries()) {
    if (engine.auxiliaries.has(text) && isForeign(engine, utterance, at, pauses)) {
      isExcused[at] = true;
    }
  }
  const clauses = [0, ...pauses].map((from): Stretch => {
    return { from, end: [...pauses].find((at) => at > from) ?? texts.length };
  });
  for (const clause of clauses) {
    // "Ich hör das Telefon nicht" denies nothing that is to be done.
    if (isPerceived(engine, utterance, clause.from)) isExcused.fill(true, clause.from, clause.end);
    if (clause.end - clause.from === texts.length) continue;
    const exclaimed = exclaimedIn(engine, utterance, clause);
    if (exclaimed !== undefined) isExcused[exclaimed] = true;
    // Nor does "nobody watches it".
    if (!isNobodys(engine, utterance, clause)) continue;
    for (const at of indexes(clause)) {
      const text = texts[at] ?? "";
      if (engine.nobody.words.has(text) || engine.nobody.beside.has(text)) isExcused[at] = true;
    }
  }
  const isArticle = (at: number): boolean => small[at] === true || engine.ones.has(texts[at] ?? "");
  const isHedged = texts.map((text, at) => answers[at] === true || engine.hedges.has(text));
  const isBarred = texts.map(
    (_, at) =>
      (isHedged[at] === true && !isExcused[at]) ||
      // "A" is a number in some languages, and says nothing of how many.
      (!isArticle(at) && engine.numbers(texts, at).length > 0) ||
      // What is excepted is never passed over, whether or not there is such a thing.
      engine.exceptions(utterance, at).length > 0,
  );
  const { sets } = engine;
  const begins = numbers.map((number) => sets.start.moves.has(number));
  // Sentences begin like commands, "I need the lamp on", "off with the lights", and then go on in another way
  // before anything could be named: "off we go".
  const isSentence = (first: number, end: number): boolean => {
    const begin = texts[first] ?? "";
    if (!engine.isClause(begin) && !engine.stateWords.has(begin)) return false;
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
  const whens = engine.whens(utterance);
  const joiners = engine.joiners(utterance);
  const isPlain = ({ from, end }: Stretch): boolean =>
    isUnbarred({ from, end }) && indexes({ from, end }).every((at) => !isNamed(at, end));
  const isUnbarred = ({ from, end }: Stretch): boolean => {
    if (isBarred.slice(from, end).includes(true)) return false;
    // "What a day" is no time.
    const isTimed = whens.some((when) => {
      return when.from >= from && when.end <= end && isExcused[when.from - 1] !== true;
    });
    if (isTimed) return false;
    // What is joined by a word is one more thing or command.
    return !joiners.some((joiner) => joiner.from === from || joiner.end === end);
  };
  const afterSmall = (from: number): number => {
    let at = from;
    while (small[at] === true) at++;
    return at;
  };
  const isGiven = ({ from, end }: Stretch): boolean => {
    if (end - from > longestRemark || !isPlain({ from, end })) return false;
    // "Off, on" and "off, sorry, on" say something else.
    const begun = Math.max(from, ...engine.repairs(utterance, from).map((mark) => mark.end));
    const counted = texts.slice(begun, end).filter((_, at) => small[begun + at] !== true);
    if (counted.length > 0 && counted.every((text) => engine.stateWords.has(text))) return false;
    // "It's raining outside" is one, and "outside" alone says where.
    const words = texts.slice(from, end);
    const isOpen = words.some((_, at) => engine.openPlace(utterance, from + at));
    return !isOpen || words.some(engine.isClause);
  };
  const is = ({ from, end }: Stretch): boolean => {
    if (!isGiven({ from, end })) return false;
    // The first word that counts is none that a command begins with.
    const first = afterSmall(from);
    if (first >= end || begins[first] !== true || isExcused[first] === true) return true;
    return isSentence(first, end);
  };
  return {
    is,
    isGiven,
    isClause(stretch) {
      const all = indexes(stretch);
      const counted = all.filter((at) => small[at] !== true);
      return (
        counted.length > 1 ||
        all.some((at) => isExcused[at] === true || engine.isClause(texts[at] ?? ""))
      );
    },
    isOfOthers(from, at) {
      const before = indexes({ from, end: at });
      const subject = before.findIndex((each) => numbers[each] === unheardOf);
      return (
        subject >= 0 && before.slice(subject + 1).some((each) => engine.isClause(texts[each] ?? ""))
      );
    },
    isExcused: (at) => isExcused[at] === true,
    isUnmarked: ({ from, end }) => !isHedged.slice(from, end).includes(true) && is({ from, end }),
    isOurs({ from, end }) {
      const first = afterSmall(from);
      const isHeard = isPerceived(engine, utterance, first);
      const isOfUs = isHeard || engine.isSpeaker(texts[first] ?? "");
      if (end - from > longestRemark || !isOfUs) return false;
      // "I mean the oven" and "I'd like the oven on" are no remarks.
      const isSaidAnew = engine.repairs(utterance, first).length > 0;
      if (isSaidAnew || engine.starts(pick(utterance, { from: first, end }, [])).size > 1)
        return false;
      const isNoOrder = isHeard || begins[first] !== true || isSentence(first, end);
      return isNoOrder && isUnbarred({ from, end });
    },
    begins: ({ from }) => begins[afterSmall(from)] === true,
    about({ from, end }) {
      const named = engine.deviceNamed(utterance, afterSmall(from));
      if (!named || named.end >= end || end - from > longestRemark) return undefined;
      if (!isPlain({ from: named.end, end })) return undefined;
      const isClause = texts.slice(named.end, end).some(engine.isClause);
      return { id: named.id, isClause };
    },
  };
}

/** Most words before the verb of what somebody perceives: "que no oigo", "I can't hear". */
const beforePerceived = 3;

/** Whether those who speak say from a place on what they perceive, or cannot. */
function isPerceived(engine: Engine, { texts }: Utterance, from: number): boolean {
  const words = texts.slice(from, from + beforePerceived);
  const verb = words.findIndex((text) => engine.perceives.has(text));
  return verb >= 0 && words.slice(0, verb + 1).some(engine.isSpeaker);
}

/** Whether a clause says that nobody does something. */
function isNobodys({ nobody }: Engine, { texts, small }: Utterance, clause: Stretch): boolean {
  const counted = indexes(clause).filter((at) => small[at] !== true);
  const [, other] = counted.filter((at) => !nobody.beside.has(texts[at] ?? ""));
  return other !== undefined && counted.some((at) => nobody.words.has(texts[at] ?? ""));
}

/** Most words of an exclamation, and before the word that it begins with. */
const longestExclamation = 5;
const beforeExclaimed = 1;

/** The word that asks in what is only exclaimed: "what a day, …". */
function exclaimedIn(
  { exclaims }: Engine,
  { texts, small }: Utterance,
  clause: Stretch,
): number | undefined {
  const counted = indexes(clause).filter((at) => small[at] !== true);
  if (counted.length < 2 || counted.length > longestExclamation) return undefined;
  return counted.slice(0, beforeExclaimed + 1).find((at) => exclaims.has(texts[at] ?? ""));
}

function isQuestion({ network, rules }: Engine, state: number): boolean {
  const plan = rules[ruleOf(network, state)]?.plan;
  return plan !== undefined && plan.tells.length > 0 && plan.orders.length === 0;
}

/** Most words after one that says nothing by itself that may tell what it is about. */
const mostAbout = 4;

/** Whether one of the next words, up to a pause, is none that the home has, and none that takes anything back. */
function isForeign(
  { hedges }: Engine,
  { texts, numbers }: Utterance,
  at: number,
  pauses: ReadonlySet<number>,
): boolean {
  for (let next = at + 1; next <= Math.min(at + mostAbout, texts.length - 1); next++) {
    if (pauses.has(next)) return false;
    if (numbers[next] === unheardOf && !hedges.has(texts[next] ?? "")) return true;
  }
  return false;
}

/** Whether a remark stands beside a thing that is named, so that it could be one more. */
function isNextTo({ words }: Utterance, remark: Stretch, { commands }: Parted): boolean {
  const [before, after] = [words[remark.from - 1]?.start, words[remark.end]?.start];
  return commands.some(({ understood }) =>
    (clearReading(understood)?.fillings ?? []).some(({ reading, from, end }) => {
      if (reading.read !== "target") return false;
      const said = understood.utterance.words;
      return said[end - 1]?.start === before || said[from]?.start === after;
    }),
  );
}

/** Whether something is to be done, and all of it is clear. */
function isToDo({ commands, other }: Parted): boolean {
  if (other) return false;
  return commands.every(({ understood }) => {
    const meaning = clearReading(understood)?.meaning;
    return meaning?.result === "do" && (meaning.effects.length > 0 || meaning.runs !== undefined);
  });
}

function indexes({ from, end }: Stretch): number[] {
  return Array.from({ length: end - from }, (_, index) => from + index);
}
