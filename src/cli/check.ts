import type { Book } from "../book/book.ts";
import { WrongUse } from "../source/wrong-use.ts";
import { type Finding, compareFindings } from "../source/finding.ts";
import { reportFindings } from "../reports/index.ts";
import { packageVersion } from "./version.ts";
import {
  type FindingGroup,
  countFindings,
  printFindings,
  printGroups,
} from "../reports/findings.ts";
import { isSource } from "../phrasebook/sources.ts";
import { checkPhrasebook } from "../survey/check.ts";
import { readDays } from "../suites/day.ts";
import { readSuites } from "../suites/read.ts";
import { exit } from "./exit.ts";
import { writeOut } from "./files.ts";
import { type BookOptions, loadFolder } from "./load.ts";
import { type Checked, mendAll, printMended, withEdits } from "./mend.ts";
import { paintFor, print, printJson } from "./output.ts";

export interface CheckOptions extends BookOptions {
  json?: boolean;
  /** Whether warnings fail as errors do. */
  strict?: boolean;
  /** What findings are told together by. */
  by?: FindingGroup;
  /** Whether files are mended. */
  fix?: boolean;
  /** The file that findings are written to as SARIF. */
  sarif?: string;
}

/** A folder as it is, and everything that is wrong with it. */
interface CheckedBook extends Checked {
  book: Book;
}

async function checkFolder(options: CheckOptions): Promise<CheckedBook> {
  const { folder, book, suiteSources, daySources, bookSources } = await loadFolder(options);
  const findings = [
    ...book.problems,
    ...checkPhrasebook(book),
    ...readSuites(book, suiteSources).problems,
    ...readDays(book, daySources).problems,
  ].sort(compareFindings);
  return { folder, book, sources: [...bookSources, ...suiteSources, ...daySources], findings };
}

async function checkAndMend(
  options: CheckOptions,
): Promise<{ checked: CheckedBook; mended: readonly Finding[] }> {
  if (options.fix !== true) return { checked: await checkFolder(options), mended: [] };
  if (options.in === "-") {
    throw new WrongUse("standard input cannot be mended: name a folder or a file with --in");
  }
  return mendAll(() => checkFolder(options));
}

/** A number of things, in the right number: "1 device", "2 devices". */
function countOf(count: number, thing: string): string {
  return `${count} ${thing}${count === 1 ? "" : "s"}`;
}

/** `calm-phrase check`: everything that is wrong with a phrasebook, its suites and its days. */
export async function check(options: CheckOptions): Promise<number> {
  const { json, by, fix } = options;
  const { checked, mended } = await checkAndMend(options);
  const { book, sources, findings: all } = checked;
  if (options.sarif !== undefined) {
    await writeOut(options.sarif, reportFindings(withEdits(all, sources), packageVersion()));
  }
  const fails = ({ severity }: Finding): boolean =>
    severity === "error" || (options.strict === true && severity === "warning");
  if (json) {
    printJson({ version: 1, problems: withEdits(all, sources), ...(fix && { mended }) });
  } else {
    const paint = paintFor(process.stdout);
    if (mended.length > 0) print(`${printMended(mended, paint)}\n`);
    if (all.length > 0) {
      print(`${by ? printGroups(all, by, paint) : printFindings(all, paint)}\n`);
    }
    const { devices, rooms, intents, routines } = book;
    const own = [...intents.values()].filter(({ patterns }) =>
      patterns.some(({ origin }) => origin === "phrasebook"),
    );
    const sizes = [
      countOf([...devices.keys()].filter((id) => !isSource(book, id)).length, "device"),
      countOf(rooms.size, "room"),
      `${countOf(own.length, "intent")} of its own, ${intents.size - own.length} that ship`,
      ...(routines.size > 0 ? [countOf(routines.size, "routine")] : []),
    ];
    print(`${book.name}: ${sizes.join(", ")}`);
    print(all.some(fails) ? paint.bad(countFindings(all)) : paint.good(countFindings(all)));
  }
  return all.some(fails) ? exit.failed : exit.fine;
}
