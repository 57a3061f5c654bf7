import { readDo } from "./compute.ts";
import { type Context, type Entry, report } from "./context.ts";
import { writtenKeys } from "./document.ts";
import type { Fragment, Intent, Routine, SpokenPattern, Trigger } from "./model.ts";
import { dropTooLarge } from "./references.ts";
import { readLength } from "./lengths.ts";
import { readReply } from "./replies.ts";
import { readNames, readPatterns } from "./said.ts";
import type { ReplyDefinition, RoutineDefinition } from "./schema.ts";
import { readSlots } from "./slots.ts";
import { readConditions } from "./states.ts";
import type { Home, KnownIds } from "./steps.ts";
import { readTrigger } from "./triggers.ts";

/** Reads a routine, and the intent that its phrases make if it has any. */
export function readRoutine(
  context: Context,
  entry: Entry<RoutineDefinition>,
  home: Home,
  fragments: ReadonlyMap<string, Fragment>,
  ids: KnownIds,
): { routine: Routine; intent: Intent | undefined } {
  const { id, value, document, path, at } = entry;
  const slotsPath = [...path, "slots"];
  const rooms = new Set(home.rooms.keys());
  const slots = readSlots(context, document, slotsPath, value.slots ?? {}, rooms);
  const unread = new Set(writtenKeys(document, slotsPath).filter((name) => !slots.has(name)));
  const known = { slots, unread };
  const done = readDo(context, document, [...path, "do"], value.do, home, known, ids);
  const triggers: Trigger[] = [];
  const patterns: SpokenPattern[] = [];
  for (const [index, written] of (value.triggers ?? []).entries()) {
    const under = [...path, "triggers", index];
    if ("phrase" in written) {
      const read = readPatterns(context, document, [...under, "phrase"], written.phrase);
      patterns.push(...dropTooLarge(context, read, fragments, (name) => slots.has(name)));
    } else {
      const trigger = readTrigger(context, document, under, written, home, ids.people);
      if (trigger) triggers.push(trigger);
    }
  }
  const said = (key: "moment" | "reply" | "failed", text: ReplyDefinition | undefined) =>
    readReply(context, document, [...path, key], text, {
      slots: [...slots.keys(), ...unread],
      devices: home.devices,
    });
  const replyAt = value["reply-at"] ?? "voicepoint";
  const places = [
    "voicepoint",
    "everywhere",
    "nowhere",
    ...home.rooms.keys(),
    ...home.zones.keys(),
  ];
  if (!places.includes(replyAt)) {
    const fix = "write voicepoint, everywhere, nowhere, or a room";
    const place = document.at([...path, "reply-at"]);
    report(context, "unknown-reference", place, `there is no room "${replyAt}"`, fix);
  }
  const condition = readConditions(
    context,
    document,
    [...path, "if"],
    value.if ?? {},
    home.devices,
  );
  const routine: Routine = {
    id,
    names: readNames(context, entry, value),
    triggers,
    slots,
    condition,
    enabled: value.enabled ?? true,
    overlap: value.overlap ?? "skip",
    rest:
      (value.rest === undefined
        ? 0
        : readLength(context, document, [...path, "rest"], value.rest)) ?? 0,
    trusted: value.trusted ?? false,
    replyAt,
    moment: said("moment", value.moment),
    ...done,
    reply: said("reply", value.reply),
    failed: said("failed", value.failed),
    at,
  };
  const { reply, failed, trusted, enabled } = routine;
  const intent: Intent | undefined =
    patterns.length > 0 && enabled
      ? { id, patterns, slots, ...done, reply, failed, routine: { trusted }, at }
      : undefined;
  return { routine, intent };
}
