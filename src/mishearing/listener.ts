import { type Book, watched } from "../book/book.ts";
import { describeOutcome } from "../commands/describe.ts";
import type { Heard } from "../commands/outcome.ts";
import { initialState } from "../commands/states.ts";
import type { Name } from "../model/home.ts";
import type { SpokenPattern } from "../model/spoken.ts";
import type { Position } from "../source/position.ts";
import { given } from "../source/given.ts";
import type { SpokenPhrase } from "./spoken-phrases.ts";

/** What a phrase came to, and the places in the files that made it come to that. */
export interface Listened {
  heard: Heard;
  effect: string;
  /** Names of the home that were used. */
  names: readonly Name[];
  /** Where names and patterns stand, those of this home first. */
  places: readonly Position[];
}

/** Hears phrases, each once in a setting. */
export type Listener = (phrase: string, setting: SpokenPhrase) => Listened;

export function createListener(book: Book): Listener {
  let patterns: SpokenPattern[] = [];
  let names: Name[] = [];
  const listening = watched(book, {
    used: (part) => {
      if (isName(part)) names.push(part);
    },
    said: (pattern) => patterns.push(pattern),
  });
  const known = new Map<string, Listened>();
  return (phrase, { language, at, time, given: states }) => {
    const key = JSON.stringify([phrase, language, at, time, [...states]]);
    let listened = known.get(key);
    if (!listened) {
      patterns = [];
      names = [];
      const heard = listening.hear(phrase, {
        language,
        ...given({ at, time }),
        states: (device) => ({ ...initialState(book, device), ...states.get(device) }),
      });
      const own = patterns.filter(({ origin }) => origin === "phrasebook");
      const shipped = patterns.filter(({ origin }) => origin !== "phrasebook");
      const places = [...names, ...own, ...shipped].map((part) => part.at);
      listened = { heard, effect: describeOutcome(heard), names, places };
      known.set(key, listened);
    }
    return listened;
  };
}

function isName(part: object): part is Name {
  return "words" in part && "alias" in part && "at" in part;
}
