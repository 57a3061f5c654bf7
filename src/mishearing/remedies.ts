import { type Book, asBook } from "../book/book.ts";
import { withDevice, withNames } from "../book/changed.ts";
import { effectsOf } from "../commands/outcome.ts";
import type { SourceText } from "../document/document.ts";
import { packOf } from "../language/packs.ts";
import { splitWords } from "../language/words.ts";
import type { Device, Name } from "../model/home.ts";
import { membersOf } from "../source/border.ts";
import { given } from "../source/given.ts";
import { WrongUse, madeOf } from "../source/wrong-use.ts";
import type { Dictionary } from "../sounds/pronounce.ts";
import type { Confusion } from "./confusions.ts";
import { createEars } from "./ear.ts";
import { failingCases } from "./failing.ts";
import { createListener } from "./listener.ts";
import { type Mishearing, type TakenFor, mishear } from "./mishearings.ts";
import type { SpokenPhrase } from "./spoken-phrases.ts";
import { readOptions } from "./options.ts";
import { suggestNames } from "./suggestions.ts";

/** Something that helps against a confusion, as it turned out when it was tried. */
export type Remedy =
  /** Say it so: the same comes of it, and what sounds like it is further away. */
  (
    | { remedy: "wording"; say: string }
    /** Ask back before this device does it. */
    | { remedy: "guard"; device: string }
    /** Call this device otherwise. */
    | { remedy: "name"; device: string; before: string; name: string }
  ) &
    Tried;

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
  let before: ReadonlySet<string> | undefined;
  const tryAll = ({ cases: [worst] }: Confusion): Remedy[] => {
    if (!worst) return [];
    before ??= new Set(failingCases(book, options.suiteSources ?? []));
    const all = [
      ...wordings(worst, options),
      ...(worst.taken.verdict === "unsafe" ? guards(book, worst, options, before) : []),
      ...names(book, worst, options, before),
    ];
    return all.sort(
      (one, other) => one.failing - other.failing || riskOf(one.left) - riskOf(other.left),
    );
  };
  return (confusion) => madeOf("confusion", () => tryAll(confusion));
}

type Case = Confusion["cases"][number];

function riskOf(left: Pick<TakenFor, "verdict" | "distance"> | undefined): number {
  if (!left || left.verdict === "harmless") return 0;
  return (left.verdict === "unsafe" ? 10 : 3) / Math.exp(left.distance);
}

/** The worst thing that happens where a phrase is misheard. */
function worstOf(mishearing: Mishearing | undefined): Tried["left"] {
  const acting = mishearing?.taken.filter(({ verdict }) => verdict !== "harmless") ?? [];
  const [first] = acting.sort((one, other) => riskOf(other) - riskOf(one));
  return first && { verdict: first.verdict, distance: first.distance, phrase: first.phrase };
}

/** How much further away a confusion has to be for it to be helped. */
const helped = 0.3;

/** Whether what a phrase was taken for is further away than it was, and nothing worse has come near. */
function helps(after: Mishearing | undefined, { mishearing, taken }: Case): boolean {
  if (!after) return false;
  const isNear = after.taken.some(
    ({ effect, verdict, distance }) =>
      effect === taken.effect && verdict !== "harmless" && distance < taken.distance + helped,
  );
  return !isNear && riskOf(worstOf(after)) <= riskOf(worstOf(mishearing));
}

/** Another phrase of which the same comes. */
function wordings(worst: Case, { mishearings }: RemedyOptions): Remedy[] {
  const { spoken } = worst.mishearing;
  const alike = mishearings
    .filter((each) => each.spoken.effect === spoken.effect)
    .filter((each) => each.spoken.language === spoken.language && each.spoken.at === spoken.at)
    .sort((one, other) => riskOf(worstOf(one)) - riskOf(worstOf(other)));
  const [best] = alike;
  if (!best || best.spoken.phrase === spoken.phrase || !helps(best, worst)) return [];
  const left = worstOf(best);
  return [{ remedy: "wording", say: best.spoken.phrase, ...given({ left }), failing: 0 }];
}

/** To ask back before the device that would be moved is moved. */
function guards(
  book: Book,
  worst: Case,
  options: RemedyOptions,
  before: ReadonlySet<string>,
): Remedy[] {
  const { mishearing, taken } = worst;
  const heard = book.hear(taken.phrase, settingOf(mishearing));
  const moved = new Set(effectsOf(heard).map(({ device }) => device));
  const [id, more] = moved;
  const device = book.devices.get(id ?? "");
  if (!device || more !== undefined || device.voice !== "free") return [];
  const changed = withDevice(book, { ...device, voice: "confirm", safe: {}, safeActions: [] });
  const after = mishearAgain(changed, mishearing.spoken.phrase, mishearing, options);
  if (!helps(after, worst)) return [];
  const left = worstOf(after);
  const failing = failingCases(changed, options.suiteSources ?? []).filter(
    (key) => !before.has(key),
  ).length;
  return [{ remedy: "guard", device: device.id, ...given({ left }), failing }];
}

/** Another name for one of the two devices that are confused. */
function names(
  book: Book,
  worst: Case,
  options: RemedyOptions,
  before: ReadonlySet<string>,
): Remedy[] {
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
  const { sounds } = createEars(book, options.dictionary)(language);
  const [suggested] = suggestNames(book, device, language, sounds);
  if (!suggested) return [];
  const words = splitWords(suggested.text, packOf(book, language)).map((word) => word.text);
  const others = device.names.filter((each) => each !== name);
  const changed = withNames(book, device, [
    { ...name, text: suggested.text, words, alias: false },
    ...others,
  ]);
  const said = phrase.toLowerCase().replace(name.text.toLowerCase(), suggested.text);
  const after = mishearAgain(changed, said, mishearing, options);
  if (!helps(after, worst)) return [];
  const left = worstOf(after);
  const failing = failingCases(changed, options.suiteSources ?? []).filter(
    (key) => !before.has(key),
  ).length;
  const facts = { device: device.id, before: name.text, name: suggested.text };
  return [{ remedy: "name", ...facts, ...given({ left }), failing }];
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
