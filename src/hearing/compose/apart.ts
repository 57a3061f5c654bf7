import type { Utterance } from "../../automaton/utterance.ts";
import type { Narrowing } from "../../slot-types/narrowing.ts";
import type { Engine } from "../understand/engine.ts";
import type { WhenReading } from "../understand/whens.ts";
import { type Joiner, namesAny } from "./joiners.ts";
import type { Stretch } from "../understand/stretch.ts";

/** Words that stand apart from a command: when, what of a thing is meant, or a courtesy. */
export interface Apart extends Stretch {
  words: string;
  /** What it says of when: one thing, or a beginning and an end. */
  whens?: readonly WhenReading[];
  narrowing?: Narrowing;
  /**
   * Whether it is a part of what says more of when, and a number before or after it is the rest: "cuarto de hora" of
   * "un cuarto de hora", "at nine" of "at nine thirty". That number is hardly ever a value.
   */
  isCut?: true;
}

/** Everything in an utterance that may stand apart, in the order said. */
export function apartIn(engine: Engine, utterance: Utterance): Apart[] {
  const { text, words } = utterance;
  const said = ({ from, end }: Stretch): string =>
    text.slice(words[from]?.start, words[end - 1]?.end);
  const aparts: Apart[] = [];
  const whens = engine.whens(utterance);
  for (const { from, end, readings } of whens) {
    // "À dix" is no time in "à dix-neuf et demi", and neither is "a un" in "a un cuarto".
    if (cutsNumber(engine, utterance, { from, end })) continue;
    const isCut = whens.some(
      (other) =>
        other.end >= end &&
        ((other.from < from && isCounted(engine, utterance, from)) ||
          (other.from === from && other.end > end && isNumber(engine, utterance, end))),
    );
    const apart = { from, end, words: said({ from, end }), whens: readings };
    aparts.push(isCut ? { ...apart, isCut } : apart);
  }
  const mayNarrow = namesAny(engine, utterance) || engine.speaksOfHere(utterance);
  for (const { from, end, named, narrowing } of mayNarrow ? engine.narrowings(utterance) : []) {
    aparts.push({ from, end, words: said({ from: named, end }), narrowing });
  }
  for (const { from, end } of engine.courtesies(utterance)) {
    aparts.push({ from, end, words: said({ from, end }) });
  }
  return aparts.sort((a, b) => a.from - b.from);
}

/** Whether a number stands before a word: "one" of "one notch". */
export function isCounted({ numbers }: Engine, { texts }: Utterance, from: number): boolean {
  for (let at = from - 1; at >= 0; at--) {
    if (numbers(texts, at).some(({ end }) => end === from)) return true;
  }
  return false;
}

function isNumber({ numbers }: Engine, { texts }: Utterance, from: number): boolean {
  return numbers(texts, from).length > 0;
}

/** Whether a number begins in a stretch and ends after it. */
function cutsNumber({ numbers }: Engine, { texts }: Utterance, { from, end }: Stretch): boolean {
  for (let at = from; at < end; at++) {
    if (numbers(texts, at).some((number) => number.end > end)) return true;
  }
  return false;
}

/** Most ways to leave out what stands apart that are tried. */
const mostChoices = 16;

/**
 * What may be left out of a stretch: one, two or three that stand apart, those that leave the fewest
 * words first. What says when beside a word between commands belongs to the command that begins or
 * ends there.
 */
export function apartChoices(
  aparts: readonly Apart[],
  joiners: readonly Joiner[],
  { from, end }: Stretch,
): Apart[][] {
  const inside = aparts.filter(
    (apart) =>
      apart.from >= from &&
      apart.end <= end &&
      apart.end - apart.from < end - from &&
      !joiners.some(
        (joiner) =>
          !joiner.leans &&
          joiner.end > joiner.from &&
          apart.whens &&
          ((joiner.end === apart.from && apart.from > from) ||
            (joiner.from === apart.end && apart.end < end)),
      ),
  );
  const choices: Apart[][] = [];
  const extend = (choice: readonly Apart[], next: number): void => {
    for (let index = next; index < inside.length; index++) {
      const apart = inside[index];
      if (!apart || apart.from < (choice.at(-1)?.end ?? 0)) continue;
      const longer = [...choice, apart];
      choices.push(longer);
      if (longer.length < 3 && choices.length < 10 * mostChoices) extend(longer, index + 1);
    }
  };
  extend([], 0);
  const taken = (choice: readonly Apart[]): number =>
    choice.reduce((sum, apart) => sum + apart.end - apart.from, 0);
  // What says when stands apart wherever it is; a place is most often part of a name.
  const narrowings = (choice: readonly Apart[]): number =>
    choice.filter(({ narrowing }) => narrowing).length;
  // "At a quarter past one" is hardly ever "at a quarter", so that its parts come after all wholes.
  const parts = new Set(inside.filter((apart) => inside.some((other) => holds(other, apart))));
  const broken = (choice: readonly Apart[]): number =>
    choice.filter((apart) => parts.has(apart)).length;
  return choices
    .sort((a, b) => narrowings(a) - narrowings(b) || broken(a) - broken(b) || taken(b) - taken(a))
    .slice(0, mostChoices);
}

/** Whether one says what another says and more. */
function holds(whole: Apart, part: Apart): boolean {
  const isLonger = whole.end - whole.from > part.end - part.from;
  return isLonger && whole.from <= part.from && whole.end >= part.end;
}
