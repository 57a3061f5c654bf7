import { type Book, asBook } from "../book/book.ts";
import { valuesOf } from "../commands/effects.ts";
import type { Effect } from "../commands/outcome.ts";
import { readState } from "../hearing/context.ts";
import {
  type DataSchema,
  type State,
  type Value,
  checkValue,
  isValue,
  landed,
} from "../model/property.ts";
import { converted } from "../model/units.ts";
import { membersOf, shown } from "../source/border.ts";
import { WrongUse } from "../source/wrong-use.ts";

/*
 * What those who bind devices need of values: what an effect comes to, what a property can hold, and other
 * units.
 */

/**
 * The values that an effect comes to for a device in a state: those of a relative one are worked out, and an
 * action has none.
 *
 * @throws WrongUse for what is no effect.
 */
export function valuesOrdered(of: Book, before: State, effect: Effect): State {
  const book = asBook(of);
  const { set, nudge, scale, call } = membersOf(effect);
  if (typeof call === "string") return {};
  if (set !== undefined) return readState(set) ?? {};
  const isRelative = [nudge, scale].some((each) => typeof each === "object" && each !== null);
  if (!isRelative) throw new WrongUse(`${shown(effect)} is no effect`);
  return valuesOf(book, readState(before) ?? {}, effect);
}

/** Whether a property can hold a value. */
export function canHold(schema: DataSchema, value: unknown): value is Value {
  return isSchema(schema) && isValue(value) && checkValue(schema, value).ok;
}

/**
 * The number nearest to one that a property can hold: within its range, and on a step.
 *
 * @throws WrongUse for what is no property of numbers.
 */
export function nearestHeld(schema: DataSchema, wanted: number): number {
  if (isSchema(schema) && Number.isFinite(wanted)) return landed(schema, wanted);
  throw new WrongUse("pass a property and a number");
}

/** A number in another unit, `celsius` in `fahrenheit`; itself where there is nothing to convert. */
export function inUnit(value: number, from: string | undefined, to: string | undefined): number {
  if (typeof value !== "number") throw new WrongUse("pass a number and two units");
  const isKnown = [from, to].every((unit) => typeof unit === "string");
  return isKnown ? (converted(value, from, to) ?? value) : value;
}

function isSchema(schema: unknown): boolean {
  const { type, minimum = 0, maximum = 0, multipleOf = 1, enum: values = [] } = membersOf(schema);
  const isType = ["boolean", "string", "number", "integer"].some((each) => each === type);
  const areNumbers = [minimum, maximum, multipleOf].every((each) => typeof each === "number");
  return isType && areNumbers && Array.isArray(values);
}
