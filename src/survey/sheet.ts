import { type Book, asBook } from "../book/book.ts";
import { describeOutcome } from "../commands/describe.ts";
import { intentOf } from "../commands/outcome.ts";
import { homeLanguage } from "../hearing/hear.ts";
import { packOf } from "../language/packs.ts";
import { nameIn, spokenNames } from "../model/names.ts";
import type { VoiceAccess } from "../model/kinds.ts";
import { textOf } from "../source/border.ts";
import type { SpokenPattern } from "../model/spoken.ts";
import { plainest, samplePhrases } from "./sample.ts";
import { type SayableDevice, listSayable } from "./sayable.ts";

/** What a household can say, short enough that it is read. */
export interface Sheet {
  /** What the home is called. */
  title: string;
  language: string;
  rooms: readonly SheetRoom[];
  /** What routines are called, and what is said for what the home has of its own. */
  own: readonly string[];
}

export interface SheetRoom {
  name: string;
  things: readonly SheetThing[];
}

export interface SheetThing {
  name: string;
  voice: VoiceAccess;
  /** What it can be told, the safest-sounding wording first. */
  say: readonly string[];
  /** What can be asked about it. */
  ask: readonly string[];
}

function noRisk(): number {
  return 0;
}

function isFunction(value: unknown): boolean {
  return typeof value === "function";
}

/** Phrases and questions of one thing that are told. */
const [mostSaid, mostAsked] = [4, 1];

/**
 * What can be said to each thing of a home, room by room, in one language.
 *
 * @param risk How likely a phrase is taken for something worse: what is safest comes first.
 */
export function sheetOf(of: Book, tag?: string, risk: (phrase: string) => number = noRisk): Sheet {
  const book = asBook(of);
  const language = homeLanguage(book, textOf(tag));
  const devices = listSayable(book, language).filter(({ voice }) => voice !== "barred");
  const safest = createWordings(book, language, isFunction(risk) ? risk : noRisk);
  const thing = ({ id, name, voice, phrases, questions }: SayableDevice): SheetThing => {
    const say = phrases.slice(0, mostSaid).map((phrase) => safest(phrase, { id, name }));
    return { name, voice, say, ask: questions.slice(0, mostAsked) };
  };
  const isTold = ({ say, ask }: SheetThing): boolean => say.length + ask.length > 0;
  const rooms = [...book.rooms.values()].map((room): SheetRoom => {
    const things = devices.filter((device) => device.room === room.id).map(thing);
    return { name: nameIn(book, room, language) ?? room.id, things: things.filter(isTold) };
  });
  const elsewhere = devices
    .filter(({ room }) => room === undefined || !book.rooms.has(room))
    .map(thing)
    .filter(isTold);
  const all = [...rooms, { name: "", things: elsewhere }];
  return {
    title: book.name,
    language,
    rooms: all.filter(({ things }) => things.length > 0),
    own: ownPhrases(book, language),
  };
}

/** Wordings of an intent that are held against each other. */
const mostWordings = 5;

/** Finds the wording of a phrase that sounds safest: of each intent the same one for all things. */
function createWordings(book: Book, language: string, risk: (phrase: string) => number) {
  const chosen = new Map<string, SpokenPattern | undefined>();
  return (phrase: string, { id, name }: { id: string; name: string }): string => {
    const meant = book.hear(phrase, { language });
    const intent = book.intents.get(intentOf(meant) ?? "");
    if (!intent) return phrase;
    const does = describeOutcome(meant);
    const said = (pattern: SpokenPattern): string | undefined => {
      const [first] = samplePhrases(book, intent, pattern, [name]);
      const isSame =
        first !== undefined && describeOutcome(book.hear(first, { language })) === does;
      return isSame ? first : undefined;
    };
    const key = `${intent.id} ${book.devices.get(id)?.kind ?? ""}`;
    if (!chosen.has(key)) {
      const all = intent.patterns
        .filter((pattern) => pattern.language === language)
        .flatMap((pattern) => {
          const wording = said(pattern);
          // Nobody remembers a long one.
          const isShort = wording !== undefined && lengthOf(wording) <= lengthOf(phrase) + 1;
          return isShort ? [{ pattern, wording }] : [];
        })
        .slice(0, mostWordings)
        .map((each) => ({ ...each, risk: risk(each.wording) }));
      // Of wordings that are as safe, the plainest comes first.
      const best = all.reduce<(typeof all)[number] | undefined>(
        (least, each) => (least && least.risk <= each.risk ? least : each),
        undefined,
      );
      const isSafer = best !== undefined && best.risk < risk(phrase);
      chosen.set(key, isSafer ? best.pattern : undefined);
    }
    const pattern = chosen.get(key);
    return (pattern && said(pattern)) ?? phrase;
  };
}

function lengthOf(phrase: string): number {
  return phrase.split(" ").length;
}

/** Routines by their names, and intents of the home that name nothing. */
function ownPhrases(book: Book, language: string): string[] {
  const first = book.languages[0] ?? language;
  const pack = packOf(book, language);
  const running = book.intents.get("run-routine");
  const said: string[] = [];
  for (const intent of book.intents.values()) {
    const isOwn = intent.patterns.some(
      ({ origin, language: tag }) => origin === "phrasebook" && tag === language,
    );
    const hasTarget = [...intent.slots.values()].some(({ fills }) => fills === "target");
    if (!isOwn || hasTarget) continue;
    const phrase = plainest(book, intent, { language, mark: "" });
    if (phrase !== undefined) said.push(phrase);
  }
  const [run] = running?.patterns.filter(({ language: tag }) => tag === pack.language) ?? [];
  for (const routine of book.routines.values()) {
    const [name] = spokenNames(routine, language, first);
    if (!name || said.some((phrase) => intentOf(book.hear(phrase, { language })) === routine.id))
      continue;
    const called =
      run && running ? plainest(book, running, { language, mark: name.text }) : undefined;
    const candidates = [name.text, called ?? name.text];
    const heard = candidates.find((text) => book.hear(text, { language }).outcome === "act");
    if (heard !== undefined) said.push(heard);
  }
  return [...new Set(said)];
}
