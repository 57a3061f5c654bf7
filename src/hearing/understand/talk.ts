import type { Recognise } from "../../automaton/chart.ts";
import type { Utterance } from "../../automaton/utterance.ts";
import type { Said } from "../../language/vocabulary.ts";
import { firstWordsOf, splitWords, wordsOf } from "../../language/words.ts";
import { stateWordsIn } from "../../lexicon/said-states.ts";
import { createForms } from "../../slot-types/forms.ts";
import { recognisePhrases } from "../../slot-types/phrases.ts";
import type { Ground } from "../../slot-types/slot.ts";
import { later } from "../../source/later.ts";

/** The words that tell what is said beside a command, or instead of one. */
export interface Talk {
  /** Verbs of what somebody perceives, or cannot. */
  perceives: ReadonlySet<string>;
  /** Words that say what something is: "is". */
  copulas: ReadonlySet<string>;
  /** Words that mean nothing on their own, but for those of hesitation. */
  articles: ReadonlySet<string>;
  /** Words for all of some: "all". */
  quantifiers: ReadonlySet<string>;
  /** Words that an exclamation begins with, and goes on with. */
  exclaims: { words: ReadonlySet<string>; that: ReadonlySet<string> };
  /** Whether a word is for somebody, whoever it is: "someone", "someone's". */
  isSomebody: (word: string) => boolean;
  /** Whether verbs say who by themselves, so that a clause may begin with one: "llaman a la puerta". */
  dropsSubject: boolean;
  /** Words by which people take leave, where a clause says nothing else: "hasta mañana". */
  farewells: Recognise<true>;
  /** Words for nobody, and of denial beside them. */
  nobody: { words: ReadonlySet<string>; beside: ReadonlySet<string> };
  /** Which words of an utterance no remark beside a command has. */
  hedged: (utterance: Utterance) => boolean[];
  /** Those of them that deny, and that say how often. */
  denies: ReadonlySet<string>;
  /** Those that say what was done with something: "closed". */
  participles: ReadonlySet<string>;
  habits: ReadonlySet<string>;
  /** Those of them that are none before words that the home does not have. */
  auxiliaries: ReadonlySet<string>;
  isClause: (word: string) => boolean;
  /** Whether a word points to what was spoken of: "it", "that's". */
  isPointer: (word: string) => boolean;
  /** What says how something is that is measured: "dark". */
  measured: Recognise<true>;
  /** What says how much of something there shall be: "dim". */
  levels: Recognise<true>;
  /** Whether a word begins a clause of those who speak. */
  isSpeaker: (word: string) => boolean;
  /** Words for units of time: "hour", "hours". */
  timeUnits: ReadonlySet<string>;
  /** Words of politeness: "want" of "I want the lamp on". */
  isPolite: (word: string) => boolean;
  /** Words for on and off. */
  switched: ReadonlySet<string>;
  /** Words of states: "on", "closed". */
  stateWords: ReadonlySet<string>;
  /** Which words of an utterance answer a question: "yes", "forget it". */
  answers: (utterance: Utterance) => boolean[];
  /** What begins a reason: "because". */
  reasons: Recognise<true>;
  /** What begins a command after the reason for it: "so". */
  therefore: Recognise<true>;
  /** What comes before a part of a command that is said anew: "no, wait". */
  repairs: Recognise<true>;
  /** Answers that say no. */
  denials: Recognise<true>;
  /** Words for one of something, which are articles as well. */
  ones: ReadonlySet<string>;
  /** Words for one of those that are spoken of. */
  oneOf: ReadonlySet<string>;
  /** What a remark may have in it although its words are hedges elsewhere. */
  excuses: Recognise<true>;
  /** What may follow a thing that is left as it is: "alone". */
  asIs: Recognise<true>;
  /** What begins an exception: "all but", "except for". */
  exceptions: Recognise<true>;
}

/** Finds talk in a language. */
export function createTalk(ground: Ground): Talk {
  const { pack } = ground;
  const firstWords = (said: Said): ReadonlySet<string> => firstWordsOf(said, pack);
  const patterned = (said: Said): Recognise<true> =>
    createForms<object, true>([{ said, make: () => true }], {}, ground);
  const pointers = firstWords(pack.targets.it);
  const hedges = new Set([...pack.hedges, ...pack.denies, ...pack.habits, ...pack.participles]);
  // What hedges only with another word, which it does not by itself: "s'il".
  const hedging = recogniseAny(
    pack.hedges.filter((said) => splitWords(said, pack).length > 1),
    ground,
  );
  const clauses = new Set(pack.clauses);
  const somebody = new Set(pack.somebody);
  const { words: speakers, endings = [] } = pack.speakers;
  const isSpeaker = (word: string): boolean =>
    speakers.includes(word) ||
    endings.some((ending) => word.endsWith(ending) && word.length > ending.length + 1);
  const { opening, closing } = pack.courtesies;
  const polite = later(() => new Set(wordsOf([...opening, ...closing], pack)));
  const { yes, no, cancel } = pack.conversation;
  const answersFrom = patterned([...yes, ...no, ...cancel]);
  return {
    perceives: new Set(pack.perceives),
    copulas: new Set(pack.copulas),
    articles: new Set(pack.small),
    quantifiers: firstWords(pack.targets.all),
    exclaims: { words: new Set(pack.exclaims.words), that: new Set(pack.exclaims.that) },
    isSomebody: (word) => somebody.has(withoutMark(word)),
    dropsSubject: endings.length > 0,
    farewells: recogniseAny(pack.farewells, ground),
    nobody: { words: new Set(pack.nobody.words), beside: new Set(pack.nobody.beside) },
    hedged(utterance) {
      return utterance.texts.map((text, at) => {
        return hedges.has(text) || hedging(utterance, at).length > 0;
      });
    },
    denies: new Set(pack.denies),
    participles: new Set(pack.participles),
    habits: new Set(pack.habits),
    auxiliaries: new Set(pack.auxiliaries),
    isClause: (word) => clauses.has(word) || isSpeaker(word),
    isSpeaker,
    measured: patterned(Object.values(pack.adjectives).flat()),
    levels: patterned(Object.values(pack.levels).flat()),
    isPointer: (word) => pointers.has(withoutMark(word)),
    ones: new Set(pack.times.one),
    oneOf: firstWords(pack.targets.one),
    timeUnits: firstWords(Object.values(pack.times.units).flatMap((words) => words.slice(0, 2))),
    isPolite: (word) => polite().has(word),
    switched: firstWords([...pack.states.on, ...pack.states.off]),
    stateWords: stateWordsIn(pack),
    answers(utterance) {
      const answering = utterance.texts.map(() => false);
      for (const at of answering.keys()) {
        for (const { end } of answersFrom(utterance, at)) {
          // "Okay" is said without an answer as well.
          const isSmall = utterance.small.slice(at, end).every((each) => each);
          if (!isSmall) answering.fill(true, at, end);
        }
      }
      return answering;
    },
    repairs: patterned(pack.repairs),
    denials: patterned(no),
    excuses: patterned(pack.excuses),
    reasons: recogniseAny(pack.reasons, ground),
    therefore: recogniseAny(pack.therefore, ground),
    asIs: patterned(pack.stays.after),
    exceptions: recogniseAny(pack.targets.except, ground),
  };
}

/** "It" of "it's". */
function withoutMark(word: string): string {
  return word.split("'")[0] ?? "";
}

function recogniseAny(said: Said, ground: Ground): Recognise<true> {
  return recognisePhrases(
    said.map((each) => ({ said: each, value: true })),
    ground,
  );
}
