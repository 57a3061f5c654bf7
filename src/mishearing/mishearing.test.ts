import { describe, expect, test } from "vitest";
import { dictionary } from "cmu-pronouncing-dictionary";
import { readPhrasebook } from "../book/read.ts";
import { readSuites } from "../suites/read.ts";
import { findSoundAlikes } from "./alike.ts";
import { confusionsIn } from "./confusions.ts";
import { differenceOf } from "./difference.ts";
import { createEars } from "./ear.ts";
import { heldApart } from "./held-apart.ts";
import { readHeardLog } from "./heard-log.ts";
import { studyHeard } from "./heard-study.ts";
import { latticeOf } from "./lattice.ts";
import { findMishearings } from "./mishearings.ts";
import { drawSlips } from "./open-hearing.ts";
import { createRemedies } from "./remedies.ts";
import { searchNearest } from "./search.ts";
import { judge } from "./verdict.ts";

const text = `
languages: [en-GB, de-DE]
rooms: { studio: { name: { en: studio, de: Atelier } }, store: { name: { en: store, de: Lager } } }
voicepoints: { door: { room: studio } }
devices:
  fan: { kind: fan, room: studio, name: { en: kiln fan, de: Gebläse } }
  van-light: { kind: light, room: store, name: { en: van light, de: Regallampe } }
  fan-light: { kind: light, room: studio, name: { en: fan light, de: Regallampen } }
  wheel: { kind: light, room: studio, name: { en: wheel lamp, de: Scheibenlampe } }
  well: { kind: light, room: store, name: { en: well lamp, de: Brunnenlampe } }
  bolt: { kind: lock, room: store, name: { en: store door, de: Lagertür } }
`;
const book = readPhrasebook([{ path: "home.yaml", text }]);

const suiteSources = [
  {
    path: "a.suite.yaml",
    text: `suite: studio
cases:
  - { hear: turn off the kiln fan, expect: { set: { fan: { power: off } } } }
  - { hear: turn on the wheel lamp, expect: { set: { wheel: { power: on } } } }
  - { hear: unlock the store door, expect: confirm }
  - { hear: switch off the kiln fan, expect: { set: { fan: { power: off } } } }
  - { hear: mach die Regallampe an, language: de-DE, expect: { set: { van-light: { power: on } } } }
`,
  },
];
const suites = readSuites(book, suiteSources);

describe("names against names", () => {
  test("those that sound alike come first, in each language", () => {
    const alikes = findSoundAlikes(book, { dictionary });
    const pairs = alikes
      .slice(0, 12)
      .map(({ spoken, taken }) => [spoken.text, taken.text].sort().join("/"));
    expect(pairs).toContain("fan light/van light");
    expect(pairs).toContain("well lamp/wheel lamp");
    expect(pairs).toContain("Regallampe/Regallampen");
    const distances = alikes.map(({ distance }) => distance);
    expect(distances).toEqual([...distances].sort((one, other) => one - other));
  });

  test("a pronunciation of the phrasebook counts", () => {
    const told = readPhrasebook([
      { path: "home.yaml", text },
      { path: "sounds.yaml", text: "pronunciations: { van: /ˈzɪɡzæɡ/, well: { en: saucer } }" },
    ]);
    const pairs = findSoundAlikes(told, { dictionary }).map(({ spoken, taken }) =>
      [spoken.text, taken.text].sort().join("/"),
    );
    expect(told.problems).toEqual([]);
    expect(pairs).not.toContain("fan light/van light");
    expect(pairs).not.toContain("well lamp/wheel lamp");
  });

  test("what is no pronunciation is told", () => {
    const wrong = readPhrasebook([
      { path: "a.yaml", text: 'pronunciations: { raku: /r8ku/, "two words": x }' },
    ]);
    expect(wrong.problems.map(({ message }) => message)).toEqual([
      '"8" in /r8ku/ is no sound of the International Phonetic Alphabet',
      '"two words" is not one word',
    ]);
  });
});

