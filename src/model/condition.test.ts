import { describe, expect, test } from "vitest";
import { holds, parseCondition, printCondition } from "./condition.ts";
import type { DataSchema, Value } from "./property.ts";

const level: DataSchema = { type: "number", minimum: 0, maximum: 100, default: 0 };
const mode: DataSchema = { type: "string", enum: ["off", "heat", "auto"], default: "off" };
const locked: DataSchema = { type: "boolean", default: true };

describe("a condition holds for some values and not for others", () => {
  test.each<[DataSchema, Value, Value[], Value[]]>([
    [mode, "heat", ["heat"], ["off"]],
    [mode, "not off", ["heat", "auto"], ["off"]],
    [mode, "one of [heat, auto]", ["heat", "auto"], ["off"]],
    [locked, true, [true], [false]],
    [locked, "not true", [false], [true]],
    [level, 18.5, [18.5], [18]],
    [level, "above 70", [70.1], [70, 3]],
    [level, "below 5", [4.9], [5]],
    [level, "at least 5", [5, 6], [4.9]],
    [level, "at most 5", [5], [5.1]],
    [level, "between 20 and 22", [20, 21, 22], [19.9, 22.1]],
    [level, "about 10 within 1", [9, 10, 11], [8.9, 11.1]],
  ])("%j %s", (schema, written, yes, no) => {
    const parsed = parseCondition(schema, written);
    if (!parsed.ok) throw new Error(JSON.stringify(parsed.problem));
    for (const value of yes) expect(holds(parsed.condition, value)).toBe(true);
    for (const value of no) expect(holds(parsed.condition, value)).toBe(false);
    const again = parseCondition(schema, printCondition(parsed.condition));
    expect(again).toEqual(parsed);
  });

  test.each<[DataSchema, Value]>([
    [mode, "heet"],
    [mode, "above 3"],
    [mode, "one of [heat, cool]"],
    [level, "on"],
    [level, 101],
    [level, "between 5 and 3"],
    [level, "above all"],
    [locked, "open"],
  ])("%j cannot be %s", (schema, written) => {
    expect(parseCondition(schema, written).ok).toBe(false);
  });
});

test.each([
  ["over 70", "above 70"],
  ["more than 70", "above 70"],
  ["> 70", "above 70"],
  ["under 5", "below 5"],
  [">= 3", "at least 3"],
  ["<=9", "at most 9"],
  ["20 to 22", "between 20 and 22"],
  ["from 20 to 22", "between 20 and 22"],
  ["20-22", "between 20 and 22"],
])('"%s" is told to be written "%s"', (written, fix) => {
  const parsed = parseCondition(level, written);
  expect(parsed).toMatchObject({
    ok: false,
    problem: { message: expect.stringMatching(`write ${fix}$`) as string },
  });
});
