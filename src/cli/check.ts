import { mkdir, writeFile } from "node:fs/promises";
import { dirname, relative } from "node:path";
import type { Book } from "../book/book.ts";
import type { SourceText } from "../document/document.ts";
import { type Edit, applyEdits, editFor } from "../document/mending.ts";
import type { Paint } from "../reports/paint.ts";
import { given } from "../source/given.ts";
import { printPosition } from "../source/position.ts";
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
import { checkPhrasebook } from "../survey/check.ts";
import { readDays } from "../suites/day.ts";
import { readSuites } from "../suites/read.ts";
import { exit } from "./exit.ts";
import { type BookOptions, loadFolder } from "./load.ts";
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
interface Checked {
  folder: string;
  book: Book;
  sources: readonly SourceText[];
  findings: readonly (Finding & { edit?: Edit })[];
}

async function checkFolder(options: CheckOptions): Promise<Checked> {
  const { folder, book, suiteSources, daySources, bookSources } = await loadFolder(options);
  const sources = [...bookSources, ...suiteSources, ...daySources];
  const found = [
    ...book.problems,
    ...checkPhrasebook(book),
    ...readSuites(book, suiteSources).problems,
    ...readDays(book, daySources).problems,
  ].sort(compareFindings);
  const findings = found.map((finding) => {
    const source = finding.remedy && sources.find(({ path }) => path === finding.at.file);
    return { ...finding, ...given({ edit: source && editFor(finding, source) }) };
  });
  return { folder, book, sources, findings };
}

/** Most times that files are mended: what is mended may bring something else to light. */
const mostRounds = 10;

/** Mends the files of a folder, not those of others that it uses, until there is nothing left to mend. */
async function mendAll(options: CheckOptions): Promise<Finding[]> {
  if (options.in === "-") {
    throw new WrongUse("standard input cannot be mended: name a folder or a file with --in");
  }
  // Edits that touch one another are made one after another, and what they mend is found each time.
  const mended = new Map<string, Finding>();
  for (let round = 0; round < mostRounds; round++) {
    const { folder, sources, findings } = await checkFolder(options);
    let isDone = true;
    for (const { path, text } of sources) {
      const own = findings.filter(({ edit }) => edit?.file === path);
      if (own.length === 0 || relative(folder, path).startsWith("..")) continue;
      const after = applyEdits(
        text,
        own.flatMap(({ edit }) => edit ?? []),
      );
      if (after === text) continue;
      await writeFile(path, after);
      for (const each of own) mended.set(`${each.rule} ${each.message}`, each);
      isDone = false;
    }
    if (isDone) break;
  }
  return [...mended.values()];
}

function printMended(mended: readonly Finding[], paint: Paint): string {
  const lines = mended.map(({ message, at }) => {
    return `${paint.good("mended")}  ${message}  ${paint.quiet(printPosition(at))}`;
  });
  return lines.join("\n");
}

/** A number of things, in the right number: "1 device", "2 devices". */
function countOf(count: number, thing: string): string {
  return `${count} ${thing}${count === 1 ? "" : "s"}`;
}

/** `calm-phrase check`: everything that is wrong with a phrasebook, its suites and its days. */
export async function check(options: CheckOptions): Promise<number> {
  const { json, by, fix } = options;
  const mended = fix ? await mendAll(options) : [];
  const { book, findings: all } = await checkFolder(options);
  if (options.sarif !== undefined) {
    await mkdir(dirname(options.sarif), { recursive: true });
    await writeFile(options.sarif, reportFindings(all, packageVersion()));
  }
  const fails = ({ severity }: Finding): boolean =>
    severity === "error" || (options.strict === true && severity === "warning");
  if (json) {
    printJson({ version: 1, problems: all, ...(fix && { mended }) });
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
      countOf(devices.size, "device"),
      countOf(rooms.size, "room"),
      `${countOf(own.length, "intent")} of its own, ${intents.size - own.length} that ship`,
      ...(routines.size > 0 ? [countOf(routines.size, "routine")] : []),
    ];
    print(`${book.name}: ${sizes.join(", ")}`);
    print(all.some(fails) ? paint.bad(countFindings(all)) : paint.good(countFindings(all)));
  }
  return all.some(fails) ? exit.failed : exit.fine;
}
