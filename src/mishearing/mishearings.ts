import { type Book, asBook } from "../book/book.ts";
import { membersOf, numberFrom } from "../source/border.ts";
import { type Differing, differenceOf } from "./difference.ts";
import { differsInNumber } from "./numbers.ts";
import { readOptions } from "./options.ts";
import { given } from "../source/given.ts";
import type { Position } from "../source/position.ts";
import type { Dictionary } from "../sounds/pronounce.ts";
import { type Ear, createEars } from "./ear.ts";
import { latticeOf } from "./lattice.ts";
import { type Listener, createListener } from "./listener.ts";
import { searchNearest } from "./search.ts";
import { type PhraseChoice, type SpokenPhrase, phrasesFor } from "./spoken-phrases.ts";
import { type Judged, type Verdict, judge } from "./verdict.ts";

/** What a phrase may be taken for by a recogniser that is held to what can be said. */
export interface Mishearing {
  spoken: {
    phrase: string;
    /** The same as it is said, number words and all. */
    words: string;
    language: string;
    at?: string;
    effect: string;
    /** The case that says it. */
    position?: Position;
  };
  /**
   * The nearest phrases with other effects, the nearest first: of each effect the nearest phrase, and of what
   * does no harm that of each outcome.
   */
  taken: readonly TakenFor[];
  /** Whether all were seen that are no further away than was asked for. */
  isExhaustive: boolean;
}

export interface TakenFor {
  phrase: string;
  /** 0 where it sounds the same; 1 for one sound that is well apart from another. */
  distance: number;
  effect: string;
  verdict: Exclude<Verdict, "same">;
  /** Why it is unsafe. */
  why?: string;
  /** The words in which it differs from what was spoken, as they are said. */
  differs: Differing;
  /** Whether a number alone is taken for another. */
  isOfNumber: boolean;
  /** How bad it is, for ranking: the harm, less the further away it is. */
  risk: number;
  /** What in the files makes the difference: for what was spoken, and for what it is taken for. */
  places: { spoken?: Position; taken?: Position };
}

export interface MishearingOptions extends PhraseChoice {
  /** A pronouncing dictionary of English. */
  dictionary?: Dictionary;
  /** How far away phrases are looked for, at most; 1.5 when left out. */
  furthest?: number;
  /** Most other things done that are told of a phrase; 16 when left out. */
  most?: number;
  /** Is told how far it is. */
  tell?: (done: number, all: number) => void;
}

/**
 * What each phrase may be taken for: for every phrase, the nearest ones that can be said and come to
 * something else, found exactly, the worst first.
 *
 * @throws WrongUse for suites that were not read with this phrasebook.
 */
export function findMishearings(of: Book, options: MishearingOptions = {}): Mishearing[] {
  const book = asBook(of);
  const { dictionary, furthest, tell } = readOptions(options);
  const most = numberFrom(membersOf(options)["most"], 1) ?? usuallyTold;
  const spoken = phrasesFor(book, options);
  const listen = createListener(book);
  const earOf = createEars(book, dictionary);
  const found = spoken.flatMap((each, index): Mishearing[] => {
    tell?.(index, spoken.length);
    const hearing = { book, listen, ear: earOf(each.language) };
    const mishearing = mishear(hearing, each, { furthest, most });
    return mishearing ? [mishearing] : [];
  });
  return found.sort((one, other) => riskOf(other) - riskOf(one));
}

function riskOf({ taken }: Mishearing): number {
  return Math.max(0, ...taken.map(({ risk }) => risk));
}

/** The worst thing that happens where a phrase is misheard; undefined where nothing does. */
export function worstOf({ taken }: Pick<Mishearing, "taken">): TakenFor | undefined {
  return taken
    .filter(({ verdict }) => verdict !== "harmless")
    .sort((one, other) => other.risk - one.risk)[0];
}

/** Other effects that are told of a phrase, where nobody says how many. */
const usuallyTold = 16;

/** Most phrases that are heard for one that was spoken. */
const mostHeard = 300;

