import { WrongUse } from "../source/wrong-use.ts";
import type { Book } from "../book/book.ts";
import { readPhrasebook } from "../book/read.ts";
import type { Source } from "../document/document.ts";
import type { Finding } from "../source/finding.ts";
import { buffer } from "node:stream/consumers";
import { firstLanguage } from "../document/said.ts";
import { matchLanguage } from "../language/packs.ts";
import { decode } from "../node/text.ts";
import { findFolder } from "../node/find.ts";
import { type Opened, openSources, readFolder } from "../node/open.ts";
import { countFindings } from "../reports/findings.ts";
import { printPosition } from "../source/position.ts";
import { complain } from "./output.ts";

/** Options of every command that opens a phrasebook. */
export interface BookOptions {
  /** Its folder or file, or `-` for standard input; the one that is found from here otherwise. */
  in?: string;
  /** Folders beside it that may be read. */
  allow?: string[];
}

/** Opens the phrasebook that a command is about. */
export async function loadBook(options: BookOptions): Promise<Book> {
  return (await loadFolder(options)).book;
}

/** The same with the suites and days that stand beside it. */
export async function loadFolder({
  in: named,
  allow = [],
}: BookOptions): Promise<Opened & { folder: string }> {
  if (named === "-") {
    const text = await readInput();
    return { folder: ".", ...openSources([{ path: "standard input", text }], []) };
  }
  const folder = named ?? (await findFolder("."));
  const { sources, findings } = await readFolder(folder, allow);
  const opened = openSources(sources, findings, readOnce);
  const { suiteSources, daySources } = opened;
  const besides = [...suiteSources, ...daySources];
  if (sources.length + findings.length > besides.length) return { folder, ...opened };
  const [beside] = besides;
  if (beside) {
    const what = suiteSources.length > 0 ? "a suite" : "a day";
    throw new WrongUse(
      `"${beside.path}" is ${what}, which stands beside a phrasebook: name the folder of both with --in`,
    );
  }
  throw new WrongUse(
    `there is no phrasebook in "${folder}": name another folder with --in, or begin one with calm-phrase new`,
  );
}

/** The phrasebook that was read last, and from what. */
let last: { sources: readonly Source[]; book: Book } | undefined;

/**
 * Reads a phrasebook, unless it is the one that was read last: while files are watched most changes are
 * to suites, and what listens to a home takes longer to make than a suite to run.
 */
function readOnce(sources: readonly Source[], findings: readonly Finding[] = []): Book {
  if (findings.length > 0) return readPhrasebook(sources, findings);
  if (!last || !isSame(last.sources, sources)) last = { sources, book: readPhrasebook(sources) };
  return last.book;
}

function isSame(one: readonly Source[], other: readonly Source[]): boolean {
  if (one.length !== other.length) return false;
  return one.every((each, index) => {
    const its = other[index];
    if (!its || !("text" in its) || !("text" in each)) return false;
    return each.path === its.path && each.text === its.text;
  });
}

/**
 * The language of a home that a tag means; its first one for none.
 *
 * @throws WrongUse for one that is not spoken there.
 */
export function languageOf(book: Book, tag: string | undefined): string {
  const language = tag === undefined ? firstLanguage(book) : matchLanguage(book, tag);
  if (language !== undefined) return language;
  const spoken = book.languages.join(", ");
  throw new WrongUse(`this home does not speak "${tag ?? ""}": write one of ${spoken}`);
}

/** All that comes in by standard input. */
export async function readInput(): Promise<string> {
  const text = decode(await buffer(process.stdin));
  if (text === undefined) throw new WrongUse("standard input is not UTF-8");
  return text;
}

/** Says that a phrasebook has errors, where the command goes on regardless. */
export function mentionErrors(book: Book): void {
  const errors = book.problems.filter(({ severity }) => severity === "error");
  if (errors.length === 0) return;
  complain(`The phrasebook has ${countFindings(errors)}: see calm-phrase check`);
  for (const line of describeDoubts(book)) complain(line);
  complain("");
}

/** Devices that are listed for one mistake. */
const mostListed = 5;

/** What voice is barred from because of mistakes in guards, a line for each mistake. */
function describeDoubts({ devices }: Book): string[] {
  const byPlace = new Map<string, string[]>();
  for (const { id, doubt } of devices.values()) {
    if (!doubt) continue;
    const place = printPosition(doubt);
    byPlace.set(place, [...(byPlace.get(place) ?? []), id]);
  }
  return [...byPlace].map(([place, ids]) => {
    const more = ids.length > mostListed ? ` and ${ids.length - mostListed} more` : "";
    const names = ids.slice(0, mostListed).join(", ") + more;
    return `A guard may be meant at ${place}: until that is mended, voice is barred from ${names}`;
  });
}
