import type { LanguagePack } from "../language/pack.ts";
import type { Device } from "../model/home.ts";
import type { DataSchema } from "../model/property.ts";
import { durationUnits } from "../language/times.ts";
import type {
  DurationDefinition,
  NumberDefinition,
  QuantityDefinition,
  SlotDefinition,
  TemperatureDefinition,
} from "../slot-types/definition.ts";
import { temperatureUnits } from "../model/units.ts";
import { given } from "../source/given.ts";
import { ownOf } from "../source/own.ts";
import type { IntentDefinition } from "./definition/intents.ts";
import type { Framed } from "./frames.ts";
import { amountWords } from "./shipped.ts";

/** An intent for a property or an action of the phrasebook's own. */
export interface OwnIntent {
  id: string;
  slots: Readonly<Record<string, SlotDefinition>>;
  do: NonNullable<IntentDefinition["do"]>;
  framed: Framed;
  /** What is said back, in a language: what is put after the name of the thing. */
  reply: (pack: LanguagePack) => string;
  /** What a thing shall be by words of its own. */
  states: (pack: LanguagePack) => readonly string[];
}

const target: SlotDefinition = { type: "target" };

/** The intents for what devices have and can do that no vocabulary that ships speaks of. */
export function ownIntents(
  devices: Iterable<Device>,
  isShipped: (sort: "property" | "action", id: string) => boolean,
  packs: readonly LanguagePack[],
): OwnIntent[] {
  const properties = new Map<string, { schema: DataSchema; isForemost: boolean }>();
  const actions = new Set<string>();
  const seen = new Set<unknown>();
  for (const device of devices) {
    for (const action of device.actions) if (!isShipped("action", action)) actions.add(action);
    if (seen.has(device.properties)) continue;
    seen.add(device.properties);
    for (const [id, schema] of device.properties) {
      if (schema.readOnly || isShipped("property", id)) continue;
      const before = properties.get(id);
      const isForemost = isForemostOf(device, id, schema) && before?.isForemost !== false;
      properties.set(id, { schema: before?.schema ?? schema, isForemost });
    }
  }
  return [
    ...[...properties].flatMap(([id, { schema, isForemost }]) =>
      forProperty(id, schema, { isForemost, packs }),
    ),
    ...[...actions].map(forAction),
  ];
}

/** An intent that asks whether a property has a value. */
export interface AskedIntent {
  id: string;
  property: string;
  slots: Readonly<Record<string, SlotDefinition>>;
  do: NonNullable<IntentDefinition["do"]>;
}

/** Properties whose values people ask for by other words: "is the door open". */
const askedAsStates = new Set(["activity", "contact", "playing", "power", "flow", "recording"]);

/** The intents that ask whether what has a choice of values has one of them: "is the television on games". */
export function askedIntents(devices: Iterable<Device>): AskedIntent[] {
  const properties = new Map<string, SlotDefinition>();
  for (const device of devices) {
    for (const [id, schema] of device.properties) {
      const sort = sortOf(schema);
      if (sort === "colour") properties.set(id, { type: "colour" });
      if (sort === "choice" && !askedAsStates.has(id)) {
        properties.set(id, { type: "value", property: id });
      }
    }
  }
  return [...properties].map(([property, value]) => ({
    id: `${property}-asked`,
    property,
    slots: { target, value },
    do: { tell: { target: "$target", property, is: "$value", form: "whether" } },
  }));
}

type Sort = "switched" | "level" | "choice" | "colour" | "text";

function sortOf({ type, enum: values, format }: DataSchema): Sort {
  if (type === "boolean") return "switched";
  if (values) return values.length === 2 && isOnOff(values) ? "switched" : "choice";
  if (type === "number" || type === "integer") return "level";
  return format === "colour" ? "colour" : "text";
}

function isOnOff(values: readonly string[]): boolean {
  return values.includes("on") && values.includes("off");
}

/** Whether nothing else that a device has could be meant where the property is not named. */
function isForemostOf({ properties }: Device, id: string, schema: DataSchema): boolean {
  const sort = sortOf(schema);
  if (sort === "choice") return true;
  return ![...properties].some(
    ([other, each]) => other !== id && !each.readOnly && sortOf(each) === sort,
  );
}

