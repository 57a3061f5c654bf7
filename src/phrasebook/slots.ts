import { isDate } from "../time/local.ts";
import { type Context, report, reportUnknown } from "./context.ts";
import type { Document, Path } from "./document.ts";
import type { ChoiceValue, Slot } from "./model.ts";
import { readLength } from "./lengths.ts";
import { readReply } from "./replies.ts";
import type { Value } from "./property.ts";
import { readPatterns, saidTexts } from "./said.ts";
import type { SlotDefinition } from "./schema.ts";

const units: Readonly<Record<string, string>> = {
  percent: "percent",
  temperature: "celsius",
  "colour-temperature": "kelvin",
  duration: "second",
};

/** The unit of the numbers that a slot takes, if they have one. */
export function slotUnit(slot: Slot): string | undefined {
  return units[slot.type] ?? ("unit" in slot ? slot.unit.name : undefined);
}

/** The value of a slot that nobody fills. */
export function slotDefault(slot: Slot): Value | undefined {
  return "default" in slot ? slot.default : undefined;
}

/** Reads the slots of an intent. */
export function readSlots(
  context: Context,
  document: Document,
  path: Path,
  written: Record<string, SlotDefinition>,
  rooms: ReadonlySet<string>,
): Map<string, Slot> {
  const slots = new Map<string, Slot>();
  for (const [name, slot] of Object.entries(written)) {
    slots.set(name, readSlot(context, document, [...path, name], name, slot, rooms));
  }
  return slots;
}

function readSlot(
  context: Context,
  document: Document,
  path: Path,
  name: string,
  slot: SlotDefinition,
  rooms: ReadonlySet<string>,
): Slot {
  const ask = readReply(context, document, [...path, "ask"], slot.ask, {
    slots: [],
    devices: new Map(),
  });
  const base = {
    name,
    at: document.atKey(path),
    ...(slot.optional ? { optional: slot.optional } : {}),
    ...(ask.size > 0 ? { ask } : {}),
  };
  switch (slot.type) {
    case "target":
    case "device":
    case "room":
    case "zone":
    case "group": {
      const wanted = typeof slot.kind === "string" ? [slot.kind] : slot.kind;
      for (const kind of wanted ?? []) {
        if (context.kinds.has(kind)) continue;
        reportUnknown(context, document.at([...path, "kind"]), "kind", kind, context.kinds.keys());
      }
      if (slot.room !== undefined && !rooms.has(slot.room)) {
        reportUnknown(context, document.at([...path, "room"]), "room", slot.room, rooms);
      }
      return {
        ...base,
        type: "target",
        ...(slot.type === "target" ? {} : { sort: slot.type }),
        ...(wanted ? { kinds: wanted } : {}),
        ...(slot.room === undefined ? {} : { room: slot.room }),
        ...(slot.named ? { named: slot.named } : {}),
        ...(slot.narrows === undefined ? {} : { narrows: slot.narrows }),
      };
    }
    case "choice":
      return {
        ...base,
        type: "choice",
        values: readChoiceValues(context, document, [...path, "values"], slot.values),
        ...(slot.default === undefined ? {} : { default: slot.default }),
      };
    case "routine":
    case "state":
    case "text":
      return { ...base, type: slot.type };
    case "colour":
      return {
        ...base,
        type: "colour",
        ...(slot.default === undefined ? {} : { default: slot.default }),
      };
    case "time":
    case "date": {
      const { minimum, maximum } = slot;
      for (const key of ["minimum", "maximum", "default"] as const) {
        const written = slot[key];
        if (slot.type === "time" || written === undefined || isDate(written)) continue;
        const message = `"${written}" is no day of the calendar`;
        report(context, "wrong-value", document.at([...path, key]), message, "write another date");
      }
      checkRange(context, document, path, name, minimum, maximum);
      return {
        ...base,
        type: slot.type,
        ...(minimum === undefined ? {} : { minimum }),
        ...(maximum === undefined ? {} : { maximum }),
        ...(slot.default === undefined ? {} : { default: slot.default }),
      };
    }
    case "value":
      return {
        ...base,
        type: "value",
        property: slot.property,
        ...(slot.default === undefined ? {} : { default: slot.default }),
      };
    default: {
      const read = (key: "minimum" | "maximum" | "step" | "default"): number | undefined =>
        readNumber(context, document, [...path, key], slot[key]);
      const [minimum, maximum, step, start] = [
        read("minimum"),
        read("maximum"),
        read("step"),
        read("default"),
      ];
      checkRange(context, document, path, name, minimum, maximum);
      const unit = "unit" in slot ? saidTexts(context, document, [...path, "unit"], slot.unit) : [];
      return {
        ...base,
        type: slot.type,
        values: readChoiceValues(context, document, [...path, "values"], slot.values ?? []),
        ...(minimum === undefined ? {} : { minimum }),
        ...(maximum === undefined ? {} : { maximum }),
        ...(step === undefined ? {} : { step }),
        ...(start === undefined ? {} : { default: start }),
        ...(unit[0] === undefined ? {} : { unit: { name: unit[0].text, said: unit } }),
      };
    }
  }
}

/** A number, or a duration as it is written: `10m`. */
function readNumber(
  context: Context,
  document: Document,
  path: Path,
  written: number | string | undefined,
): number | undefined {
  if (typeof written !== "string") return written;
  return readLength(context, document, path, written);
}

function checkRange<T extends number | string>(
  context: Context,
  document: Document,
  path: Path,
  name: string,
  minimum: T | undefined,
  maximum: T | undefined,
): void {
  if (minimum === undefined || maximum === undefined || minimum <= maximum) return;
  const fix = `write minimum: ${maximum}, maximum: ${minimum}`;
  const at = document.at([...path, "minimum"]);
  report(context, "wrong-value", at, `the range of $${name} goes backwards`, fix);
}

type ChoiceDefinition = Extract<SlotDefinition, { type: "choice" }>["values"];

/** A value without words of its own is said as it is written. A number as a key is a number. */
function readChoiceValues(
  context: Context,
  document: Document,
  path: Path,
  values: ChoiceDefinition,
): ChoiceValue[] {
  if (Array.isArray(values)) {
    return values.map((value, index) => {
      return { value, patterns: readPatterns(context, document, [...path, index], value) };
    });
  }
  return Object.entries(values).map(([key, said]) => {
    const numeric = key.trim() !== "" && Number.isFinite(Number(key));
    const patterns = readPatterns(context, document, [...path, key], said ?? key);
    return { value: numeric ? Number(key) : key, patterns };
  });
}
