import type { Context } from "../document/context.ts";
import type { Cursor } from "../document/cursor.ts";
import type { Reach, RuleConditions } from "../document/doubts.ts";
import type { Device, Group, Room, Zone } from "../model/home.ts";
import { matchesGlob } from "../pattern/glob.ts";
import { given } from "../source/given.ts";
import { listValues, safeActions } from "./guards.ts";
import type { VoiceRuleDefinition } from "./definition/home.ts";

interface Places {
  rooms: ReadonlyMap<string, Room>;
  zones: ReadonlyMap<string, Zone>;
  groups: ReadonlyMap<string, Group>;
}

/**
 * Applies the rules on what voice may do over many devices. Of several rules for one device, the
 * last one written counts; what a device says of itself goes before all of them. A rule of which
 * it cannot be told whether it means a device bars voice from it.
 */
export function applyVoiceRules(
  context: Context,
  rules: readonly Cursor<VoiceRuleDefinition>[],
  devices: Map<string, Device>,
  places: Places,
): void {
  for (const rule of rules) applyRule(rule, devices, places);
  // What a rule says is the device's own from here on: it goes out with the device.
  for (const device of devices.values()) {
    const kind = context.kinds.get(device.kind);
    if (device.voice === (kind?.voice ?? "free")) continue;
    devices.set(device.id, { ...device, isVoiceWritten: true });
  }
}

function applyRule(
  cursor: Cursor<VoiceRuleDefinition>,
  devices: Map<string, Device>,
  places: Places,
): void {
  const { value: rule, context } = cursor;
  const isKnown = checkRule(cursor, places);
  let reached = 0;
  for (const device of devices.values()) {
    const means = isMeant(context, rule, device, places);
    if (means === "no") continue;
    reached++;
    if (device.isVoiceWritten) continue;
    if (means === "maybe") {
      const at = device.room === undefined ? device.at : cursor.at;
      context.doubts.add({ of: "device", id: device.id }, at);
      continue;
    }
    const kind = context.kinds.get(device.kind);
    devices.set(device.id, {
      ...device,
      voice: rule.voice,
      ...given({ safe: rule.safe && listValues(rule.safe) }),
      safeActions: safeActions(rule["safe-actions"], rule.voice, kind),
    });
  }
  if (reached > 0 || !isKnown) return;
  const fix = "name devices that there are, or take the rule out";
  cursor.report("rule-idle", "this rule is about no device", fix, { severity: "warning" });
}

/** Reports what a rule speaks of and there is not; whether it speaks of what there is. */
function checkRule(cursor: Cursor<VoiceRuleDefinition>, { rooms, zones, groups }: Places): boolean {
  const known = { kind: cursor.context.kinds, room: rooms, zone: zones, group: groups };
  const checks = (["kind", "room", "zone", "group"] as const).map((key) => {
    const written = cursor.given(key);
    return written?.refers(key, known[key]) ?? true;
  });
  return checks.every(Boolean);
}

type Meant = "yes" | "maybe" | "no";

/** Whether a rule is about a device: `maybe` where that hangs on what could not be read. */
function isMeant(
  { doubts, kinds }: Context,
  { kind, room, zone, group, name }: RuleConditions,
  device: Device,
  { rooms, zones, groups }: Places,
): Meant {
  const given: Meant[] = [];
  const add = (condition: string | undefined, isKnown: boolean, isSo: boolean, isOpen: boolean) => {
    if (condition === undefined) return;
    given.push(isSo ? "yes" : !isKnown || isOpen ? "maybe" : "no");
  };
  const isLost = device.room !== undefined && !rooms.has(device.room);
  add(kind, kinds.has(kind ?? ""), device.kind === kind, false);
  add(room, rooms.has(room ?? ""), device.room === room, isLost);
  const inZone = zones.get(zone ?? "")?.rooms.includes(device.room ?? "") === true;
  add(zone, zones.has(zone ?? ""), inZone, isLost || doubts.isOpen("zone", zone ?? ""));
  const inGroup = groups.get(group ?? "")?.devices.includes(device.id) === true;
  add(group, groups.has(group ?? ""), inGroup, doubts.isOpen("group", group ?? ""));
  add(name, true, matchesGlob(name ?? "", device.id), false);
  if (given.includes("no")) return "no";
  return given.includes("maybe") ? "maybe" : "yes";
}

/** Bars voice from whatever a mistake in a guard could touch. */
export function barDoubted(context: Context, devices: Map<string, Device>, places: Places): void {
  for (const { reach, at } of context.doubts.all()) {
    for (const device of devices.values()) {
      if (device.doubt || !reaches(context, reach, device, places)) continue;
      devices.set(device.id, { ...device, voice: "barred", isVoiceWritten: true, doubt: at });
    }
  }
}

function reaches(context: Context, reach: Reach, device: Device, places: Places): boolean {
  switch (reach.of) {
    case "everything":
      return true;
    case "device":
      return device.id === reach.id;
    case "kind":
      return device.kind === reach.id;
    case "rule":
      return !device.isVoiceWritten && isMeant(context, reach.rule, device, places) !== "no";
    default:
      // Where a place ends decides on guards only by way of a rule.
      return false;
  }
}
