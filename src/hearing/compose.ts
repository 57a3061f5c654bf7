import type { Utterance } from "../automaton/utterance.ts";
import type { Phrasebook } from "../phrasebook/model.ts";
import type { Engine } from "./engine.ts";
import type { Reading } from "./evaluate.ts";
import type { Speaker } from "./targets.ts";
import { type Understood, clearReading, understand } from "./understand.ts";
import type { WhenFound, WhenReading } from "./whens.ts";

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
}

interface Stretch {
  from: number;
  end: number;
}

/** Most words between commands that an utterance is parted at. */
const mostJoiners = 7;
/** Most pieces of an utterance that are understood, which bounds the cost of any utterance. */
const mostPieces = 120;

/**
 * Finds the commands of an utterance. The whole as one command goes first, then one command with a
 * when said in it, then as few commands as there can be.
 */
export function compose(
  book: Phrasebook,
  engine: Engine,
  utterance: Utterance,
  speaker: Speaker,
): Composition {
  const whole = understand(book, engine, utterance, speaker);
  const none = new Set<number>();
  const alone = { nearest: whole, whenWords: none, joinerWords: none };
  const plain = clearReading(whole);
  if (plain?.path.freeWords === 0)
    return { commands: [{ understood: whole, whens: [] }], ...alone };
  const whens = engine.whens(utterance);
  const joiners = engine.joiners(utterance);
  if (whens.length === 0 && joiners.length === 0) {
    return { commands: [{ understood: whole, whens: [] }], ...alone };
  }

  let pieces = 0;
  const read = (words: Utterance): Understood | undefined => {
    if (++pieces > mostPieces) return undefined;
    return understand(book, engine, words, speaker);
  };
  /** A stretch as one command: with all of its words, or with those left out that say when. */
  const asOne = (stretch: Stretch): Command | undefined => {
    const isWhole = stretch.from === 0 && stretch.end === utterance.words.length;
    const full = isWhole ? whole : read(pick(utterance, stretch, []));
    const found: Command[] = full && clearReading(full) ? [{ understood: full, whens: [] }] : [];
    for (const left of whenChoices(whens, joiners, stretch)) {
      const understood = read(pick(utterance, stretch, left));
      if (understood && clearReading(understood)) {
        found.push({ understood, whens: left.map(({ reading }) => reading) });
      }
    }
    return best(found);
  };
  /** "… and the wheel lamp": what was said before, of something else. */
  const asBefore = (stretch: Stretch, before: Command): Command | undefined => {
    const reading = clearReading(before.understood);
    const targets = reading?.fillings.filter(({ reading: { read } }) => read === "target") ?? [];
    const [target] = targets;
    if (!reading || !target || targets.length !== 1) return undefined;
    const left = whenChoices(whens, joiners, stretch)[0] ?? [];
    const said = pick(utterance, stretch, left);
    const earlier = before.understood.utterance;
    const understood = read(
      joined([
        pick(earlier, { from: 0, end: target.from }, []),
        said,
        pick(earlier, { from: target.end, end: earlier.words.length }, []),
      ]),
    );
    const isSame = understood && clearReading(understood)?.intent === reading.intent;
    return isSame ? { understood, whens: left.map((when) => when.reading) } : undefined;
  };
  const known = new Map<string, Command | undefined>();
  const inTurn = (stretches: readonly Stretch[]): Command[] | undefined => {
    const commands: Command[] = [];
    for (const stretch of stretches) {
      const key = `${stretch.from} ${stretch.end}`;
      if (!known.has(key)) known.set(key, asOne(stretch));
      const before = commands.at(-1);
      const command = known.get(key) ?? (before && asBefore(stretch, before));
      if (!command) return undefined;
      commands.push(command);
    }
    return commands;
  };

  const all: Stretch = { from: 0, end: utterance.words.length };
  const offsets = (stretches: readonly Stretch[]): Set<number> =>
    new Set(
      stretches.flatMap(({ from, end }) =>
        utterance.words.slice(from, end).map(({ start }) => start),
      ),
    );
  const settled = (commands: readonly Command[], at: readonly Stretch[]): Composition => {
    const said = new Set(commands.flatMap((command) => command.whens));
    return {
      commands,
      nearest: whole,
      whenWords: offsets(whens.filter(({ reading }) => said.has(reading))),
      joinerWords: offsets(at),
    };
  };
  const one = inTurn([all]);
  const single = one && settled(one, []);
  if (single && freeWords(single.commands) === 0) return single;

  for (let cuts = 1; cuts <= Math.min(joiners.length, mostJoiners); cuts++) {
    const found: { commands: Command[]; at: readonly Stretch[] }[] = [];
    for (const at of choose(joiners.slice(0, mostJoiners), cuts)) {
      const commands = inTurn(between(all, at));
      if (commands) found.push({ commands, at });
    }
    const [first, second] = found;
    if (!first) continue;
    // Free text may have a joiner in it that was meant as text.
    if (single && !isBetter(first.commands, single.commands)) return single;
    const composition = settled(first.commands, first.at);
    return second ? { ...composition, other: second.commands } : composition;
  }
  if (single) return single;
  const spoken = whens.length > 0 ? read(pick(utterance, all, whens)) : undefined;
  const nearest = nearestPiece(joiners, all, known) ?? spoken ?? whole;
  return { ...alone, commands: [{ understood: whole, whens: [] }], nearest };

  /** The piece that fails beside one that does not. */
  function nearestPiece(
    at: readonly Stretch[],
    { end }: Stretch,
    pieceOf: ReadonlyMap<string, Command | undefined>,
  ): Understood | undefined {
    for (const joiner of at) {
      const before = pieceOf.get(`0 ${joiner.from}`);
      const after = pieceOf.get(`${joiner.end} ${end}`);
      if (before && !after) return read(pick(utterance, { from: joiner.end, end }, []));
      if (after && !before) return read(pick(utterance, { from: 0, end: joiner.from }, []));
    }
    return undefined;
  }
}

/**
 * The whens in a stretch to leave out: all of them, or one of them. One that stands beside a word
 * between commands belongs to the command that begins or ends there.
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
  if (inside.length === 0) return [];
  return inside.length === 1 ? [inside] : [inside, ...inside.map((when) => [when])];
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

function freeWords(commands: readonly Command[]): number {
  return commands.reduce(
    (sum, { understood }) => sum + (clearReading(understood)?.path.freeWords ?? 0),
    0,
  );
}

/** Of the ways to read a stretch the one with the fewest free words; of equals the first. */
function best(found: readonly Command[]): Command | undefined {
  let chosen: Command | undefined;
  for (const command of found) if (!chosen || isBetter([command], [chosen])) chosen = command;
  return chosen;
}

/** As readings are ranked: what is the phrasebook's own, then fewer words of free text. */
function isBetter(commands: readonly Command[], than: readonly Command[]): boolean {
  const own = (all: readonly Command[]): boolean =>
    all.every(({ understood }) => isOwn(clearReading(understood)));
  if (own(commands) !== own(than)) return own(commands);
  return freeWords(commands) < freeWords(than);
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