/** Steps after which no more phrases are looked for. */
const mostSteps = 200_000;

/** What one phrase may be taken for; undefined for one that is not understood itself. */
export function mishear(
  { book, listen, ear }: { book: Book; listen: Listener; ear: Ear },
  said: SpokenPhrase,
  /** In hundredths, and how many other effects are told. */
  { furthest, most }: { furthest: number; most: number },
): Mishearing | undefined {
  const meant = listen(said.phrase, said);
  if (meant.heard.outcome === "unknown") return undefined;
  const words = ear.wordsOf(said.phrase);
  const search = (within: number): Found =>
    takenWithin(within, most, { book, listen, ear, said, meant, words });
  const near = most <= fewTold ? search(furthest / 2) : undefined;
  const { taken, isExhaustive } = near && near.acting >= most ? near : search(furthest);
  const { phrase, language, at, position } = said;
  return {
    spoken: {
      phrase,
      words: words.join(" "),
      language,
      ...given({ at, position }),
      effect: meant.effect,
    },
    taken,
    isExhaustive,
  };
}

/** So few that are asked for are most often near, and it is much less to look at what is near alone. */
const fewTold = 3;

interface Found {
  taken: readonly TakenFor[];
  /** How many of them do something. */
  acting: number;
  isExhaustive: boolean;
}

/** What a phrase is taken for with. */
interface Hearing {
  book: Book;
  listen: Listener;
  ear: Ear;
  said: SpokenPhrase;
  meant: ReturnType<Listener>;
  words: readonly string[];
}

/** The nearest phrases that come to something else, none of them further away than so many hundredths. */
function takenWithin(
  furthest: number,
  most: number,
  { book, listen, ear, said, meant, words }: Hearing,
): Found {
  const { sounds, vocabulary, machine } = ear;
  const lattice = latticeOf(words, { sounds, vocabulary, furthest });
  const effects = new Map<string, TakenFor>();
  let acting = 0;
  let count = 0;
  let isCut = false;
  const end = searchNearest(
    machine,
    lattice,
    { costs: sounds.costs, vocabulary, furthest, mostSteps },
    ({ phrase, distance }) => {
      if (++count > mostHeard) isCut = true;
      if (isCut) return false;
      const { heard, effect, places } = listen(phrase, said);
      const { verdict, why } = judge(book, meant.heard, heard);
      if (verdict === "same") return true;
      // Of what does no harm, the nearest of each outcome is enough.
      const kind = verdict === "harmless" ? heard.outcome : effect;
      if (effects.has(kind)) return true;
      const away = distance / 100;
      const [spokenAt, takenAt] = apart(meant.places, places);
      if (verdict !== "harmless") acting++;
      effects.set(kind, {
        phrase,
        distance: away,
        effect,
        verdict,
        ...given({ why }),
        differs: differenceOf(words.join(" "), phrase, sounds.costs.weak),
        isOfNumber: differsInNumber(meant.heard, heard),
        risk: harm[verdict] * Math.exp(-away / spread),
        places: given({ spoken: spokenAt, taken: takenAt }),
      });
      return acting < most;
    },
  );
  return { taken: [...effects.values()], acting, isExhaustive: end.isExhaustive && !isCut };
}

/** How bad each is beside the others. */
const harm: Readonly<Record<Exclude<Judged["verdict"], "same">, number>> = {
  unsafe: 10,
  wrong: 3,
  harmless: 0.3,
};

/** How far apart sounds have to be for a slip to be a third as likely. */
const spread = 0.35;

/** The first places of two lists that are not in both. */
function apart(
  spoken: readonly Position[],
  taken: readonly Position[],
): [Position | undefined, Position | undefined] {
  const key = ({ file, line, column }: Position): string => `${file}:${line}:${column}`;
  const of = (one: readonly Position[], other: readonly Position[]): Position | undefined => {
    const there = new Set(other.map(key));
    return one.find((place) => !there.has(key(place))) ?? one[0];
  };
  return [of(spoken, taken), of(taken, spoken)];
}
