import { mostSteps } from "../../automaton/paths.ts";
import type { Utterance } from "../../automaton/utterance.ts";
import type { Phrasebook } from "../../phrasebook/model.ts";
import { devicesAbout } from "./about.ts";
import type { Engine } from "../understand/engine.ts";
import type { Reading } from "../understand/evaluate.ts";
import type { Speaker } from "../../commands/targets.ts";
import { type Understood, anyReading, clearReading, understand } from "../understand/understand.ts";
import type { WhenFound, WhenReading } from "../understand/whens.ts";

/** One command of an utterance, and the words of it that say when. */
export interface Command {
  understood: Understood;
  whens: readonly WhenReading[];
}

/** The commands of an utterance. */
export interface Composition {
  commands: readonly Command[];
  /** Another way to part the utterance into as many commands, if there is one. */
  other?: readonly Command[];
  /** What the near misses of an utterance that nothing understands are looked for in. */
  nearest: Understood;
  /** UTF-16 offsets of words that say when, and of those between commands. */
  whenWords: ReadonlySet<number>;
  joinerWords: ReadonlySet<number>;
  /** Steps of the search, over all pieces that were looked at. */
  steps: number;
}

interface Stretch {
  from: number;
  end: number;
}

/** Most words between commands that an utterance is parted at. */
const mostJoiners = 7;
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
  if (clearReading(whole)?.path.freeWords === 0) return alone;
  const whens = engine.whens(utterance);
  const joiners = engine.joiners(utterance).slice(0, mostJoiners);
  if (whens.length === 0 && joiners.length === 0) return alone;

  const known = new Map<string, Understood>();
  let steps = stepsOf(whole);
  const read = (words: Utterance, it?: readonly string[]): Understood | undefined => {
    const leans = it !== undefined && it.length > 0 && engine.speaksOfIt(words);
    const place = words.words.map(({ start }) => start).join(" ");
    const key = leans ? `${place} of ${it.join(" ")}` : place;
    const before = known.get(key);
    if (before || known.size >= mostPieces || steps > enoughSteps) return before;
    const understood = understand(book, engine, words, leans ? { ...speaker, it } : speaker);
    steps += stepsOf(understood);
    known.set(key, understood);
    return understood;
  };
  const parting: Parting = { utterance, whens, joiners, read, readingOf: clearReading };
  const composition =
    part(parting) ?? (anyReading(whole) ? undefined : part({ ...parting, readingOf: anyReading }));
  const nearest = composition ? whole : (nearestPiece(parting) ?? whole);
  return { ...alone, ...composition, nearest, steps };
}

function stepsOf({ chart, paths }: Understood): number {
  return chart.steps + paths.steps;
}

/** What an utterance is parted with. */
interface Parting {
  utterance: Utterance;
  whens: readonly WhenFound[];
  joiners: readonly Stretch[];
  /** Understands words; `it` is what a command before them was about. */
  read: (words: Utterance, it?: readonly string[]) => Understood | undefined;
  /** The reading of a command that counts as understood. */
  readingOf: (understood: Understood) => Reading | undefined;
}

