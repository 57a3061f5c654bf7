import { WrongUse } from "../source/wrong-use.ts";
import type { Book } from "../book/book.ts";
import type { Fault } from "../home/simulated/devices.ts";
import type { LogEntry } from "../home/log.ts";
import { type SimulatedHome, simulate } from "../home/simulated/simulate.ts";
import { given } from "../source/given.ts";
import { parseCondition } from "../model/condition.ts";
import type { Routine } from "../phrasebook/model.ts";
import type { State, Value } from "../model/property.ts";
import { printFindings } from "../reports/findings.ts";
import { outlineRoutine, printOutline } from "../reports/outline.ts";
import { printStates, printTimeline } from "../reports/timeline.ts";
import { type Day, readDays, runDay } from "../suites/day.ts";
import { faultForm, parseFault } from "../suites/faults.ts";
import { parseDuration } from "../time/duration.ts";
import { exit } from "./exit.ts";
import { type BookOptions, loadBook, loadFolder, mentionErrors } from "./load.ts";
import { paintFor, print, printJson } from "./output.ts";

export interface RunOptions extends BookOptions {
  time?: string;
  for?: string;
  set?: string[];
  fault?: string[];
  slot?: string[];
  dry?: boolean;
  json?: boolean;
}

/** `calm-phrase run`: a routine on a simulated home, as a timeline. */
export async function run(routine: string, options: RunOptions): Promise<number> {
  const book = await loadBook(options);
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
  const states = readSettings(book, options.set ?? []);
  const faults = readFaults(book, options.fault ?? []);
  const home = simulate(book, { ...given({ time: options.time }), states, faults });
  if (options.dry) {
    const plan = outlineRoutine(book, found, home.states());
    if (options.json) printJson({ version: 1, ...plan });
    else print(printOutline(plan, paintFor(process.stdout)));
    return exit.fine;
  }
  const slots = readSlotValues(found, options.slot ?? []);
  const before = home.states();
  home.run(routine, slots);
  if (options.for !== undefined) home.wait(options.for);
  else waitUntilOver(home, routine);
  const touched = statesTouched(before, home.states());
  return tell(book, home.log(), options.json === true, touched);
}

/** Longest that is looked on where nobody says how long, and how often it is looked whether it is over. */
const longestLook = 48 * 3600;
const lookEvery = 600;

/** Lets time pass until a routine that was started has ended, and all that waits for it. */
function waitUntilOver(home: SimulatedHome, routine: string): void {
  const isGoing = (): boolean => {
    let going = 0;
    for (const { event } of home.log()) {
      if (event.event === "started" && event.routine === routine) going++;
      if (event.event === "ended" && event.routine === routine) going--;
    }
    return going > 0;
  };
  for (let waited = 0; waited < longestLook; waited += lookEvery) {
    home.wait(lookEvery);
    if (!isGoing()) return;
  }
}

/** `glaze-sensor.humidity=80`, each a state that the home begins with. */
function readSettings(book: Book, written: readonly string[]): Record<string, State> {
  const states: Record<string, Record<string, Value>> = {};
  for (const text of written) {
    const [, id = "", property = "", value = ""] = /^([^.=]+)\.([^.=]+)=(.*)$/.exec(text) ?? [];
    const schema = book.devices.get(id)?.properties.get(property);
    const condition = schema && parseCondition(schema, value);
    if (!condition?.ok || condition.condition.is !== "equal") {
      const why = schema
        ? `${property} of ${id} cannot be "${value}"`
        : "there is no such property";
      throw new WrongUse(`--set ${text}: ${why}; write glaze-sensor.humidity=80`);
    }
    states[id] = { ...states[id], [property]: condition.condition.value };
  }
  return states;
}

/** `length=30m`, each a slot that nobody says. */
function readSlotValues({ id, slots }: Routine, written: readonly string[]): Record<string, Value> {
  const values: Record<string, Value> = {};
  for (const text of written) {
    const [, name = "", value = ""] = /^([^=]+)=(.*)$/.exec(text) ?? [];
    const slot = slots.get(name);
    if (!slot) {
      const known = [...slots.keys()].join(", ");
      const fix = known === "" ? `${id} has no slots` : `write one of ${known}, as in length=30m`;
      throw new WrongUse(`--slot ${text}: there is no such slot; ${fix}`);
    }
    const isDuration = slot.fills === "value" && slot.unit === "second";
    const number = isDuration ? parseDuration(value) : Number(value);
    if (isDuration && number === undefined) {
      throw new WrongUse(`--slot ${text}: "${value}" is no duration; write length=30m`);
    }
    values[name] = number === undefined || Number.isNaN(number) ? value : number;
  }
  return values;
}

/** `kiln-light=offline`, each a device that misbehaves. */
function readFaults(book: Book, written: readonly string[]): Record<string, Fault> {
  const faults: Record<string, Fault> = {};
  for (const text of written) {
    const [, id = "", what = ""] = /^([^=]+)=(.*)$/.exec(text) ?? [];
    const fault = faultForm.test(what) ? parseFault(what) : undefined;
    if (!book.devices.has(id) || !fault) {
      const why = book.devices.has(id) ? `"${what}" is no fault` : `there is no device "${id}"`;
      const forms = "offline, fails, fails once, slow 5s or rounds to 25";
      throw new WrongUse(`--fault ${text}: ${why}; write kiln-light=offline, or ${forms}`);
    }
    faults[id] = fault;
  }
  return faults;
}

export interface DayOptions extends BookOptions {
  script?: string;
  json?: boolean;
}

/** `calm-phrase day`: everything that the triggers of a home do in one day. */
export async function day(date: string | undefined, options: DayOptions): Promise<number> {
  const { book, daySources } = await loadFolder(options);
  mentionErrors(book);
  const { days, problems } = readDays(book, daySources);
  const script = options.script === undefined ? undefined : findDay(days, options.script);
  const broken = problems.filter(({ at }) => at.file === script?.file);
  if (broken.length > 0) {
    print(printFindings(broken, paintFor(process.stdout)));
    return exit.failed;
  }
  const chosen = date ?? script?.date ?? "2026-01-05";
  return tell(book, runDay(book, chosen, script), options.json === true);
}

function findDay(days: readonly Day[], wanted: string): Day {
  const day = days.find(({ name, file }) => name === wanted || file.endsWith(wanted));
  if (day) return day;
  const known = days.map(({ name }) => `"${name}"`).join(", ");
  throw new WrongUse(
    known === ""
      ? "this home has no days to play: a day is a file named *.day.yaml"
      : `there is no day "${wanted}": write one of ${known}`,
  );
}

function tell(
  book: Book,
  log: readonly LogEntry[],
  isJson: boolean,
  touched: ReadonlyMap<string, State> = new Map(),
): number {
  const paint = paintFor(process.stdout);
  if (isJson) printJson({ version: 1, log, states: Object.fromEntries(touched) });
  else {
    print(printTimeline(book.name, log, paint));
    if (touched.size > 0) print(`\n${printStates("In the end", touched, paint)}`);
  }
  const failed = log.some(({ event }) => event.event === "failed" || event.event === "refused");
  return failed ? exit.failed : exit.fine;
}

/** The whole state of each device that is not as it was. */
function statesTouched(
  before: Readonly<Record<string, State>>,
  after: Readonly<Record<string, State>>,
): Map<string, State> {
  const isSame = (id: string, state: State): boolean =>
    Object.entries(state).every(([property, value]) => before[id]?.[property] === value);
  return new Map(Object.entries(after).filter(([id, state]) => !isSame(id, state)));
}
