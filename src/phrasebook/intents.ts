import { nearest } from "../source/nearest.ts";
import { type Context, type Entry, report } from "./context.ts";
import { writtenKeys } from "./document.ts";
import type { Fragment, Intent } from "./model.ts";
import { dropTooLarge, offsetPosition, slotsReached } from "./references.ts";
import { readReply } from "./replies.ts";
import { readPatterns } from "./said.ts";
import type { IntentDefinition } from "./schema.ts";
import { readSlots, slotDefault } from "./slots.ts";
import { readDo } from "./compute.ts";
import type { Home, KnownIds } from "./steps.ts";

/**
 * Reads an intent: its patterns, slots, steps and reply, each checked against the others.
 *
 * @param base The intent of the vocabulary that it adds patterns to.
 */
export function readIntent(
  context: Context,
  entry: Entry<IntentDefinition>,
  home: Home,
  fragments: ReadonlyMap<string, Fragment>,
  ids: KnownIds,
  base?: Intent,
): Intent {
  const { id, value, document, path, at } = entry;
  const rooms = new Set(home.rooms.keys());
  const slotsPath = [...path, "slots"];
  const own = readSlots(context, document, slotsPath, value.slots ?? {}, rooms);
  const slots = new Map([...(base?.slots ?? []), ...own]);
  const written = readPatterns(context, document, [...path, "patterns"], value.patterns);
  const patterns = dropTooLarge(context, written, fragments, (name) => slots.has(name));
  // A slot that could not be read has been reported; its uses are no further mistakes.
  const unread = new Set(writtenKeys(document, slotsPath).filter((name) => !slots.has(name)));
  const known = { slots, unread };
  const done = readDo(context, document, [...path, "do"], value.do, home, known, ids);

  const checked = context.origin === "vocabulary" ? [] : patterns;
  const reached = slotsReached(checked, fragments, (name) => slots.has(name));
  for (const [name, { pattern, offset, direct }] of reached) {
    if (slots.has(name) || unread.has(name)) continue;
    const candidates = [...slots.keys(), ...fragments.keys()];
    const near = nearest(name, candidates);
    report(
      context,
      "unknown-reference",
      direct ? offsetPosition(pattern.at, offset) : pattern.at,
      `$${name} is neither a slot of "${id}" nor a fragment`,
      near ? `write $${near}` : `add it: slots: { ${name}: { type: percent } }`,
    );
  }
  for (const slot of own.values()) {
    if (reached.has(slot.name)) continue;
    const isGiven = slotDefault(slot) !== undefined || slot.ask !== undefined;
    if (context.origin === "vocabulary" || isGiven) continue;
    report(
      context,
      "unused-slot",
      slot.at,
      `no pattern of "${id}" says $${slot.name}, so it never has a value`,
      `put $${slot.name} in a pattern, give it a default, or remove it`,
      { severity: "warning" },
    );
  }
  const speakable = { slots: [...slots.keys(), ...unread], devices: home.devices };
  const said = (key: "reply" | "failed") =>
    readReply(context, document, [...path, key], value[key], speakable);
  const [reply, failed] = [said("reply"), said("failed")];
  if (!base) return { id, patterns, slots, ...done, reply, failed, at };
  return {
    ...base,
    patterns: [...base.patterns, ...patterns],
    slots,
    ...(value.do === undefined ? {} : done),
    reply: reply.size > 0 ? reply : base.reply,
    failed: failed.size > 0 ? failed : base.failed,
    at,
  };
}
