import type { Book } from "../book/book.ts";
import { WrongUse } from "../source/wrong-use.ts";
import type { SourceText } from "../document/document.ts";
import { type Tested, suitesIn } from "./homes.ts";
import { type BookOptions, loadFolder } from "./load.ts";

/** A home that was opened, with the suites of it that are meant. */
export interface OpenedHome {
  folder: string;
  book: Book;
  /** Its suites that are meant. */
  sources: readonly SourceText[];
  /** The files of its phrasebook. */
  bookSources: readonly SourceText[];
}

export async function openHome(home: Tested, options: BookOptions): Promise<OpenedHome> {
  const { folder, book, suiteSources, bookSources } = await loadFolder({
    ...options,
    ...inFolder(home),
  });
  if (suiteSources.length === 0) {
    throw new WrongUse(
      "there is no suite beside the phrasebook: a suite is a file named *.suite.yaml",
    );
  }
  return { folder, book, sources: suitesIn(suiteSources, home.files), bookSources };
}

function inFolder({ folder }: Tested): Pick<BookOptions, "in"> {
  return folder === undefined ? {} : { in: folder };
}
