import { findSoundAlikes } from "../mishearing/alike.ts";
import { type Confusion, confusionsIn } from "../mishearing/confusions.ts";
import { type HeldApart, heldApart } from "../mishearing/held-apart.ts";
import { type Mishearing, findMishearings } from "../mishearing/mishearings.ts";
import { drawSlips } from "../mishearing/open-hearing.ts";
import { createRemedies } from "../mishearing/remedies.ts";
import type { Dictionary } from "../sounds/pronounce.ts";
import { packOf } from "../language/packs.ts";
import { loadDictionary } from "../node/english-dictionary.ts";
import type { Opened } from "../node/open.ts";
import {
  type Remedied,
  printMishearings,
  printSlips,
  printSoundAlikes,
} from "../reports/mishearing.ts";
import { mishearingPage } from "../reports/mishearing-page.ts";
import { given } from "../source/given.ts";
import { printPosition } from "../source/position.ts";
import { type Suites, readSuites } from "../suites/read.ts";
import { exit } from "./exit.ts";
import { writeOut } from "./files.ts";
import { type BookOptions, loadFolder, mentionErrors } from "./load.ts";
import { complain, paintFor, print, printJson } from "./output.ts";
import { createProgress } from "./progress.ts";

export interface MishearOptions extends BookOptions {
  names?: boolean;
  open?: boolean;
  language?: string[];
  within?: number;
  seed?: number;
  /** How many confusions remedies are tried for. */
  remedies?: number;
  atMostUnsafe?: number;
  html?: string;
  json?: boolean;
}

/** Confusions that remedies are tried for, where nobody says how many. */
const usuallyTried = 8;

/** `calm-phrase mishear`: what sounds alike, and what comes of it. */
export async function mishear(options: MishearOptions): Promise<number> {
  const opened = await loadFolder(options);
  const { book, suiteSources } = opened;
  mentionErrors(book);
  const speaksEnglish = book.languages.some((tag) => packOf(book, tag).language === "en");
  const dictionary = speaksEnglish ? await loadDictionary() : undefined;
  const suites = suiteSources.length > 0 ? readSuites(book, suiteSources) : undefined;
  const known: Known = { opened, ...given({ dictionary, suites }) };
  if (options.names) return tellNames(known, options);
  return options.open ? tellSlips(known, options) : tellMishearings(known, options);
}

/** What a phrasebook is listened to with. */
interface Known {
  opened: Opened;
  dictionary?: Dictionary;
  suites?: Suites;
}

function alikesOf({ opened, dictionary }: Known, { language, within }: MishearOptions) {
  return findSoundAlikes(opened.book, given({ dictionary, languages: language, furthest: within }));
}

function tellNames(known: Known, options: MishearOptions): number {
  const alikes = alikesOf(known, options);
  if (options.json) printJson({ version: 1, alikes });
  else print(printSoundAlikes(alikes, paintFor(process.stdout)));
  return exit.fine;
}

function tellSlips({ opened, dictionary, suites }: Known, options: MishearOptions): number {
  const { language, seed, json } = options;
  const progress = createProgress(process.stderr, "phrases");
  const hearings = drawSlips(opened.book, {
    tell: progress.tell,
    ...given({ dictionary, suites, languages: language, seed }),
  });
  progress.end();
  if (json) printJson({ version: 1, phrases: hearings });
  else print(printSlips(hearings, paintFor(process.stdout)));
  const unsafe = hearings
    .flatMap(({ variants }) => variants)
    .filter(({ verdict }) => verdict === "unsafe").length;
  return verdictOn(unsafe, options);
}

async function tellMishearings(known: Known, options: MishearOptions): Promise<number> {
  const { opened, dictionary, suites } = known;
  const { language, within, json, html } = options;
  const progress = createProgress(process.stderr, "phrases");
  const mishearings = findMishearings(opened.book, {
    tell: progress.tell,
    ...given({ dictionary, suites, languages: language, furthest: within }),
  });
  const confusions = confusionsIn(mishearings);
  const remedied = remedy(known, confusions, mishearings, options);
  progress.end();
  if (html !== undefined) {
    const alikes = alikesOf(known, options);
    await writeOut(html, mishearingPage({ mishearings, confusions: remedied, alikes }));
    complain(`written to ${html}`);
  }
  const apart = suites ? heldApart(opened.book, suites, given({ dictionary })) : [];
  if (json) {
    const data = { phrases: mishearings, confusions: remedied.map(told), apart };
    printJson({ version: 1, ...data });
  } else {
    print(printMishearings(mishearings, remedied, paintFor(process.stdout)));
  }
  const near = apart.filter(({ isApart }) => !isApart);
  for (const each of near) complain(printNear(each));
  const unsafe = confusions.filter(({ verdict }) => verdict === "unsafe").length;
  return Math.max(near.length > 0 ? exit.failed : exit.fine, verdictOn(unsafe, options));
}

function printNear({ phrase, from, distance, position }: HeldApart): string {
  return `${printPosition(position)}  “${phrase}” and “${from}” are ${distance.toFixed(2)} apart, and are to be 1 at least`;
}

/** A confusion as data, with its phrases and without all else that is known of them. */
function told({ confusion, remedies }: Remedied) {
  const { cases, ...rest } = confusion;
  const phrases = cases.map(({ mishearing, taken }) => {
    return { spoken: mishearing.spoken.phrase, taken: taken.phrase, distance: taken.distance };
  });
  return { ...rest, phrases, remedies };
}

function remedy(
  { opened: { book, suiteSources }, dictionary }: Known,
  confusions: readonly Confusion[],
  mishearings: readonly Mishearing[],
  { remedies: most = usuallyTried, within: furthest }: MishearOptions,
): Remedied[] {
  const tryRemedies = createRemedies(book, {
    mishearings,
    suiteSources,
    ...given({ dictionary, furthest }),
  });
  let left = most;
  return confusions.map((confusion): Remedied => {
    if (confusion.verdict === "harmless" || left === 0) return { confusion, remedies: [] };
    left--;
    return { confusion, remedies: tryRemedies(confusion) };
  });
}

function verdictOn(unsafe: number, { atMostUnsafe }: MishearOptions): number {
  if (atMostUnsafe === undefined || unsafe <= atMostUnsafe) return exit.fine;
  complain(`${unsafe} unsafe confusions are more than ${atMostUnsafe}`);
  return exit.failed;
}
