import { type Context, report, reportUnknown } from "./context.ts";
import type { Document, Path } from "./document.ts";
import type { ChoiceValue, Slot } from "./model.ts";
import type { Value } from "./property.ts";
import { readPatterns } from "./said.ts";
import type { SlotDefinition } from "./schema.ts";

const units: Readonly<Record<string, string>> = {
  percent: "percent",
  temperature: "celsius",
  "colour-temperature": "kelvin",
};

/** The unit of the numbers that a slot takes, if they have one. */
export function slotUnit({ type }: Slot): string | undefined {
  return units[type];
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
  const base = { name, at: document.atKey(path) };
  switch (slot.type) {
    case "target": {
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
    case "colour":
    case "state":
    case "text":
      return { ...base, type: slot.type };
    case "value":
      return {
        ...base,
        type: "value",
        property: slot.property,
        ...(slot.default === undefined ? {} : { default: slot.default }),
      };
    default: {
      const { minimum, maximum } = slot;
      if (minimum !== undefined && maximum !== undefined && minimum > maximum) {
        const fix = `write minimum: ${maximum}, maximum: ${minimum}`;
        const at = document.at([...path, "minimum"]);
        report(context, "wrong-value", at, `the range of $${name} goes backwards`, fix);
      }
      return {
        ...base,
        type: slot.type,
        values: readChoiceValues(context, document, [...path, "values"], slot.values ?? []),
        ...(minimum === undefined ? {} : { minimum }),
        ...(maximum === undefined ? {} : { maximum }),
        ...(slot.step === undefined ? {} : { step: slot.step }),
        ...(slot.default === undefined ? {} : { default: slot.default }),
      };
    }
  }
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
