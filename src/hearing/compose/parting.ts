import type { Utterance } from "../../automaton/utterance.ts";
import type { Reading } from "../understand/evaluate.ts";
import type { Understood } from "../understand/understand.ts";
import type { WhenReading } from "../understand/whens.ts";
import type { Apart } from "./apart.ts";
import type { Joiner } from "./joiners.ts";
import type { Stretch } from "../understand/stretch.ts";

/** One command of an utterance, and the words of it that say when. */
export interface Command {
  understood: Understood;
  whens: readonly WhenReading[];
  /** Whether it takes for a value what is part of a when. */
  isDoubtful?: true;
  /** Whether it takes for a share what is an hour where that can be. */
  isHour?: true;
  /** Whether what was said apart from its words narrows what they name. */
  isNarrowed?: true;
  /** Whether it names what is left as it is, and does nothing: "… but leave the lamp". */
  isLeft?: true;
}

/** The commands of an utterance. */
export interface Composition {
  commands: readonly Command[];
  /** Whether words beside the commands mean nothing, so that these are only offered. */
  isOffer?: true;
  /** Whether a value in them may be part of a when, so that nothing of them is done unasked. */
  isDoubtful?: true;
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

/** What an utterance is parted with. */
export interface Parting {
  utterance: Utterance;
  aparts: readonly Apart[];
  joiners: readonly Joiner[];
  /** A stretch without the courtesy that it ends with: "and the lamp too, please". */
  closed: (stretch: Stretch) => Stretch;
  /** Where a device stands. */
  roomOf: (device: string) => string | undefined;
  /** What is said for "it", as a word. */
  it: Utterance;
  /** Whether words speak of what was named before. */
  speaksOfIt: (words: Utterance) => boolean;
  /** What is said of a thing that is on. */
  on: Utterance;
  /** Verbs that keep a thing as it is: "leave the fan for ten more minutes". */
  keeps: ReadonlySet<string>;
  /** Verbs that give a thing so long, and words between how long it is and the thing. */
  gives: ReadonlySet<string>;
  ofWords: ReadonlySet<string>;
  /**
   * Understands words; `it` is what a command before them was about, which what names nothing is about where
   * it `follows`, `aparts` what was said apart from them, and `alongside` the intent before them, which they are
   * like where nothing else decides, and the `room` that is spoken of, where it is not the speaker's.
   */
  read: (
    words: Utterance,
    beside?: {
      it?: readonly string[] | undefined;
      aparts?: readonly Apart[];
      follows?: true;
      alongside?: string;
      room?: string | undefined;
    },
  ) => Understood | undefined;
  /** What a stretch leaves as it is, if that is what it says. */
  leftIn: (stretch: Stretch) => Stretch | undefined;
  /** The reading of a command that counts as understood. */
  readingOf: (understood: Understood) => Reading | undefined;
}

/** What was said of when, among what stands apart. */
export function whensOf(aparts: readonly Apart[]): WhenReading[] {
  return aparts.flatMap(({ whens = [] }) => whens);
}
