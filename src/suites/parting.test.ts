import * as fc from "fast-check";
import { expect, test } from "vitest";
import { readPhrasebook } from "../index.ts";
import { joinParts, partSuites } from "./parting.ts";
import { readShares, readSuites } from "./read.ts";
import { runSuites } from "./run.ts";

const book = readPhrasebook([
  {
    path: "home.yaml",
    text: "rooms: { hall: {} }\ndevices: { lamp: { kind: light, room: hall } }\n",
  },
]);

/** What stands in a suite: cases that pass and fail, that make several, and that cannot be read. */
const written = fc.constantFrom(
  "hear: lamp on, expect: act",
  "hear: lamp off, expect: unknown",
  "hear: (turn | switch) on the lamp, expect: act",
  "hear: turn $how the lamp, expect: act, rows: [{ how: 'on' }, { how: 'off' }]",
  "hear: lamp $how, expect: act, rows: ways.csv",
  "hear: lamp on, expect: act, setup: evening",
  "hear: lamp on",
);
const suites = fc.array(fc.array(written, { maxLength: 7 }), { minLength: 1, maxLength: 4 });

test("parts of a run are joined to what the whole run comes to, however many there are", () => {
  fc.assert(
    fc.property(suites, fc.integer({ min: 1, max: 6 }), (all, of) => {
      const sources = [
        ...all.map((cases, index) => ({
          path: `${index}.suite.yaml`,
          text: `suite: s${index}\ncases:\n${cases.map((each) => `  - { ${each} }\n`).join("")}`,
        })),
        {
          path: "z.suite.yaml",
          text: "suite: z\nsetups: { evening: { time: '2026-03-02T19:00' } }\ncases: [{ hear: lamp on, expect: act }]\n",
        },
        { path: "ways.csv", text: "how\non\noff\n" },
      ];
      const whole = runSuites(book, readSuites(book, sources));
      const parts = Array.from({ length: of }, (_, index) =>
        runSuites(book, readShares(book, partSuites(sources, index + 1, of))),
      );
      expect(joinParts(parts)).toEqual(whole);
    }),
    { numRuns: 60 },
  );
});
