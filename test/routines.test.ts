import { readFileSync } from "node:fs";
import { join } from "node:path";
import { load } from "js-yaml";
import { Temporal } from "temporal-polyfill";
import { describe, expect, test } from "vitest";
import { runSources } from "./support/suites.ts";
import { definePhrasebook, readPhrasebook, simulate } from "../src/index.ts";
import type { PhrasebookDefinition } from "../src/index.ts";

const folder = join(import.meta.dirname, "../demo/oxbow-pottery");
const file = (path: string) => ({ path, text: readFileSync(join(folder, path), "utf8") });
const written = load(file("routines.yaml").text) as PhrasebookDefinition;

type Path = readonly (string | number)[];

/** Where each step of the routines stands, those within other steps included. */
function stepPaths(value: unknown, path: Path): Path[] {
  if (typeof value !== "object" || value === null) return [];
  return Object.entries(value).flatMap(([key, inner]): Path[] => {
    const under = [...path, key];
    const isList =
      ["do", "then", "else", "try", "failed", "silence"].includes(key) && Array.isArray(inner);
    const own = isList ? inner.map((_, index) => [...under, index]) : [];
    return [...own, ...stepPaths(inner, under)];
  });
}

function without(path: Path): PhrasebookDefinition {
  const copy = structuredClone(written);
  let list: unknown = copy;
  for (const key of path.slice(0, -1)) list = (list as Record<string | number, unknown>)[key];
  (list as unknown[]).splice(Number(path.at(-1)), 1);
  return copy;
}

describe("removing any one step of a demo routine makes a case fail", () => {
  const others = [file("home.yaml"), file("intents.yaml")];
  const suite = file("suites/routines.suite.yaml");
  test.each(stepPaths(written, []).map((path) => [path.join(" "), path] as const))(
    "%s",
    (_, path) => {
      const changed = definePhrasebook(without(path), "routines.yaml");
      const { failed } = runSources([...others, changed, suite]);
      expect(failed).toBeGreaterThan(0);
    },
  );
});

/** Instants at which a routine starts, over some days. */
function starts(
  place: NonNullable<PhrasebookDefinition["place"]>,
  trigger: NonNullable<
    NonNullable<NonNullable<PhrasebookDefinition["routines"]>[string]>["triggers"]
  >[number],
  from: string,
  days: number,
): string[] {
  const home = definePhrasebook({
    place,
    devices: { lamp: { kind: "light" } },
    routines: { r: { triggers: [trigger], do: [{ toggle: { lamp: "power" } }] } },
  });
  const book = readPhrasebook([home]);
  expect(book.problems).toEqual([]);
  const simulated = simulate(book, { time: from });
  simulated.wait(days * 86_400);
  return simulated
    .log()
    .filter(({ event }) => event.event === "started")
    .map(({ time }) => time);
}

const norfolk = { latitude: 52.57, longitude: 1.72, timezone: "Europe/London" };
const sydney = { latitude: -33.87, longitude: 151.21, timezone: "Australia/Sydney" };

describe("clocks that change", () => {
  test.each([
    ["into summer", norfolk, "2026-03-28T12:00", "01:30", "2026-03-29T01:30"],
    ["out of summer", norfolk, "2026-10-24T12:00", "01:30", "2026-10-25T01:30"],
    ["into summer, down under", sydney, "2026-10-03T12:00", "02:30", "2026-10-04T02:30"],
    ["out of summer, down under", sydney, "2026-04-04T12:00", "02:30", "2026-04-05T02:30"],
  ])("a trigger fires once, at the right instant: %s", (_, place, from, time, local) => {
    const found = starts(place, { time }, from, 1);
    const expected = Temporal.PlainDateTime.from(local).toZonedDateTime(place.timezone);
    expect(found).toEqual([expected.toPlainDateTime().toString({ smallestUnit: "second" })]);
  });

  test("every day of a year has one, whatever clocks do", () => {
    expect(starts(norfolk, { time: "01:30" }, "2026-01-01T00:00", 365)).toHaveLength(365);
  });
});

describe("the sun rises and sets within two minutes of the almanac", () => {
  // Times of the day as printed in almanacs for these places, to the minute.
  test.each([
    ["Greenwich", 51.4779, 0, "Europe/London", "2026-06-21", "04:43", "21:21"],
    ["Sydney", -33.8688, 151.2093, "Australia/Sydney", "2026-12-21", "05:41", "20:05"],
    ["New York", 40.7128, -74.006, "America/New_York", "2026-03-20", "06:59", "19:08"],
  ])("%s", (_, latitude, longitude, timezone, date, rise, set) => {
    const place = { latitude, longitude, timezone };
    const minutes = (text: string): number => {
      const [hours = 0, rest = 0] = text.split(":").map(Number);
      return hours * 60 + rest;
    };
    for (const [sun, expected] of [
      ["sunrise", rise],
      ["sunset", set],
    ] as const) {
      const [found = ""] = starts(place, { sun }, `${date}T00:00`, 1);
      expect(Math.abs(minutes(found.slice(11, 16)) - minutes(expected))).toBeLessThanOrEqual(2);
    }
  });
});

test.each([
  ["weekdays", { time: "09:00", repeat: "weekdays" }, 10],
  ["weekends", { time: "09:00", repeat: "weekends" }, 4],
  ["some days", { time: "09:00", repeat: ["monday", "thursday"] }, 4],
  ["dates", { time: "09:00", date: ["2026-03-04", "2026-03-11"] }, 2],
  ["a rule", { time: "09:00", repeat: "FREQ=MONTHLY;BYDAY=1TU" }, 1],
  ["the sun with an offset", { sun: "20 minutes after sunset" }, 14],
])("a trigger fires on its days: %s", (_, trigger, count) => {
  expect(starts(norfolk, trigger, "2026-03-02T00:00", 14)).toHaveLength(count);
});
