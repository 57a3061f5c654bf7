import { readFileSync, readdirSync } from "node:fs";
import { join } from "node:path";
import { Ajv2020 } from "ajv/dist/2020.js";
import { load } from "js-yaml";
import { describe, expect, test } from "vitest";
import { readPhrasebook } from "../src/book/read.ts";
import { jsonSchemas } from "../src/node/index.ts";
import { describeKeys } from "../scripts/describe-keys.js";
import { runSources } from "./support/suites.ts";

const schemas = jsonSchemas();
/** Strict: a keyword that says nothing, or less than it seems to, is an error. */
const read = (name: keyof typeof schemas) => new Ajv2020({ strict: true }).compile(schemas[name]);
const [phrasebook, suite, day] = [read("phrasebook"), read("suite"), read("day")];

test("the demo is as its schemas say", () => {
  const folder = join(import.meta.dirname, "../demo/oxbow-pottery");
  for (const name of readdirSync(folder, { recursive: true }).map(String)) {
    if (!name.endsWith(".yaml")) continue;
    const validate = name.endsWith(".suite.yaml")
      ? suite
      : name.endsWith(".day.yaml")
        ? day
        : phrasebook;
    expect(validate(load(readFileSync(join(folder, name), "utf8"))), name).toBe(true);
  }
});

const home =
  "rooms: { hall: {} }\ndevices: { lamp: { kind: light, room: hall } }\npeople: { mara: {} }\n";
const routine = (parts: string) => `routines: { a: { ${parts} } }`;

describe("a schema rejects what a check rejects", () => {
  test.each([
    ["a duration to wait", routine("do: [{ wait: soon }]")],
    [
      "a duration to last",
      routine("triggers: [{ state: { lamp: { power: on } }, lasting: long }], do: []"),
    ],
    ["a duration to answer in", routine("do: [{ ask: Well?, answers: [], within: soon }]")],
    ["a duration to rest", routine("rest: long, do: []")],
    ["a date", routine('triggers: [{ time: "18:00", date: "2026-13-40" }], do: []')],
    ["a time", routine('triggers: [{ time: "25:00" }], do: []')],
    ["a weekday", routine('triggers: [{ time: "18:00", repeat: [mooday] }], do: []')],
    ["a word for days", routine('triggers: [{ time: "18:00", repeat: weekday }], do: []')],
    ["a word for the sun", routine("triggers: [{ sun: sunsett }], do: []")],
    ["a word for presence", routine("triggers: [{ presence: mara out }], do: []")],
    ["a step of 0", "devices: { b: { kind: heater, properties: { target: { step: 0 } } } }"],
    ["a guard", "devices: { b: { kind: light, voice: bared } }"],
    ["a device without a kind", "devices: { b: {} }"],
  ])("%s", (_, text) => {
    const { problems } = readPhrasebook([
      { path: "a.yaml", text: home },
      { path: "b.yaml", text },
    ]);
    expect(problems.some(({ severity }) => severity === "error")).toBe(true);
    expect(phrasebook(load(text))).toBe(false);
  });

  test.each([
    ["an outcome", "{ hear: go, expect: acts }"],
    ["the length of a when", "{ hear: go, expect: { set: {}, when: { in: soon } } }"],
    ["a fault", "{ hear: go, expect: act, faults: { lamp: broken } }"],
    ["a wait", "{ after: { wait: soon }, expect: act }"],
  ])("%s", (_, each) => {
    const text = `suite: a\ncases: [${each}]`;
    const results = runSources([
      { path: "a.yaml", text: home },
      { path: "a.suite.yaml", text },
    ]);
    expect(results.problems).not.toEqual([]);
    expect(suite(load(text))).toBe(false);
  });

  test.each([
    routine(
      'triggers: [{ time: "18:00", repeat: [monday, Friday] }, { sun: 20 minutes after sunset }, { time: "18:00", repeat: FREQ=WEEKLY;BYDAY=FR }], do: [{ wait: 1h 30m }, { wait: $length }]',
    ),
    "devices: { b: { kind: light, bulk: { power: on }, safe-actions: [] } }",
  ])("and takes what a check takes: %s", (text) => {
    expect(phrasebook(load(text)), JSON.stringify(phrasebook.errors)).toBe(true);
  });
});

test("every key of a phrasebook has its sentence, and the types have the keys of the schema", () => {
  const schema = jsonSchemas().phrasebook;
  expect(describeKeys(schema)).toEqual([]);
  expect(schema).toMatchObject({
    properties: {
      devices: {
        additionalProperties: {
          properties: { room: { description: "The room that it is in." } },
        },
      },
    },
  });
});
