import * as fc from "fast-check";
import { RRule } from "rrule";
import { getTimes } from "suncalc";
import { describe, expect, test } from "vitest";
import { checkRule } from "../phrasebook/recurrence.ts";
import { readPhrasebook } from "../book/read.ts";
import { datesOf } from "./recurrence.ts";
import { nextFiring } from "./schedule.ts";
import { simulate } from "./simulated/simulate.ts";

const read = (repeat: string) =>
  readPhrasebook([
    {
      path: "a.yaml",
      text: `people: { mara: {} }\nroutines: { a: { triggers: [{ time: "18:30", repeat: "${repeat}" }], do: { notify: mara, text: hi } } }\n`,
    },
  ]);
const problems = (repeat: string) =>
  read(repeat).problems.map(
    ({ at, message, severity }) => `${at.line}:${at.column} ${severity} ${message}`,
  );

describe("a recurrence rule that RFC 5545 does not have is a finding at its place", () => {
  test.each([
    ["FREQ=DAILY;FOO=3", "FOO=3 cannot be"],
    ["FREQ=WEEKLY;BYDAY=XX", "BYDAY=XX cannot be"],
    ["FREQ=MONTHLY;BYDAY=0MO", "BYDAY=0MO cannot be"],
    ["FREQ=YEARLY;BYMONTH=13", "BYMONTH=13 cannot be"],
    ["FREQ=DAILY;FREQ=WEEKLY", "FREQ is there twice"],
    ["DTSTART=20260101;FREQ=DAILY", "DTSTART=20260101 cannot be"],
    ["FREQ=DAILY;UNTIL=20260230", "UNTIL=20260230 cannot be"],
    ["FREQ=HOURLY", "FREQ=HOURLY cannot be"],
    ["FREQ=DAILY;COUNT=3;UNTIL=20270101", "COUNT and UNTIL exclude each other"],
    ["FREQ=WEEKLY;BYMONTHDAY=3", "BYMONTHDAY has no place in a rule that is WEEKLY"],
    ["FREQ=WEEKLY;BYDAY=2MO", "BYDAY has no place in a rule that is WEEKLY"],
    ["FREQ=DAILY;BYSETPOS=1", "BYSETPOS chooses from nothing"],
    ["FREQ=DAILY;INTERVAL=0", "INTERVAL=0 cannot be"],
    ["BYDAY=MO", "the rule does not say how often"],
    ["FREQ=DAILY;", '"" is no part of a rule'],
    ["FREQ", '"FREQ" is no part of a rule'],
  ])("%s", (rule, message) => {
    expect(problems(rule)).toEqual(expect.arrayContaining([`2:54 error ${message}`]));
  });

  test("and a part that is passed over is told", () => {
    expect(problems("FREQ=DAILY;BYHOUR=9")).toEqual([
      "2:54 warning BYHOUR is passed over: the trigger says at what time",
    ]);
  });
});

const trigger = (rule: string) =>
  ({
    trigger: "time",
    clock: 18.5 * 3600,
    days: { days: "rule", rule },
    at: { file: "", line: 0, column: 0 },
  }) as const;
const some = Date.UTC(2026, 2, 1) / 1000;
const next = (rule: string, after = some): string | undefined => {
  const instant = nextFiring(trigger(rule), after, "Europe/London", undefined);
  return instant === undefined ? undefined : new Date(instant * 1000).toISOString().slice(0, 16);
};

describe("a rule fires", () => {
  test("on its days", () => {
    expect(next("FREQ=WEEKLY;BYDAY=FR")).toBe("2026-03-06T18:30");
    expect(next("FREQ=YEARLY;BYMONTH=2;BYMONTHDAY=29")).toBe("2028-02-29T18:30");
    expect(next("FREQ=MONTHLY;BYDAY=-1FR")).toBe("2026-03-27T18:30");
  });

  test("to the instant of its end", () => {
    expect(next("FREQ=DAILY;UNTIL=20260301T183000Z")).toBe("2026-03-01T18:30");
    expect(next("FREQ=DAILY;UNTIL=20260301T182959Z")).toBeUndefined();
    expect(next("FREQ=DAILY;UNTIL=20260301")).toBe("2026-03-01T18:30");
    expect(next("FREQ=DAILY;UNTIL=20260228")).toBeUndefined();
    // By the clock of the home, which is an hour ahead of UTC in summer.
    const summer = Date.UTC(2026, 5, 30) / 1000;
    expect(next("FREQ=DAILY;UNTIL=20260630T183000", summer)).toBe("2026-06-30T17:30");
    expect(next("FREQ=DAILY;UNTIL=20260630T172959Z", summer)).toBeUndefined();
  });

  test("never, where no day is one of it, and says so at once", () => {
    for (const rule of [
      "FREQ=DAILY;INTERVAL=7;BYDAY=SA",
      "FREQ=YEARLY;BYMONTH=2;BYMONTHDAY=30",
      "FREQ=DAILY;INTERVAL=7;BYDAY=SA;COUNT=9",
    ]) {
      expect(next(rule)).toBeUndefined();
    }
  });
});

