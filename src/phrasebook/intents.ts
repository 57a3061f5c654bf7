import type { Cursor } from "../document/cursor.ts";
import { writtenKeys } from "../document/document.ts";
import { readReply } from "../document/replies.ts";
import { readPatterns } from "../document/said.ts";
import { readSlots } from "../slot-types/types.ts";
import type { Slot } from "../slot-types/slot.ts";
import { nearest } from "../source/nearest.ts";
import { readDo } from "./compute.ts";
import type { Intent } from "./model.ts";
import { dropTooLarge, offsetPosition, slotsReached } from "./references.ts";
import type { IntentDefinition } from "./definition/intents.ts";
import { type Scope, type SlotScope, speakableIn } from "./scope.ts";

/**
 * Reads an intent: its patterns, slots, steps and reply, each checked against the others.
 *
 * @param base The intent of the vocabulary that it adds patterns to.
 */
export function readIntent(entry: Cursor<IntentDefinition>, scope: Scope, base?: Intent): Intent {
  const { id, keyAt: at, value } = entry;
  const { own, inside } = scopeOf(entry, scope, base?.slots);
  const { slots } = inside;
  const isSlot = (name: string): boolean => slots.has(name);
  const written = readPatterns(entry.key("patterns"));
  const patterns = dropTooLarge(entry, written, scope.fragments, isSlot);
  const done = readDo(entry.given("do"), inside);
  checkSlots(entry, own, { ...inside, patterns });
  const reply = readReply(entry.given("reply"), speakableIn(inside));
  const failed = readReply(entry.given("failed"), speakableIn(inside));
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

/** The slots of an intent or routine; one that could not be read is reported, and its uses are not. */
export function scopeOf(
  entry: Cursor<{ slots?: IntentDefinition["slots"] }>,
  scope: Scope,
  inherited: ReadonlyMap<string, Slot> = new Map(),
): { own: ReadonlyMap<string, Slot>; inside: SlotScope } {
  const own = readSlots(entry.given("slots"), new Set(scope.home.rooms.keys()));
  const slots = new Map([...inherited, ...own]);
  const all = writtenKeys(entry.document, [...entry.path, "slots"]);
  const unread = new Set(all.filter((name) => !slots.has(name)));
  return { own, inside: { ...scope, slots, unread } };
}

/** Names in patterns that are no slots, and slots that are in no pattern. */
function checkSlots(
  entry: Cursor<IntentDefinition>,
  own: ReadonlyMap<string, Slot>,
  { slots, unread, fragments, patterns }: SlotScope & Pick<Intent, "patterns">,
): void {
  if (entry.context.origin === "vocabulary") return;
  const { id } = entry;
  const reached = slotsReached(patterns, fragments, (name) => slots.has(name));
  for (const [name, { pattern, offset, direct }] of reached) {
    if (slots.has(name) || unread.has(name)) continue;
    const near = nearest(name, [...slots.keys(), ...fragments.keys()]);
    const message = `$${name} is neither a slot of "${id}" nor a fragment`;
    const fix = near ? `write $${near}` : `add it: slots: { ${name}: { type: percent } }`;
    const at = direct ? offsetPosition(pattern.at, offset) : pattern.at;
    entry.report("unknown-reference", message, fix, { at });
  }
  for (const slot of own.values()) {
    const isGiven = (slot.fills === "value" && slot.default !== undefined) || slot.ask;
    if (reached.has(slot.name) || isGiven) continue;
    const message = `no pattern of "${id}" says $${slot.name}, so it never has a value`;
    const fix = `put $${slot.name} in a pattern, give it a default, or remove it`;
    const remedy = { remedy: "take out" } as const;
    entry.report("unused-slot", message, fix, { severity: "warning", at: slot.at, remedy });
  }
}
