import { expect, test } from "vitest";
import { dictionary } from "cmu-pronouncing-dictionary";
import { readPhrasebook } from "../book/read.ts";
import { readSuites } from "../suites/read.ts";
import { confusionsIn } from "./confusions.ts";
import { findMishearings } from "./mishearings.ts";

/* A home in which much sounds alike, in two languages, in each of the ways in which recognisers slip. */
const home = `
languages: [en-GB, de-DE]
rooms:
  store: { name: { en: store, de: Lager } }
  studio: { name: { en: studio, de: Werkstatt } }
devices:
  fan: { kind: fan, room: store, name: { en: fan, de: Gebläse } }
  vent: { kind: fan, room: studio, name: { en: vent, de: Abzug } }
  door: { kind: lock, room: store, voice: free, name: { en: back door, de: Hintertür } }
  alarm: { kind: alarm, room: store, voice: free, name: { en: alarm, de: Alarmanlage } }
  rack-light: { kind: light, room: studio, name: { en: rack light, de: Regallampe } }
  rack-lights: { kind: light, room: studio, name: { en: rack lights, de: Regallampen } }
  tape: { kind: plug, room: studio, name: { en: grey tape, de: Brennofen } }
  ape: { kind: plug, room: studio, name: { en: great ape, de: Brenndose } }
  gallery: { kind: light, room: studio, name: { en: gallery lamp, de: Kellerlampe } }
  galley: { kind: light, room: store, name: { en: galley lamp, de: Tellerlampe } }
intents:
  keep:
    patterns: { en: hold the wheel, de: die Scheibe halten }
    do: { set: { vent: { power: on } } }
  end:
    patterns: { en: "(kill | halt) the wheel", de: die Scheibe falten }
    do: { set: { vent: { power: off } } }
`;

/** What is said, the words of it that slip, and what they are taken for. */
const planted: readonly (readonly [phrase: string, spoken: string, taken: string])[] = [
  ["turn the vent off", "off", "on"],
  ["disarm the alarm", "disarm", "just arm"],
  ["set the fan to forty percent", "forty", "fourteen"],
  ["set the vent to thirty percent", "thirty", "thirteen"],
  ["set the vent to fifteen percent", "fifteen", "fifty"],
  ["turn on the rack light", "light", "lights"],
  ["turn on the rack lights", "lights", "light"],
  ["turn on the gallery lamp", "gallery", "galley"],
  ["turn on the vent", "vent", "fan"],
  ["turn on the grey tape", "grey tape", "great ape"],
  ["hold the wheel", "hold", "halt"],
  ["die Hintertür aufschließen", "aufschliessen", "abschliessen"],
  ["Alarmanlage unscharf schalten", "alarmanlage unscharf", "alarmanlagen scharf"],
  ["stell die Regallampe auf zwei Prozent", "zwei", "drei"],
  ["mach die Regallampe an", "regallampe", "regallampen"],
  ["mach die Kellerlampe an", "kellerlampe", "tellerlampe"],
  ["die Scheibe halten", "halten", "falten"],
];

const book = readPhrasebook([{ path: "home.yaml", text: home }]);
const languageOf = (phrase: string) =>
  book.hear(phrase, { language: "en-GB" }).outcome === "act" ? "en-GB" : "de-DE";
const cases = planted.map(
  ([phrase]) => `  - { hear: ${phrase}, language: ${languageOf(phrase)}, expect: act }`,
);
const text = `suite: planted\ncases:\n${cases.join("\n")}\n`;
const suites = readSuites(book, [{ path: "planted.suite.yaml", text }]);

test("what was planted is among the first thirty confusions", () => {
  expect([...book.problems, ...suites.problems]).toEqual([]);
  const confusions = confusionsIn(findMishearings(book, { suites, dictionary }));
  const first = confusions.slice(0, 30).map(({ spoken, taken }) => `${spoken} > ${taken}`);
  const missing = planted.filter(([, spoken, taken]) => !first.includes(`${spoken} > ${taken}`));
  expect(missing).toEqual([]);
  expect(confusions.length).toBeGreaterThan(90);
});
