import type { Book } from "../home/book.ts";
import { type SimulatedHome, simulate } from "../home/simulate.ts";
import { printTimeline } from "../reports/timeline.ts";
import { parseLocal } from "../time/local.ts";
import { WrongUse, exit } from "./exit.ts";
import { loadBook, mentionErrors } from "./load.ts";
import { paintFor, print, printJson } from "./output.ts";

export interface RunOptions {
  in: string;
  time?: string;
  for?: string;
  dry?: boolean;
  json?: boolean;
}

/** `calm-phrase run`: a routine on a simulated home, as a timeline. */
export async function run(routine: string, options: RunOptions): Promise<number> {
  const book = await loadBook(options.in);
  const found = book.routines.get(routine);
  if (!found) {
    const known = [...book.routines.keys()].join(", ");
    throw new WrongUse(
      known === ""
        ? "this home has no routines"
        : `there is no routine "${routine}": write one of ${known}`,
    );
  }
  mentionErrors(book);
  if (options.dry) {
    print(JSON.stringify(found.steps, null, 2));
    return exit.fine;
  }
  const home = simulate(book, options.time === undefined ? {} : { time: checkTime(options.time) });
  await home.run(routine);
  await home.wait(options.for ?? "4h");
  return tell(book, home, options.json === true);
}

export interface DayOptions {
  in: string;
  json?: boolean;
}

/** `calm-phrase day`: everything that the triggers of a home do in one day. */
export async function day(date: string | undefined, options: DayOptions): Promise<number> {
  const book = await loadBook(options.in);
  mentionErrors(book);
  const time = checkTime(`${date ?? "2026-01-05"}T00:00`);
  const home = simulate(book, { time });
  await home.wait("24h");
  return tell(book, home, options.json === true);
}

function checkTime(time: string): string {
  if (parseLocal(time)) return time;
  throw new WrongUse(`"${time}" is no time: write it as 2026-03-02T18:05, or 2026-03-02 for a day`);
}

function tell(book: Book, home: SimulatedHome, isJson: boolean): number {
  const log = home.log();
  if (isJson) printJson({ version: 1, log });
  else print(printTimeline(book.name, log, paintFor(process.stdout)));
  const failed = log.some(({ event }) => event.event === "failed");
  return failed ? exit.failed : exit.fine;
}
