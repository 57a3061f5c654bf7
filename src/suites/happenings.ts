import type { Heard } from "../commands/outcome.ts";
import type { Book } from "../book/book.ts";
import { type Turn, nothingDone } from "../home/conversation/turns.ts";
import { given } from "../source/given.ts";
import type { Fault } from "../home/simulated/devices.ts";
import type { Performed } from "../home/scene.ts";
import type { CaseHome } from "../home/simulated/simulate.ts";
import type { Cursor } from "../document/cursor.ts";
import { readLength } from "../document/lengths.ts";
import type { States } from "../phrasebook/states.ts";
import { parseFault } from "./faults.ts";
import { buttonIds, devicesOf } from "../model/members.ts";
import { checkNamed, statesAt, thingAt } from "./reading.ts";
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
export function readHappening(book: Book, cursor: Cursor<HappeningDefinition>): Happening {
  const { value: written } = cursor;
  const { time, at, hear, run, press } = written;
  if (Object.keys(written).every((key) => key === "at")) {
    cursor.report("wrong-value", "nothing happens here", "write what happens: { wait: 25m }");
  }
  checkNamed(book, "voicepoint", cursor.given("at"));
  checkNamed(book, "routine", cursor.given("run"));
  cursor.given("press")?.refers("button", buttonIds(book.devices, press ?? ""));
  const presence = cursor.given("presence");
  const wait = cursor.given("wait");
  return {
    ...given({ time, at, hear, run, press, presence: presence && readPresence(book, presence) }),
    set: statesAt(book, cursor.given("set")),
    faults: readFaults(book, cursor.given("faults")),
    wait: (wait && readLength(wait)) ?? 0,
    text: describe(written),
  };
}

function readPresence(book: Book, cursor: Cursor<string>): Happening["presence"] {
  const [who = "", is] = cursor.value.trim().split(/\s+/);
  if (is !== "home" && is !== "away") {
    const fix = "write mara home, or everyone away";
    cursor.report("wrong-value", `"${cursor.value}" tells no presence`, fix);
    return undefined;
  }
  const people = [...book.people.keys()];
  if (who === "everyone") return { people, is };
  cursor.refers("person", ["everyone", ...people], { id: who });
  return { people: [who], is };
}

/** Faults as written, each of a device that there is; a group or place stands for its devices. */
export function readFaults(
  book: Book,
  cursor: Cursor<Record<string, string>> | undefined,
): Record<string, Fault | undefined> {
  const faults: Record<string, Fault | undefined> = {};
  for (const fault of cursor?.entries() ?? []) {
    const named = thingAt(book, fault);
    for (const device of named ? devicesOf(book, named) : []) {
      faults[device.id] = parseFault(fault.value);
    }
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
  home: CaseHome,
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