function part(parting: Parting): Omit<Composition, "nearest" | "steps"> | undefined {
  const { utterance, whens, joiners, readingOf } = parting;
  const all: Stretch = { from: 0, end: utterance.words.length };
  const offsets = (stretches: readonly Stretch[]): Set<number> =>
    new Set(
      stretches.flatMap(({ from, end }) =>
        utterance.words.slice(from, end).map(({ start }) => start),
      ),
    );
  const settled = (commands: readonly Command[], at: readonly Stretch[]) => {
    const said = new Set(commands.flatMap((command) => command.whens));
    const told = whens.filter(({ reading }) => said.has(reading));
    return { commands, whenWords: offsets(told), joinerWords: offsets(at) };
  };
  const one = asOne(parting, all);
  const single = one && settled([one], []);
  if (one && freeWords(readingOf, [one]) === 0) return single;

  for (let cuts = 1; cuts <= joiners.length; cuts++) {
    const found: { commands: Command[]; at: readonly Stretch[] }[] = [];
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
  return single;
}

/** A stretch as one command: with all of its words, or with those left out that say when. */
function asOne(
  { utterance, whens, joiners, read, readingOf }: Parting,
  stretch: Stretch,
  before?: Command,
): Command | undefined {
  const found: Command[] = [];
  const earlier = before && readingOf(before.understood);
  const it = earlier && devicesAbout(earlier);
  for (const left of [[], ...whenChoices(whens, joiners, stretch)]) {
    const understood = read(pick(utterance, stretch, left), it);
    if (!understood || !readingOf(understood)) continue;
    found.push({ understood, whens: left.map(({ reading }) => reading) });
  }
  // Of equals the first, which leaves out the fewest.
  let chosen: Command | undefined;
  for (const command of found) {
    if (!chosen || isBetter(readingOf, [command], [chosen])) chosen = command;
  }
  return chosen;
}

/** "… and the wheel lamp": what was said before, of something else. */
function asBefore(
  { utterance, whens, joiners, read, readingOf }: Parting,
  stretch: Stretch,
  before: Command,
): Command | undefined {
  const reading = readingOf(before.understood);
  const targets = reading?.fillings.filter((filling) => filling.reading.read === "target") ?? [];
  const [target] = targets;
  if (!reading || !target || targets.length !== 1 || target.from < 0) return undefined;
  const left = whenChoices(whens, joiners, stretch)[0] ?? [];
  const earlier = before.understood.utterance;
  const understood = read(
    joined([
      pick(earlier, { from: 0, end: target.from }, []),
      pick(utterance, stretch, left),
      pick(earlier, { from: target.end, end: earlier.words.length }, []),
    ]),
  );
  const isSame = understood && readingOf(understood)?.intent === reading.intent;
  return isSame ? { understood, whens: left.map((when) => when.reading) } : undefined;
}

/** Stretches as commands, each of which may lean on the one before it. */
function inTurn(parting: Parting, stretches: readonly Stretch[]): Command[] | undefined {
  const commands: Command[] = [];
  for (const stretch of stretches) {
    const before = commands.at(-1);
    const command =
      asOne(parting, stretch, before) ?? (before && asBefore(parting, stretch, before));
    if (!command) return undefined;
    commands.push(command);
  }
  return commands;
}

/** The piece that is not understood beside one that is, or all without what says when. */
function nearestPiece(parting: Parting): Understood | undefined {
  const { utterance, whens, joiners, read } = parting;
  const all: Stretch = { from: 0, end: utterance.words.length };
  for (const joiner of joiners) {
    const [before, after] = between(all, [joiner]);
    if (!before || !after) continue;
    const first = asOne(parting, before);
    const second = asOne(parting, after);
    if (first && !second) return read(pick(utterance, after, []));
    if (second && !first) return read(pick(utterance, before, []));
  }
  const [longest] = whenChoices(whens, [], all);
  return longest ? read(pick(utterance, all, longest)) : undefined;
}

/** Most ways to leave out whens that are tried. */
const mostChoices = 10;

/**
 * The whens in a stretch to leave out, one or two of them, those that leave the fewest words first.
 * One that stands beside a word between commands belongs to the command that begins or ends there.
 */
function whenChoices(
  whens: readonly WhenFound[],
  joiners: readonly Stretch[],
  { from, end }: Stretch,
): WhenFound[][] {
  const inside = whens.filter(
    (when) =>
      when.from >= from &&
      when.end <= end &&
      !joiners.some(
        (joiner) =>
          (joiner.end === when.from && when.from > from) ||
          (joiner.from === when.end && when.end < end),
      ),
  );
  const choices = inside.flatMap((first, index) => [
    [first],
    ...inside
      .slice(index + 1)
      .filter((second) => second.from >= first.end)
      .map((second) => [first, second]),
  ]);
  const taken = (choice: readonly WhenFound[]): number =>
    choice.reduce((sum, when) => sum + when.end - when.from, 0);
  return choices.sort((a, b) => taken(b) - taken(a)).slice(0, mostChoices);
}

/** The stretches between some of the joiners. */
function between({ from, end }: Stretch, at: readonly Stretch[]): Stretch[] {
  const starts = [from, ...at.map((joiner) => joiner.end)];
  const ends = [...at.map((joiner) => joiner.from), end];
  return starts.map((start, index) => ({ from: start, end: ends[index] ?? end }));
}

function* choose<T>(items: readonly T[], count: number, from = 0): Generator<T[]> {
  if (count === 0) {
    yield [];
    return;
  }
  for (let at = from; at <= items.length - count; at++) {
    const item = items[at];
    if (item === undefined) return;
    for (const rest of choose(items, count - 1, at + 1)) yield [item, ...rest];
  }
}

type ReadingOf = Parting["readingOf"];

function freeWords(readingOf: ReadingOf, commands: readonly Command[]): number {
  return commands.reduce(
    (sum, { understood }) => sum + (readingOf(understood)?.path.freeWords ?? 0),
    0,
  );
}

/** As readings are ranked: what is the phrasebook's own, then fewer words of free text. */
function isBetter(
  readingOf: ReadingOf,
  commands: readonly Command[],
  than: readonly Command[],
): boolean {
  const own = (all: readonly Command[]): boolean =>
    all.every(({ understood }) => isOwn(readingOf(understood)));
  if (own(commands) !== own(than)) return own(commands);
  return freeWords(readingOf, commands) < freeWords(readingOf, than);
}

function isOwn(reading: Reading | undefined): boolean {
  return reading?.pattern.origin === "phrasebook";
}

/** The words of a stretch, without some of them. */
function pick(
  { text, words, texts, numbers, small }: Utterance,
  { from, end }: Stretch,
  without: readonly Stretch[],
): Utterance {
  const isIn = (_: unknown, index: number): boolean =>
    index >= from && index < end && !without.some((out) => index >= out.from && index < out.end);
  return {
    text,
    words: words.filter(isIn),
    texts: texts.filter(isIn),
    numbers: numbers.filter(isIn),
    small: small.filter(isIn),
  };
}

function joined(parts: readonly Utterance[]): Utterance {
  return {
    text: parts[0]?.text ?? "",
    words: parts.flatMap(({ words }) => words),
    texts: parts.flatMap(({ texts }) => texts),
    numbers: parts.flatMap(({ numbers }) => numbers),
    small: parts.flatMap(({ small }) => small),
  };
}
