import { describe, expect, test } from "vitest";
import { readPhrasebook } from "../src/index.ts";

/* A kind of the phrasebook's own, with a number, a choice, a switch and an action, spoken to in six languages. */
const text = `
languages: [en-GB, de-DE, fr-FR, es-ES, it-IT, nl-NL]
kinds:
  wheel:
    said:
      one: { en: wheel, de: Scheibe, fr: tour, es: torno, it: tornio, nl: schijf }
      properties:
        pace: { en: pace, de: Drehzahl, fr: cadence, es: ritmo, it: ritmo, nl: toerental }
        direction: { en: direction, de: Drehrichtung, fr: sens, es: sentido, it: verso, nl: draairichting }
        brake: { en: brake, de: Bremse, fr: frein, es: freno, it: freno, nl: rem }
      values:
        direction:
          left: { en: left, de: links, fr: gauche, es: izquierda, it: sinistra, nl: links }
          right: { en: right, de: rechts, fr: droite, es: derecha, it: destra, nl: rechts }
      actions: { centre: { en: centre, de: zentrieren, fr: centrer, es: centrar, it: centrare, nl: centreren } }
    properties:
      pace: { type: number, minimum: 0, maximum: 250 }
      direction: { enum: [left, right] }
      brake: { type: boolean }
    actions: [centre]
devices:
  big: { kind: wheel, name: { en: big wheel, de: große Scheibe, fr: grand tour, es: torno grande, it: tornio grande, nl: grote schijf } }
`;
const book = readPhrasebook([{ path: "home.yaml", text }]);

const pace = [{ device: "big", set: { pace: 100 } }];
const left = [{ device: "big", set: { direction: "left" } }];
const braked = [{ device: "big", set: { brake: true } }];
const freed = [{ device: "big", set: { brake: false } }];

describe("what a property of a thing shall be", () => {
  test.each([
    ["en", "the pace of the big wheel should be 100", pace],
    ["en", "the direction of the big wheel has to be left", left],
    ["en", "make sure the brake of the big wheel is on", braked],
    ["en", "take the brake off the big wheel", freed],
    ["en", "set the direction to left", left],
    ["de", "die Drehzahl der großen Scheibe soll 100 sein", pace],
    ["de", "Bremse der großen Scheibe an", braked],
    ["de", "Bremse der großen Scheibe aus", freed],
    ["de", "stell die Drehrichtung auf links", left],
    ["fr", "la cadence du grand tour doit être à 100", pace],
    ["fr", "frein du grand tour allumé", braked],
    ["fr", "mets le sens à gauche", left],
    ["es", "el ritmo del torno grande debe estar a 100", pace],
    ["es", "freno del torno grande encendido", braked],
    ["es", "pon el sentido a izquierda", left],
    ["it", "il ritmo del tornio grande deve essere a 100", pace],
    ["it", "freno del tornio grande acceso", braked],
    ["it", "metti il verso a sinistra", left],
    ["nl", "het toerental van de grote schijf moet op 100 staan", pace],
    ["nl", "rem van de grote schijf aan", braked],
    ["nl", "zet de draairichting op links", left],
  ])("%s: %s", (language, phrase, effects) => {
    const heard = book.hear(phrase, { language });
    expect(heard.commands.flatMap((command) => command.effects)).toEqual(effects);
    expect(heard.outcome).toBe("act");
  });
});

test("what is on or off everywhere cannot be true or false in a kind", () => {
  const { problems } = readPhrasebook([
    { path: "a.yaml", text: "kinds: { booth: { properties: { power: { type: boolean } } } }" },
  ]);
  expect(problems.map(({ message, fix }) => [message, fix])).toEqual([
    [
      '"power" is on or off where it is spoken of, and not true or false',
      "write enum: [on, off], or give it a name of its own",
    ],
  ]);
});
