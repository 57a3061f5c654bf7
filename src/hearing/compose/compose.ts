import { mostSteps } from "../../automaton/paths.ts";
import type { Utterance } from "../../automaton/utterance.ts";
import { isWish } from "../../language/vocabulary.ts";
import type { Phrasebook } from "../../phrasebook/model.ts";
import { devicesAbout } from "./about.ts";
import type { Engine } from "../understand/engine.ts";
import type { Reading } from "../understand/evaluate.ts";
import { leans } from "../understand/fillings.ts";
import { planIntent } from "../../commands/plan.ts";
import { given } from "../../source/given.ts";
import { quotedIn } from "./quoted.ts";
import type { Speaker } from "../../commands/targets.ts";
import {
  type Understood,
  anyReading,
  clearReading,
  isOpen,
  understand,
} from "../understand/understand.ts";
import { apartChoices, apartIn } from "./apart.ts";
import { beside } from "./beside.ts";
import { saysHour } from "./hours.ts";
import { freeWords, isBetter } from "./better.ts";
import { areOfPlaces, asOne } from "./one.ts";
import { asAfter, asAlso, asBefore, asLater, asMore } from "./leaning.ts";
import { type Command, type Composition, type Parting } from "./parting.ts";
import { type Joiner, joinersIn, namesAny } from "./joiners.ts";
import { asInside } from "./inside.ts";
import { asTopic } from "./topic.ts";
import { asUnpointed } from "./unpointed.ts";
import { type Stretch, pick } from "../understand/stretch.ts";

/** Most pieces of an utterance that are understood. */
const mostPieces = 120;
/** Steps of the search after which no more pieces are understood. */
const enoughSteps = 50_000;
/** Steps that no search goes over, whatever is said. */
export const mostComposedSteps = enoughSteps + 2 * mostSteps;

/**
 * Finds the commands of an utterance. The whole as one command goes first, then one command with a
 * when said in it, then as few commands as there can be. Where nothing else is found, commands
 * count that nothing in this home can do.
 */
export function compose(
  book: Phrasebook,
  engine: Engine,
  utterance: Utterance,
  speaker: Speaker,
): Composition {
  const whole = understand(book, engine, utterance, speaker);
  const none = new Set<number>();
  const alone: Composition = {
    commands: [{ understood: whole, whens: [] }],
    nearest: whole,
    whenWords: none,
    joinerWords: none,
    steps: stepsOf(whole),
  };
  const clear = clearReading(whole);
  if (clear?.path.freeWords === 0 && !saysHour(clear, utterance)) return alone;
  const isQuoted = quotedIn(utterance);
  const aparts = apartIn(engine, utterance).filter((each) => !isQuoted(each));
  const joiners = joinersIn(engine, utterance).filter((each) => !isQuoted(each));
  if (aparts.length === 0 && joiners.length === 0 && !namesAny(engine, utterance)) return alone;

  const known = new Map<string, Understood>();
  let steps = stepsOf(whole);
  const read: Parting["read"] = (
    words,
    { it, aparts: left = [], follows, alongside, room } = {},
  ) => {
    const leans = it !== undefined && it.length > 0 && (follows ?? engine.mayLean(words));
    const narrowings = left.flatMap(({ narrowing, words: said }) =>
      narrowing ? [{ narrowing, words: said }] : [],
    );
    const place = words.words.map(({ start }) => start).join(" ");
    const less =
      narrowings.length === 0
        ? ""
        : ` without ${left.map(({ from, end }) => `${from}-${end}`).join(" ")}`;
    const how = follows ? "after" : "of";
    const like = alongside === undefined ? "" : ` like ${alongside}`;
    const there = room === undefined ? "" : ` in ${room}`;
    const key = `${place}${there}${leans ? ` ${how} ${it.join(" ")}` : ""}${less}${like}`;
    const before = known.get(key);
    if (before || known.size >= mostPieces || steps > enoughSteps) return before;
    const standing = room === undefined ? speaker : { ...speaker, room };
    const leaning = leans ? { ...standing, it, ...given({ follows }) } : standing;
    const liking = alongside === undefined ? leaning : { ...leaning, alongside };
    const narrowed = narrowings.length > 0 ? { ...liking, narrowings } : liking;
    const understood = understand(book, engine, words, narrowed);
    steps += stepsOf(understood);
    known.set(key, understood);
    return understood;
  };
  const it = engine.itWord;
  const leftIn: Parting["leftIn"] = ({ from, end }) => {
    const left = engine.leftAsIs(utterance, from, end);
    return left && { from: left[0], end: left[1] };
  };
  const closed: Parting["closed"] = ({ from, end }) => {
    const ends = [...engine.ends(pick(utterance, { from, end }, []))].filter((at) => at > 0);
    return { from, end: from + Math.min(...ends, end - from) };
  };
  const on = engine.onWord;
  const roomOf: Parting["roomOf"] = (id) => book.devices.get(id)?.room;
  const { keeps, gives, ofWords, speaksOfIt } = engine;
  const parting: Parting = {
    ...{
      utterance,
      aparts,
      joiners,
      closed,
      roomOf,
      it,
      speaksOfIt,
      on,
      keeps,
      gives,
      ofWords,
      read,
      leftIn,
    },
    readingOf: clearReading,
  };
  const all: Stretch = { from: 0, end: utterance.words.length };
  const composition =
    part(parting, all) ??
    (anyReading(whole)
      ? unpointed(parting, alone, whole, all)
      : (part({ ...parting, readingOf: anyReading }, all) ??
        beside({ book, engine, utterance, room: speaker.room }, (stretch, of) =>
          of
            ? part({ ...parting, read: leaningOn(read, of) }, stretch)
            : (part(parting, stretch) ??
              unpointed(parting, alone, read(pick(utterance, stretch, [])), stretch)),
        )));
  const nearest = composition ? whole : (nearestPiece(parting) ?? whole);
  return { ...alone, ...composition, nearest, steps };
}

