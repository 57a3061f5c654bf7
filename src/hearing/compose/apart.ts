import type { Utterance } from "../../automaton/utterance.ts";
import type { Narrowing } from "../../slot-types/narrowing.ts";
import type { Engine } from "../understand/engine.ts";
import type { WhenReading } from "../understand/whens.ts";
import { type Joiner, namesAny } from "./joiners.ts";
import type { Stretch } from "./stretch.ts";

/** Words that stand apart from a command and say more of it: when, or what of a thing is meant. */
export interface Apart extends Stretch {
  words: string;
  when?: WhenReading;
  narrowing?: Narrowing;
}

/** Everything in an utterance that may stand apart, in the order said. */
export function apartIn(engine: Engine, utterance: Utterance): Apart[] {
  const { text, words } = utterance;
  const said = ({ from, end }: Stretch): string =>
    text.slice(words[from]?.start, words[end - 1]?.end);
  const aparts: Apart[] = [];
  for (const { from, end, reading } of engine.whens(utterance)) {
    aparts.push({ from, end, words: said({ from, end }), when: reading });
  }
  const mayNarrow = namesAny(engine, utterance) || engine.speaksOfHere(utterance);
  for (const { from, end, named, narrowing } of mayNarrow ? engine.narrowings(utterance) : []) {
    aparts.push({ from, end, words: said({ from: named, end }), narrowing });
  }
  return aparts.sort((a, b) => a.from - b.from);
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
          apart.when &&
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
