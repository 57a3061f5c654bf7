import fc from "fast-check";
import { Temporal } from "temporal-polyfill";
import { expect, test } from "vitest";
import { localOf } from "./zone.ts";

test("the clocks of a zone are what they are, around its changes as well", () => {
  const zones = ["Europe/London", "UTC", "America/St_Johns", "Australia/Lord_Howe", "Asia/Tokyo"];
  const changes = [
    "2026-03-29T01:00Z",
    "2026-10-25T01:00Z",
    "2026-03-08T05:30Z",
    "2026-04-04T15:00Z",
  ];
  const near = fc
    .tuple(fc.constantFrom(...changes), fc.integer({ min: -7_200_000, max: 7_200_000 }))
    .map(([change, by]) => Date.parse(change) + by);
  const any = fc.integer({ min: Date.parse("1990-01-01"), max: Date.parse("2090-01-01") });
  fc.assert(
    fc.property(fc.constantFrom(...zones), fc.oneof(near, any), (zone, time) => {
      const there = Temporal.Instant.fromEpochMilliseconds(time).toZonedDateTimeISO(zone);
      const shown = there.toPlainDateTime().toString({ smallestUnit: "second" });
      expect(localOf(time / 1000, zone)).toBe(shown);
    }),
    { numRuns: 2000 },
  );
});
