import type { State } from "calm-phrase";
import type { DayView } from "../engine/views.ts";

export function clockOf(minute: number): string {
  const hours = String(Math.floor(minute / 60)).padStart(2, "0");
  return `${hours}:${String(Math.floor(minute % 60)).padStart(2, "0")}`;
}

/** The minute of a day at which a local time is; the next day's are past its end. */
export function minuteOf(time: string, date: string): number {
  const clock = Number(time.slice(11, 13)) * 60 + Number(time.slice(14, 16));
  const seconds = Number(time.slice(17, 19) || 0) / 60;
  return time.slice(0, 10) > date ? 24 * 60 : clock + seconds;
}

/** The states of all devices at a minute of a day. */
export function statesAt({ start, log, date }: DayView, minute: number): Record<string, State> {
  const states: Record<string, State> = { ...start };
  for (const { time, event } of log) {
    // A minute holds all that happens within it.
    if (event.event !== "changed" || minuteOf(time, date) >= minute + 1) continue;
    states[event.device] = { ...states[event.device], [event.property]: event.to };
  }
  return states;
}

/** From where to where something lasted, in minutes of the day. */
export interface Stretch {
  from: number;
  to: number;
  told: string;
}

/** A row of a day's axis: what lasted, and what happened at a moment. */
export interface Row {
  name: string;
  sort: "person" | "routine" | "device" | "speech";
  bars: readonly Stretch[];
  ticks: readonly { at: number; told: string }[];
}

const end = 24 * 60;

/** The rows of a day: people, routines, devices that changed, and what was said. */
export function rowsOf(day: DayView): Row[] {
  const { log, date, people } = day;
  const at = (time: string): number => minuteOf(time, date);
  const presence = people.map(({ id, name, isHome }): Row => {
    const moves = log.flatMap(({ time, event }) =>
      event.event === "presence" && event.person === id
        ? [{ at: at(time), is: event.is === "home" }]
        : [],
    );
    return {
      name,
      sort: "person",
      bars: spans(moves, isHome).map((each) => ({ ...each, told: `${name} is home` })),
      ticks: [],
    };
  });
  const routines = [
    ...new Set(log.flatMap(({ event }) => ("routine" in event ? event.routine : []))),
  ];
  const runs = routines.map((id): Row => {
    const bars: Stretch[] = [];
    const ticks: Row["ticks"][number][] = [];
    let begun: number | undefined;
    for (const { time, event, text } of log) {
      if (!("routine" in event) || event.routine !== id) continue;
      if (event.event === "started") begun = at(time);
      else if (event.event === "ended" && begun !== undefined) {
        bars.push({ from: begun, to: at(time), told: text });
        begun = undefined;
      } else if (event.event === "skipped") ticks.push({ at: at(time), told: text });
    }
    if (begun !== undefined) bars.push({ from: begun, to: end, told: `${id} is under way` });
    return { name: id, sort: "routine", bars, ticks };
  });
  const changed = [
    ...new Set(log.flatMap(({ event }) => (event.event === "changed" ? event.device : []))),
  ];
  const devices = changed.map((id): Row => {
    const own = log.flatMap(({ time, event, text }) =>
      event.event === "changed" && event.device === id ? [{ time, event, text }] : [],
    );
    const powers = own
      .filter(({ event }) => event.property === "power")
      .map(({ time, event }) => ({ at: at(time), is: event.to === "on" }));
    const isOn = day.start[id]?.["power"] === "on";
    return {
      name: id,
      sort: "device",
      bars: spans(powers, isOn).map((each) => ({ ...each, told: `${id} is on` })),
      ticks: own.map(({ time, text }) => ({ at: at(time), told: text })),
    };
  });
  const said = log.flatMap(({ time, event, text }) =>
    ["heard", "said", "notified"].includes(event.event) ? [{ at: at(time), told: text }] : [],
  );
  const speech: Row = { name: "heard, said, told", sort: "speech", bars: [], ticks: said };
  return [...presence, speech, ...runs, ...devices];
}

/** Where something is so, from its changes. */
function spans(
  moves: readonly { at: number; is: boolean }[],
  start: boolean,
): { from: number; to: number }[] {
  const found: { from: number; to: number }[] = [];
  let since = start ? 0 : undefined;
  for (const { at, is } of moves) {
    if (is) since ??= at;
    else if (since !== undefined) {
      found.push({ from: since, to: at });
      since = undefined;
    }
  }
  return since === undefined ? found : [...found, { from: since, to: end }];
}

/** What happens in one of two days and not in the other. */
export function differencesOf(
  before: DayView,
  after: DayView,
): { added: string[]; gone: string[] } {
  const linesOf = ({ log }: DayView): string[] =>
    log.map(({ time, text }) => `${time.slice(11, 16)} ${text}`);
  const [was, is] = [linesOf(before), linesOf(after)];
  const [known, now] = [new Set(was), new Set(is)];
  return {
    added: [...now].filter((line) => !known.has(line)),
    gone: [...known].filter((line) => !now.has(line)),
  };
}
