import { describe, expect, test } from "vitest";
import { describeOutcome, readPhrasebook } from "../src/index.ts";

const home = (vocabulary: string) =>
  readPhrasebook([
    {
      path: "home.yaml",
      text: `languages: [en-GB, de-DE, fr-FR, es-ES, it-IT, nl-NL]
${vocabulary}
rooms:
  studio: { name: { en: studio, de: Studio, fr: studio, es: estudio, it: studio, nl: studio } }
  loft: { name: { en: loft, de: Loft, fr: loft, es: desván, it: soffitta, nl: zolder } }
voicepoints: { shelf: { room: studio } }
devices:
  lamp: { kind: light, room: studio, name: tall lamp }
  lantern: { kind: light, room: loft, name: { en: lantern, de: Laterne, fr: lanterne, es: farol, it: lanterna, nl: lantaarn } }
  stove: { kind: heater, room: studio, name: stove }
  boiler: { kind: thermostat, room: loft, name: boiler }
  radio: { kind: player, room: studio, name: { en: radio, de: Radio, fr: radio, es: radio, it: radio, nl: radio } }
  fan: { kind: fan, room: studio, name: { en: fan, de: Lüfter, fr: ventilateur, es: ventilador, it: ventilatore, nl: ventilator } }
`,
    },
  ]);
const wishing = home("vocabulary: { with: [wishes] }");
const plain = home("");
const hear = (text: string, language: string, book = wishing): string =>
  describeOutcome(book.hear(text, { at: "shelf", language }));

const light = "lamp { power: on }, nudge lamp { brightness: 20 }";
const loftLight = "lantern { power: on }, nudge lantern { brightness: 20 }";
const dimmer = "nudge lamp { brightness: -20 }";
const warmer = "nudge stove { target: 1 }";
const cooler = "nudge stove { target: -1 }";
const loftWarmer = "nudge boiler { target: 1 }";
const quieter = "nudge radio { volume: -10 }";
const louder = "nudge radio { volume: 10 }";
const slower = "nudge fan { speed: -20 }";

/** What each means, and how it is said in each language. */
const wishes: readonly (readonly [string, Readonly<Record<string, string>>])[] = [
  [
    light,
    {
      en: "it's too dark in here",
      de: "hier ist es zu dunkel",
      fr: "il fait trop sombre ici",
      es: "está demasiado oscuro aquí",
      it: "è troppo buio qui",
      nl: "het is hier te donker",
    },
  ],
  [
    loftLight,
    {
      en: "I can't see a thing in the loft",
      de: "im Loft sieht man nichts",
      fr: "on ne voit rien dans le loft",
      es: "no se ve nada en el desván",
      it: "non si vede niente in soffitta",
      nl: "ik zie niets op zolder",
    },
  ],
  [
    "lamp { power: on }, nudge lamp { brightness: 40 }",
    {
      en: "much too dark",
      de: "es ist viel zu dunkel",
      fr: "c'est beaucoup trop sombre",
      nl: "het is veel te donker",
    },
  ],
  [
    dimmer,
    {
      en: "it is too bright",
      de: "es ist zu hell",
      fr: "c'est trop clair",
      es: "hay demasiada luz",
      it: "c'è troppa luce",
      nl: "het is te fel",
    },
  ],
  [
    warmer,
    {
      en: "I'm freezing",
      de: "mir ist kalt",
      fr: "j'ai froid",
      es: "tengo frío",
      it: "ho freddo",
      nl: "ik heb het koud",
    },
  ],
  [
    loftWarmer,
    {
      en: "the loft is not warm enough",
      de: "im Loft ist es zu kalt",
      fr: "il fait trop froid dans le loft",
      es: "hace demasiado frío en el desván",
      it: "fa troppo freddo in soffitta",
      nl: "het is te koud op zolder",
    },
  ],
  [
    cooler,
    {
      en: "it's too hot in here",
      de: "es ist zu warm hier",
      fr: "j'ai trop chaud",
      es: "hace mucho calor",
      it: "fa troppo caldo",
      nl: "ik heb het te warm",
    },
  ],
  [
    quieter,
    {
      en: "the radio is too loud",
      de: "das Radio ist zu laut",
      fr: "la radio est trop forte",
      es: "la radio está muy alta",
      it: "la radio è troppo alta",
      nl: "de radio staat te hard",
    },
  ],
  [
    louder,
    {
      en: "I can hardly hear the radio",
      de: "ich höre das Radio kaum",
      fr: "je n'entends pas la radio",
      es: "apenas se oye la radio",
      it: "non sento la radio",
      nl: "ik kan de radio niet horen",
    },
  ],
  [
    slower,
    {
      en: "I find the fan too fast",
      de: "der Lüfter läuft zu schnell",
      fr: "le ventilateur tourne trop vite",
      es: "el ventilador va muy rápido",
      it: "il ventilatore va troppo veloce",
      nl: "de ventilator draait te snel",
    },
  ],
];

