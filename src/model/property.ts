import { nearest } from "../source/nearest.ts";
import { printDuration } from "../time/duration.ts";
import { isMeasured, rounded } from "./units.ts";
import { given } from "../source/given.ts";

/** A value that a property can hold. */
export type Value = string | number | boolean;

export function isValue(value: unknown): value is Value {
  return typeof value === "string" || typeof value === "number" || typeof value === "boolean";
}

/** The state of one device: its properties and their values. */
export type State = Readonly<Record<string, Value>>;

/**
 * What a property can hold, in the words of a data schema of the W3C Web of Things Thing
 * Description 1.1, section 5.3.2.
 */
export interface DataSchema {
  type: "boolean" | "string" | "number" | "integer";
  minimum?: number;
  maximum?: number;
  /** The step: a value is a whole number of these. */
  multipleOf?: number;
  unit?: string;
  enum?: readonly string[];
  /** `colour`: a hexadecimal colour, `#rrggbb`. */
  format?: "colour";
  readOnly?: boolean;
  /** The value that a simulated home starts with. */
  default: Value;
}

/** Whether a property can be set. */
export function isSettable(schema: DataSchema | undefined): schema is DataSchema {
  return schema !== undefined && schema.readOnly !== true;
}

/** The state that a device with these properties starts with. */
export function startState(properties: ReadonlyMap<string, DataSchema>): State {
  const state: Record<string, Value> = {};
  for (const [name, schema] of properties) state[name] = schema.default;
  return state;
}

export type ValueCheck = { ok: true; value: Value } | { ok: false; problem: ValueProblem };

/** Why a property cannot hold a value. */
export type ValueProblem =
  | { problem: "type"; value: Value; expected: string }
  | { problem: "range"; value: number; minimum?: number; maximum?: number; unit?: string }
  | { problem: "step"; value: number; nearest: readonly number[]; unit?: string }
  | { problem: "choice"; value: Value; choices: readonly string[]; nearest?: string };

/** Whether a property can hold a value. Nothing is rounded or clamped. */
export function checkValue(schema: DataSchema, value: Value): ValueCheck {
  const wrong = (problem: ValueProblem): ValueCheck => ({ ok: false, problem });
  switch (schema.type) {
    case "boolean":
      return typeof value === "boolean"
        ? { ok: true, value }
        : wrong({ problem: "type", value, expected: "true or false" });
    case "string":
      return checkText(schema, value);
    case "integer":
    case "number": {
      if (typeof value !== "number" || !Number.isFinite(value)) {
        return wrong({ problem: "type", value, expected: "a number" });
      }
      const { minimum = -Infinity, maximum = Infinity } = schema;
      if (value < minimum || value > maximum) {
        return wrong({
          problem: "range",
          value,
          ...given({ minimum: schema.minimum, maximum: schema.maximum, unit: schema.unit }),
        });
      }
      const step = stepOf(schema);
      if (step !== undefined && !isMultiple(value, step)) {
        const unit = schema.unit === undefined ? {} : { unit: schema.unit };
        return wrong({ problem: "step", value, nearest: neighbours(value, step, schema), ...unit });
      }
      return { ok: true, value };
    }
  }
}

/** The other one of the two values that a property can hold; undefined when there are more. */
export function otherValue(schema: DataSchema, value: Value): Value | undefined {
  if (schema.type === "boolean") return value !== true;
  const { enum: values } = schema;
  if (values?.length !== 2) return undefined;
  return values.find((each) => each !== value);
}

function checkText(schema: DataSchema, value: Value): ValueCheck {
  if (schema.format === "colour") {
    const isColour = typeof value === "string" && /^#[0-9a-f]{6}$/.test(value);
    return isColour
      ? { ok: true, value }
      : { ok: false, problem: { problem: "type", value, expected: "a colour such as #1f75fe" } };
  }
  const choices = schema.enum;
  if (typeof value !== "string") {
    const expected = choices ? `one of ${choices.join(", ")}` : "a text";
    return { ok: false, problem: { problem: "type", value, expected } };
  }
  if (!choices || choices.includes(value)) return { ok: true, value };
  const near = nearest(value, choices);
  return {
    ok: false,
    problem: {
      problem: "choice",
      value,
      choices,
      ...given({ nearest: near }),
    },
  };
}

