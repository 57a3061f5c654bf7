import { isKnown } from "../model/known.ts";
import { isAble } from "../commands/ability.ts";
import { listEffects } from "../commands/describe.ts";
import { effectsOf, intentOf } from "../commands/outcome.ts";
import { homeLanguage } from "../hearing/hear.ts";
import { textOf } from "../source/border.ts";
import { type Book, asBook } from "../book/book.ts";
import { spokenNames } from "../model/names.ts";
import type { VoiceAccess } from "../model/kinds.ts";
import type { Device } from "../model/home.ts";
import { type QuestionSample, sampleQuestions } from "./questions.ts";
import { besideOf } from "./beside.ts";
import { type CommandSample, sampleCommands } from "./commands.ts";
import { anyWords } from "./sample.ts";
import { given } from "../source/given.ts";

/** What can be said to one device, and what voice may do with it. */
export interface SayableDevice {
  id: string;
  room?: string;
  name: string;
  aliases: readonly string[];
  voice: VoiceAccess;
  /** Values that are free whatever `voice` says, as `property value`. */
  safe: readonly string[];
  /** A phrase for each thing that it can be told, each of which does that to it alone. */
  phrases: readonly string[];
  /** What can be asked about it, a question for each thing that can be known. */
  questions: readonly string[];
}

/**
 * Lists what a home understands, device by device, in one language. Each phrase was heard and came
 * to its device before it is listed.
 */
export function listSayable(of: Book, tag?: string): SayableDevice[] {
  const book = asBook(of);
  const language = homeLanguage(book, textOf(tag));
  const samples = sampleCommands(book, language, mark);
  const questions = sampleQuestions(book, language, mark);
  return [...book.devices.values()].map((device) => {
    const names = spokenNames(device, language, book.languages[0] ?? language);
    const [name, ...aliases] = names.map(({ text }) => text);
    const called = { name: name ?? "", language };
    return {
      id: device.id,
      ...given({ room: device.room }),
      name: name ?? device.id,
      aliases,
      voice: device.voice,
      safe: Object.entries(device.safe).flatMap(([property, values]) =>
        values.map((value) => `${property} ${value}`),
      ),
      phrases: isKnown(device) ? phrasesFor(book, device, samples, called) : [],
      questions: isKnown(device) ? questionsFor(book, device, questions, called) : [],
    };
  });
}

/** What no pattern says, in the place of a name. */
const mark = "\u0000";

/** A word that means nothing in any language. */
const someWord = "xxx";

function phrasesFor(
  book: Book,
  device: Device,
  samples: readonly CommandSample[],
  { name, language }: { name: string; language: string },
): string[] {
  const { id } = device;
  const context = { language, ...besideOf(book, device) };
  const said: string[] = [];
  const done = new Set<string>();
  for (const { intent, phrase: marked, asked } of samples) {
    if (!asked.every((each) => isAble(device, each))) continue;
    const phrase = marked.replaceAll(mark, name);
    const heard = book.hear(phrase.replaceAll(anyWords, someWord), context);
    const effects = effectsOf(heard);
    const isOwn = effects.length > 0 && effects.every((effect) => effect.device === id);
    // Of several ways to say the same, people need one.
    const does = listEffects(effects).join();
    if (!isOwn || intentOf(heard) !== intent.id || done.has(does)) continue;
    done.add(does);
    said.push(phrase);
  }
  return said;
}

function questionsFor(
  book: Book,
  device: Device,
  samples: readonly QuestionSample[],
  { name, language }: { name: string; language: string },
): string[] {
  const context = { language, ...besideOf(book, device) };
  const said: string[] = [];
  const known = new Set<string>();
  for (const { phrase: marked, properties } of samples) {
    const property = properties.find((each) => device.properties.has(each));
    if (property === undefined || known.has(property)) continue;
    const phrase = marked.replaceAll(mark, name);
    const { outcome, commands } = book.hear(phrase, context);
    const about = commands.flatMap(({ questions = [] }) => questions);
    const isOwn = about.every(({ devices }) => devices.every((each) => each === device.id));
    if (outcome !== "answer" || about.length !== 1 || !isOwn) continue;
    known.add(property);
    said.push(phrase);
  }
  return said;
}
