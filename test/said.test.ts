import { describe, expect, test } from "vitest";
import { describeOutcome, readPhrasebook, simulate } from "../src/index.ts";

const book = readPhrasebook([
  {
    path: "home.yaml",
    text: `languages: [en-GB, de-DE]
rooms: { loft: { name: { en: loft, de: Küche } }, yard: { outside: true }, cellar: {} }
voicepoints: { shelf: { room: loft } }
kinds:
  kiln:
    said:
      one: { en: kiln, de: Brennofen }
      many: { en: kilns, de: Brennöfen }
      properties:
        ramp: { en: [ramp, ramp rate], de: Aufheizrate }
        glaze: { en: glaze, de: Glasur }
        damper: { en: damper, de: Schieber }
      values: { glaze: { celadon: { en: [celadon, the green one], de: Seladon } } }
      actions: { fire: { en: [fire, fire up], de: brennen } }
    properties:
      ramp: { type: number, minimum: 0, maximum: 300, unit: degrees per hour }
      glaze: { enum: [celadon, tenmoku] }
      damper: { type: boolean }
      label: { type: string }
    actions: [fire]
devices:
  old-kiln: { kind: kiln, room: cellar, name: { en: old kiln, de: alter Ofen } }
  lamp: { kind: light, room: loft, name: { en: tall lamp, de: Stehlampe } }
  shelf-two: { kind: light, room: loft, name: { en: shelf light two, de: Regal zwei } }
  lantern: { kind: light, room: yard, name: { en: lantern, de: Laterne } }
  tape: { kind: player, room: loft, name: { en: tape deck, de: Kassette } }
`,
  },
]);
const hear = (text: string, language = "en"): string =>
  describeOutcome(book.hear(text, { at: "shelf", language }));

describe("what a kind of one's own has and can do is understood in every frame of its sort", () => {
  test.each([
    ["set the ramp of the old kiln to 120", "old-kiln { ramp: 120 }"],
    ["old kiln ramp rate at 120 degrees per hour", "old-kiln { ramp: 120 }"],
    ["could you raise the kiln's ramp by 20", "nudge old-kiln { ramp: 20 }"],
    ["I'd like the old kiln on the green one", "old-kiln { glaze: celadon }"],
    ["make sure the old kiln is on tenmoku", "old-kiln { glaze: tenmoku }"],
    ["turn the damper of the old kiln on", "old-kiln { damper: true }"],
    ["old kiln damper off", "old-kiln { damper: false }"],
    ["set the label of the old kiln to spring batch", "old-kiln { label: spring batch }"],
    ["would you mind firing up the old kiln", "old-kiln fire"],
    ["fire up the old kiln please", "old-kiln fire"],
    ["old kiln celadon and ramp 80", "old-kiln { glaze: celadon }, old-kiln { ramp: 80 }"],
    ["what glaze is the old kiln on", "answer: ask-value"],
    ["a bit more ramp on the old kiln", "nudge old-kiln { ramp: 15 }"],
    ["bring the ramp of the old kiln down a lot", "nudge old-kiln { ramp: -60 }"],
    ["turn the damper on for the old kiln", "old-kiln { damper: true }"],
    ["what glaze is in the old kiln", "answer: ask-value"],
    ["how much ramp is on the old kiln", "answer: ask-value"],
    ["is the damper of the old kiln on", "answer: ask-value"],
  ])("%s: %s", (text, expected) => {
    expect(hear(text)).toBe(expected);
  });

  test.each([
    ["stell die Aufheizrate des alten Ofens auf 120", "old-kiln { ramp: 120 }"],
    ["kannst du den alten Ofen bitte auf Seladon stellen", "old-kiln { glaze: celadon }"],
    ["etwas mehr Aufheizrate auf dem alten Ofen", "nudge old-kiln { ramp: 15 }"],
    ["ist der Schieber des alten Ofens an", "answer: ask-value"],
  ])("%s: %s", (text, expected) => {
    expect(hear(text, "de")).toBe(expected);
  });
});

test("what is more or less of something of one's own is told so, and what is on or off in words", () => {
  const talk = simulate(book, { time: "2026-03-02T18:05" }).converse({ at: "shelf" });
  const reply = (text: string): string => talk.say(text).reply;
  expect(reply("more ramp on the old kiln")).toBe("old kiln: more ramp.");
  expect(reply("old kiln damper on")).toBe("old kiln: damper on.");
  expect(reply("is the damper of the old kiln on")).toBe("old kiln: damper on.");
});

describe("names and places are heard as they are said", () => {
  test.each([
    ["turn on shelf light 2", "en", "shelf-two { power: on }"],
    ["turn on the Stehlampe", "en", "lamp { power: on }"],
    ["mach die Küchenlampen an", "de", "lamp { power: on }, shelf-two { power: on }"],
    ["turn off the lights outside", "en", "lantern { power: off }"],
    ["volume up", "en", "nudge tape { volume: 10 }"],
    ["turn the tall lamp's brightness to forty", "en", "lamp { brightness: 40 }"],
  ])("%s (%s): %s", (text, language, expected) => {
    expect(hear(text, language)).toBe(expected);
  });
});

describe("a command beside words that mean nothing here", () => {
  test("is done where a pause parts them off, and they are a remark", () => {
    expect(hear("my hands are full, turn on the tall lamp")).toBe("lamp { power: on }");
  });

  test("never leaves out what is excepted, whether or not there is such a thing", () => {
    expect(hear("turn on the lamps except the old one by the wall")).toBe("unknown");
    expect(hear("mach alles aus außer dem Zeug", "de")).toBe("unknown");
  });

  test("is offered where nothing does, and a yes does it", () => {
    const home = simulate(book, { time: "2026-03-02T18:05" });
    const talk = home.converse({ at: "shelf" });
    expect(talk.say("blimey turn on the tall lamp")).toMatchObject({
      outcome: "offer",
      reply: "Did you mean: tall lamp on?",
    });
    expect(home.states()["lamp"]).toMatchObject({ power: "off" });
    talk.say("yes");
    expect(home.states()["lamp"]).toMatchObject({ power: "on" });
  });

  test("is offered no further than a yes reaches: never what a code guards or voice is barred from", () => {
    const guarded = readPhrasebook([
      {
        path: "home.yaml",
        text: `devices:
  back-door: { kind: lock, voice: confirm }
  vault: { kind: lock, voice: code }
  strongbox: { kind: lock, voice: barred }`,
      },
    ]);
    const home = simulate(guarded, { time: "2026-03-02T18:05" });
    const outcomes = ["back door", "vault", "strongbox"].map((name) => {
      const talk = home.converse();
      const { outcome } = talk.say(`blimey unlock the ${name}`);
      talk.say("yes");
      return outcome;
    });
    expect(outcomes).toEqual(["offer", "unknown", "unknown"]);
    expect(home.states()).toMatchObject({
      "back-door": { locked: false },
      vault: { locked: true },
    });
  });

  test("is unknown where the phrasebook will have no offers", () => {
    const plain = readPhrasebook([
      {
        path: "home.yaml",
        text: "vocabulary: { offers: false }\ndevices: { lamp: { kind: light } }",
      },
    ]);
    expect(plain.hear("blimey turn on the lamp").outcome).toBe("unknown");
  });

  test.each([
    "if it rains, turn on the tall lamp",
    "turn on the tall lamp, no",
    "turn on the tall lamp and dance",
  ])("is nothing at all with a condition, a no or one more thing: %s", (text) => {
    expect(hear(text)).toBe("unknown");
  });
});
