import type { Book } from "../book/book.ts";
import { describeOutcome } from "../commands/describe.ts";
import { isToDo } from "../commands/outcome.ts";
import { spokenNames } from "../model/names.ts";
import type { Position } from "../source/position.ts";
import { membersOf } from "../source/border.ts";
import { given } from "../source/given.ts";
import { languagesMeant, readOptions } from "./options.ts";
import type { States } from "../phrasebook/states.ts";
import { type Suites, asSuites } from "../suites/read.ts";
import type { Case } from "../suites/suite.ts";
import { listSayable } from "../survey/sayable.ts";

/** A phrase that people say, where and when. */
export interface SpokenPhrase {
  phrase: string;
  language: string;
  at?: string;
  time?: string;
  given: States;
  /** The first case that says it. */
  position?: Position;
}

/** Which phrases are looked at. */
export interface PhraseChoice {
  /** Those of these suites; the plainest ones of everything where there are none. */
  suites?: Suites;
  /** In these languages, as `de` or `de-DE`; in all when left out. */
  languages?: readonly string[];
}

/**
 * The phrases that are meant.
 *
 * @throws WrongUse for suites that were not read with this phrasebook, or a language that it does not have.
 */
export function phrasesFor(book: Book, options: PhraseChoice): SpokenPhrase[] {
  const languages = languagesMeant(book, readOptions(options).languages);
  const { suites } = membersOf(options);
  return suites === undefined
    ? plainestPhrases(book, languages)
    : phrasesOfSuites(asSuites(book, suites)).filter(({ language }) => languages.has(language));
}

/** The phrases that cases of suites say first, each once. */
function phrasesOfSuites({ suites }: Suites): SpokenPhrase[] {
  const found = new Map<string, SpokenPhrase>();
  const add = (each: SpokenPhrase): void => {
    const { phrase, language, at, time, given: states } = each;
    const key = JSON.stringify([phrase.toLowerCase(), language, at, time, [...states]]);
    if (!found.has(key)) found.set(key, each);
  };
  for (const { cases } of suites) {
    for (const each of cases) {
      if ("problem" in each) continue;
      const [said] = saidIn(each);
      if (said === undefined) continue;
      const { at, time, given: states, position } = each;
      add({ ...said, ...given({ at, time }), given: states, position });
    }
  }
  return [...found.values()];
}

/** What is said in a case, one after another; nothing where other things happen as well. */
function saidIn({ script, phrase, language }: Case): { phrase: string; language: string }[] {
  if (!script) return [{ phrase, language }];
  if (script.script !== "talk") return [];
  return script.turns.map((turn) => ({ phrase: turn.hear, language: turn.language ?? language }));
}

/** The plainest phrases of everything that a home can be told, in some of its languages. */
function plainestPhrases(book: Book, languages: ReadonlySet<string>): SpokenPhrase[] {
  return [...languages].flatMap((language) => {
    const first = book.languages[0] ?? language;
    const ofDevices = listSayable(book, language).flatMap(({ phrases, questions }) => [
      ...phrases,
      ...questions,
    ]);
    const ofRoutines = [...book.routines.values()].flatMap((routine) =>
      spokenNames(routine, language, first).map(({ text }) => text),
    );
    const heard = [...ofDevices, ...ofRoutines].filter(
      (phrase) => describeOutcome(book.hear(phrase, { language })) !== "unknown",
    );
    return [...new Set(heard)].map((phrase) => ({ phrase, language, given: new Map() }));
  });
}

/** Phrases of suites that come to something that is done, in one language, as often as they are said. */
export function phrasesThatAct(book: Book, { suites }: Suites, language: string): string[] {
  return suites.flatMap(({ cases }) =>
    cases.flatMap((each) => {
      if ("problem" in each) return [];
      const { at, time } = each;
      return saidIn(each).flatMap((said) => {
        if (said.language !== language) return [];
        const heard = book.hear(said.phrase, { language, ...given({ at, time }) });
        return isToDo(heard) ? [said.phrase] : [];
      });
    }),
  );
}
