import { matchesGlob } from "../pattern/glob.ts";
import { type Condition, parseCondition } from "./condition.ts";
import { type Context, type Entry, report, reportUnknown } from "./context.ts";
import type { Document, Path } from "./document.ts";
import type { Reach } from "./doubts.ts";
import { type Kind, type VoiceAccess, isStricter } from "./kinds.ts";
import type { Device, Group, Room, Zone } from "./model.ts";
import { type DataSchema, type Value, checkValue } from "./property.ts";
import type {
  DeviceDefinition,
  KindDefinition,
  PhrasebookDefinition,
  VoiceRuleDefinition,
} from "./schema.ts";
import { allowed, explain } from "./written.ts";

/** What speech may do with a device. */
export type Guards = Pick<Device, "voice" | "safe" | "safeActions" | "isVoiceWritten" | "bulk">;

type Written = Pick<DeviceDefinition, "voice" | "safe" | "safe-actions" | "bulk">;

const nothingSafe: Guards["safe"] = {};
const noAction: Guards["safeActions"] = [];

/** Reads what a device says of its guards, over what its kind says. */
export function readGuards(
  context: Context,
  entry: Entry<Written>,
  kind: Kind,
  { properties, actions }: Pick<Device, "properties" | "actions">,
): Guards {
  const { id, value } = entry;
  const doubt = { of: "device", id } as const;
  checkSafe(context, entry, { properties, actions }, doubt);
  return {
    voice: value.voice ?? kind.voice ?? "free",
    safe: value.safe ? listValues(value.safe) : (kind.safe ?? nothingSafe),
    safeActions: safeActions(value["safe-actions"], value.voice, kind),
    isVoiceWritten: value.voice !== undefined,
    bulk: readBulk(context, entry, value.bulk ?? kind.bulk ?? true, properties),
  };
}

/** One value may stand for a list of one. */
export function listValues(
  safe: NonNullable<DeviceDefinition["safe"]>,
): Record<string, readonly Value[]> {
  return Object.fromEntries(
    Object.entries(safe).map(([name, values]) => [name, Array.isArray(values) ? values : [values]]),
  );
}

/** What a kind lets be done freely was thought of for its own guard, and not for a stricter one. */
function safeActions(
  written: readonly string[] | undefined,
  voice: VoiceAccess | undefined,
  kind: Kind | undefined,
): readonly string[] {
  const usual = kind?.voice ?? "free";
  const isMilder = voice === undefined || !isStricter(voice, usual);
  return written ?? (isMilder ? (kind?.safeActions ?? noAction) : noAction);
}

/** What is always free has to be something that there is, and less than all that there is. */
export function checkSafe(
  context: Context,
  { document, path, value }: Pick<Entry<Written>, "document" | "path" | "value">,
  {
    properties,
    actions,
  }: { properties: ReadonlyMap<string, DataSchema>; actions: readonly string[] },
  doubt: Reach,
): void {
  for (const [property, values] of Object.entries(value.safe ? listValues(value.safe) : {})) {
    const place = [...path, "safe", property];
    const schema = properties.get(property);
    if (!schema) {
      context.doubts.add(doubt, document.atKey(place));
      reportUnknown(context, document.atKey(place), "property", property, properties.keys());
      continue;
    }
    for (const each of values) {
      const check = checkValue(schema, each);
      if (check.ok) continue;
      context.doubts.add(doubt, document.at(place));
      const message = explain(property, check.problem);
      report(context, "wrong-value", document.at(place), message, allowed(schema));
    }
    const all = schema.type === "boolean" ? [true, false] : schema.enum;
    if (all?.every((each) => values.includes(each)) !== true) continue;
    report(
      context,
      "unguarded",
      document.atKey(place),
      `every value of ${property} is safe, so nothing guards it`,
      "leave out those that make the home less safe",
      { severity: "warning" },
    );
  }
  for (const [index, action] of (value["safe-actions"] ?? []).entries()) {
    if (actions.includes(action)) continue;
    const place = document.at([...path, "safe-actions", index]);
    context.doubts.add(doubt, place);
    reportUnknown(context, place, "action", action, actions);
  }
}

function readBulk(
  context: Context,
  { id, value, document, path }: Entry<Written>,
  bulk: NonNullable<KindDefinition["bulk"]>,
  properties: ReadonlyMap<string, DataSchema>,
): Guards["bulk"] {
  if (typeof bulk === "boolean") return bulk;
  const conditions: Record<string, Condition> = {};
  for (const [property, written] of Object.entries(bulk)) {
    const schema = properties.get(property);
    const parsed = schema && parseCondition(schema, written);
    if (parsed?.ok) conditions[property] = parsed.condition;
    // What the kind says and the device has no property for is never so.
    else if (!schema && value.bulk === undefined) return false;
    else {
      const place = [...path, "bulk", property];
      context.doubts.add({ of: "device", id }, document.atKey(place));
      if (!schema) {
        reportUnknown(context, document.atKey(place), "property", property, properties.keys());
      } else {
        const message = `"${written}" is no condition on ${property}`;
        report(context, "wrong-condition", document.at(place), message, allowed(schema));
      }
    }
  }
  return conditions;
}

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
  files: readonly { document: Document; content: PhrasebookDefinition }[],
  devices: Map<string, Device>,
  places: Places,
): void {
  for (const { document, content } of files) {
    for (const [index, rule] of (content.voice ?? []).entries()) {
      const path = ["voice", index];
      const isKnown = checkRule(context, document, path, rule, places);
      let reached = 0;
      for (const device of devices.values()) {
        const means = isMeant(context, rule, device, places);
        if (means === "no") continue;
        reached++;
        if (device.isVoiceWritten) continue;
        if (means === "maybe") {
          const { room } = device;
          context.doubts.add(
            { of: "device", id: device.id },
            room === undefined ? device.at : document.at(path),
          );
          continue;
        }
        const kind = context.kinds.get(device.kind);
        devices.set(device.id, {
          ...device,
          voice: rule.voice,
          ...(rule.safe ? { safe: listValues(rule.safe) } : {}),
          safeActions: safeActions(rule["safe-actions"], rule.voice, kind),
        });
      }
      if (reached > 0 || !isKnown) continue;
      const fix = "name devices that there are, or take the rule out";
      const severity = "warning";
      report(context, "rule-idle", document.at(path), "this rule is about no device", fix, {
        severity,
      });
    }
  }
  // What a rule says is the device's own from here on: it goes out with the device.
  for (const device of devices.values()) {
    const kind = context.kinds.get(device.kind);
    if (device.voice === (kind?.voice ?? "free")) continue;
    devices.set(device.id, { ...device, isVoiceWritten: true });
  }
}

/** Reports what a rule speaks of and there is not; whether it speaks of what there is. */
function checkRule(
  context: Context,
  document: Document,
  path: Path,
  { kind, room, zone, group }: VoiceRuleDefinition,
  { rooms, zones, groups }: Places,
): boolean {
  const check = (key: string, id: string | undefined, known: ReadonlyMap<string, unknown>) => {
    if (id === undefined || known.has(id)) return true;
    reportUnknown(context, document.at([...path, key]), key, id, known.keys());
    return false;
  };
  const checks = [
    check("kind", kind, context.kinds),
    check("room", room, rooms),
    check("zone", zone, zones),
    check("group", group, groups),
  ];
  return checks.every(Boolean);
}

type Meant = "yes" | "maybe" | "no";

/** Whether a rule is about a device: `maybe` where that hangs on what could not be read. */
function isMeant(
  { doubts, kinds }: Context,
  { kind, room, zone, group, name }: Partial<VoiceRuleDefinition>,
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
