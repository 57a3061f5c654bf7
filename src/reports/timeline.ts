import { type LogEntry, type LogEvent, printEvent } from "../home/log.ts";
import type { State } from "../model/property.ts";
import { shorten } from "./layout.ts";
import type { Paint } from "./paint.ts";

/** What happened in a home, line by line, each moment told once. */
export function printTimeline(name: string, log: readonly LogEntry[], paint: Paint): string {
  if (log.length === 0) return `${name}: nothing happens`;
  const lines: string[] = [];
  let last = "";
  let date = "";
  let current: string | undefined;
  for (const { time, event } of log) {
    const day = time.slice(0, 10);
    if (day !== date) lines.push(...(date === "" ? [] : [""]), paint.strong(`${name}, ${day}`));
    date = day;
    const clock = time.slice(11);
    const shown = clock === last ? " ".repeat(8) : clock;
    last = clock;
    // Where routines take turns, what follows another one tells whose it is.
    const of = "by" in event ? event.by : "routine" in event ? event.routine : current;
    const whose = "by" in event && of !== current ? paint.quiet(`  ${of ?? ""}`) : "";
    current = of;
    const text = shorten(printEvent(event), whose === "" ? 84 : 82 - (of ?? "").length);
    lines.push(
      `  ${paint.quiet(shown)}  ${indent(event)}${paintEvent(event, text, paint)}${whose}`,
    );
  }
  return lines.join("\n");
}

/** What a routine does stands under it. */
function indent(event: LogEvent): string {
  return "by" in event ? "  " : "";
}

function paintEvent({ event }: LogEvent, text: string, paint: Paint): string {
  if (event === "failed" || event === "refused") return paint.bad(text);
  if (event === "started") return paint.name(text);
  if (event === "changed" || event === "called") return paint.good(text);
  if (event === "skipped" || event === "waiting" || event === "branch") return paint.quiet(text);
  return text;
}

/** States of devices, each in a line. */
export function printStates(
  title: string,
  states: ReadonlyMap<string, State>,
  paint: Paint,
): string {
  const width = Math.max(...[...states.keys()].map((id) => id.length));
  const lines = [...states].map(([id, state]) => {
    const values = Object.entries(state).map(([property, value]) => `${property} ${value}`);
    return `  ${paint.name(id.padEnd(width))}  ${shorten(values.join(", "), 96 - width)}`;
  });
  return [paint.strong(title), ...lines].join("\n");
}