/** Steps such as 0.1 have no exact binary form, so the quotient may miss a whole number slightly. */
function isMultiple(value: number, step: number): boolean {
  const steps = value / step;
  return Math.abs(steps - Math.round(steps)) < 1e-9 * Math.max(1, Math.abs(steps));
}

function neighbours(value: number, step: number, schema: DataSchema): number[] {
  const low = Math.floor(value / step);
  return [low, low + 1]
    .map((steps) => Number((steps * step).toPrecision(12)))
    .filter(
      (near) => near >= (schema.minimum ?? -Infinity) && near <= (schema.maximum ?? Infinity),
    );
}

const unitSigns: Readonly<Record<string, string>> = {
  percent: " %",
  celsius: " °C",
  fahrenheit: " °F",
  kelvin: " K",
};

/** A number with its unit's sign, as people write it. */
export function printQuantity(value: number, unit?: string): string {
  if (unit === "second") return printDuration(value);
  // What was converted has more digits than anybody wants to read.
  return `${isMeasured(unit) ? Number(value.toFixed(2)) : value}${unitSign(unit)}`;
}

/** What follows a number to tell its unit, space included. */
export function unitSign(unit: string | undefined): string {
  return unit === undefined ? "" : (unitSigns[unit] ?? ` ${unit}`);
}

/** Says why a property cannot hold a value, in a clause to follow the property's name. */
export function explainValueProblem(problem: ValueProblem): string {
  switch (problem.problem) {
    case "type":
      return `takes ${problem.expected}, not "${problem.value}"`;
    case "range": {
      const { minimum, maximum, unit, value } = problem;
      const said = printQuantity(value, unit);
      if (minimum === undefined)
        return `goes up to ${printQuantity(maximum ?? 0, unit)}, not ${said}`;
      if (maximum === undefined) return `starts at ${printQuantity(minimum, unit)}, not ${said}`;
      // A duration has its units within it.
      const from = unit === "second" ? printQuantity(minimum, unit) : minimum;
      return `goes from ${from} to ${printQuantity(maximum, unit)}, not ${said}`;
    }
    case "step": {
      const near = problem.nearest.map((value) => printQuantity(value, problem.unit)).join(" or ");
      return `cannot be ${printQuantity(problem.value, problem.unit)}; the nearest are ${near}`;
    }
    case "choice": {
      const hint = problem.nearest === undefined ? "" : ` (did you mean ${problem.nearest}?)`;
      return `takes one of ${problem.choices.join(", ")}, not "${problem.value}"${hint}`;
    }
  }
}

/** What a value is a whole number of, if it has to be of anything. */
function stepOf({ multipleOf, type }: DataSchema): number | undefined {
  return multipleOf ?? (type === "integer" ? 1 : undefined);
}

/** The step that is nearest; a value that has none is as it is, or as the caller makes it. */
function nearestStep(schema: DataSchema, wanted: number, otherwise = wanted): number {
  const step = stepOf(schema);
  return step === undefined ? otherwise : Math.round(wanted / step) * step;
}

/** The step that is nearest; what was converted from another unit has no more digits than are worth it. */
export function onStep(schema: DataSchema, wanted: number): number {
  return Number(nearestStep(schema, wanted, rounded(wanted, schema.unit)).toPrecision(12));
}

/** A relative change goes no further than the end of the range, and lands on a step. */
export function landed(schema: DataSchema, wanted: number): number {
  const on = nearestStep(schema, wanted);
  const within = Math.min(schema.maximum ?? on, Math.max(schema.minimum ?? on, on));
  return Number(within.toPrecision(12));
}
