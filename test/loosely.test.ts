import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { describeOutcome, readPhrasebook, simulate } from "../src/index.ts";

/* Names as people say them: less of them, another word for the same, without their accents. */

const book = readPhrasebook([
  {
    path: "home.yaml",
    text: `languages: [en-GB, de-DE, es-ES]
rooms:
  shop: { name: { en: shop, de: Laden, es: tienda } }
  shed: { name: { en: boat shed, de: Schuppen, es: cobertizo } }
  yard: { outside: true, name: { en: yard, de: Hof, es: patio } }
voicepoints: { till: { room: shop }, bench: { room: shed } }
devices:
  mixer: { kind: plug, room: shop, name: { en: glaze mixer, de: Glasurmischer, es: mezcladora } }
  saw: { kind: plug, room: shed, name: { en: band saw, de: Bandsäge, es: sierra de cinta } }
  desk: { kind: light, room: shop, name: { en: desk lamp, de: Schreibtischlampe, es: lámpara de mesa } }
  shed-light: { kind: light, room: shed, name: { en: boat shed light, de: Schuppenlicht, es: luz del cobertizo } }
  spot: { kind: light, room: shed, name: { en: work lamp, de: Arbeitslampe, es: foco } }
  till-bell: { kind: locator, room: shop, name: { en: till bell, de: Ladenglocke, es: timbre } }
  yard-bell: { kind: locator, room: yard, name: { en: gate bell, de: Hofglocke, es: campana } }
  blind: { kind: blind, room: shed, name: { en: roller blind, de: Rollo, es: persiana } }
  drape: { kind: blind, room: shed, name: { en: long curtain, de: Vorhang, es: cortina } }
  secret: { kind: plug, room: shop, voice: barred, name: { en: safe timer, de: Tresoruhr, es: temporizador } }
  beds: { kind: valve, room: yard, name: { en: herb bed hose, de: Beetschlauch, es: riego del huerto } }
`,
  },
]);
const hear = (text: string, language = "en", at = "till"): string =>
  describeOutcome(book.hear(text, { at, language }));

describe("a name may be said loosely where nothing else is called so", () => {
  test.each([
    ["en", "turn on the mixer", "mixer { power: on }"],
    ["en", "saw off", "saw { power: off }"],
    ["de", "Säge an", "saw { power: on }"],
    ["de", "Mischer aus", "mixer { power: off }"],
    ["es", "enciende la sierra", "saw { power: on }"],
    ["en", "desk light on", "desk { power: on }"],
    ["de", "Schreibtischlicht an", "desk { power: on }"],
    [
      "en",
      "all the lights off except the desk one",
      "shed-light { power: off }, spot { power: off }",
    ],
    [
      "en",
      "everything off in the shed",
      "saw { power: off }, shed-light { power: off }, spot { power: off }",
    ],
    ["en", "water the herb bed", "beds { flow: on }"],
    ["en", "water the yard", "beds { flow: on }"],
  ])("%s: %s", (language, phrase, comes) => {
    expect(hear(phrase, language)).toBe(comes);
  });

  test("of several that share what is said it is the one in the room, or it is asked which", () => {
    expect(hear("ring the bell")).toBe("till-bell chime");
    expect(hear("ring the bell", "en", "bench")).toBe(
      "unsure: till bell (shop) or gate bell (yard)",
    );
  });

  test("with another word for it a name is not one of all that a room has", () => {
    expect(hear("boat shed lamp on")).toBe("spot { power: on }");
  });

  test("the why says which name it was taken for", () => {
    const heard = book.hear("turn on the mixer", { language: "en" });
    const [slot] = book.why(heard).readings.find(({ kept }) => kept)?.slots ?? [];
    expect(slot?.means).toBe("device mixer (for “glaze mixer”)");
  });

  test("what voice is barred from is not known by less of its name either", () => {
    expect(hear("turn on the timer")).toBe("unknown");
    expect(hear("turn on the safe timer")).toBe("unknown");
  });
});

describe("a noun tells devices of a kind apart", () => {
  test.each([
    ["close the curtain in the shed", "drape { position: 0 }"],
    ["close the curtains", "drape { position: 0 }"],
    ["close the blinds", "blind { position: 0 }"],
    ["close the shutters", "blind { position: 0 }, drape { position: 0 }"],
  ])("%s", (phrase, comes) => {
    expect(hear(phrase)).toBe(comes);
  });
});