test("no rule, good or bad, throws", () => {
  const part = fc.oneof(
    fc.constantFrom(
      "FREQ=DAILY",
      "FREQ=WEEKLY",
      "FREQ=MONTHLY",
      "FREQ=YEARLY",
      "WKST=SU",
      "DTSTART=1",
      "FOO=1",
      "",
    ),
    fc
      .tuple(
        fc.constantFrom(
          "INTERVAL",
          "COUNT",
          "BYMONTH",
          "BYMONTHDAY",
          "BYYEARDAY",
          "BYWEEKNO",
          "BYSETPOS",
          "BYHOUR",
        ),
        fc.integer({ min: -400, max: 400 }),
      )
      .map(([name, value]) => `${name}=${value}`),
    fc
      .tuple(
        fc.constantFrom("", "1", "-1", "2", "0", "53"),
        fc.constantFrom("MO", "TU", "SA", "SU", "XX"),
      )
      .map((day) => `BYDAY=${day.join("")}`),
    fc.constantFrom("UNTIL=20260601", "UNTIL=20260601T120000Z", "UNTIL=x"),
  );
  fc.assert(
    fc.property(
      fc.array(part, { minLength: 1, maxLength: 5 }).map((parts) => parts.join(";")),
      (rule) => {
        if (checkRule(rule).some(({ severity }) => severity === "error")) return;
        next(rule);
      },
    ),
    { numRuns: Number(process.env["RULES"] ?? 300) },
  );
});

describe("the sun", () => {
  const event = (name: "sunrise" | "sunset" | "dawn" | "dusk", latitude: number, date: string) =>
    nextFiring(
      {
        trigger: "sun",
        event: name,
        offset: 0,
        days: { days: "dates", dates: [date] },
      },
      Date.parse(`${date}T00:00Z`) / 1000 - 86_400,
      "UTC",
      { latitude, longitude: 20, timezone: "UTC" },
    );
  test("has no event on a day of polar day or night", () => {
    expect(event("sunset", 69.6, "2026-06-21")).toBeUndefined();
    expect(event("sunrise", 69.6, "2026-12-21")).toBeUndefined();
    expect(event("dusk", 62, "2026-06-21")).toBeUndefined();
  });

  test("stands at the horizon at every rising and setting, whatever the latitude", () => {
    const { asin, sin, cos, PI } = Math;
    fc.assert(
      fc.property(
        fc.integer({ min: 55, max: 89 }),
        fc.integer({ min: 0, max: 364 }),
        (latitude, day) => {
          const date = new Date(Date.UTC(2026, 0, 1 + day)).toISOString().slice(0, 10);
          const at = event("sunset", latitude, date);
          if (at === undefined) return;
          // The height by the declination of the day and the time since noon, to within a few degrees.
          const noon = getTimes(new Date(`${date}T12:00Z`), latitude, 20).solarNoon.getTime();
          const turn = ((at - noon / 1000) / 86_400) * 2 * PI;
          const tilt = (-23.44 * PI * cos(((day + 10) / 365.24) * 2 * PI)) / 180;
          const [s, c] = [sin((latitude * PI) / 180), cos((latitude * PI) / 180)];
          const height = (asin(s * sin(tilt) + c * cos(tilt) * cos(turn)) * 180) / PI;
          expect(Math.abs(height)).toBeLessThan(3);
        },
      ),
    );
  });
});

test("a log that is read often tells the same as one that is read at the end", () => {
  const book = read("daily");
  const [often, once] = [simulate(book), simulate(book)];
  for (let day = 0; day < 10; day++) {
    often.wait("1d");
    const log = often.log();
    expect(often.log()).toBe(log);
    expect(log).toHaveLength(3 * (day + 1));
  }
  once.wait("10d");
  expect(often.log()).toEqual(once.log());
});

test("the days of a rule are those that the package finds from its beginning", () => {
  const rule = fc
    .record({
      often: fc.constantFrom(
        "FREQ=WEEKLY;BYDAY=TU,SU",
        "FREQ=MONTHLY;BYDAY=-1FR",
        "FREQ=MONTHLY",
        "FREQ=DAILY",
        "FREQ=WEEKLY;WKST=SU;BYDAY=SU,MO",
      ),
      interval: fc.integer({ min: 1, max: 6 }),
      count: fc.oneof(
        fc.constant(""),
        fc.integer({ min: 1, max: 900 }).map((count) => `;COUNT=${count}`),
      ),
    })
    .map(({ often, interval, count }) => `${often};INTERVAL=${interval}${count}`);
  fc.assert(
    fc.property(rule, fc.integer({ min: 2001, max: 2040 }), (written, year) => {
      const { origOptions } = RRule.fromString(`DTSTART:20010101T000000Z\nRRULE:${written}`);
      const [from, to] = [new Date(Date.UTC(year, 0, 1)), new Date(Date.UTC(year, 11, 31))];
      const until = origOptions.count ? {} : { until: to };
      const found = new RRule({ ...origOptions, ...until }).between(from, to, true);
      expect([...datesOf(written, year)]).toEqual(
        found.map((day) => day.toISOString().slice(0, 10)),
      );
    }),
    { numRuns: 30 },
  );
});
