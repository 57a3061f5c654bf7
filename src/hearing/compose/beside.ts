import { type Utterance, pausesIn } from "../../automaton/utterance.ts";
import type { Effect } from "../../commands/outcome.ts";
import type { Phrasebook } from "../../phrasebook/model.ts";
import { isWish } from "../../language/vocabulary.ts";
import type { Engine } from "../understand/engine.ts";
import { leans } from "../understand/fillings.ts";
import { clearReading } from "../understand/understand.ts";
import { devicesDone } from "./about.ts";
import { isPerceived } from "./clauses.ts";
import { isCounted } from "./apart.ts";
import type { Command, Composition } from "./parting.ts";
import { namesAny, namesOwn } from "./joiners.ts";
import { createRemarks } from "./remarks.ts";
import { type Stretch, indexes, pick } from "../understand/stretch.ts";

type Parted = Omit<Composition, "nearest" | "steps">;

/** What is said, and in which room. */
interface Beside {
  book: Phrasebook;
  engine: Engine;
  utterance: Utterance;
  room: string | undefined;
}

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
  // Where nothing of the home is named, "faster, girls" is no command, and "a latte, I'm tired" or "next song, I
  // can't stand it" is one.
  const isNamed = namesOwn(engine, utterance);
  const isSaid = ({ commands }: Parted, stretch: Stretch): boolean =>
    isNamed ||
    engine.speaksOfIt(pick(utterance, stretch, [])) ||
    commands.every(({ understood }) => {
      const reading = clearReading(understood);
      const saysWhat = reading?.fillings.some(
        ({ slot, from }) =>
          from >= 0 &&
          (slot.fills === "target" || (slot.fills === "value" && slot.family === "value")),
      );
      const isMore = reading?.meaning.result === "do" && reading.meaning.effects.some(isChange);
      return saysWhat === true || (!isMore && (reading?.path.literalWords ?? 0) > 1);
    });
  const told = (stretch: Stretch, of?: readonly string[], isMeant = false): Parted | undefined => {
    const parted = part(stretch, of);
    return parted && isToDo(parted) && (isMeant || isSaid(parted, stretch)) ? parted : undefined;
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
    if (devices.size === 0) return commands.every(isOrder) ? "apart" : "within";
    if (pointed.includes("there")) return isThere ? "within" : "apart";
    return isHere ? "within" : devices.size === 1 ? "one" : "apart";
  };
  /** What is no order, or cannot be done as it is said: a question, a thing that several are called. */
  const answered: typeof told = (stretch, of) => {
    const parted = part(stretch, of);
    return parted && isAnswered(parted) && isSaid(parted, stretch) ? parted : undefined;
  };
  /** What is left between two remarks, either of which may be nothing. */
  const between = (
    find: typeof told,
    { from: start, end: from }: Stretch,
    { from: to, end }: Stretch,
  ): Parted | undefined => {
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
    // "Louder, I can't hear a word" is said to no one else.
    const isMeant = around.some((remark) => isPerceived(engine, utterance, remark));
    const found = find({ from, end: to }, isAbout ? [about.id] : undefined, isMeant);
    if (!found || !ours.every((remark) => isElsewhere(remark, found) && isThere(remark, found))) {
      return undefined;
    }
    const places = around.map((remark) => (isReason(remark) ? "within" : whereOf(remark, found)));
    if (places.includes("apart")) return undefined;
    const isClear = around.every((remark) => {
      if (isAbout && remark.from === 0) return about.isClause;
      if (isGiven(remark)) return !saysHowLong(remark);
      if (remarks.isOrder(remark)) return false;
      return (
        remarks.isClause(remark) ||
        !isNextTo(utterance, remark, found) ||
        // "Joss, bedside lamp on" speaks to somebody; several things are told with "and".
        (remarks.isName(remark) && !found.commands.some(isOfList))
      );
    });
    if (isClear && !places.includes("one") && !around.some(remarks.saysClock)) return found;
    return book.offers && found.commands.every(isOrder) ? { ...found, isOffer: true } : undefined;
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
    // What is called by its own name is nowhere else.
    if (named.size === 0 || commands.every(isOfOne)) return true;
    return [...devicesDone(commands)].every((id) => named.has(book.devices.get(id)?.room ?? ""));
  };
  /** "For a good long hour" is no reason. */
  const saysHowLong = ({ from, end }: Stretch): boolean => {
    const words = utterance.texts.slice(from, end);
    const isSentence = words.some((text) => engine.isSpeaker(text) || engine.copulas.has(text));
    return !isSentence && words.some((text) => engine.timeUnits.has(text));
  };
  /** Whether a word before it says that it is a reason. */
  const isGiven = ({ from }: Stretch): boolean =>
    marks.some((mark) => mark.of === "reason" && mark.end === from);
  const marks = marksIn(engine, utterance);
  const begin: Stretch = { from: 0, end: 0 };
  const close: Stretch = { from: count, end: count };
  for (const find of [told, answered]) {
    for (const mark of marks) {
      // A word that begins a reason parts off what comes after it: "tengo que apagar la luz" is no remark.
      const one =
        (mark.of === "command" ? undefined : between(find, begin, mark)) ??
        (mark.of === "reason" ? undefined : between(find, mark, close));
      if (one) return one;
      for (const next of marks) {
        const inner = next.from > mark.end ? between(find, mark, next) : undefined;
        if (inner) return inner;
      }
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

/** Whether something is to be done, in whichever way it is parted, and all of it is clear. */
function isToDo({ commands, other }: Parted): boolean {
  return [...commands, ...(other ?? [])].every(isOrder);
}

function isOfList({ understood }: Command): boolean {
  return (clearReading(understood)?.fillings ?? []).some(
    ({ reading }) => reading.read === "target" && reading.target.target === "list",
  );
}

/** Whether it is more or less of something: "a bit faster". */
function isChange(effect: Effect): boolean {
  return "nudge" in effect || "scale" in effect;
}

function isOrder({ understood }: Command): boolean {
  const meaning = clearReading(understood)?.meaning;
  return meaning?.result === "do" && (meaning.effects.length > 0 || meaning.runs !== undefined);
}

/** Whether all that is done is done to single things by their names. */
function isOfOne({ understood }: Command): boolean {
  return (clearReading(understood)?.fillings ?? []).every(({ reading }) => {
    if (reading.read !== "target") return true;
    const [only, more] = reading.target.target === "named" ? reading.target.holders : [];
    return only?.entity.type === "device" && !more;
  });
}

/** Whether all of it is understood, and nothing is to be done for it. */
function isAnswered({ commands, other }: Parted): boolean {
  if (other) return false;
  return commands.every(({ understood }) => {
    const result = clearReading(understood)?.meaning.result;
    return result !== undefined && result !== "do";
  });
}