function unpointed(
  parting: Parting,
  alone: Composition,
  understood: Understood | undefined,
  stretch: Stretch,
): Composition | undefined {
  const command = asUnpointed(parting, understood, stretch);
  return command && { ...alone, commands: [command] };
}

/** Reads words whose "it" is what was spoken of before them. */
function leaningOn(read: Parting["read"], of: readonly string[]): Parting["read"] {
  return (words, said = {}) => read(words, { ...said, it: said.it ?? of });
}

function stepsOf({ chart, paths }: Understood): number {
  return chart.steps + paths.steps;
}

function part(parting: Parting, all: Stretch): Omit<Composition, "nearest" | "steps"> | undefined {
  const { utterance, aparts, readingOf } = parting;
  const joiners = parting.joiners.filter(({ from, end }) => from > all.from && end < all.end);
  const offsets = (stretches: readonly Stretch[]): Set<number> =>
    new Set(
      stretches.flatMap(({ from, end }) =>
        utterance.words.slice(from, end).map(({ start }) => start),
      ),
    );
  const settled = (found: readonly Command[], at: readonly Stretch[]) => {
    const isPaused = at.every(({ from, end }) => from === end);
    const commands = withoutRemarks(found, readingOf, isPaused);
    const said = new Set(commands.flatMap((command) => command.whens));
    const told = aparts.filter(({ whens = [] }) => whens.some((when) => said.has(when)));
    const isDoubtful = commands.some((command) => command.isDoubtful) || undefined;
    const words = { whenWords: offsets(told), joinerWords: offsets(at) };
    return { commands, ...words, ...given({ isDoubtful }) };
  };
  const one = asOne(parting, all);
  const single = one && settled([one], []);
  if (one && freeWords(readingOf, [one]) === 0) return single;

  for (let cuts = 1; cuts <= joiners.length; cuts++) {
    const found: { commands: Command[]; at: readonly Joiner[] }[] = [];
    for (const at of choose(joiners, cuts)) {
      const commands = inTurn(parting, between(all, at));
      if (commands) found.push({ commands, at });
    }
    const [first, second] = found;
    if (!first) continue;
    // Free text may have a joiner in it that was meant as text.
    if (one && !isBetter(readingOf, first.commands, [one])) return single;
    const composition = settled(first.commands, first.at);
    return second ? { ...composition, other: second.commands } : composition;
  }
  if (single) return single;
  const inside = asInside(parting, all);
  if (inside) return settled(inside, []);
  const topic = asTopic(parting, all);
  return topic && settled([topic], []);
}

/**
 * What is said to be wrong beside an order is the reason for it, and no order of its own. What is said as a
 * question is, cannot be asked here, and is parted off by a pause, is a remark: "j'ai fini ici, éteins la
 * lumière".
 */
function withoutRemarks(
  commands: readonly Command[],
  readingOf: Parting["readingOf"],
  isPaused: boolean,
): readonly Command[] {
  const orders = commands.filter(({ understood }) => {
    const reading = readingOf(understood);
    if (!reading) return true;
    const { meaning, intent } = reading;
    const plan = planIntent(intent);
    const isAsked = isPaused && plan.tells.length > 0 && plan.orders.length === 0;
    return !isWish(intent.id) && !(isAsked && meaning.result === "unfit");
  });
  return orders.length > 0 ? orders : commands;
}

