import { type Book, readSuites } from "calm-phrase";
import {
  type Confusion,
  type Dictionary,
  type Mishearing,
  type SoundAlike,
  arrangeByEar,
  confusionsBetween,
  confusionsIn,
  createRemedies,
  findMishearings,
  findSoundAlikes,
} from "calm-phrase/mishearing";
import { describeConfusion, describeRemedy } from "calm-phrase/reports";
import { isSuite } from "../files/sorts.ts";
import { bookOf } from "./desk.ts";
import type { ConfusionView, HomeFile, SoundMap } from "./views.ts";

/** A home that is listened to, and what was found in it. */
interface Heard {
  files: readonly HomeFile[];
  book: Book;
  /** A pronouncing dictionary, for a home that speaks English. */
  pronounced: { dictionary?: Dictionary };
  mishearings: readonly Mishearing[];
  confusions: readonly Confusion[];
}

let heard: Heard | undefined;

async function read(files: readonly HomeFile[]): Promise<Pick<Heard, "book" | "pronounced">> {
  const book = await bookOf(files);
  const speaksEnglish = book.languages.some((tag) => tag.split("-")[0] === "en");
  if (!speaksEnglish) return { book, pronounced: {} };
  const { dictionary } = await import("cmu-pronouncing-dictionary");
  return { book, pronounced: { dictionary } };
}

/** Names that a map holds; those that sound most alike are among them. */
const mostNames = 36;

/** The names of each language that sound alike, so that what sounds alike stands side by side. */
export async function soundMaps(files: readonly HomeFile[]): Promise<SoundMap[]> {
  const { book, pronounced } = await read(files);
  const all = findSoundAlikes(book, pronounced);
  return book.languages.map((language) => {
    const alikes = all.filter(({ spoken }) => spoken.language === language);
    let shown = alikes;
    let names = arrangeByEar(shown);
    while (names.length > mostNames) {
      shown = shown.slice(0, Math.floor(shown.length * 0.8));
      names = arrangeByEar(shown);
    }
    return { language, names, pairs: alikes, more: alikes.length - shown.length };
  });
}

/**
 * What each phrase of the suites may be taken for, of all languages; of the plainest phrases where there are
 * no suites.
 *
 * @param tell Is told how many phrases were looked at, and of how many.
 */
export async function listen(
  files: readonly HomeFile[],
  tell: (done: number, all: number) => void,
): Promise<ConfusionView[]> {
  const { book, pronounced } = await read(files);
  const suiteFiles = files.filter(isSuite);
  const mishearings = findMishearings(book, {
    tell,
    ...pronounced,
    ...(suiteFiles.length > 0 ? { suites: readSuites(book, suiteFiles) } : {}),
  });
  const confusions = confusionsIn(mishearings);
  heard = { files, book, pronounced, mishearings, confusions };
  return confusions.flatMap((each, index) =>
    each.verdict === "harmless" ? [] : view(each, index),
  );
}

/** Numbers of the confusions in which two names are taken for one another. */
export function confusedIn(pair: SoundAlike): number[] {
  if (!heard) return [];
  const { confusions } = heard;
  return confusionsBetween(confusions, pair).map((each) => confusions.indexOf(each));
}

/** What helps against a confusion, each tried. */
export function remedies(index: number): string[] {
  const confusion = heard?.confusions[index];
  if (!heard || !confusion) return [];
  const { files, book, pronounced, mishearings } = heard;
  const suiteSources = files.filter(isSuite);
  const tryRemedies = createRemedies(book, { mishearings, suiteSources, ...pronounced });
  return tryRemedies(confusion).map(describeRemedy);
}

function view(confusion: Confusion, index: number): ConfusionView {
  const { verdict, distance, language, why, cases } = confusion;
  return {
    index,
    told: describeConfusion(confusion),
    verdict,
    distance,
    language,
    why: why ?? "",
    phrases: cases.map(({ mishearing: { spoken }, taken }) => ({
      spoken: spoken.phrase,
      effect: spoken.effect,
      taken: taken.phrase,
      otherEffect: taken.effect,
      at: spoken.position,
    })),
  };
}
