import { type Book, asBook } from "../book/book.ts";
import { withDevice, withNames } from "../book/changed.ts";
import { effectsOf } from "../commands/outcome.ts";
import type { SourceText } from "../document/document.ts";
import { packOf } from "../language/packs.ts";
import { splitWords } from "../language/words.ts";
import type { Device, Name } from "../model/home.ts";
import { membersOf } from "../source/border.ts";
import { given } from "../source/given.ts";
import { later } from "../source/later.ts";
import { WrongUse, madeOf } from "../source/wrong-use.ts";
import type { Dictionary } from "../sounds/pronounce.ts";
import type { Confusion } from "./confusions.ts";
import { createEars } from "./ear.ts";
import { failingCases } from "./failing.ts";
import { createListener } from "./listener.ts";
import { type Mishearing, type TakenFor, mishear, worstOf } from "./mishearings.ts";
import type { SpokenPhrase } from "./spoken-phrases.ts";
import { readOptions } from "./options.ts";
import { soundsIn } from "./sounds-in.ts";
import { suggestNames } from "./suggestions.ts";

/** Something that helps against a confusion, as it turned out when it was tried. */
export type Remedy = Advice & Tried;

/** What may help: to say something else, to ask back, or to call something otherwise. */
export type Advice =
  /** Say it so: the same comes of it, and what sounds like it is further away. */
  | { remedy: "wording"; say: string }
  /** Ask back before this device does it. */
  | { remedy: "guard"; device: string }
  /** Call this device otherwise. */
  | { remedy: "name"; device: string; before: string; name: string };

export interface Tried {
  /** The worst that is left, and how near it is; nothing where nothing else happens that near. */
  left?: { verdict: TakenFor["verdict"]; distance: number; phrase: string };
  /** Cases of the suites that fail with it and do not without. */
  failing: number;
}

export interface RemedyOptions {
  /** All that was found, for other wordings. */
  mishearings: readonly Mishearing[];
  /** The suites as texts, to see what a remedy changes in them. */
  suiteSources?: readonly SourceText[];
  /** A pronouncing dictionary of English. */
  dictionary?: Dictionary;
  /** How far away phrases are looked for, at most; 1.5 when left out. */
  furthest?: number;
}

/**
 * Makes what tries how a confusion can be helped: by another wording, by a guard, by another name. What helped
 * is told, the best first.
 */
export function createRemedies(
  of: Book,
  options: RemedyOptions,
): (confusion: Confusion) => Remedy[] {
  const book = asBook(of);
  const { mishearings } = membersOf(options);
  if (!Array.isArray(mishearings)) {
    throw new WrongUse("pass what findMishearings returned: { mishearings }");
  }
  const { dictionary } = readOptions(options);
  const failingIn = (changed: Book): string[] => failingCases(changed, options.suiteSources ?? []);
  const before = later(() => new Set(failingIn(book)));
  const tryOut = ({ remedy, book: changed, phrase }: Changed, worst: Case): Outcome[] => {
    const after = mishearAgain(changed, phrase, worst.mishearing, options);
    if (!after || !helps(after, worst)) return [];
    const failing = failingIn(changed).filter((key) => !before().has(key)).length;
    return [outcomeOf(remedy, after, failing)];
  };
  const tryAll = ({ cases: [worst] }: Confusion): Remedy[] => {
    if (!worst) return [];
    const changes = [
      ...(worst.taken.verdict === "unsafe" ? guarded(book, worst) : []),
      ...renamed(book, worst, dictionary),
    ];
    const all = [...wordings(worst, options), ...changes.flatMap((each) => tryOut(each, worst))];
    return all
      .sort((one, other) => one.tried.failing - other.tried.failing || one.risk - other.risk)
      .map(({ tried }) => tried);
  };
  return (confusion) => madeOf("confusion", () => tryAll(confusion));
}

type Case = Confusion["cases"][number];

/** A remedy with how bad what it leaves is. */
interface Outcome {
  tried: Remedy;
  risk: number;
}

/** How bad the worst is that happens where a phrase is misheard. */
function riskOf(mishearing: Mishearing): number {
  return worstOf(mishearing)?.risk ?? 0;
}

