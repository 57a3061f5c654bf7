import { expect, test } from "vitest";
import { readPhrasebook, readSuites, runSuites, simulate } from "../src/index.ts";

/* Commands for a time that the sun tells. */

const place = "place: { latitude: 51.2, longitude: 4.4, timezone: Europe/Brussels }";
const devices = `
rooms: { shop: {} }
devices:
  sign: { kind: light, room: shop }
  blind: { kind: blind, room: shop, name: shutter }
  lantern: { kind: light, room: shop }
routines:
  evening: { triggers: [{ sun: 30 minutes before sunset }], do: [{ set: { lantern: { power: "on" } } }] }
`;
const bookOf = (text: string) => readPhrasebook([{ path: "home.yaml", text }]);
const book = bookOf(place + devices);

/** The time at which a device was set. */
function timeOf(home: ReturnType<typeof simulate>, device: string): string | undefined {
  return home.log().find(({ event }) => event.event === "changed" && event.device === device)?.time;
}

test("is done when a routine of the same moment runs", () => {
  const home = simulate(book, { time: "2026-03-02T16:05" });
  const { outcome, reply } = home.converse().say("sign on half an hour before sunset");
  expect([outcome, reply]).toEqual(["act", "30 minutes before sunset: sign on."]);
  home.wait(4 * 3600);
  expect(timeOf(home, "sign")).toMatch(/^2026-03-02T17:5/);
  expect(timeOf(home, "sign")).toBe(timeOf(home, "lantern"));
});

test("lasts until the sun rises on the next day", () => {
  const home = simulate(book, { time: "2026-03-02T22:00" });
  home.converse().say("sign on until sunrise");
  expect(home.states()["sign"]?.["power"]).toBe("on");
  home.wait(9 * 3600);
  expect(home.states()["sign"]?.["power"]).toBe("on");
  home.wait(3600);
  expect(home.states()["sign"]?.["power"]).toBe("off");
});

test("comes on the day after where it is over for today", () => {
  const home = simulate(book, { time: "2026-03-02T22:00" });
  home.converse().say("close the shutter at sunset");
  home.wait(2 * 3600);
  expect(timeOf(home, "blind")).toBeUndefined();
});

test.each([
  ["en", "close the shutter at sunset", "sunset"],
  ["en", "when it gets dark turn the sign on", "dusk"],
  ["en", "twenty minutes after sunrise turn the sign off", "20m after sunrise"],
  ["de", "sign an eine Stunde vor Sonnenuntergang", "1h before sunset"],
  ["fr", "allume sign au lever du soleil", "sunrise"],
  ["es", "enciende sign al anochecer", "dusk"],
  ["it", "accendi sign mezz'ora dopo il tramonto", "30m after sunset"],
  ["nl", "doe sign aan als de zon ondergaat", "sunset"],
])("is said in each language: %s, %s", (language, phrase, at) => {
  const spoken = bookOf(`languages: [${language}]\n${place}${devices}`);
  const { commands } = spoken.hear(phrase);
  expect(commands.flatMap(({ effects }) => effects.map(({ when }) => when))).toEqual([{ at }]);
});

test("is refused where nobody knows where the home is", () => {
  const heard = bookOf(devices).hear("close the shutter at sunset");
  expect(heard).toMatchObject({ outcome: "refuse", reasons: [{ reason: "sun" }] });
});

test("is expected in suites, and another moment of the sun is not it", () => {
  const suite = (at: string) => ({
    path: "a.suite.yaml",
    text: `suite: a
cases: [{ hear: close the shutter at sunset, time: "2026-03-02T16:05", given: { blind: { position: 100 } }, expect: { set: { blind: { position: 0 } }, when: { at: ${at} } } }]
`,
  });
  const passed = (at: string) => runSuites(book, readSuites(book, [suite(at)])).passed;
  expect([passed("sunset"), passed("dusk"), passed("1h before sunset")]).toEqual([1, 0, 0]);
});
