import type { Cursor } from "../document/cursor.ts";
import { readLength } from "../document/lengths.ts";
import { readReply } from "../document/replies.ts";
import { readNames, readPatterns } from "../document/said.ts";
import type { SpokenPattern } from "../model/spoken.ts";
import type { Trigger } from "../model/trigger.ts";
import { readDo } from "./compute.ts";
import { scopeOf } from "./intents.ts";
import type { Intent, Routine } from "./model.ts";
import { dropTooLarge } from "./references.ts";
import type { RoutineDefinition } from "./definition/intents.ts";
import { type Scope, type SlotScope, speakableIn } from "./scope.ts";
import { readConditions } from "./states.ts";
import { readTrigger } from "./triggers.ts";

/** Reads a routine, and the intent that its phrases make if it has any. */
export function readRoutine(
  entry: Cursor<RoutineDefinition>,
  scope: Scope,
): { routine: Routine; intent: Intent | undefined } {
  const { id, value, keyAt: at } = entry;
  const { inside } = scopeOf(entry, scope);
  const { slots } = inside;
  const done = readDo(entry.key("do"), inside);
  const { triggers, patterns } = readTriggers(entry, inside);
  const rest = entry.given("rest");
  const speakable = speakableIn(inside);
  const routine: Routine = {
    id,
    names: readNames(entry),
    triggers,
    slots,
    condition: readConditions(entry.given("if"), scope.home.devices),
    enabled: value.enabled ?? true,
    overlap: value.overlap ?? "skip",
    interrupted: value.interrupted ?? "resume",
    rest: (rest && readLength(rest)) ?? 0,
    trusted: value.trusted ?? false,
    replyAt: readReplyAt(entry, scope),
    moment: readReply(entry.given("moment"), speakable),
    ...done,
    reply: readReply(entry.given("reply"), speakable),
    failed: readReply(entry.given("failed"), speakable),
    at,
  };
  const { reply, failed, trusted, enabled } = routine;
  const intent: Intent | undefined =
    patterns.length > 0 && enabled
      ? { id, patterns, slots, ...done, reply, failed, routine: { trusted }, at }
      : undefined;
  return { routine, intent };
}

/** What sets a routine off: triggers, and the patterns of its phrases. */
function readTriggers(
  entry: Cursor<RoutineDefinition>,
  scope: SlotScope,
): { triggers: Trigger[]; patterns: SpokenPattern[] } {
  const triggers: Trigger[] = [];
  const patterns: SpokenPattern[] = [];
  for (const cursor of entry.given("triggers")?.items() ?? []) {
    const { value: written } = cursor;
    if ("phrase" in written) {
      const read = readPatterns(cursor.as(written).key("phrase"));
      const isSlot = (name: string): boolean => scope.slots.has(name);
      patterns.push(...dropTooLarge(cursor, read, scope.fragments, isSlot));
      continue;
    }
    const trigger = readTrigger(cursor.as(written), scope);
    if (trigger) triggers.push(trigger);
  }
  return { triggers, patterns };
}

/** Where a routine speaks. */
function readReplyAt(entry: Cursor<RoutineDefinition>, { home }: Scope): string {
  const replyAt = entry.value["reply-at"] ?? "voicepoint";
  const places = [
    "voicepoint",
    "everywhere",
    "nowhere",
    ...home.rooms.keys(),
    ...home.zones.keys(),
  ];
  entry.given("reply-at")?.refers("room", places);
  return replyAt;
}
