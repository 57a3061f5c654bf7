import type { Book } from "../book/book.ts";
import { isAble } from "../commands/ability.ts";
import { packOf } from "../language/packs.ts";
import { isKnown } from "../model/known.ts";
import { spokenNames } from "../model/names.ts";
import type { SpokenPattern } from "../model/spoken.ts";
import { phrase } from "../pattern/build.ts";
import { phrases } from "../pattern/phrases.ts";
import type { Intent } from "../phrasebook/model.ts";
import { given } from "../source/given.ts";
import { sampleQuestions } from "../survey/questions.ts";
import { besideOf } from "../survey/beside.ts";
import { type CommandSample, sampleCommands } from "../survey/commands.ts";
import { anyWords } from "../survey/sample.ts";
import { type Draft, morning, phrasesOf } from "./draft.ts";
import { routineDrafts } from "./routine-drafts.ts";

/** Phrases of one pattern that are tried. */
const mostPhrases = 400;

/** Commands that a group or a place is tried with. */
const mostTried = 4;

/** What stands in the place of a name. */
const mark = "\u0000";

/** Cases that may touch what others do not, simple ones first; lazy. */
export function* draftsFor(book: Book): Generator<Draft> {
  for (const language of book.languages) {
    const samples = sampleCommands(book, language, mark);
    yield* commandDrafts(book, language, samples);
    for (const intent of book.intents.values()) {
      for (const pattern of intent.patterns) {
        if (pattern.language !== language || pattern.origin !== "phrasebook") continue;
        yield* patternDrafts(book, intent, pattern);
      }
    }
    yield* placeDrafts(book, language, samples);
    yield* routineNames(book, language);
  }
  for (const routine of book.routines.values()) yield* routineDrafts(book, routine);
}

/** Where anything is said, for want of a better place. */
function anyPlace({ voicepoints }: Book): Pick<Draft, "at"> {
  const [first] = voicepoints.keys();
  return given({ at: first });
}

/** Everything that one device can be told, under each of its names; what voice is barred from as well. */
function* commandDrafts(
  book: Book,
  language: string,
  samples: readonly CommandSample[],
): Generator<Draft> {
  const questions = sampleQuestions(book, language, mark);
  const first = book.languages[0] ?? language;
  for (const device of book.devices.values()) {
    const told = samples.filter(({ asked }) => asked.every((each) => isAble(device, each)));
    // What can be told nothing can be asked about.
    const asked = questions.filter(({ properties }) =>
      properties.some((property) => device.properties.has(property)),
    );
    const able = [...told, ...asked].map(({ phrase }) => phrase.replaceAll(anyWords, "xxx"));
    const [usual] = able;
    if (usual === undefined) continue;
    const names = spokenNames(device, language, first).map(({ text }) => text);
    const context = { language, time: morning, ...anyPlace(book), ...besideOf(book, device) };
    const [name = device.id, ...aliases] = names;
    // A guard may ask for one thing and not for another.
    for (const said of device.voice === "free" ? [usual] : able) {
      yield { ...context, hear: said.replaceAll(mark, name) };
    }
    for (const alias of aliases) yield { ...context, hear: usual.replaceAll(mark, alias) };
  }
  for (const group of book.groups.values()) {
    const devices = group.devices.flatMap((id) => book.devices.get(id) ?? []);
    for (const { text } of spokenNames(group, language, first)) {
      const able = samples.filter(({ asked }) =>
        devices.some((device) => isKnown(device) && asked.every((each) => isAble(device, each))),
      );
      for (const { phrase: said } of able.slice(0, mostTried)) {
        const hear = said.replaceAll(mark, text);
        yield { language, time: morning, ...anyPlace(book), hear };
      }
    }
  }
}

/** What is in a room or zone, by its kind and by the place. */
function* placeDrafts(
  book: Book,
  language: string,
  samples: readonly CommandSample[],
): Generator<Draft> {
  const pack = packOf(book, language);
  const first = book.languages[0] ?? language;
  const zones = [...book.zones.values()].map((zone) => ({
    zone,
    rooms: new Set<string>(zone.rooms),
  }));
  const places = [
    ...[...book.rooms.values()].map((room) => ({ place: room, rooms: new Set([room.id]) })),
    ...zones.map(({ zone, rooms }) => ({ place: zone, rooms })),
  ];
  for (const { place, rooms } of places) {
    const devices = [...book.devices.values()].filter(({ room = "" }) => rooms.has(room));
    for (const { text } of spokenNames(place, language, first)) {
      for (const device of devices.filter(isKnown)) {
        const noun = pack.kinds[device.kind]?.many[0] ?? device.kind;
        for (const { phrase: said } of samples
          .filter(({ asked }) => asked.every((each) => isAble(device, each)))
          .slice(0, 3)) {
          for (const preposition of pack.targets.inPlace.slice(0, 4)) {
            const hear = said.replaceAll(mark, `${noun} ${preposition} ${text}`);
            yield { language, time: morning, ...anyPlace(book), hear };
          }
        }
      }
    }
  }
}

function* patternDrafts(book: Book, intent: Intent, pattern: SpokenPattern): Generator<Draft> {
  const { language } = pattern;
  // All that the pattern can say of one thing, then all that its slots can be.
  for (const isWhole of [false, true]) {
    let count = 0;
    for (const words of phrasesOf(book, intent, pattern, isWhole)) {
      if (count++ > mostPhrases) break;
      yield { hear: words, language, time: morning, ...anyPlace(book) };
    }
  }
}

function* routineNames(book: Book, language: string): Generator<Draft> {
  const intent = book.intents.get("run-routine");
  const pattern = intent?.patterns.find((each) => each.language === language);
  if (!pattern) return;
  const first = book.languages[0] ?? language;
  for (const routine of book.routines.values()) {
    for (const { text } of spokenNames(routine, language, first)) {
      const [said] = phrases(pattern.tree, (name) =>
        name === "routine" ? phrase(text) : undefined,
      );
      if (said) yield { hear: said.join(" "), language, time: morning, ...anyPlace(book) };
    }
  }
}
