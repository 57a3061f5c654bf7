import type { When } from "../commands/outcome.ts";
import type { Condition, Conditions } from "../phrasebook/condition.ts";
import { report, reportUnknown } from "../phrasebook/context.ts";
import type { Path } from "../phrasebook/document.ts";
import type { Value } from "../phrasebook/property.ts";
import { readLength } from "../phrasebook/lengths.ts";
import { knownProperty } from "../phrasebook/written.ts";
import { nearest } from "../source/nearest.ts";
import { parseClock } from "../time/local.ts";
import { type Reading, checkNamed, conditionsAt, expandPlaces } from "./reading.ts";
import {
  type CommandDefinition,
  type ExpectDefinition,
  type ExpectedOutcome,
  type LogDefinition,
  outcomes,
} from "./schema.ts";

/** What one command is to come to. */
export interface CommandExpectation {
  intent?: string;
  /** The exact effect: these properties of these devices end so, and nothing else is done. */
  set?: Conditions;
  nudge?: Conditions;
  scale?: Conditions;
  call?: ReadonlyMap<string, string>;
  /** When it is to be done; an effect that has a when and is expected to have none fails. */
  when?: When;
  /** Values; for a target the ids of devices, or of what gathers them. */
  slots?: Readonly<Record<string, Value | readonly string[]>>;
}

export interface Expectation extends CommandExpectation {
  /** Whatever else is done beside the effect. */
  also?: "anything";
  /** The routine that ran. */
  routine?: string;
  /** Ways that its steps went, in this order. */
  branches?: readonly string[];
  /** Globs over what people are told, and over what is sent to places. */
  told?: Readonly<Record<string, string>>;
  sent?: Readonly<Record<string, string>>;
  /** Lines of the log, each of which must be there. */
  log?: readonly LogExpectation[];
  outcome?: ExpectedOutcome;
  /** Each command of several, in the order said. */
  commands?: readonly CommandExpectation[];
  /** The slot that is asked for. */
  asks?: string;
  /** A phrase that must have the same effect. */
  sameAs?: string;
  /** Globs over what is said and over the reason of a refusal. */
  reply?: string;
  reason?: string;
  /** States that must hold afterwards, whatever else is so. */
  home?: Conditions;
}

/** A glob over a line of the log, and the time of day that the line has to be of. */
export interface LogExpectation {
  line: string;
  /** Seconds since the day began, and seconds that it may be off by. */
  clock?: number;
  within: number;
}

const sameAs = /^same as "(.+)"$/;

export function readExpectation(
  reading: Reading,
  path: Path,
  written: ExpectDefinition,
): Expectation {
  const { context, document } = reading;
  if (typeof written === "string") {
    const phrase = sameAs.exec(written)?.[1];
    if (phrase !== undefined) return { sameAs: phrase };
    const outcome = outcomes.find((each) => each === written);
    if (outcome) return { outcome };
    const near = nearest(written, outcomes);
    const fix = near ? `write ${near}` : `write one of ${outcomes.join(", ")}, or same as "…"`;
    report(context, "wrong-value", document.at(path), `"${written}" is no outcome`, fix);
    return {};
  }
  if (Array.isArray(written)) {
    if (written.length === 0) reportEmpty(reading, path);
    return { commands: readCommands(reading, path, written) };
  }
  if (Object.keys(written).length === 0) reportEmpty(reading, path);
  const { outcome, also, commands, asks, reply, reason, home, routine, branch, told, sent, log } =
    written;
  for (const person of Object.keys(told ?? {})) {
    checkNamed(reading, () => document.atKey([...path, "told", person]), "person", person);
  }
  checkNamed(reading, () => document.at([...path, "routine"]), "routine", routine);
  if (commands?.length === 0) reportEmpty(reading, [...path, "commands"]);
  return {
    ...readCommand(reading, path, written),
    ...(outcome === undefined ? {} : { outcome }),
    ...(also === undefined ? {} : { also }),
    ...(commands ? { commands: readCommands(reading, [...path, "commands"], commands) } : {}),
    ...(asks === undefined ? {} : { asks }),
    ...(routine === undefined ? {} : { routine }),
    ...(branch === undefined ? {} : { branches: [branch].flat() }),
    ...(told === undefined ? {} : { told }),
    ...(sent === undefined ? {} : { sent }),
    ...(log === undefined ? {} : { log: readLog(reading, [...path, "log"], log) }),
    ...(reply === undefined ? {} : { reply }),
    ...(reason === undefined ? {} : { reason }),
    ...(home === undefined ? {} : { home: conditionsAt(reading, [...path, "home"], home) }),
  };
}

