import { type DataSchema, type Value, type ValueProblem, checkValue, landed } from "./property.ts";

/**
 * What is asked of a property's value, as written in conditions and expectations: `on`, `not off`,
 * `18.5`, `above 70`, `below 5`, `at least 3`, `at most 9`, `between 20 and 22`,
 * `about 10 within 1`, `one of [heat, auto]`.
 */
export type Condition =
  | { is: "equal"; value: Value }
  | { is: "not"; value: Value }
  | { is: "above" | "below" | "at least" | "at most"; value: number }
  | { is: "between"; low: number; high: number }
  | { is: "about"; value: number; within: number }
  | { is: "one of"; values: readonly Value[] };

/** What is expected of the states of devices: by device, and by property. */
export type Conditions = ReadonlyMap<string, Readonly<Record<string, Condition>>>;

/** Whether a state is as all of these conditions ask; what is not there is as nothing asks. */
export function holdAll(
  conditions: Readonly<Record<string, Condition>>,
  state: Readonly<Record<string, Value>>,
): boolean {
  return Object.entries(conditions).every(([property, condition]) => {
    const value = state[property];
    return value !== undefined && holds(condition, value);
  });
}

export type ConditionParsed =
  | { ok: true; condition: Condition }
  | { ok: false; problem: ValueProblem | { problem: "form"; message: string } };

const number = String.raw`(-?\d+(?:\.\d+)?)`;
const comparisons = ["above", "below", "at least", "at most"] as const;
const compare = new RegExp(`^(${comparisons.join("|")}) ${number}$`);
const between = new RegExp(`^between ${number} and ${number}$`);
const about = new RegExp(`^about ${number} within ${number}$`);
const oneOf = /^one of \[(.*)\]$/;
const worded = /^(above|below|at least|at most|between|about|one of)\b/;

/** Reads a condition on a property; its values must be ones that the property can hold. */
export function parseCondition(schema: DataSchema, written: Value): ConditionParsed {
  if (typeof written === "string") {
    const text = written.trim();
    if (text.startsWith("not ")) return withValue(schema, text.slice(4), "not");
    const list = oneOf.exec(text);
    if (list) return parseOneOf(schema, list[1] ?? "");
    if (worded.test(text)) return parseNumeric(schema, text);
    const meant = otherWords(text);
    if (meant !== undefined && schema.enum?.includes(text) !== true) {
      const message = `"${text}" is no condition: write ${meant}`;
      return { ok: false, problem: { problem: "form", message } };
    }
  }
  return withValue(schema, written, "equal");
}

/** Words that people write for those that there are, and the ones to write. */
const synonyms: readonly (readonly [RegExp, string])[] = [
  [/^(?:over|more than|greater than|higher than|>)\s*/u, "above "],
  [/^(?:under|less than|lower than|<)\s*/u, "below "],
  [/^(?:>=|not below|minimum)\s*/u, "at least "],
  [/^(?:<=|not above|maximum)\s*/u, "at most "],
];

/** What a condition in other words has to be written as; undefined for one that is none. */
function otherWords(text: string): string | undefined {
  const ranged = /^(?:from )?(-?[\d.]+) ?(?:to|-|–|\.\.) ?(-?[\d.]+)$/u.exec(text);
  if (ranged) return `between ${ranged[1] ?? ""} and ${ranged[2] ?? ""}`;
  // The longer sign first: ">=" begins as ">" does.
  const found = [...synonyms].reverse().find(([form]) => form.test(text));
  const rest = found && text.replace(found[0], "");
  return found && rest !== "" && Number.isFinite(Number(rest))
    ? `${found[1]}${rest ?? ""}`
    : undefined;
}

function withValue(schema: DataSchema, written: Value, is: "equal" | "not"): ConditionParsed {
  const check = checkValue(schema, readValue(schema, written));
  return check.ok ? { ok: true, condition: { is, value: check.value } } : check;
}

/** A value inside a longer text is a text; the property says what it stands for. */
function readValue(schema: DataSchema, written: Value): Value {
  if (typeof written !== "string") return written;
  const text = written.trim();
  if (schema.type === "boolean" && (text === "true" || text === "false")) return text === "true";
  const isNumeric = schema.type === "number" || schema.type === "integer";
  return isNumeric && text !== "" && Number.isFinite(Number(text)) ? Number(text) : text;
}

