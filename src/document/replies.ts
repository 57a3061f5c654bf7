import { nearest } from "../source/nearest.ts";
import type { Device } from "../model/home.ts";
import type { Reply } from "../model/spoken.ts";
import type { Cursor } from "./cursor.ts";
import { readMessage } from "./messages.ts";
import { type SaidText, saidTexts } from "./said.ts";
import type { ReplyDefinition } from "./shapes.ts";

/** What replies may speak of beside slots and states: what was done, what was not, and how much. */
const resultVariables = ["done", "failed", "skipped", "doneCount", "failedCount", "skippedCount"];

/** What a reply may speak of. */
export interface Speakable {
  /** Slots, those included that could not be read. */
  slots: Iterable<string>;
  /** Devices whose states it may tell. */
  devices: ReadonlyMap<string, Device>;
}

/**
 * Reads a reply in each language: Unicode MessageFormat 2, whose variables are slots, results, and
 * states as `{$glaze-sensor.humidity}`.
 */
export function readReply(
  cursor: Cursor<ReplyDefinition> | undefined,
  { slots, devices }: Speakable,
): Map<string, Reply> {
  const known = [...slots, ...resultVariables];
  const replies = new Map<string, Reply>();
  for (const said of saidTexts(cursor)) {
    const { text, language, cursor: place } = said;
    const { problems, variables } = readMessage(text, language);
    for (const { message, fix, offset } of problems) {
      place.report("reply-syntax", message, fix, { at: place.inside(offset) });
    }
    // What cannot be read is no reply, and its source is never said.
    if (problems.length > 0) continue;
    const states = [...variables].flatMap((name) => {
      if (!known.includes(name)) return readState(said, name, known, devices) ?? [];
      if (!resultVariables.includes(name)) place.refers("slot", known, { id: name });
      return [];
    });
    const { origin } = place.context;
    replies.set(language, { text, states, origin, at: place.inside(0) });
  }
  return replies;
}

/** The state that a variable speaks of; what it does not speak of is reported. */
function readState(
  { text, cursor }: SaidText,
  variable: string,
  known: readonly string[],
  devices: ReadonlyMap<string, Device>,
): Reply["states"][number] | undefined {
  const at = cursor.inside(Math.max(0, text.indexOf(`$${variable}`)));
  const [id = "", property] = variable.split(".");
  if (property !== undefined) {
    if (!cursor.refers("device", devices, { id, at })) return undefined;
    const properties = devices.get(id)?.properties ?? [];
    return cursor.refers(`property of ${id}`, properties, { id: property, at })
      ? { variable, device: id, property }
      : undefined;
  }
  const near = nearest(variable, known);
  const list = known.map((each) => `{$${each}}`).join(", ");
  const message = `the reply speaks of $${variable}, which there is not`;
  const fix = near ? `write {$${near}}` : `write one of ${list}, or a state: {$device.property}`;
  cursor.report("unknown-reference", message, fix, { at });
  return undefined;
}
