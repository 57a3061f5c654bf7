import type { Heard } from "../commands/outcome.ts";
import { type Turn, nothingDone } from "../home/converse.ts";
import type { Fault } from "../home/simulated/devices.ts";
import type { Performed } from "../home/scene.ts";
import type { Simulated } from "../home/simulated/simulate.ts";
import { report, reportUnknown } from "../phrasebook/context.ts";
import type { Path } from "../phrasebook/document.ts";
import { readLength } from "../phrasebook/lengths.ts";
import type { States } from "../phrasebook/states.ts";
import { parseFault } from "./faults.ts";
import { type Reading, checkNamed, statesAt } from "./reading.ts";
import type { HappeningDefinition } from "./schema.ts";

/** Something that happens in a home: at once, or when a time of day comes next. */
export interface Happening {
  /** `18:30`. */
  time?: string;
  /** The voicepoint of what is said. */
  at?: string;
  hear?: string;
  /** The routine that somebody runs by hand. */
  run?: string;
  /** States from outside. */
  set: States;
  /** The button that somebody presses. */
  press?: string;
  presence?: { people: readonly string[]; is: "home" | "away" };
  /** How devices misbehave from now on; undefined for one that does no longer. */
  faults: Readonly<Record<string, Fault | undefined>>;
  /** Seconds that pass after it. */
  wait: number;
  /** In a few words. */
  text: string;
}

/** Reads what is to happen, held against the home. */
export function readHappening(
  reading: Reading,
  path: Path,
  written: HappeningDefinition,
): Happening {
  const { context, book, document } = reading;
  const { time, at, hear, run, press, presence, set = {}, faults = {}, wait } = written;
  if (Object.keys(written).every((key) => key === "at")) {
    const fix = "write what happens: { wait: 25m }";
    report(context, "wrong-value", document.at(path), "nothing happens here", fix);
  }
  checkNamed(reading, () => document.at([...path, "at"]), "voicepoint", at);
  checkNamed(reading, () => document.at([...path, "run"]), "routine", run);
  if (press !== undefined && book.devices.get(press)?.actions.includes("press") !== true) {
    const buttons = [...book.devices.values()].filter(({ actions }) => actions.includes("press"));
    const ids = buttons.map(({ id }) => id);
    reportUnknown(context, document.at([...path, "press"]), "button", press, ids);
  }
  const who = presence === undefined ? undefined : readPresence(reading, path, presence);
  return {
    ...(time === undefined ? {} : { time }),
    ...(at === undefined ? {} : { at }),
    ...(hear === undefined ? {} : { hear }),
    ...(run === undefined ? {} : { run }),
    ...(press === undefined ? {} : { press }),
    ...(who ? { presence: who } : {}),
    set: statesAt(reading, [...path, "set"], set),
    faults: readFaults(reading, [...path, "faults"], faults),
    wait: (wait === undefined ? 0 : readLength(context, document, [...path, "wait"], wait)) ?? 0,
    text: describe(written),
  };
}

function readPresence(
  { context, book, document }: Reading,
  path: Path,
  written: string,
): Happening["presence"] {
  const [who = "", is] = written.trim().split(/\s+/);
  const place = document.at([...path, "presence"]);
  if (is !== "home" && is !== "away") {
    const fix = "write mara home, or everyone away";
    report(context, "wrong-value", place, `"${written}" tells no presence`, fix);
    return undefined;
  }
  const people = [...book.people.keys()];
  if (who === "everyone") return { people, is };
  if (!book.people.has(who)) reportUnknown(context, place, "person", who, ["everyone", ...people]);
  return { people: [who], is };
}

/** Faults as written, each of a device that there is. */
export function readFaults(
  { context, book, document }: Reading,
  path: Path,
  written: Readonly<Record<string, string>>,
): Record<string, Fault | undefined> {
  const faults: Record<string, Fault | undefined> = {};
  for (const [id, text] of Object.entries(written)) {
    if (book.devices.has(id)) faults[id] = parseFault(text);
    else reportUnknown(context, document.atKey([...path, id]), "device", id, book.devices.keys());
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
  home: Simulated,
  { time, at, hear, run, set, press, presence, faults, wait }: Happening,
  context: { at?: string; language?: string },
): Happened {
  if (time !== undefined) home.waitUntil(time);
  for (const [device, fault] of Object.entries(faults)) home.fault(device, fault);
  let happened: Happened = { performed: nothingDone };
  if (hear !== undefined) {
    const talk = home.converse(at === undefined ? context : { ...context, at });
    const { heard, outcome, performed, reply } = talk.say(hear);
    happened = { heard, outcome, performed: { ...performed, reply } };
  }
  if (run !== undefined) happened = { performed: home.run(run) };
  for (const [device, values] of set) home.set(device, values);
  if (press !== undefined) home.press(press);
  for (const person of presence?.people ?? []) home.presence(person, presence?.is ?? "home");
  home.wait(wait);
  return happened;
}

function describe({ time, hear, run, press, presence, wait, set, faults }: HappeningDefinition) {
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