function outcomeOf(remedy: Advice, after: Mishearing, failing: number): Outcome {
  const worst = worstOf(after);
  const left = worst && {
    verdict: worst.verdict,
    distance: worst.distance,
    phrase: worst.phrase,
  };
  return { tried: { ...remedy, ...given({ left }), failing }, risk: riskOf(after) };
}

/** How much further away a confusion has to be for it to be helped. */
const helped = 0.3;

/** Whether what a phrase was taken for is further away than it was, and nothing worse has come near. */
function helps(after: Mishearing, { mishearing, taken }: Case): boolean {
  const isNear = after.taken.some(
    ({ effect, verdict, distance }) =>
      effect === taken.effect && verdict !== "harmless" && distance < taken.distance + helped,
  );
  return !isNear && riskOf(after) <= riskOf(mishearing);
}

/** Another phrase of which the same comes. */
function wordings(worst: Case, { mishearings }: RemedyOptions): Outcome[] {
  const { spoken } = worst.mishearing;
  const alike = mishearings
    .filter((each) => each.spoken.effect === spoken.effect)
    .filter((each) => each.spoken.language === spoken.language && each.spoken.at === spoken.at)
    .sort((one, other) => riskOf(one) - riskOf(other));
  const [best] = alike;
  if (!best || best.spoken.phrase === spoken.phrase || !helps(best, worst)) return [];
  return [outcomeOf({ remedy: "wording", say: best.spoken.phrase }, best, 0)];
}

/** A home with a remedy in it, and what is said there then. */
interface Changed {
  remedy: Advice;
  book: Book;
  phrase: string;
}

/** To ask back before the device that would be moved is moved. */
function guarded(book: Book, worst: Case): Changed[] {
  const { mishearing, taken } = worst;
  const heard = book.hear(taken.phrase, settingOf(mishearing));
  const moved = new Set(effectsOf(heard).map(({ device }) => device));
  const [id, more] = moved;
  const device = book.devices.get(id ?? "");
  if (!device || more !== undefined || device.voice !== "free") return [];
  const changed = withDevice(book, { ...device, voice: "confirm", safe: {}, safeActions: [] });
  const remedy = { remedy: "guard", device: device.id } as const;
  return [{ remedy, book: changed, phrase: mishearing.spoken.phrase }];
}

/** Another name for one of the two devices that are confused. */
function renamed(book: Book, worst: Case, dictionary: Dictionary | undefined): Changed[] {
  const { mishearing, taken } = worst;
  const { language, phrase } = mishearing.spoken;
  const setting: SpokenPhrase = { phrase, language, given: new Map() };
  const listen = createListener(book);
  const namesOf = (text: string): readonly Name[] => listen(text, setting).names;
  const spokenNames = namesOf(phrase);
  const takenNames = namesOf(taken.phrase);
  const name = spokenNames.find((each) => !takenNames.includes(each));
  const device = name && deviceOf(book, name);
  if (!name || !device || takenNames.every((each) => spokenNames.includes(each))) return [];
  const [suggested] = suggestNames(book, device, language, soundsIn(book, language, dictionary));
  if (!suggested) return [];
  const words = splitWords(suggested.text, packOf(book, language)).map((word) => word.text);
  const others = device.names.filter((each) => each !== name);
  const changed = withNames(book, device, [
    { ...name, text: suggested.text, words, alias: false },
    ...others,
  ]);
  const said = phrase.toLowerCase().replace(name.text.toLowerCase(), suggested.text);
  const facts = { device: device.id, before: name.text, name: suggested.text };
  return [{ remedy: { remedy: "name", ...facts }, book: changed, phrase: said }];
}

function deviceOf(book: Book, name: Name): Device | undefined {
  return [...book.devices.values()].find((device) => device.names.includes(name));
}

function settingOf({ spoken: { language, at } }: Mishearing) {
  return { language, ...given({ at }) };
}

function mishearAgain(
  book: Book,
  phrase: string,
  { spoken: { language, at } }: Mishearing,
  options: RemedyOptions,
): Mishearing | undefined {
  const { dictionary, furthest } = readOptions(options);
  const ear = createEars(book, dictionary)(language);
  const said: SpokenPhrase = { phrase, language, ...given({ at }), given: new Map() };
  return mishear({ book, listen: createListener(book), ear }, said, { furthest, most: 8 });
}
