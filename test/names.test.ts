import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { effectsOf, readPhrasebook } from "../src/index.ts";

/* What acts is within what the words name, in homes of any names. */

const nouns = ["heater", "lamp", "fan", "light", "radio", "vent"];
const kinds = ["light", "fan", "heater", "plug", "player"] as const;
const rooms = ["loft", "cellar", "workshop"];
const verbs = [
  "turn on",
  "turn off",
  "dim",
  "set to forty percent",
  "set to twenty degrees",
  "make brighter",
  "turn up",
  "mute",
];

const device = fc.record({
  name: fc.constantFrom(...nouns, ...rooms.map((room) => `${room} ${nouns[0] ?? ""}`), "tall lamp"),
  kind: fc.constantFrom(...kinds),
  room: fc.constantFrom(...rooms),
});
const home = fc.uniqueArray(device, {
  minLength: 1,
  maxLength: 6,
  selector: ({ name }) => name,
});

interface Device {
  name: string;
  kind: string;
  room: string;
}

function bookOf(devices: readonly Device[]) {
  const lines = devices.map(
    ({ name, kind, room }, index) => `  d${index}: { kind: ${kind}, room: ${room}, name: ${name} }`,
  );
  const places = rooms.map((room) => `  ${room}: {}`);
  const points = rooms.map((room) => `  at-${room}: { room: ${room} }`);
  const text = ["rooms:", ...places, "voicepoints:", ...points, "devices:", ...lines].join("\n");
  return readPhrasebook([{ path: "home.yaml", text }]);
}

/** "turn on" and "set to …", with the thing where it belongs. */
function phrase(verb: string, thing: string): string {
  const [first = "", ...rest] = verb.split(" ");
  const isSplit = first === "set" || first === "make";
  return isSplit ? `${first} the ${thing} ${rest.join(" ")}` : `${verb} the ${thing}`;
}

describe("what acts is within what the words name", () => {
  test("a name is that thing, and never another of a kind that is called so", () => {
    fc.assert(
      fc.property(
        home,
        fc.nat(),
        fc.constantFrom(...verbs),
        fc.constantFrom(...rooms),
        (devices, pick, verb, room) => {
          const index = pick % devices.length;
          const heard = bookOf(devices).hear(phrase(verb, devices[index]?.name ?? ""), {
            at: `at-${room}`,
          });
          if (heard.outcome !== "act") return;
          expect([...new Set(effectsOf(heard).map((effect) => effect.device))]).toEqual([
            `d${index}`,
          ]);
        },
      ),
      { numRuns: 100 },
    );
  });

  test("lights in two places are lights of these places", () => {
    fc.assert(
      fc.property(
        home,
        fc.shuffledSubarray(rooms, { minLength: 2, maxLength: 2 }),
        fc.constantFrom("turn on", "turn off", "dim"),
        fc.constantFrom(
          "the lights in the A and the B",
          "the A and B lights",
          "the lights in A and in B",
        ),
        (devices, [one = "", other = ""], verb, words) => {
          const thing = words.replace("A", one).replace("B", other);
          const heard = bookOf(devices).hear(`${verb} ${thing}`, { at: "at-loft" });
          if (heard.outcome !== "act") return;
          for (const effect of effectsOf(heard)) {
            const acted = devices[Number(effect.device.slice(1))];
            expect(acted).toMatchObject({ kind: "light" });
            expect([one, other]).toContain(acted?.room);
          }
        },
      ),
      { numRuns: 100 },
    );
  });
});
