import {
  type DataSchema,
  type Mapping,
  type Value,
  canHold,
  inUnit,
  nearestHeld,
} from "calm-phrase";

/*
 * Values of properties, and the form that a device has for them: the two directions stand together, so
 * that one is the other's inverse.
 */

/** A value in a device's own form. */
export function toDevice(mapping: Mapping, schema: DataSchema, value: Value): unknown {
  const own = mapping.values?.get(String(value));
  if (own !== undefined) return own;
  if (schema.format === "colour") return colourToDevice(mapping.colour, String(value));
  if (typeof value !== "number") return value;
  const { unit = schema.unit, scale, offset, step } = mapping;
  const scaled = inUnit(value, schema.unit, unit) * scale + offset;
  return tidy(step === undefined ? scaled : Math.round(scaled / step) * step);
}

/** A value of a property, from a device's own form; undefined for what is none. */
export function fromDevice(mapping: Mapping, schema: DataSchema, told: unknown): Value | undefined {
  for (const [value, own] of mapping.values ?? []) {
    if (isSame(own, told)) return valueNamed(schema, value);
  }
  if (schema.format === "colour") return colourFromDevice(mapping.colour, told);
  switch (schema.type) {
    case "boolean":
      if (told === true || told === "true") return true;
      return told === false || told === "false" ? false : undefined;
    case "string": {
      const text = typeof told === "string" || typeof told === "number" ? String(told) : undefined;
      return text !== undefined && canHold(schema, text) ? text : undefined;
    }
    default:
      return numberFromDevice(mapping, schema, told);
  }
}

function numberFromDevice(
  { unit, scale, offset }: Mapping,
  schema: DataSchema,
  told: unknown,
): number | undefined {
  const number = typeof told === "string" && told.trim() !== "" ? Number(told) : told;
  if (typeof number !== "number" || !Number.isFinite(number)) return undefined;
  const value = tidy(inUnit((number - offset) / scale, unit, schema.unit));
  if (canHold(schema, value)) return value;
  // A device counts in steps of its own: 105 of 255 is 41 percent.
  const near = nearestHeld(schema, value);
  const isNear = Math.abs(near - value) <= stepOf(schema);
  return isNear ? near : undefined;
}

const stepOf = (schema: DataSchema): number =>
  schema.multipleOf ?? (schema.type === "integer" ? 1 : 0);

const tidy = (value: number): number => Number(value.toPrecision(12));

function isSame(own: Value, told: unknown): boolean {
  const isPlain = typeof told === "string" || typeof told === "number" || typeof told === "boolean";
  return isPlain && String(own) === String(told);
}

function valueNamed(schema: DataSchema, text: string): Value {
  if (schema.type === "boolean") return text === "true";
  return schema.type === "string" ? text : Number(text);
}

function colourToDevice(form: Mapping["colour"], value: string): unknown {
  const [r = 0, g = 0, b = 0] = [1, 3, 5].map((at) => Number.parseInt(value.slice(at, at + 2), 16));
  return form === "hex" ? value : form === "list" ? [r, g, b] : { r, g, b };
}

function colourFromDevice(form: Mapping["colour"], told: unknown): string | undefined {
  if (form === "hex") {
    const text = String(told).toLowerCase();
    return /^#[0-9a-f]{6}$/.test(text) ? text : undefined;
  }
  const parts: unknown[] = Array.isArray(told)
    ? told
    : typeof told === "object" && told !== null
      ? ["r", "g", "b"].map((key): unknown => Reflect.get(told, key))
      : [];
  const isColour =
    parts.length === 3 &&
    parts.every((part) => Number.isInteger(part) && Number(part) >= 0 && Number(part) <= 255);
  return isColour
    ? `#${parts.map((part) => Number(part).toString(16).padStart(2, "0")).join("")}`
    : undefined;
}