/** Stretches as commands, each of which may lean on the one before it. */
function inTurn(parting: Parting, stretches: readonly (Stretch & Joined)[]): Command[] | undefined {
  const commands: Command[] = [];
  for (const stretch of stretches) {
    const before = commands.at(-1);
    const whole = stretch.leans ? undefined : asOne(parting, stretch, before);
    const after = before && !stretch.leans ? asAfter(parting, stretch, before, whole) : undefined;
    if (after) {
      commands.splice(-1, 1, ...after);
      continue;
    }
    const later = (): Command | undefined =>
      before && !stretch.leans ? asLater(parting, stretch, before) : undefined;
    // "… and down at nine" says when.
    const command = whole?.isHour
      ? (later() ?? whole)
      : (whole ?? asMore(parting, stretch, commands) ?? later());
    const again =
      before && !command && !stretch.leans
        ? (asBefore(parting, stretch, before) ?? asAlso(parting, stretch, before))
        : undefined;
    const found = command ?? again;
    if (!found) {
      const inside = stretch.leans ? undefined : asInside(parting, stretch);
      if (!inside) return undefined;
      commands.push(...inside);
      continue;
    }
    // "Louder, but only a bit", "to fifty, actually make it seventy".
    if (before && isSaidAnew(parting, before, found)) commands.pop();
    // "Everything off, all that is on in the kitchen": the latter says what the former means.
    const isSaidAgain = before && again && stretch.isPaused && isOfEverything(parting, before);
    if (isSaidAgain && isOfEverything(parting, again)) commands.pop();
    commands.push(found);
  }
  return commands.map((command, at) => likeLater(parting, command, commands.slice(at + 1)));
}

/** Whether a command says anew how much or how far, of what the one before it was about. */
function isSaidAnew({ readingOf }: Parting, before: Command, command: Command): boolean {
  const [first, second] = [readingOf(before.understood), readingOf(command.understood)];
  if (!first || first.intent !== second?.intent || command.whens.length > 0) return false;
  const saysValue = ({ fillings }: Reading): boolean =>
    fillings.some(({ slot, from }) => slot.fills === "value" && from >= 0);
  const isNamed = second.fillings.some(
    ({ reading, from }) => from >= 0 && reading.read === "target" && !leans(reading.target),
  );
  if (!saysValue(second) || isNamed) return false;
  // "Louder, and two louder" is both.
  const isMore = saysValue(first) && changesBy(first);
  return !isMore && devicesAbout(first).join(" ") === devicesAbout(second).join(" ");
}

function changesBy({ meaning }: Reading): boolean {
  return meaning.result === "do" && meaning.effects.some((effect) => !("set" in effect));
}

/** "The loft to twenty and the shop to eighteen degrees": what nothing decides is as what comes after it says. */
function likeLater({ read }: Parting, command: Command, later: readonly Command[]): Command {
  const { understood, isNarrowed } = command;
  // Without what was said apart from it, it would be about more.
  if (isNarrowed || !isOpen(understood)) return command;
  const clear = later.find((each) => !isOpen(each.understood));
  const other = clear && clearReading(clear.understood);
  if (!other || !areOfPlaces([anyReading(understood), other])) return command;
  const alike = read(understood.utterance, { alongside: other.intent.id });
  return alike && clearReading(alike) && !isOpen(alike)
    ? { ...command, understood: alike }
    : command;
}

function isOfEverything({ readingOf }: Parting, { understood }: Command): boolean {
  return (readingOf(understood)?.fillings ?? []).some(
    ({ reading }) => reading.read === "target" && reading.target.target === "everything",
  );
}

/** The piece that is not understood beside one that is, or all without what says when. */
function nearestPiece(parting: Parting): Understood | undefined {
  const { utterance, aparts, joiners, read } = parting;
  const all: Stretch = { from: 0, end: utterance.words.length };
  for (const joiner of joiners) {
    const [before, after] = between(all, [joiner]);
    if (joiner.leans || !before || !after) continue;
    const first = asOne(parting, before);
    const second = asOne(parting, after);
    if (first && !second) return read(pick(utterance, after, []));
    if (second && !first) return read(pick(utterance, before, []));
  }
  const [longest] = apartChoices(
    aparts.filter(({ whens }) => whens),
    [],
    all,
  );
  return longest ? read(pick(utterance, all, longest)) : undefined;
}

/** How a stretch is joined to the one before it. */
interface Joined {
  leans: boolean;
  /** By a pause, and no word. */
  isPaused: boolean;
}

/** The stretches between some of the joiners; one after a joiner that leans may lean itself. */
function between({ from, end }: Stretch, at: readonly Joiner[]): (Stretch & Joined)[] {
  const starts = [from, ...at.map((joiner) => joiner.end)];
  const ends = [...at.map((joiner) => joiner.from), end];
  return starts.map((start, index) => {
    const joiner = at[index - 1];
    return {
      from: start,
      end: ends[index] ?? end,
      leans: joiner?.leans === true,
      isPaused: joiner !== undefined && joiner.from === joiner.end,
    };
  });
}

function* choose(items: readonly Joiner[], count: number, from = 0): Generator<Joiner[]> {
  if (count === 0) {
    yield [];
    return;
  }
  for (let at = from; at <= items.length - count; at++) {
    const item = items[at];
    if (item === undefined) return;
    for (const rest of choose(items, count - 1, at + 1)) {
      const [next] = rest;
      if (!next || next.from > item.end) yield [item, ...rest];
    }
  }
}
