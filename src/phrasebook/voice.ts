import { matchesGlob } from "../pattern/glob.ts";
import { type Context, reportUnknown } from "./context.ts";
import { listValues } from "./devices.ts";
import type { Document, Path } from "./document.ts";
import type { Device, Group, Room, Zone } from "./model.ts";
import type { PhrasebookDefinition, VoiceRuleDefinition } from "./schema.ts";

interface Places {
  rooms: ReadonlyMap<string, Room>;
  zones: ReadonlyMap<string, Zone>;
  groups: ReadonlyMap<string, Group>;
}

/**
 * Applies the rules on what voice may do over many devices. Of several rules for one device, the
 * last one written counts; what a device says of itself goes before all of them.
 */
export function applyVoiceRules(
  context: Context,
  files: readonly { document: Document; content: PhrasebookDefinition }[],
  devices: Map<string, Device>,
  places: Places,
): void {
  for (const { document, content } of files) {
    for (const [index, rule] of (content.voice ?? []).entries()) {
      checkRule(context, document, ["voice", index], rule, places);
      for (const device of devices.values()) {
        if (device.isVoiceWritten || !isMeant(rule, device, places)) continue;
        const safe = rule.safe ? { safe: listValues(rule.safe) } : {};
        devices.set(device.id, { ...device, voice: rule.voice, ...safe });
      }
    }
  }
  // What a rule says is the device's own from here on: it goes out with the device.
  for (const device of devices.values()) {
    const kind = context.kinds.get(device.kind);
    if (device.voice === (kind?.voice ?? "free")) continue;
    devices.set(device.id, { ...device, isVoiceWritten: true });
  }
}

function checkRule(
  context: Context,
  document: Document,
  path: Path,
  { kind, room, zone, group }: VoiceRuleDefinition,
  { rooms, zones, groups }: Places,
): void {
  const check = (key: string, id: string | undefined, known: ReadonlyMap<string, unknown>) => {
    if (id === undefined || known.has(id)) return;
    reportUnknown(context, document.at([...path, key]), key, id, known.keys());
  };
  check("kind", kind, context.kinds);
  check("room", room, rooms);
  check("zone", zone, zones);
  check("group", group, groups);
}

function isMeant(
  { kind, room, zone, group, name }: VoiceRuleDefinition,
  device: Device,
  { zones, groups }: Places,
): boolean {
  if (kind !== undefined && device.kind !== kind) return false;
  if (room !== undefined && device.room !== room) return false;
  if (name !== undefined && !matchesGlob(name, device.id)) return false;
  if (zone !== undefined && !zones.get(zone)?.rooms.includes(device.room ?? "")) return false;
  return group === undefined || groups.get(group)?.devices.includes(device.id) === true;
}
