import { type Utterance, pausesIn } from "../../automaton/utterance.ts";
import type { Engine } from "../understand/engine.ts";
import { type Understood, clearReading } from "../understand/understand.ts";
import { devicesDone } from "./about.ts";
import type { Composition } from "./parting.ts";
import { joined, pick } from "../understand/stretch.ts";

/** Most words of an utterance in which something is said anew. */
const longest = 30;

/** Most words that something takes the place of, and that stay after these: "turn the hood off, I mean the oven". */
const mostAnew = 6;
const mostAfter = 2;

/** Whether all of it is clear, and none of it only offered. */
export function isClear({ commands, isOffer, isDoubtful }: Composition): boolean {
  return !isOffer && !isDoubtful && commands.every(({ understood }) => clearReading(understood));
}

/**
 * A command of which a part was said anew, without what that part takes the place of: "to twenty, no, thirty".
 * What was said first has to be a whole command, and so has what comes of it; the fewest words are replaced.
 */
export function repaired(
  engine: Engine,
  utterance: Utterance,
  composed: (words: Utterance) => Composition,
): Composition | undefined {
  const count = utterance.words.length;
  const mark = count > longest ? undefined : lastMark(engine, utterance);
  if (!mark) return undefined;
  const rest = pick(utterance, { from: mark.end, end: count }, []);
  if (engine.answers(rest).includes(true)) return undefined;
  const before = (from: number, end: number): Utterance => pick(utterance, { from, end }, []);
  const first = composed(before(0, mark.from));
  if (!isToDo(first)) return undefined;
  // "Everything off, I mean in here" takes the place of nothing, and says which.
  const whole = { ...joined([before(0, mark.from), rest]), text: utterance.text };
  const narrower = composed(whole);
  if (isToDo(narrower) && isPartOf(narrower, first)) return narrower;
  for (let after = 0; after <= mostAfter; after++) {
    const end = mark.from - after;
    for (let from = end - 1; from >= Math.max(0, end - mostAnew); from--) {
      if (isWithinNumber(engine, utterance, from)) continue;
      const around = [before(0, from), before(end, mark.from)] as const;
      const words = { ...joined([around[0], rest, around[1]]), text: utterance.text };
      const composition = composed(words);
      if (!isToDo(composition) || composition.commands.length !== first.commands.length) continue;
      // "No, thanks" takes nothing's place.
      const without = composed({ ...joined(around), text: utterance.text });
      if (!isSame(composition, without)) return composition;
    }
  }
  return undefined;
}

/** Whether a number goes on at a word: "quatre-vingts" is never said anew in part. */
function isWithinNumber(engine: Engine, { texts }: Utterance, at: number): boolean {
  return texts
    .slice(0, at)
    .some((_, from) => engine.numbers(texts, from).some(({ end }) => end > at));
}

/** Whether something is done to some of the same devices, and to no others. */
function isPartOf(one: Composition, other: Composition): boolean {
  const [some, all] = [devicesDone(one.commands), devicesDone(other.commands)];
  return some.size < all.size && [...some].every((id) => all.has(id));
}

function isSame(one: Composition, other: Composition): boolean {
  const meanings = ({ commands }: Composition): string =>
    JSON.stringify(commands.map(({ understood }) => effectsOf(understood)));
  return meanings(one) === meanings(other);
}

function effectsOf(understood: Understood): unknown {
  const meaning = clearReading(understood)?.meaning;
  return meaning?.result === "do" ? [meaning.effects, meaning.runs] : undefined;
}

function lastMark(engine: Engine, utterance: Utterance): { from: number; end: number } | undefined {
  const pauses = new Set(pausesIn(utterance));
  for (let from = utterance.words.length - 2; from > 0; from--) {
    // "…, no, …" is one in every language, also where "no" is said for "not".
    const denied = pauses.has(from)
      ? engine.denials(utterance, from).filter(({ end }) => pauses.has(end))
      : [];
    const ends = [...engine.repairs(utterance, from), ...denied].map(({ end }) => end);
    const inside = ends.filter((end) => end < utterance.words.length);
    const starts = engine.repairs(utterance, from - 1);
    // "No wait" is one mark and not two.
    if (inside.length > 0 && !starts.some(({ end }) => end === Math.max(...inside)))
      return { from, end: Math.max(...inside) };
  }
  return undefined;
}

/** Whether all of it is clear, and something is to be done. */
export function isToDo(composition: Composition): boolean {
  const { commands, other } = composition;
  if (other || !isClear(composition)) return false;
  return commands.every(({ understood }) => clearReading(understood)?.meaning.result === "do");
}