function parseOneOf(schema: DataSchema, list: string): ConditionParsed {
  const values: Value[] = [];
  for (const text of list.split(",")) {
    const check = checkValue(schema, readValue(schema, text));
    if (!check.ok) return check;
    values.push(check.value);
  }
  return { ok: true, condition: { is: "one of", values } };
}

function parseNumeric(schema: DataSchema, text: string): ConditionParsed {
  if (schema.type !== "number" && schema.type !== "integer") {
    return { ok: false, problem: { problem: "form", message: `"${text}" compares numbers` } };
  }
  const compared = compare.exec(text);
  const is = comparisons.find((each) => each === compared?.[1]);
  if (compared && is) {
    return { ok: true, condition: { is, value: Number(compared[2]) } };
  }
  const ranged = between.exec(text);
  if (ranged) {
    const [low, high] = [Number(ranged[1]), Number(ranged[2])];
    if (low <= high) return { ok: true, condition: { is: "between", low, high } };
    const message = `"${text}" goes backwards: write between ${high} and ${low}`;
    return { ok: false, problem: { problem: "form", message } };
  }
  const near = about.exec(text);
  if (near) {
    const condition: Condition = { is: "about", value: Number(near[1]), within: Number(near[2]) };
    return { ok: true, condition };
  }
  const message = `"${text}" is not a condition: write above 70, between 20 and 22, about 10 within 1`;
  return { ok: false, problem: { problem: "form", message } };
}

/** Whether a value is as a condition asks. */
export function holds(condition: Condition, value: Value): boolean {
  switch (condition.is) {
    case "equal":
      return value === condition.value;
    case "not":
      return value !== condition.value;
    case "one of":
      return condition.values.includes(value);
    case "between":
      return typeof value === "number" && value >= condition.low && value <= condition.high;
    case "about":
      return typeof value === "number" && Math.abs(value - condition.value) <= condition.within;
    case "above":
      return typeof value === "number" && value > condition.value;
    case "below":
      return typeof value === "number" && value < condition.value;
    case "at least":
      return typeof value === "number" && value >= condition.value;
    case "at most":
      return typeof value === "number" && value <= condition.value;
  }
}

/** Writes a condition as it is written in a phrasebook. */
export function printCondition(condition: Condition): string {
  switch (condition.is) {
    case "equal":
      return String(condition.value);
    case "one of":
      return `one of [${condition.values.join(", ")}]`;
    case "between":
      return `between ${condition.low} and ${condition.high}`;
    case "about":
      return `about ${condition.value} within ${condition.within}`;
    default:
      return `${condition.is} ${condition.value}`;
  }
}

/** Whether a property has a value of which several conditions hold at once. */
export function canHold(schema: DataSchema, conditions: readonly Condition[]): boolean {
  return candidates(schema, conditions).some(
    (value) =>
      checkValue(schema, value).ok && conditions.every((condition) => holds(condition, value)),
  );
}

/** Values of which one holds if any does: those that conditions speak of, and those beside them. */
function candidates(schema: DataSchema, conditions: readonly Condition[]): Value[] {
  if (schema.type === "boolean") return [true, false];
  const named = conditions.flatMap((condition): Value[] => {
    switch (condition.is) {
      case "one of":
        return [...condition.values];
      case "between":
        return [condition.low, condition.high];
      case "about":
        return [
          condition.value - condition.within,
          condition.value,
          condition.value + condition.within,
        ];
      default:
        return [condition.value];
    }
  });
  if (schema.type === "string") {
    // A text that no condition names stands for all others.
    return schema.enum ? [...schema.enum] : [...named, "", "another text"];
  }
  const step = schema.multipleOf ?? 1;
  const bounds = [schema.minimum, schema.maximum].flatMap((bound) => bound ?? []);
  const numbers = [...named, ...bounds, schema.default].filter(
    (value) => typeof value === "number",
  );
  // Between two neighbours lies whatever is above the one and below the other.
  const sorted = [...new Set(numbers)].sort((a, b) => a - b);
  const between = sorted.flatMap((value, index) => {
    const next = sorted[index + 1];
    return next === undefined ? [] : [(value + next) / 2];
  });
  return [...sorted, ...between].flatMap((value) => [
    value,
    landed(schema, value),
    landed(schema, value + step),
    landed(schema, value - step),
  ]);
}