function reportEmpty({ context, document }: Reading, path: Path): void {
  const fix = "say what it must come to: act, unknown, { set: … }, { reply: … }";
  report(
    context,
    "wrong-value",
    document.at(path),
    "nothing is expected, so nothing is tested",
    fix,
  );
}

function readLog(
  reading: Reading,
  path: Path,
  written: LogDefinition | LogDefinition[],
): LogExpectation[] {
  const { context, document } = reading;
  return [written].flat().map((line): LogExpectation => {
    if (typeof line === "string") return { line, within: 0 };
    const { within = "0s", time } = line;
    const clock = time === undefined ? undefined : parseClock(time);
    return {
      line: line.line,
      within: readLength(context, document, [...path, "within"], within) ?? 0,
      ...(clock === undefined ? {} : { clock }),
    };
  });
}

function readCommands(
  reading: Reading,
  path: Path,
  written: readonly CommandDefinition[],
): CommandExpectation[] {
  return written.map((each, index) => readCommand(reading, [...path, index], each));
}

function readCommand(
  reading: Reading,
  path: Path,
  { intent, set, nudge, scale, call, when, slots }: CommandDefinition,
): CommandExpectation {
  checkNamed(reading, () => reading.document.at([...path, "intent"]), "intent", intent);
  const amounts = (key: "nudge" | "scale", written: typeof nudge) =>
    written ? { [key]: readAmounts(reading, [...path, key], written) } : {};
  return {
    ...(intent === undefined ? {} : { intent }),
    ...(set === undefined ? {} : { set: conditionsAt(reading, [...path, "set"], set) }),
    ...amounts("nudge", nudge),
    ...amounts("scale", scale),
    ...(call === undefined ? {} : { call: readCalls(reading, [...path, "call"], call) }),
    ...(when === undefined ? {} : { when: readWhen(reading, [...path, "when"], when) }),
    ...(slots === undefined ? {} : { slots }),
  };
}

function readAmounts(
  reading: Reading,
  path: Path,
  written: NonNullable<CommandDefinition["nudge"]>,
): Conditions {
  const { context, book, document } = reading;
  const conditions = new Map<string, Record<string, Condition>>();
  for (const [id, amounts] of Object.entries(expandPlaces(reading, path, written))) {
    const device = book.devices.get(id);
    if (!device) {
      reportUnknown(context, document.atKey([...path, id]), "device", id, book.devices.keys());
      continue;
    }
    const each: Record<string, Condition> = {};
    for (const [property, value] of Object.entries(amounts)) {
      knownProperty(context, document, [...path, id, property], device, property);
      each[property] = { is: "equal", value };
    }
    conditions.set(id, each);
  }
  return conditions;
}

function readCalls(
  reading: Reading,
  path: Path,
  written: NonNullable<CommandDefinition["call"]>,
): Map<string, string> {
  const { context, book, document } = reading;
  const calls = new Map(Object.entries(expandPlaces(reading, path, written)));
  for (const [id, action] of calls) {
    const device = book.devices.get(id);
    const place = document.atKey([...path, id]);
    if (!device) reportUnknown(context, place, "device", id, book.devices.keys());
    else if (!device.actions.includes(action)) {
      reportUnknown(context, place, `action of ${id}`, action, device.actions);
    }
  }
  return calls;
}

function readWhen(
  { context, document }: Reading,
  path: Path,
  written: NonNullable<CommandDefinition["when"]>,
): When {
  const seconds = (key: "in" | "for"): Partial<When> => {
    const text = written[key];
    if (text === undefined) return {};
    const length = readLength(context, document, [...path, key], text);
    return length === undefined ? {} : { [key]: length };
  };
  const { at, until } = written;
  return {
    ...seconds("in"),
    ...seconds("for"),
    ...(at === undefined ? {} : { at }),
    ...(until === undefined ? {} : { until }),
  };
}