describe("the nearest phrases with another effect", () => {
  const mishearings = findMishearings(book, { suites, dictionary });
  const takenFor = (phrase: string) =>
    mishearings.find(({ spoken }) => spoken.phrase === phrase)?.taken ?? [];

  test("off is taken for on, which is the opposite", () => {
    const [first] = takenFor("turn off the kiln fan").filter(({ verdict }) => verdict === "unsafe");
    expect(first).toMatchObject({
      differs: { spoken: "off", taken: "on" },
      effect: "fan { power: on }",
    });
  });

  test("a name is taken for one that sounds like it, with both places", () => {
    const found = takenFor("turn on the wheel lamp").find(
      ({ effect }) => effect === "well { power: on }",
    );
    expect(found).toMatchObject({ phrase: "turn on the well lamp", verdict: "wrong" });
    expect(found?.places.spoken?.line).toBe(9);
    expect(found?.places.taken?.line).toBe(10);
  });

  test("a lost prefix locks what was to be unlocked", () => {
    const found = takenFor("unlock the store door").find(
      ({ effect }) => effect === "bolt { locked: true }",
    );
    expect(found).toMatchObject({ verdict: "unsafe", why: "bolt does the opposite" });
    expect(found?.differs.spoken.split(" ")).toContain("unlock");
    expect(found?.differs.taken.split(" ")).toContain("lock");
  });

  test("what is found is never nearer than what was said itself, and in order", () => {
    for (const { taken, isExhaustive } of mishearings) {
      expect(isExhaustive).toBe(true);
      const distances = taken.map(({ distance }) => distance);
      expect(distances).toEqual([...distances].sort((one, other) => one - other));
      expect(new Set(taken.map(({ effect }) => effect)).size).toBe(taken.length);
    }
  });

  test("the same words confused in several phrases are told once", () => {
    const off = confusionsIn(mishearings).filter(
      ({ spoken, taken }) => spoken === "off" && taken === "on",
    );
    expect(off.map(({ cases }) => cases.length)).toEqual([2]);
  });

  test("what helps was tried: another wording, a guard, another name", () => {
    const confusions = confusionsIn(mishearings);
    const tryRemedies = createRemedies(book, { mishearings, suiteSources, dictionary });
    const of = (spoken: string, taken: string) => {
      const confusion = confusions.find((each) => each.spoken === spoken && each.taken === taken);
      return confusion ? tryRemedies(confusion) : [];
    };
    const guard = of("off", "on").find(({ remedy }) => remedy === "guard");
    expect(guard).toMatchObject({ device: "fan", failing: 2 });
    const name = of("wheel", "well").find(({ remedy }) => remedy === "name");
    expect(name).toMatchObject({ device: "wheel", before: "wheel lamp", failing: 1 });
  });
});

test("values of a slot are told apart, however few there are", () => {
  const small = readPhrasebook([
    {
      path: "home.yaml",
      text: `
devices: { warmer: { kind: thermostat, name: wheel warmer } }
intents:
  glow:
    patterns: ["glow $shade"]
    slots: { shade: { type: choice, values: { heat: [kiln], off: [kill] } } }
    do: { set: { warmer: { mode: $shade } } }
`,
    },
  ]);
  const text = "suite: a\ncases: [{ hear: glow kiln, expect: act }]\n";
  const read = readSuites(small, [{ path: "a.suite.yaml", text }]);
  const [found] = findMishearings(small, { suites: read, dictionary });
  expect(found?.taken.map(({ phrase, verdict }) => [phrase, verdict])).toContainEqual([
    "glow kill",
    "unsafe",
  ]);
});

describe("a phrase that can be said", () => {
  test("is found at no distance, whatever else is near", () => {
    const ear = createEars(book, dictionary)("en-GB");
    const { sounds, vocabulary, machine } = ear;
    for (const phrase of [
      "turn on the wheel lamp",
      "unlock the store door",
      "is the fan light on",
    ]) {
      const lattice = latticeOf(ear.wordsOf(phrase), { sounds, vocabulary, furthest: 100 });
      const found: [string, number][] = [];
      const options = { costs: sounds.costs, vocabulary, furthest: 100, mostSteps: 1e5 };
      const end = searchNearest(machine, lattice, options, ({ phrase: said, distance }) => {
        found.push([said, distance]);
        return true;
      });
      expect(found).toContainEqual([phrase, 0]);
      expect(end.isExhaustive).toBe(true);
    }
  });
});

test("a language that the home does not speak is wrong use, whatever is asked", () => {
  const asked = { languages: ["pl"] };
  const message = 'there is no language "pl": write one of en-GB, de-DE';
  expect(() => findMishearings(book, { suites, ...asked })).toThrow(message);
  expect(() => findSoundAlikes(book, asked)).toThrow(message);
  expect(() => drawSlips(book, asked)).toThrow(message);
  const german = findSoundAlikes(book, { languages: ["de"] });
  expect(new Set(german.map(({ spoken }) => spoken.language))).toEqual(new Set(["de-DE"]));
});

