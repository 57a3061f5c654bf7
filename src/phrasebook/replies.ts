import { MessageSyntaxError, isVariableRef, parseMessage, visit } from "messageformat";
import { nearest } from "../source/nearest.ts";
import { type Context, report, reportUnknown } from "./context.ts";
import type { Document, Path } from "./document.ts";
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
    for (const name of variablesOf(context, text, place)) {
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

function variablesOf(
  context: Context,
  text: string,
  place: (offset: number) => ReturnType<Document["at"]>,
): Set<string> {
  const names = new Set<string>();
  const own = new Set<string>();
  try {
    const message = parseMessage(text);
    for (const { type, name } of message.declarations) if (type === "local") own.add(name);
    visit(message, {
      value: (value) => {
        if (isVariableRef(value)) names.add(value.name);
      },
    });
  } catch (error) {
    const offset = error instanceof MessageSyntaxError ? error.start : 0;
    const what = error instanceof Error ? error.message : String(error);
    const fix = "write variables as {$name}; a brace that is meant as text needs a backslash: \\{";
    report(context, "reply-syntax", place(offset), `the reply cannot be read: ${what}`, fix);
  }
  for (const name of own) names.delete(name);
  return names;
}