describe("what is said to be wrong is a wish, where a home takes it so", () => {
  const rows = wishes.flatMap(([effect, said]) =>
    Object.entries(said).map(([language, text]) => [language, text, effect] as const),
  );
  test.each(rows)("%s: %s", (language, text, effect) => {
    expect(hear(text, language)).toBe(effect);
  });

  test.each(rows)("and comes to no act where it does not: %s: %s", (language, text) => {
    expect(plain.hear(text, { at: "shelf", language }).outcome).not.toBe("act");
  });
});

describe("what is asked, denied, told, supposed or remembered is no wish", () => {
  test.each([
    ["en", "is it too dark in here"],
    ["en", "it is not too dark in here"],
    ["en", "it isn't too cold"],
    ["en", "it was too dark in here"],
    ["en", "if it's too dark in here"],
    ["en", "Joss says it's too cold"],
    ["en", "tell me when it's too hot"],
    ["en", "it might be too loud"],
    ["en", "who said it's too dark"],
    ["de", "ist es hier zu dunkel"],
    ["de", "es ist nicht zu dunkel"],
    ["de", "gestern war es zu kalt"],
    ["de", "wenn es zu warm ist"],
    ["de", "Joss sagt es ist zu kalt"],
    ["fr", "est-ce qu'il fait trop sombre"],
    ["fr", "il ne fait pas trop froid"],
    ["fr", "s'il fait trop chaud"],
    ["fr", "Joss dit qu'il fait trop froid"],
    ["es", "no hace demasiado frío"],
    ["es", "si hace mucho calor"],
    ["es", "ayer hacía demasiado frío"],
    ["es", "Joss dice que hace mucho calor"],
    ["it", "non è troppo buio"],
    ["it", "se fa troppo caldo"],
    ["it", "ieri faceva troppo freddo"],
    ["it", "Joss dice che fa troppo caldo"],
    ["nl", "is het te donker"],
    ["nl", "het is niet te donker"],
    ["nl", "als het te koud is"],
    ["nl", "Joss zegt dat het te warm is"],
  ])("%s: %s", (language, text) => {
    expect(wishing.hear(text, { at: "shelf", language }).outcome).not.toBe("act");
  });
});

test("a reason beside an order stays a reason", () => {
  for (const text of [
    "it's too dark in here, turn on the lantern",
    "turn on the lantern, it's too dark in here",
    "turn on the lantern because it's too dark in here",
    "turn on the lantern because it is dark",
  ]) {
    expect(hear(text, "en")).toBe("lantern { power: on }");
  }
});

test("a wish can be left out, and is known by its id", () => {
  const some = home("vocabulary: { with: [wishes], without: [too-dark] }");
  expect(some.problems).toEqual([]);
  expect(hear("it's too dark in here", "en", some)).toBe("unknown");
  expect(hear("it's too cold in here", "en", some)).toBe(warmer);
  expect([...wishing.intents.keys()].filter((id) => id.startsWith("too-"))).toHaveLength(8);
});

test("guards hold for wishes", () => {
  const guarded = home("vocabulary: { with: [wishes] }\nvoice: [{ kind: heater, voice: confirm }]");
  expect(guarded.hear("I'm freezing", { at: "shelf" }).outcome).toBe("confirm");
});
