import { nearest } from "../source/nearest.ts";
import { type Context, report, reportUnknown } from "./context.ts";
import type { Document, Path } from "./document.ts";
import { readMessage } from "./messages.ts";
import type { Device, Reply } from "./model.ts";
import { saidTexts } from "./said.ts";
import type { ReplyDefinition } from "./schema.ts";

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
  context: Context,
  document: Document,
  path: Path,
  reply: ReplyDefinition | undefined,
  { slots, devices }: Speakable,
): Map<string, Reply> {
  const known = [...slots, ...resultVariables];
  const replies = new Map<string, Reply>();
  for (const { text, language, path: under } of saidTexts(context, document, path, reply)) {
    const states: { variable: string; device: string; property: string }[] = [];
    const place = (offset: number) => document.inside(under, offset);
    const { problems, variables } = readMessage(text, language);
    for (const { message, fix, offset } of problems) {
      report(context, "reply-syntax", place(offset), message, fix);
    }
    // What cannot be read is no reply, and its source is never said.
    if (problems.length > 0) continue;
    for (const name of variables) {
      if (known.includes(name)) continue;
      const at = place(Math.max(0, text.indexOf(`$${name}`)));
      const [id = "", property] = name.split(".");
      if (property !== undefined) {
        const device = devices.get(id);
        if (device?.properties.has(property)) {
          states.push({ variable: name, device: id, property });
        } else if (device) {
          const what = `property of ${id}`;
          reportUnknown(context, at, what, property, device.properties.keys());
        } else reportUnknown(context, at, "device", id, devices.keys());
        continue;
      }
      const near = nearest(name, known);
      const list = known.map((each) => `{$${each}}`).join(", ");
      const message = `the reply speaks of $${name}, which there is not`;
      const fix = near
        ? `write {$${near}}`
        : `write one of ${list}, or a state: {$device.property}`;
      report(context, "unknown-reference", at, message, fix);
    }
    const { origin } = context;
    replies.set(language, { text, states, origin, at: document.inside(under, 0) });
  }
  return replies;
}
