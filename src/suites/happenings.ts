import type { Heard } from "../hearing/outcome.ts";
import type { Book } from "../home/book.ts";
import { type Turn, nothingDone } from "../home/converse.ts";
import type { Fault } from "../home/devices.ts";
import type { Performed } from "../home/scene.ts";
import type { Home } from "../home/simulate.ts";
import { type Context, report, reportUnknown } from "../phrasebook/context.ts";
import type { Document, Path } from "../phrasebook/document.ts";
import { readStates } from "../phrasebook/states.ts";
import { parseDuration } from "../time/duration.ts";
import { parseFault } from "./faults.ts";
import type { HappeningDefinition } from "./schema.ts";

/** Checks what is to happen against the home. */
export function checkHappening(
  context: Context,
  book: Book,
  document: Document,
  path: Path,
  happening: HappeningDefinition,
): void {
  const { at, run, press, presence, set = {}, faults = {}, wait } = happening;
  const known = (
    key: string,
    what: string,
    id: string | undefined,
    ids: Iterable<string>,
  ): void => {
    const all = [...ids];
    if (id === undefined || all.includes(id)) return;
    reportUnknown(context, document.at([...path, key]), what, id, all);
  };
  if (wait !== undefined) checkDuration(context, document, [...path, "wait"], wait);
  known("at", "voicepoint", at, book.voicepoints.keys());
  known("run", "routine", run, book.routines.keys());
  const buttons = [...book.devices.values()].filter(({ actions }) => actions.includes("press"));
  known(
    "press",
    "button",
    press,
    buttons.map(({ id }) => id),
  );
  if (presence !== undefined) {
    const [who, is] = presence.trim().split(/\s+/);
    if (is === "home" || is === "away") {
      known("presence", "person", who, ["everyone", ...book.people.keys()]);
    } else {
      const fix = "write mara home, or everyone away";
      const message = `"${presence}" tells no presence`;
      report(context, "wrong-value", document.at([...path, "presence"]), message, fix);
    }
  }
  readStates(context, document, [...path, "set"], set, book.devices);
  checkFaults(context, book, document, [...path, "faults"], faults);
}

/** Reports what is no duration; a time that passes has to be one. */
export function checkDuration(
  context: Context,
  document: Document,
  path: Path,
  written: string,
): void {
  if (parseDuration(written) !== undefined) return;
  const fix = "write a duration such as 25m";
  report(context, "wrong-value", document.at(path), `"${written}" is no duration`, fix);
}

/** Faults as written, each of a device that there is. */
export function checkFaults(
  context: Context,
  book: Book,
  document: Document,
  path: Path,
  written: Readonly<Record<string, string>>,
): Record<string, Fault> {
  const faults: Record<string, Fault> = {};
  for (const [id, text] of Object.entries(written)) {
    if (!book.devices.has(id)) {
      reportUnknown(context, document.atKey([...path, id]), "device", id, book.devices.keys());
    }
    const fault = parseFault(text);
    if (fault) faults[id] = fault;
  }
  return faults;
}

/** What came of something that happened. */
export interface Happened {
  heard?: Heard;
  outcome?: Turn["outcome"];
  performed: Performed;
}

/** Makes something happen in a home, once its time of day has come. */
export function happen(
  book: Book,
  home: Home,
  happening: HappeningDefinition,
  context: { at?: string; language?: string },
): Happened {
  const { time, hear, run, set = {}, press, presence, faults = {}, wait } = happening;
  if (time !== undefined) home.waitUntil(time);
  for (const [device, text] of Object.entries(faults)) home.fault(device, parseFault(text));
  let happened: Happened = { performed: nothingDone };
  if (hear !== undefined) {
    const at = happening.at ?? context.at;
    const talk = home.converse({ ...context, ...(at === undefined ? {} : { at }) });
    const { heard, outcome, performed, reply } = talk.say(hear);
    happened = { heard, outcome, performed: { ...performed, reply } };
  }
  if (run !== undefined) happened = { performed: home.run(run) };
  for (const [device, values] of Object.entries(set)) home.set(device, values);
  if (press !== undefined) home.press(press);
  const [who = "", is] = (presence ?? "").split(" ");
  const people = who === "everyone" ? [...book.people.keys()] : [who];
  for (const person of is === "home" || is === "away" ? people : []) {
    home.presence(person, is === "home" ? "home" : "away");
  }
  if (wait !== undefined) home.wait(parseDuration(wait) ?? 0);
  return happened;
}

export function describeHappening(happening: HappeningDefinition): string {
  const { time, hear, run, press, presence, wait, set, faults } = happening;
  return [
    time,
    hear,
    run && `run ${run}`,
    press && `press ${press}`,
    presence,
    set && `set ${Object.keys(set).join(" ")}`,
    faults && `fault ${Object.keys(faults).join(" ")}`,
    wait && `wait ${wait}`,
  ]
    .filter(Boolean)
    .join(", ");
}