function forProperty(
  id: string,
  schema: DataSchema,
  { isForemost, packs }: { isForemost: boolean; packs: readonly LanguagePack[] },
): OwnIntent[] {
  const set = (value: string | boolean): OwnIntent["do"] => ({ set: { $target: { [id]: value } } });
  const word = ({ properties }: LanguagePack): string => ownOf(properties, id)?.[0] ?? id;
  const none = (): readonly string[] => [];
  const base = { property: id, isForemost } as const;
  const toValue = (
    sort: "level" | "choice" | "colour" | "text",
    slot: SlotDefinition,
  ): OwnIntent => ({
    id: `${id}-to`,
    slots: { target, value: slot },
    do: set("$value"),
    framed: { sort, form: "to", ...base, value: "value", ...given({ unit: unitOf(schema) }) },
    reply: (pack) => `${word(pack)} {$value}${unitAfter(pack, schema)}`,
    states: none,
  });
  switch (sortOf(schema)) {
    case "switched": {
      const values = schema.type === "boolean" ? [true, false] : ["on", "off"];
      return (["on", "off"] as const).map((form, index) => {
        const value = values[index] ?? form;
        const said = (pack: LanguagePack): readonly string[] =>
          ownOf(ownOf(pack.values, id) ?? {}, String(value)) ?? [];
        return {
          id: `${id}-${form}`,
          slots: { target },
          do: set(value),
          framed: { sort: "switched", form, ...base },
          reply: (pack) => said(pack)[0] ?? `${word(pack)} ${pack.states[form][0] ?? form}`,
          states: said,
        };
      });
    }
    case "choice":
      return [toValue("choice", { type: "value", property: id })];
    case "colour":
      return [toValue("colour", { type: "colour" })];
    case "text":
      return [toValue("text", { type: "text" })];
    case "level": {
      const step = stepOf(schema);
      const slot = quantityOf(schema);
      const seconds = slot.type === "duration" ? durationUnits[slot.unit ?? "second"] : 1;
      const amount = withWords({ ...slot, default: step * seconds }, schema, packs);
      const nudges = (["up", "down"] as const).map((form): OwnIntent => {
        const by = form === "up" ? "$amount" : "-$amount";
        return {
          id: `${id}-${form}`,
          slots: { target, amount },
          do: { nudge: { $target: { [id]: by } } },
          framed: { sort: "level", form, ...base, ...given({ unit: unitOf(schema) }) },
          reply: (pack) => `${pack.amounts[form === "up" ? "more" : "less"]} ${word(pack)}`,
          states: none,
        };
      });
      return [toValue("level", slot), ...nudges];
    }
  }
}

type LevelSlot = QuantityDefinition | TemperatureDefinition | NumberDefinition | DurationDefinition;

/** "A bit" is half of what more is where nobody says, and "a lot" is twice that. */
function withWords(
  slot: LevelSlot,
  { multipleOf = 1 }: DataSchema,
  packs: readonly LanguagePack[],
): LevelSlot {
  if (slot.type === "duration" || typeof slot.default !== "number") return slot;
  const half = Math.max(1, Math.round(slot.default / 2 / multipleOf)) * multipleOf;
  return { ...slot, values: amountWords(packs, half, slot.default * 2) };
}

/** The slot for a number of a property: what it counts decides what may be said for it. */
function quantityOf({ unit }: DataSchema): LevelSlot {
  switch (unit) {
    case "percent":
      return { type: "percent" };
    case "celsius":
    case "fahrenheit":
      return { type: "temperature", unit };
    case "second":
    case "minute":
    case "hour":
      return { type: "duration", unit };
    default:
      return { type: "number" };
  }
}

/** What is said after a number of a property. */
function unitAfter({ units }: LanguagePack, { unit }: DataSchema): string {
  if (unit === "percent") return ` ${units.percent[0] ?? ""}`;
  return temperatureUnits.some((each) => each === unit) ? ` ${units.degrees[0] ?? ""}` : "";
}

/** A unit that its slot has no words for. */
function unitOf(schema: DataSchema): string | undefined {
  return quantityOf(schema).type === "number" ? schema.unit : undefined;
}

/** How much "more" is where nobody says: a tenth of the range, or a step. */
function stepOf({ minimum, maximum, multipleOf = 1 }: DataSchema): number {
  if (minimum === undefined || maximum === undefined) return multipleOf;
  return Math.max(1, Math.round((maximum - minimum) / 10 / multipleOf)) * multipleOf;
}

function forAction(id: string): OwnIntent {
  return {
    id,
    slots: { target },
    do: { call: { $target: id } },
    framed: { sort: "action", form: "call", property: id, isForemost: true },
    reply: ({ actions = {} }) => ownOf(actions, id)?.[0] ?? id,
    states: () => [],
  };
}
