import { mkdir, writeFile } from "node:fs/promises";
import { dirname } from "node:path";
import { type Finding, compareFindings } from "../source/finding.ts";
import { reportFindings } from "../reports/index.ts";
import { packageVersion } from "./version.ts";
import { countFindings, printFindings } from "../reports/findings.ts";
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
  /** The file that findings are written to as SARIF. */
  sarif?: string;
}

/** A number of things, in the right number: "1 device", "2 devices". */
function countOf(count: number, thing: string): string {
  return `${count} ${thing}${count === 1 ? "" : "s"}`;
}

/** `calm-phrase check`: everything that is wrong with a phrasebook, its suites and its days. */
export async function check(options: CheckOptions): Promise<number> {
  const { json } = options;
  const { book, suiteSources, daySources } = await loadFolder(options);
  const all = [
    ...book.problems,
    ...checkPhrasebook(book),
    ...readSuites(book, suiteSources).problems,
    ...readDays(book, daySources).problems,
  ].sort(compareFindings);
  if (options.sarif !== undefined) {
    await mkdir(dirname(options.sarif), { recursive: true });
    await writeFile(options.sarif, reportFindings(all, packageVersion()));
  }
  const fails = ({ severity }: Finding): boolean =>
    severity === "error" || (options.strict === true && severity === "warning");
  if (json) {
    printJson({ version: 1, problems: all });
  } else {
    const paint = paintFor(process.stdout);
    if (all.length > 0) print(`${printFindings(all, paint)}\n`);
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