test("slips of an open recogniser are drawn by a seed, heard and judged", () => {
  const once = drawSlips(book, { suites, dictionary, seed: 7 });
  expect(drawSlips(book, { suites, dictionary, seed: 7 })).toEqual(once);
  expect(drawSlips(book, { suites, dictionary, seed: 8 })).not.toEqual(once);
  for (const { phrase, language, variants } of once) {
    expect(variants.length).toBeGreaterThan(0);
    for (const { phrase: heard, verdict, why } of variants) {
      const [meant, taken] = [phrase, heard].map((said) => book.hear(said, { language }));
      if (!meant || !taken) throw new Error("nothing was heard");
      expect(judge(book, meant, taken)).toEqual({ verdict, ...(why === undefined ? {} : { why }) });
    }
  }
});

test.each([
  ["turn off the fan", "turn on the fan", "off", "on"],
  ["unlock the door", "an lock the door", "unlock", "lock"],
  ["lamp at six pm", "lamp at six p m", "", ""],
  ["open the blind until noon", "open the loft blind till noon", " … until", "loft … till"],
  ["turn off the lamp", "turn on a lamp", "off", "on"],
  ["lamp to two", "lamp the two", "to", "the"],
])("“%s” and “%s” differ in their words", (one, other, spoken, taken) => {
  const weak = new Set(["the", "a", "an", "to"]);
  expect(differenceOf(one, other, weak)).toEqual({ spoken, taken });
});

test("a case holds a pair apart, and tells where it is not", () => {
  const held = readSuites(book, [
    {
      path: "apart.suite.yaml",
      text: `suite: apart
cases:
  - { hear: wheel lamp on, expect: act, apart-from: [well lamp on, kiln fan off] }
`,
    },
  ]);
  expect(held.problems).toEqual([]);
  const told = heldApart(book, held, { dictionary }).map(({ from, isApart }) => [from, isApart]);
  expect(told).toEqual([
    ["well lamp on", false],
    ["kiln fan off", true],
  ]);
});

describe("what a live system heard", () => {
  const log = readHeardLog(book, {
    path: "heard.csv",
    text: "text,at,language,did\nturn on the wheel lamp,door,en,wheel { power: on }\nwheel lamb off,,en,\nthe wheel lamb on,,en,\nturn on the kiln fan,,en,fan { power: off }\nwhat a day,,en,\nhello,attic,en,\n",
  });

  test("is read from a table, and what it names has to be there", () => {
    expect(log.entries.map(({ text: said }) => said)).toHaveLength(5);
    expect(log.problems.map(({ message }) => message)).toEqual(['there is no voicepoint "attic"']);
  });

  test.each([
    [
      "a table without it",
      "utterance,at\nlamp on,door\n",
      "nothing in it tells what was heard: there is utterance, at",
    ],
    [
      "lines without it",
      '{"said":"lamp on"}\n',
      "nothing in it tells what was heard: there is said",
    ],
    ["what is no table", 'text\n"lamp\n', "this is no table: Quote Not Closed"],
    ["a line that is no JSON", '{"text":"lamp on"}\n{\n', "this line is no JSON"],
    ["a time that is none", "text,time\nlamp on,noonish\n", '"noonish" is no time'],
    [
      "a language that is not spoken",
      "text,language\nlamp on,pl\n",
      'the home does not speak "pl"',
    ],
  ])("%s is told", (_, said, message) => {
    const { problems } = readHeardLog(book, { path: "log", text: said });
    expect(problems.map((each) => each.message.slice(0, message.length))).toEqual([message]);
  });

  test("is read from the log of a live home, of which other lines are passed over", () => {
    const lines = [
      {
        number: 1,
        at: "2026-03-02T18:05:11",
        event: "heard",
        text: "wheel lamp on",
        language: "en-GB",
      },
      { number: 2, at: "2026-03-02T18:05:11", event: "changed", device: "wheel" },
      { text: "fan light off" },
    ];
    const read = readHeardLog(book, {
      path: "log.jsonl",
      text: lines.map((line) => JSON.stringify(line)).join("\n"),
    });
    expect(read.problems).toEqual([]);
    expect(read.entries.map(({ text: said, time }) => [said, time])).toEqual([
      ["wheel lamp on", "2026-03-02T18:05"],
      ["fan light off", undefined],
    ]);
  });

  test("is told as understood, otherwise, and unknown with what to add, as that was tried", () => {
    const study = studyHeard(book, log, { suiteSources, dictionary });
    expect(study.understood).toBe(2);
    expect(study.changed.map(({ now }) => now)).toEqual(["fan { power: on }"]);
    const [lamb, day] = study.unknown;
    expect(lamb).toMatchObject({ count: 2, nearly: "wheel lamp" });
    expect(lamb?.add).toMatchObject({
      yaml: "devices:\n  wheel:\n    aliases: [wheel lamb]",
      becomes: ["wheel { power: off }", "wheel { power: on }"],
      failing: 0,
    });
    expect(day).toMatchObject({ count: 1 });
    expect(day?.add).toBeUndefined();
  });
});
