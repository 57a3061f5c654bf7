import { type Book, asBook } from "../book/book.ts";
import type { Intent, Phrasebook } from "../phrasebook/model.ts";
import { shippedIntents } from "../phrasebook/shipped.ts";
import type { Position } from "../source/position.ts";
import { given } from "../source/given.ts";
import { madeOf } from "../source/wrong-use.ts";
import type { Suites } from "../suites/read.ts";
import type { SuiteResults } from "../suites/results.ts";
import type { RunOptions } from "../suites/run.ts";
import { type Uses, collectUses } from "./collect.ts";
import { type PartSort, partSorts, partsOf } from "./parts.ts";
import { traceWith } from "./trace.ts";

/** Raised when the JSON form of coverage changes in a way that a reader must know of. */
export const coverageVersion = 1;

/** What cases have touched of a phrasebook. */
export interface Coverage {
  version: typeof coverageVersion;
  /** Every part of the phrasebook's own, those first that can do most harm untested. */
  parts: readonly CoveredPart[];
  /** How many parts of each sort were touched. */
  shares: readonly Share[];
  /** How many patterns that ship were, by the sort of value that they are about. */
  vocabulary: readonly Share[];
}

/** One part of a phrasebook, and how often cases touched it. */
export interface CoveredPart {
  sort: PartSort;
  /** The intent, routine, device, place or fragment that it belongs to. */
  of: string;
  what: string;
  language?: string;
  at: Position;
  hits: number;
}

export interface Share {
  of: string;
  touched: number;
  all: number;
}

/**
 * Runs suites and tells what they have touched.
 *
 * @throws WrongUse as `runSuites` does.
 */
export function measureCoverage(
  of: Book,
  suites: Suites,
  options: RunOptions = {},
): { results: SuiteResults; coverage: Coverage } {
  const book = asBook(of);
  const uses = collectUses(book);
  const results = traceWith(book, suites, options, { also: uses.witness });
  return { results, coverage: coverageOf(book, uses) };
}

function coverageOf(book: Phrasebook, uses: Uses): Coverage {
  const order = new Map(partSorts.map((sort, index) => [sort, index]));
  const parts = partsOf(book)
    .map(({ sort, of, what, at, language, key, way }): CoveredPart => {
      return { sort, of, what, ...given({ language }), at, hits: uses.count(key, way) };
    })
    .sort((a, b) => (order.get(a.sort) ?? 0) - (order.get(b.sort) ?? 0));
  return {
    version: coverageVersion,
    parts,
    shares: shareBy(parts.map(({ sort, hits }) => ({ of: sort, isTouched: hits > 0 }))),
    vocabulary: shareBy(vocabularyIn(book, uses)),
  };
}

function vocabularyIn(book: Phrasebook, uses: Uses): { of: string; isTouched: boolean }[] {
  const shipped = new Map(Object.entries(shippedIntents(book.packs, book.units)));
  const sortOf = ({ id }: Intent): string => shipped.get(id)?.framed?.sort ?? "other";
  return [...book.intents.values()].flatMap((intent) =>
    intent.patterns
      .filter(({ origin }) => origin === "vocabulary")
      .map((pattern) => ({ of: sortOf(intent), isTouched: uses.count(pattern) > 0 })),
  );
}

function shareBy(all: readonly { of: string; isTouched: boolean }[]): Share[] {
  const shares = new Map<string, Share>();
  for (const { of, isTouched } of all) {
    const share = shares.get(of) ?? { of, touched: 0, all: 0 };
    shares.set(of, share);
    share.all++;
    if (isTouched) share.touched++;
  }
  return [...shares.values()];
}

/** Of a hundred parts of the phrasebook's own, how many were touched; 100 where there is none. */
export function percentOf(coverage: Pick<Coverage, "shares">): number {
  return madeOf("coverage", () => shareOf(coverage));
}

function shareOf({ shares }: Pick<Coverage, "shares">): number {
  const all = shares.reduce((sum, share) => sum + share.all, 0);
  const touched = shares.reduce((sum, share) => sum + share.touched, 0);
  return all === 0 ? 100 : (100 * touched) / all;
}
