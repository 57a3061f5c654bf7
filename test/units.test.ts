import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { describeOutcome, readPhrasebook, simulate } from "../src/index.ts";

const devices = `rooms: { loft: {}, galley: {} }
voicepoints: { sofa: { room: loft } }
kinds:
  timer:
    properties:
      countdown: { type: integer, minimum: 0, maximum: 240, unit: minute }
      probe: { type: number, minimum: 30, maximum: 110, unit: Cel }
    said:
      properties:
        countdown: { en: countdown, de: Restzeit }
        probe: { en: core temperature, de: Kerntemperatur }
devices:
  stove: { kind: thermostat, room: loft, name: { en: loft stove, de: Dachofen } }
  boiler:
    kind: thermostat
    room: galley
    name: { en: galley boiler, de: Kessel }
    properties: { target: { unit: fahrenheit, step: 1 } }
  lamp: { kind: light, room: loft, name: { en: tall lamp, de: Stehlampe }, properties: { warmth: { unit: mired } } }
  clock: { kind: timer, room: galley, name: { en: oven clock, de: Herduhr } }
intents:
  bank:
    patterns: "bank it to $heat"
    slots: { heat: { type: temperature, unit: celsius, minimum: 10, maximum: 30, default: 20 } }
    do: [{ set: { stove: { target: $heat } } }]
    reply: "Banked to {$heat}; the loft is at {$stove.temperature}."
  follow:
    patterns: "follow the loft [plus $more]"
    slots: { more: { type: temperature, default: 0 } }
    do: [{ set: { boiler: { target: "$stove.target plus $more" } } }]
`;
const home = (top: string) => readPhrasebook([{ path: "home.yaml", text: `${top}\n${devices}` }]);
const american = home("languages: [en-US, de-DE]");
const british = home("languages: [en-GB, de-DE]");

describe("what is said in one unit reaches a device that counts in another", () => {
  const books = { american, british };
  test.each([
    // A number alone is in the unit that the home is spoken to in.
    ["american", "set the loft stove to 72", "stove { target: 22 }"],
    ["american", "set the galley boiler to 72 degrees", "boiler { target: 72 }"],
    ["british", "set the loft stove to 22", "stove { target: 22 }"],
    ["british", "set the galley boiler to 22 degrees", "boiler { target: 72 }"],
    // A unit that is named counts, whatever is usual.
    ["american", "set the loft stove to 21.5 degrees Celsius", "stove { target: 21.5 }"],
    ["american", "set the loft stove to 20 °C", "stove { target: 20 }"],
    ["british", "set the loft stove to 68 Fahrenheit", "stove { target: 20 }"],
    ["british", "set the loft stove to 68°F", "stove { target: 20 }"],
    // How much warmer is a difference, and no temperature.
    ["american", "make the loft stove 9 degrees warmer", "nudge stove { target: 5 }"],
    ["british", "make the galley boiler 5 degrees warmer", "nudge boiler { target: 9 }"],
    ["american", "make the loft stove 5 degrees celsius warmer", "nudge stove { target: 5 }"],
    // Other quantities.
    ["british", "make the tall lamp warm white", "lamp { warmth: 370 }"],
    ["british", "set the tall lamp to 4000 kelvin", "lamp { warmth: 250 }"],
    ["british", "set the countdown of the oven clock to two hours", "clock { countdown: 120 }"],
    ["british", "set the countdown of the oven clock to 25", "clock { countdown: 25 }"],
    ["american", "core temperature of the oven clock to 140", "clock { probe: 60 }"],
  ] as const)("%s: %s", (name, text, expected) => {
    expect(describeOutcome(books[name].hear(text))).toBe(expected);
  });

  test("in every language", () => {
    const hear = (text: string) => describeOutcome(american.hear(text, { language: "de" }));
    expect(hear("stell den Dachofen auf 20 Grad Celsius")).toBe("stove { target: 20 }");
    expect(hear("stell den Dachofen auf 68 Grad")).toBe("stove { target: 20 }");
    expect(hear("stell die Restzeit der Herduhr auf zwei Stunden")).toBe(
      "clock { countdown: 120 }",
    );
  });

  test("in steps that take a value from elsewhere", () => {
    const home = simulate(british);
    const living = home.converse();
    living.say("set the loft stove to 20");
    living.say("follow the loft plus 5 degrees");
    expect(home.states()["boiler"]).toMatchObject({ target: 77 });
  });
});

describe("values are told in the unit that the home is spoken to in", () => {
  const reply = (book: typeof american, text: string): string =>
    simulate(book).converse().say(text).reply;

  test("ranges", () => {
    expect(reply(american, "set the loft stove to 100")).toContain(
      "goes from 41 to 86 degrees, not 100 degrees",
    );
    expect(reply(british, "set the galley boiler to 40")).toContain(
      "goes from 5 to 30 degrees, not 40 degrees",
    );
    expect(reply(american, "bank it to 90")).toContain("50 to 86 degrees, not 90 degrees");
  });

  test("answers and replies", () => {
    expect(reply(american, "what is the loft stove set to")).toContain("68 °F");
    expect(reply(british, "what is the galley boiler set to")).toContain("20 °C");
    expect(reply(american, "bank it to 70")).toBe("Banked to 70; the loft is at 68.");
    expect(reply(british, "make the tall lamp warm white")).toContain("2,700 kelvin");
  });
});

test("a device that counts in another unit than its kind has the kind's range in it", () => {
  const properties = british.devices.get("boiler")?.properties;
  expect(properties?.get("target")).toMatchObject({ minimum: 41, maximum: 86, default: 68 });
  expect(british.devices.get("lamp")?.properties.get("warmth")).toMatchObject({
    minimum: 154,
    maximum: 556,
  });
});

test("the region of the first language decides, unless the home says otherwise", () => {
  expect(home("languages: [de-DE, en-US]").units).toEqual({ temperature: "celsius" });
  expect(american.units).toEqual({ temperature: "fahrenheit" });
  const said = home("languages: [en-US]\nunits: { temperature: celsius }");
  expect(describeOutcome(said.hear("set the loft stove to 22"))).toBe("stove { target: 22 }");
});

test("limits of which nobody can tell what they count are found", () => {
  const limits = "{ kind: heater, properties: { target: { minimum: 60, maximum: 90 } } }";
  const found = (language: string) =>
    readPhrasebook([
      { path: "home.yaml", text: `languages: [${language}]\ndevices:\n  oven: ${limits}` },
    ]).problems.map(({ rule, fix, at }) => [rule, fix, at.line]);
  expect(found("en-US")).toEqual([["unit-unsaid", "write unit: fahrenheit, or unit: celsius", 3]]);
  expect(found("en-GB")).toEqual([]);
});

test("a degree said in either unit comes to the same", () => {
  fc.assert(
    fc.property(fc.integer({ min: 10, max: 60 }), (half) => {
      const celsius = half / 2;
      const asked = (book: typeof american, text: string) =>
        describeOutcome(book.hear(`set the loft stove to ${text}`));
      const plain = asked(british, String(celsius));
      expect(asked(british, `${celsius * 1.8 + 32} fahrenheit`)).toBe(plain);
      expect(asked(american, String(celsius * 1.8 + 32))).toBe(plain);
      expect(asked(american, `${celsius} celsius`)).toBe(plain);
    }),
  );
});
