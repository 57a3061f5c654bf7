import type { Book } from "../book/book.ts";
import { type Automata, automataOf } from "../grammar/automata.ts";
import { grammarOf, holdingRules, idleRules, toldApart } from "../grammar/home-grammar.ts";
import { aloud } from "../language/aloud.ts";
import { packOf } from "../language/packs.ts";
import type { Dictionary, Sounds } from "../sounds/pronounce.ts";
import { type Machine, machineOf } from "./machine.ts";
import { soundsIn } from "./sounds-in.ts";
import { type Vocabulary, vocabularyOf } from "./vocabulary.ts";

/** What is needed to hear sounds in one language of a home. */
export interface Ear {
  sounds: Sounds;
  automata: Automata;
  vocabulary: Vocabulary;
  /** What can be said, ready to be searched. */
  machine: Machine;
  /** A text as words that can be said. */
  wordsOf: (text: string) => readonly string[];
}

/** Makes ears for the languages of a home, each when it is first needed. */
export function createEars(book: Book, dictionary?: Dictionary): (language: string) => Ear {
  const ears = new Map<string, Ear>();
  return (language) => {
    let ear = ears.get(language);
    if (!ear) ears.set(language, (ear = earFor(book, language, dictionary)));
    return ear;
  };
}

function earFor(book: Book, language: string, dictionary: Dictionary | undefined): Ear {
  const pack = packOf(book, language);
  const sounds = soundsIn(book, language, dictionary);
  const automata = automataOf(grammarOf(book, language), toldApart);
  const vocabulary = vocabularyOf(automata, sounds);
  const rules = { outer: holdingRules, idle: idleRules };
  const machine = machineOf(automata, { vocabulary, sounds }, rules);
  return { sounds, automata, vocabulary, machine, wordsOf: (text) => aloud(text, pack) };
}