test("a noun that only others are called by is what is called so, beside devices of its kind", () => {
  const flat = readPhrasebook([
    {
      path: "home.yaml",
      text: `languages: [en-GB, de-DE]
rooms: { lounge: { name: { en: lounge, de: Stube } }, cellar: { name: { en: cellar, de: Keller } } }
devices:
  sauna: { kind: heater, room: cellar, name: { en: sauna, de: Sauna } }
  heat: { kind: thermostat, room: lounge, name: { en: lounge radiator, de: Stubenheizkörper } }
`,
    },
  ]);
  const told = (text: string, language: string): string =>
    describeOutcome(flat.hear(text, { language }));
  expect(told("radiator to twenty two", "en")).toBe("heat { target: 22 }");
  expect(told("Heizkörper zwei Grad runter", "de")).toBe("nudge heat { target: -2 }");
  expect(told("the heater to sixty", "en")).toBe("sauna { target: 60 }");
});

describe("accents may be left out, and are never put where they make another word", () => {
  test.each([
    ["es", "apaga la lampara de mesa", "desk { power: off }"],
    ["de", "Bandsaege an", "saw { power: on }"],
    ["de", "Bandsage an", "saw { power: on }"],
    ["de", "Schreibtischlampe auf fuenfzig Prozent", "desk { brightness: 50 }"],
    ["es", "lámpara de mesa al dieciseis por ciento", "desk { brightness: 16 }"],
    ["es", "apagué la lámpara de mesa", "unknown"],
  ])("%s: %s", (language, phrase, comes) => {
    expect(hear(phrase, language)).toBe(comes);
  });

  test("law: what is said without accents comes to what it comes to with them", () => {
    const names = ["lámpara de mesa", "sierra de cinta", "luz del cobertizo"];
    const verbs = ["enciende", "apaga", "quiero que esté encendida"];
    fc.assert(
      fc.property(fc.constantFrom(...names), fc.constantFrom(...verbs), (name, verb) => {
        const phrase = `${verb} la ${name}`;
        const plain = phrase.normalize("NFD").replaceAll(/\p{M}/gu, "");
        expect(hear(plain, "es")).toBe(hear(phrase, "es"));
      }),
    );
  });
});

describe("beside a command", () => {
  test.each([
    ["I can't see a thing, desk lamp on", "desk { power: on }"],
    ["saw off, I forgot my goggles", "saw { power: off }"],
    ["I forgot to turn the saw off", "unknown"],
    ["I can't see the desk lamp on", "unknown"],
    ["saw off, I never said that", "unknown"],
  ])("%s", (phrase, comes) => {
    expect(hear(phrase)).toBe(comes);
  });
});

describe("a choice can be asked about by its value", () => {
  const kiln = readPhrasebook([
    {
      path: "home.yaml",
      text: `languages: [en-GB, de-DE]
rooms: { shed: { name: { en: shed, de: Schuppen } } }
kinds:
  dryer:
    said: { properties: { tank: { en: tank, de: Tank } }, values: { tank: { full: { en: full, de: voll } } } }
    properties: { tank: { enum: [empty, full], readOnly: true, default: full }, power: { enum: [on, off], default: off } }
devices:
  dryer: { kind: dryer, room: shed, name: { en: air dryer, de: Trockner } }
  heat: { kind: thermostat, room: shed, name: { en: shed heating, de: Heizung } }
`,
    },
  ]);
  test.each([
    ["en", "is the tank of the air dryer full", "Yes, air dryer: full."],
    ["en", "is the air dryer tank full", "Yes, air dryer: full."],
    ["de", "ist der Tank vom Trockner voll", "Ja, Trockner: voll."],
    ["en", "is the shed heating on auto", "No, shed heating: off."],
    ["en", "is the shed heating off", "Yes, shed heating: off."],
  ])("%s: %s", (language, phrase, says) => {
    const home = simulate(kiln, {});
    expect(home.converse({ language }).say(phrase).reply).toBe(says);
  });
});

describe("a step that asks for a value", () => {
  const home = (tell: string, more = "") =>
    readPhrasebook([
      {
        path: "home.yaml",
        text: `languages: [en]
rooms: { shed: {} }
devices: { heat: { kind: thermostat, room: shed, name: shed heating } }
intents: { cosy: { patterns: cosy yet, do: { tell: { target: heat, ${tell}, form: whether } } } }
${more}`,
      },
    ]);

  test("is answered by what the property is", () => {
    const cosy = simulate(home("property: mode, is: heat"), {}).converse({});
    expect(cosy.say("cosy yet").reply).toBe("No, shed heating: off.");
  });

  test.each([
    ["is: heat", '"is" is the value of one property'],
    ["property: mod, is: heat", 'there is no property of heat "mod"'],
    ["property: mode, is: warm", 'is takes one of off, heat, cool, auto, not "warm"'],
  ])("%s: %s", (tell, message) => {
    expect(home(tell).problems.map((finding) => finding.message)).toContain(message);
  });

  test("that ships can be left out like any other", () => {
    const without = home("property: mode, is: heat", "vocabulary: { without: [mode-asked] }");
    expect(without.problems).toEqual([]);
    expect(without.hear("is the shed heating on auto").outcome).toBe("unknown");
  });
});
