import { type Book, asBook } from "../book/book.ts";
import { packOf } from "../language/packs.ts";
import { wordsOfTalk } from "../language/talk-words.ts";
import { membersOf, numberFrom } from "../source/border.ts";
import { readOptions } from "./options.ts";
import { given } from "../source/given.ts";
import type { Position } from "../source/position.ts";
import type { Dictionary } from "../sounds/pronounce.ts";
import { createEars } from "./ear.ts";
import { latticeOf } from "./lattice.ts";
import { createListener } from "./listener.ts";
import { type PhraseChoice, phrasesFor } from "./spoken-phrases.ts";
import { variantsOf } from "./variants.ts";
import { type Verdict, judge } from "./verdict.ts";
import { type Vocabulary, vocabularyOf } from "./vocabulary.ts";

/** What a phrase comes to by the slips of a recogniser that is held to nothing. */
export interface OpenHearing {
  phrase: string;
  language: string;
  effect: string;
  /** The case that says it. */
  position?: Position;
  variants: readonly Variant[];
}

export interface Variant {
  phrase: string;
  effect: string;
  verdict: Verdict;
  /** Why it is unsafe. */
  why?: string;
}

export interface OpenHearingOptions extends PhraseChoice {
  /** A pronouncing dictionary of English. */
  dictionary?: Dictionary;
  /** Slips that are drawn of each phrase; 20 when left out. */
  draws?: number;
  /** Decides which; 1 when left out. */
  seed?: number;
  /** Is told how far it is. */
  tell?: (done: number, all: number) => void;
}

/** Slips that are drawn of each phrase where nobody says how many, and at most. */
const [usuallyDrawn, mostDraws] = [20, 1000];

/** How far sounds may be from what was spoken, in hundredths. */
const furthest = 90;

/**
 * Draws what an open recogniser may make of each phrase, from the words that the home knows and from those
 * of talk that is no command, and hears it: most of it is not understood, and some of it is something else.
 *
 * @throws WrongUse for suites that were not read with this phrasebook.
 */
export function drawSlips(of: Book, options: OpenHearingOptions = {}): OpenHearing[] {
  const book = asBook(of);
  const { dictionary, tell } = readOptions(options);
  const { draws: wanted, seed: from } = membersOf(options);
  const draws = Math.min(mostDraws, numberFrom(wanted, 1) ?? usuallyDrawn);
  const seed = numberFrom(from) ?? 1;
  const spoken = phrasesFor(book, options);
  const listen = createListener(book);
  const earOf = createEars(book, dictionary);
  const open = new Map<string, Vocabulary>();
  return spoken.flatMap((each, index): OpenHearing[] => {
    tell?.(index, spoken.length);
    const { phrase, language, position } = each;
    const meant = listen(phrase, each);
    if (meant.heard.outcome === "unknown") return [];
    const { sounds, automata, wordsOf } = earOf(language);
    let vocabulary = open.get(language);
    if (!vocabulary) {
      vocabulary = vocabularyOf(automata, sounds, wordsOfTalk(packOf(book, language)));
      open.set(language, vocabulary);
    }
    const words = wordsOf(phrase);
    const lattice = latticeOf(words, { sounds, vocabulary, furthest });
    const drawn = variantsOf(lattice, {
      costs: sounds.costs,
      vocabulary,
      draws,
      seed: seed + index,
    });
    const variants = drawn.flatMap((text): Variant[] => {
      if (text === words.join(" ")) return [];
      const { heard, effect } = listen(text, each);
      const { verdict, why } = judge(book, meant.heard, heard);
      return [{ phrase: text, effect, verdict, ...given({ why }) }];
    });
    return [{ phrase, language, effect: meant.effect, ...given({ position }), variants }];
  });
}
